'use client';
import { useEffect, useState } from 'react';
import { dryingMethods } from '@/core/drying-methods';
import type { Clock, Units } from '@/core/formats/display';
import { ZONE_LABEL } from '@/core/hair/zone';
import type { LateSet, Rescue } from '@/core/plan/rescues';
import { toolKinds } from '@/core/techniques/tool-kind';
import { HOUR_MS } from '@/core/units/time';
import { capitalised, plural } from '@/core/words/words';
import { formatAboutWhen, formatChance, formatDiameter, formatMinutes, formatWhen } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { ChairDialog } from './chair-dialog';
import type { ChairSet, ChairViewProps } from './chair-set';
import { effectWords } from './effect-words';
import styles from './chair.module.css';

/** A chance that moves by less than this says nothing. */
const TELLING = 0.03;

/** What is done, and what it brings. */
function rescueWords(
  rescue: Rescue,
  set: ChairSet,
  pace: number,
  { units, clock, nowMs }: { units: Units; clock: Clock; nowMs: number },
): { readonly what: string; readonly brings: string } {
  const { before, after } = rescue;
  const when = (ms: number) => formatAboutWhen(ms, clock, nowMs);
  const chance =
    before.chance !== null && after.chance !== null && Math.abs(after.chance - before.chance) >= TELLING
      ? [`${formatChance(after.chance)} dry at takedown, not ${formatChance(before.chance)}`]
      : [];
  if (rescue.kind === 'hood') {
    const { method, minutes, beginMs, openZone } = rescue;
    const begin = openZone
      ? `at ${formatWhen(beginMs, clock, nowMs)}, the ${ZONE_LABEL[openZone]} still open`
      : 'as soon as it is in';
    return {
      what: `${capitalised(dryingMethods[method].phrase)} for ${formatMinutes(minutes)} ${begin}`,
      brings: [`dry about ${when(after.dryMs)}, not ${when(before.dryMs)}`, ...chance].join(', '),
    };
  }
  // Counted from now, so that what is sooner in and later dry is not said twice.
  const effect = { ...rescue.effect, laterH: (after.dryMs - before.dryMs) / HOUR_MS };
  const brings = [...effectWords(effect, pace, units), ...chance].join(', ');
  if (rescue.kind === 'join')
    return {
      what: `Join the last ${2 * rescue.edits.length} that touch into ${rescue.edits.length}`,
      brings,
    };
  const [edit] = rescue.edits;
  if (edit?.edit !== 'size') return { what: 'Larger rods on the rest', brings };
  const kind = set.sections[edit.sections[0]!]?.toolKind;
  const [one, many] = kind ? toolKinds[kind].noun : ['rod', 'rods'];
  return {
    what: `${capitalised(many)} of ${formatDiameter(edit.diameterMm, units)} on the rest: ${plural(edit.sections.length, one, many)}`,
    brings,
  };
}

/** Ways to be in time all the same: one tap takes one, the next takes it back. */
export function RescueDialog({
  set,
  log,
  parting,
  clock,
  nowMs,
  late,
  onClose,
}: Pick<ChairViewProps, 'set' | 'log' | 'parting' | 'clock' | 'nowMs'> & {
  readonly late: Omit<LateSet, 'brief' | 'edits' | 'done'>;
  readonly onClose: () => void;
}) {
  const { units } = useUnits();
  // Worked out once: what is taken is shown as it was offered.
  const [asked] = useState(late);
  const [offered, setOffered] = useState<readonly Rescue[] | null>(null);
  const [taken, setTaken] = useState<ReadonlyMap<Rescue, readonly string[]>>(new Map());
  const { rescuesOf } = parting;
  useEffect(() => {
    let isOver = false;
    void rescuesOf(asked).then((found) => {
      if (!isOver) setOffered(found);
    });
    return () => {
      isOver = true;
    };
    // Asked once, as it opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked]);
  const take = (rescue: Rescue) => {
    const events =
      rescue.kind === 'hood'
        ? [
            log.record('dry-planned', {
              step: rescue.method,
              minutes: rescue.minutes,
              toMs: Math.round(rescue.beginMs),
            }),
          ]
        : rescue.edits.map((edit) => log.record('parted', { parting: edit }));
    setTaken((before) =>
      new Map(before).set(
        rescue,
        events.map(({ id }) => id),
      ),
    );
  };
  const takeBack = (rescue: Rescue) => {
    log.record('taken-back', { of: [...(taken.get(rescue) ?? [])] });
    setTaken((before) => new Map([...before].filter(([one]) => one !== rescue)));
  };
  const isParted = [...taken.keys()].some(({ kind }) => kind !== 'hood');
  return (
    <ChairDialog open title="To be in time" onClose={onClose} maxWidth="sm">
      <p>
        About {formatMinutes(asked.lateMin)} behind. Each is worked out for this head, against going on as it
        is.
      </p>
      {offered === null && <p role="status">Working out what would help…</p>}
      {offered?.length === 0 && (
        <p>Nothing that can be changed now would help. Go on, and say when it will be done.</p>
      )}
      <div className={styles.more}>
        {offered?.map((rescue) => {
          const { what, brings } = rescueWords(rescue, set, asked.pace, { units, clock, nowMs });
          const isTaken = taken.has(rescue);
          return (
            <button
              key={rescue.kind}
              type="button"
              aria-pressed={isTaken}
              // Two partings at once were not weighed together.
              disabled={!isTaken && rescue.kind !== 'hood' && isParted}
              onClick={() => (isTaken ? takeBack(rescue) : take(rescue))}
            >
              <span>
                {what}
                <small>
                  {isTaken ? `Taken: ${brings}. Press again to take it back.` : capitalised(brings)}
                </small>
              </span>
            </button>
          );
        })}
      </div>
    </ChairDialog>
  );
}
