'use client';
import dynamic from 'next/dynamic';
import { sectionName } from '@/core/parting/section-name';
import { standingForecast } from '@/core/plan/as-taken-down';
import { whyOf } from '@/core/explain/why-of';
import { techniqueOf } from '@/core/techniques';
import type { DayMarks } from '@/core/diary/day-entry';
import { stretchedOf } from '@/core/diary/day-problem';
import { daySeries } from '@/core/diary/day-series';
import { WEAR_MARK_IDS, wearMarks } from '@/core/diary/day-words';
import { FAULT_IDS, faults } from '@/core/run/faults';
import { listed } from '@/core/words/words';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { formatClock, formatMoment, formatHours } from '@/ui/format';
import { AskHow } from '@/ui/how-we-know/ask';
import { Ribbon } from '@/ui/ribbon/ribbon';
import { LinkButton } from '@/ui/shell/link-button';
import { Page, Part } from '@/ui/shell/page';
import { motifOfSection, wholeSetLabel } from '@/core/draft/labels';
import { HOUR_MS } from '@/core/units/time';
import type { loadSet } from './queries';
import { GivenUp } from './given-up';
import { heldUp } from './outcome-rows';
import { happenedWords, ROWS, rowsOf } from './outcome-words';
import { dampWords } from './damp-words';
import { CancelledNote, CancelSet, DoItAgain } from './set-actions';
import { SetInTheRound } from './set-in-the-round';
import { TimesTable } from './times-table';
import { WentOn } from './went-on';
import { PhotoStory } from '../wear/photo-story';
import { placesWords } from '../wear/where';
import styles from './set-page.module.css';
import { WhatHappened } from './what-happened';

const BandChart = dynamic(() => import('@/ui/charts/band-chart').then((module) => module.BandChart), {
  ssr: false,
  loading: () => <p>Drawing the days…</p>,
});

type Loaded = NonNullable<Awaited<ReturnType<typeof loadSet>>>;

/** One set: what was forecast, and what happened. */
export function SetPage({
  set,
  drawn,
  partPath,
  photos,
  measures,
  productNames,
  blocks,
  clock,
  nowMs,
}: Loaded) {
  const technique = techniqueOf(set.brief.set.technique);
  const { installedAtMs, checks, standing } = set.run;
  const forecast = standingForecast(set.forecast, set.asTakenDown);
  const rows = rowsOf({ set });
  const damp = dampWords(set);
  const marks: DayMarks = Object.fromEntries(
    WEAR_MARK_IDS.flatMap((id) => {
      const numbers = [...new Set(set.wearDays.flatMap((day) => day.marks[id] ?? []))];
      return numbers.length > 0 ? [[id, numbers]] : [];
    }),
  );
  const noted = [
    ...FAULT_IDS.flatMap((id) => {
      const numbers = set.run.faults.flatMap(({ note, sectionNumber }) =>
        note === id && sectionNumber !== null ? [sectionNumber] : [],
      );
      return numbers.length > 0 ? [{ words: faults[id].label.toLowerCase(), numbers }] : [];
    }),
    ...WEAR_MARK_IDS.flatMap((id) =>
      marks[id] ? [{ words: wearMarks[id].label.toLowerCase(), numbers: marks[id] }] : [],
    ),
  ];
  const takedownNote = standing.find((event) => event.kind === 'taken-down')?.note;
  return (
    <Page
      title={`${set.headName}, ${wholeSetLabel(set.brief.set)}`}
      lead={`${set.title}, begun ${formatMoment(set.startedAtMs, clock)}`}
      action={
        <span className={styles.actions}>
          <SetInTheRound setId={set.id} />
          <DoItAgain setId={set.id} />
          {set.outcome && (
            <LinkButton variant="outlined" href={`/sets/${set.id}/next`}>
              Next time
            </LinkButton>
          )}
          {set.cancelledAtMs === null && set.takenDownAtMs !== null && (
            <LinkButton variant="outlined" href={`/sets/${set.id}/why`}>
              What went wrong?
            </LinkButton>
          )}
          {set.cancelledAtMs === null && (
            <LinkButton
              variant="outlined"
              href={set.takenDownAtMs === null ? `/chair/${set.id}` : `/wear/${set.id}`}
            >
              {set.takenDownAtMs === null ? 'To the chair' : 'Days of wear'}
            </LinkButton>
          )}
        </span>
      }
    >
      {set.cancelledAtMs !== null && <CancelledNote setId={set.id} />}
      {set.isEnteredLater && (
        <p className={styles.later}>
          Entered later: it counts for the days it lasted. Pace, drying and looks were not seen here, and the
          forecast was worked out afterwards.
        </p>
      )}
      <div className={styles.columns}>
        <div>
          <table className={styles.rows}>
            <caption className="visually-hidden">Forecast against what happened</caption>
            <thead>
              <tr>
                <td />
                <th scope="col">Forecast</th>
                <th scope="col">Happened</th>
                <th scope="col">
                  <span className="visually-hidden">Held or not</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => {
                const held = heldUp(row);
                const { label, topic, show } = ROWS[row.id];
                return (
                  <tr key={row.id}>
                    <th scope="row">
                      <AskHow
                        topic={topic}
                        name={label}
                        now={`Forecast: ${show(row.middle)}; ${show(row.low)} to ${show(row.high)}. Happened: ${happenedWords(row)}.`}
                        why={whyOf(forecast, topic)}
                      />
                    </th>
                    <td>
                      {show(row.middle)}
                      <small>
                        {show(row.low)} to {show(row.high)}
                      </small>
                    </td>
                    <td>
                      <b>{happenedWords(row)}</b>
                    </td>
                    <td className={styles.verdict} data-held={held ?? 'unknown'}>
                      {held === null ? '' : held ? '✓ in the range' : '✕ outside'}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <ul className={styles.story}>
            {checks.length > 0 && installedAtMs !== null && (
              <li>
                Felt{' '}
                {checks
                  .map(
                    (check) =>
                      `${check.feel} at section ${sectionName(check.sectionNumber)} after ${formatHours((check.atMs - installedAtMs) / HOUR_MS)}`,
                  )
                  .join('; ')}
                .
              </li>
            )}
            {takedownNote && <li>Taken down early: {takedownNote}</li>}
            {damp && <li>{damp}</li>}
            {noted.length > 0 && (
              <li>
                Noted:{' '}
                {noted
                  .map(
                    ({ words, numbers }) =>
                      `${words} (${placesWords(numbers, drawn) || listed(numbers.map(sectionName))})`,
                  )
                  .join('; ')}
                .
              </li>
            )}
            {standing
              .filter((event) => event.kind === 'note' && event.note)
              .map((event) => (
                <li key={event.id}>
                  {formatClock(event.atMs, clock)}: {event.note}
                </li>
              ))}
          </ul>
        </div>
        <div className={styles.map}>
          <CrownMap
            name={`${technique.label}, ${drawn.length} sections`}
            sections={drawn}
            skin={set.skinTone}
            hair={set.hairTone}
            partPath={partPath}
            stateOf={(number) => {
              const here = WEAR_MARK_IDS.filter((id) => marks[id]?.includes(number));
              return here.length > 0 ? { kind: 'marked', marks: here } : { kind: 'plain' };
            }}
            motifOf={(number) => motifOfSection(set.forecast.sections, number)}
          />
        </div>
      </div>
      {set.wearDays.length > 0 && (
        <Part title="Day by day" note="what was said as a band, what came as marks">
          <div className={styles.charts}>
            {daySeries(forecast, set.wearDays, measures, stretchedOf(set.brief.head.stretchedLengthCm)).map(
              (series) => (
                <BandChart key={series.id} series={series} />
              ),
            )}
          </div>
        </Part>
      )}
      {photos.length > 0 && (
        <Part title="Pictures">
          <PhotoStory photos={photos} />
        </Part>
      )}
      {blocks.length > 0 && (
        <Part title="As it was laid out">
          <Ribbon
            blocks={blocks}
            readyMs={blocks.at(-1)!.endMs}
            days={forecast.daysPresentable}
            clock={clock}
            setLabel={wholeSetLabel(set.brief.set)}
            nowMs={nowMs}
            {...(set.wearDays.length > 0 ? { worn: { lastDay: set.wearDays.at(-1)!.day } } : {})}
          />
        </Part>
      )}
      <div className={styles.pair}>
        <Part title="Times">
          <TimesTable
            schedule={set.isEnteredLater ? null : set.forecast.schedule}
            startedAtMs={set.startedAtMs}
            installedAtMs={set.isEnteredLater ? null : installedAtMs}
            takenDownAtMs={set.takenDownAtMs}
            clock={clock}
          />
        </Part>
        <Part title="What went on it">
          <WentOn
            brief={set.brief}
            doses={set.forecast.doses}
            productIds={set.layerProductIds}
            takenG={set.takenG}
            names={productNames}
            isOver={set.outcome !== null}
          />
        </Part>
      </div>
      <Part title="What happened" note="to be put right where it was entered wrongly">
        <WhatHappened setId={set.id} startedAtMs={set.startedAtMs} standing={standing} clock={clock} />
        {set.takenDownAtMs !== null && (
          <GivenUp setId={set.id} outcome={set.outcome} halves={set.halfOutcomes} />
        )}
        {set.cancelledAtMs === null && <CancelSet setId={set.id} doneCount={set.run.doneOrder.length} />}
      </Part>
      <p className={styles.model}>Forecast as given on the day, model {set.modelVersion}.</p>
    </Page>
  );
}
