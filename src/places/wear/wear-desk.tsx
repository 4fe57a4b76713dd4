'use client';
import Link from 'next/link';
import { useState } from 'react';
import { whyOf } from '@/core/explain/why-of';
import { ratingScales } from '@/core/wear/rating-scales';
import { dayOfWear, wearDayNumber } from '@/core/wear/wear-day-number';
import { formatDay, formatIndex } from '@/ui/format';
import { standingForecast } from '@/core/plan/as-taken-down';
import { dampWords } from '../sets/damp-words';
import { AskHow } from '@/ui/how-we-know/ask';
import { LinkButton } from '@/ui/shell/link-button';
import { Page, Part } from '@/ui/shell/page';
import { wholeSetLabel } from '@/core/draft/labels';
import { GivenUp } from '../sets/given-up';
import { DayEntry } from './day-entry';
import { GiveUp } from './give-up';
import type { loadSetView } from '../sets/queries';
import { dateOfDay } from './worn-day';
import styles from './wear-desk.module.css';
import { WearStrip } from './wear-strip';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadSetView>>>;

/** A style being worn: one entry a day, and its end. */
export function WearDesk({ set, clock, nowMs }: Loaded) {
  const takenDownAtMs = set.takenDownAtMs ?? nowMs;
  const { timeZone } = clock;
  const lastDay = Math.max(0, dayOfWear(takenDownAtMs, nowMs, timeZone));
  const today = dateOfDay(takenDownAtMs, lastDay, timeZone);
  // A style that is over opens on its last entry, not on a day on which it was not worn.
  const lastEntered = set.wearDays.at(-1)?.day;
  const [date, setDate] = useState(() =>
    set.outcome && lastEntered !== undefined ? dateOfDay(takenDownAtMs, lastEntered, timeZone) : today,
  );
  const [isCorrecting, setCorrecting] = useState(false);
  const standing = standingForecast(set.forecast, set.asTakenDown);
  const { p10, p50, p90 } = standing.daysPresentable;
  const lasts = `${Math.round(p10)} to ${Math.round(p90)} days, most likely ${Math.round(p50)}`;
  const dayNumber = wearDayNumber(date, takenDownAtMs, timeZone) ?? 0;

  if (set.takenDownAtMs === null) {
    return (
      <Page title={set.headName} lead={wholeSetLabel(set.brief.set)}>
        <p>This set has not been taken down yet.</p>
        <Link href={`/chair/${set.id}`}>Go to the chair</Link>
      </Page>
    );
  }
  const isOver = set.outcome !== null;
  return (
    <Page
      title={set.headName}
      lead={
        <>
          {wholeSetLabel(set.brief.set)}, taken down {formatDay(takenDownAtMs, clock)}.{' '}
          <AskHow
            topic="days"
            name="Forecast"
            now={`Forecast: ${lasts}. Today is day ${lastDay}.`}
            why={whyOf(standing, 'days')}
          />
          : {lasts}. {dampWords(set)}
        </>
      }
      action={
        <LinkButton href={`/sets/${set.id}`} variant="outlined">
          Forecast and outcome
        </LinkButton>
      }
    >
      <WearStrip
        days={set.wearDays}
        forecast={standing.result.byDay}
        band={{ p10, p50, p90 }}
        takenDownAtMs={takenDownAtMs}
        clock={clock}
        chosen={date}
        lastDay={lastDay}
        onChoose={setDate}
      />
      <div className={styles.columns}>
        <Part title="How it is holding up" note="in daylight, at arm’s length, before touching it">
          <DayEntry
            key={date}
            setId={set.id}
            date={date}
            // What was measured when it came down is the first day’s, until that is entered.
            measured={dayNumber === 0 ? set.run.measured : null}
            known={set.wearDays.find((day) => day.day === dayNumber)}
            usualNight={set.brief.wear?.night ?? 'gather-and-bonnet'}
            onDate={setDate}
          />
        </Part>
        <Part title={isOver ? 'Over' : 'When it is over'}>
          {(!isOver || isCorrecting) && (
            <GiveUp
              key={isOver ? 'correct' : 'new'}
              setId={set.id}
              takenDownAtMs={takenDownAtMs}
              today={today}
              days={set.wearDays}
              recorded={set.outcome}
              clock={clock}
              onDone={() => setCorrecting(false)}
            />
          )}
          {!isCorrecting && (
            <GivenUp setId={set.id} outcome={set.outcome} onCorrect={() => setCorrecting(true)} />
          )}
          {set.wearDays.length > 0 && (
            <table className={styles.days}>
              <thead>
                <tr>
                  <th>Day</th>
                  {ratingScales.map((scale) => (
                    <th key={scale.id}>{scale.label}</th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {set.wearDays.map((day) => (
                  <tr key={day.id}>
                    <td>{day.day}</td>
                    {ratingScales.map((scale) => (
                      <td key={scale.id}>{formatIndex(day[scale.id])}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </Part>
      </div>
    </Page>
  );
}
