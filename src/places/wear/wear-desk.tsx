'use client';
import Button from '@mui/material/Button';
import Link from '@/ui/shell/link';
import { useCallback, useState } from 'react';
import { whyOf } from '@/core/explain/why-of';
import { wholeSetLabel } from '@/core/draft/labels';
import { standingForecast } from '@/core/plan/as-taken-down';
import type { KeptMeasure } from '@/core/diary/photo-measure';
import type { PhotoFacts } from '@/core/diary/photo';
import { stretchedOf } from '@/core/diary/day-problem';
import { saidOfDay } from '@/core/diary/said-of-day';
import { dayOfWear, wearDayNumber } from '@/core/wear/wear-day-number';
import { MINUTE_MS } from '@/core/units/time';
import { wholeDays } from '@/core/diary/whole-days';
import { pickedWords } from '@/ui/format';
import { useNow } from '@/ui/hooks/use-now';
import { AskHow } from '@/ui/how-we-know/ask';
import { LinkButton } from '@/ui/shell/link-button';
import { Page, Part } from '@/ui/shell/page';
import { dampWords } from '../sets/damp-words';
import { GivenUp } from '../sets/given-up';
import type { loadSetView } from '../sets/queries';
import { DayCard, HalvesCard } from './day-card';
import { GiveUp } from './give-up';
import { halvesOf, keptDays, openedDay, saidOfHalves, type KeptDay } from './known-day';
import { PhotoStory } from './photo-story';
import { SecondLook } from './second-look';
import type { KeptEntry } from './use-days';
import { TakeHome } from './take-home';
import { WearStrip } from './wear-strip';
import { dateOfDay } from './worn-day';
import styles from './wear-desk.module.css';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadSetView>>>;

/** A style being worn: one entry a day, and its end. */
export function WearDesk({
  set,
  drawn,
  partPath,
  clock,
  nowMs: servedMs,
  photos: known,
  measures: kept,
}: Loaded) {
  // A page that is left open over midnight has a day more.
  const nowMs = useNow(servedMs, MINUTE_MS);
  const takenDownAtMs = set.takenDownAtMs ?? nowMs;
  const { timeZone } = clock;
  const lastDay = Math.max(0, dayOfWear(takenDownAtMs, nowMs, timeZone));
  const today = dateOfDay(takenDownAtMs, lastDay, timeZone);
  // A style that is over opens on its last entry, not on a day on which it was not worn.
  const lastEntered = set.wearDays.at(-1)?.day;
  const [date, setDate] = useState(() =>
    set.outcome && lastEntered !== undefined ? dateOfDay(takenDownAtMs, lastEntered, timeZone) : today,
  );
  const [days, setDays] = useState<readonly KeptDay[]>(() => keptDays(set.wearDays));
  const [photos, setPhotos] = useState<readonly PhotoFacts[]>(known);
  const [measures, setMeasures] = useState<readonly KeptMeasure[]>(kept);
  const [isEnding, setEnding] = useState(false);
  const standing = standingForecast(set.forecast, set.asTakenDown);
  const { p10, p50, p90 } = standing.daysPresentable;
  const lasts = `${Math.round(p10)} to ${Math.round(p90)} days, most likely ${Math.round(p50)}`;
  const day = wearDayNumber(date, takenDownAtMs, timeZone) ?? 0;
  const onKept = useCallback(
    (kept: KeptEntry) =>
      setDays((before) => [
        ...before.filter((one) => one.day !== day || one.half !== kept.half),
        { ...kept, day },
      ]),
    [day],
  );

  if (set.takenDownAtMs === null) {
    return (
      <Page title={set.headName} lead={wholeSetLabel(set.brief.set)}>
        <p>This set has not been taken down yet.</p>
        <Link href={`/chair/${set.id}`}>Go to the chair</Link>
      </Page>
    );
  }
  const isOver = set.outcome !== null;
  const fromElsewhere = set.wearDays.find((one) => one.day === day && one.source !== 'studio');
  const halves = halvesOf(set.brief.parting?.trial === true);
  const rated = wholeDays(days.map((one) => ({ ...one, ratings: one.entry.ratings })));
  const Card = halves.length > 1 ? HalvesCard : DayCard;
  return (
    <Page
      title={set.headName}
      lead={
        <>
          {wholeSetLabel(set.brief.set)}. {pickedWords(date, clock)}, day {day}. {dampWords(set)}
        </>
      }
    >
      <WearStrip
        days={rated}
        saidOf={(of) => saidOfDay(standing, of).definition}
        band={{ p10, p50, p90 }}
        takenDownAtMs={takenDownAtMs}
        clock={clock}
        chosen={date}
        lastDay={lastDay}
        onChoose={setDate}
      />
      {fromElsewhere && (
        <p className={styles.hint}>
          {fromElsewhere.ratedBy ? `Rated by ${fromElsewhere.ratedBy}` : 'Rated'}
          {fromElsewhere.source === 'take-home'
            ? ' at home, in the diary that went along.'
            : ', from a table.'}
        </p>
      )}
      {(isOver || isEnding || set.halfOutcomes.length > 0) && (
        <Part title={isOver ? 'Over' : isEnding ? 'It is given up' : 'Given up so far'}>
          {isEnding ? (
            <GiveUp
              setId={set.id}
              takenDownAtMs={takenDownAtMs}
              lastDay={lastDay}
              halves={halves}
              given={set.halfOutcomes.map(({ half }) => half)}
              days={rated}
              recorded={set.outcome}
              clock={clock}
              onDone={() => setEnding(false)}
            />
          ) : (
            <GivenUp
              setId={set.id}
              outcome={set.outcome}
              halves={set.halfOutcomes}
              onCorrect={() => setEnding(true)}
            />
          )}
        </Part>
      )}
      <Card
        key={date}
        setId={set.id}
        date={date}
        day={day}
        {...openedDay(days, day, halves, set.run.measured)}
        said={saidOfHalves(standing, day, halves, !isOver && set.brief.parting?.namesHidden === true)}
        rest={{
          drawn,
          partPath,
          stretchedCm: stretchedOf(set.brief.head.stretchedLengthCm),
          saidCm: standing.result.byDay.find((one) => one.day === day)?.visibleLengthCm ?? {},
          photos,
          onPhotos: setPhotos,
          measures,
          onMeasures: setMeasures,
        }}
        skin={set.skinTone}
        hair={set.hairTone}
        onKept={onKept}
      />
      {halves.length === 1 && days.some((one) => one.day === day) && (
        <SecondLook
          key={`second-${date}`}
          setId={set.id}
          date={date}
          skin={set.skinTone}
          hair={set.hairTone}
        />
      )}
      {photos.length > 1 && (
        <Part title="Day by day">
          <PhotoStory photos={photos} />
        </Part>
      )}
      <Part title="Days at home">
        <TakeHome setId={set.id} clock={clock} />
      </Part>
      <div className={styles.actions}>
        <LinkButton href={`/sets/${set.id}`} variant="outlined">
          Forecast and outcome
        </LinkButton>
        {!isOver && (
          <Button variant="outlined" onClick={() => setEnding(true)}>
            It is given up
          </Button>
        )}
      </div>
      <p className={styles.hint}>
        <AskHow
          topic="days"
          name="How long it lasts"
          now={`Forecast: ${lasts}. Today is day ${lastDay}.`}
          why={whyOf(standing, 'days')}
        />
        : {lasts}. What was said of a day is shown once you have rated it, so that it does not lead your hand.
      </p>
    </Page>
  );
}
