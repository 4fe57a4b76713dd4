'use client';
import { useMemo, useState } from 'react';
import type { Units } from '@/core/formats/display';
import type { DrawnSection } from '@/core/parting/drawn-layout';
import { ZONE_LABEL, type Zone } from '@/core/hair/zone';
import { livePace } from '@/core/run/live-pace';
import { QUADRANT_LABEL, QUADRANTS } from '@/core/parting/quadrant';
import { lastDone, nextSection, runningStep, settingSinceMs, undoneOf } from '@/core/run/run-state';
import { orderOfShare } from '@/core/run/share';
import { waitingHair, type WaitingHair } from '@/core/run/wetness';
import { techniqueOf } from '@/core/techniques';
import { toolKinds } from '@/core/techniques/tool-kind';
import { MINUTE_MS } from '@/core/units/time';
import { CrownMap } from '@/ui/crown-map/crown-map';
import type { SectionState } from '@/ui/crown-map/section-state';
import { formatClock, formatDiameter, formatExactEnds, formatStopwatch, formatWhen } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { ChairCautions } from './chair-cautions';
import { alwaysMore, prepAction } from './always-more';
import type { ChairSet, ChairViewProps } from './chair-set';
import { HandCard } from './hand-card';
import { handMarks } from './hands';
import { HandsLine } from './hands-line';
import { MoreDialog, type ChairAction } from './more-dialog';
import { useTone } from './tone';
import { useChairSettings } from './chair-settings';
import { SeveralDialog } from './several-dialog';
import { shortWords } from './short-words';
import { usesOf } from './uses-of';
import { WindingArrow } from './winding-arrow';
import { AskHow } from '@/ui/how-we-know/ask';
import styles from './chair.module.css';
import { useChairKeys } from './use-chair-keys';

/** Zones that end at the hairline. */
const BY_THE_HAIRLINE: readonly Zone[] = ['front', 'left', 'right', 'nape'];

/** Which quarters still wait, when not all do. */
const waitingWords = (waiting: readonly WaitingHair[]) =>
  waiting.length === QUADRANTS.length
    ? ''
    : `: ${waiting.map(({ quadrant }) => QUADRANT_LABEL[quadrant]).join(', ')}`;

/** Where a section lies, as one says it: "back, client’s left". */
const whereOf = ({ zone, side }: DrawnSection) =>
  `${ZONE_LABEL[zone]}${zone === 'left' || zone === 'right' || side === 'middle' ? '' : `, client’s ${side}`}`;

/** ", 20 mm" where the next section takes another size than the one in hand. */
function nextToolWords(set: ChairSet, inHand: number | null, then: number, units: Units): string {
  const [now, next] = [inHand === null ? undefined : set.sectionLines[inHand], set.sectionLines[then]];
  if (!next?.toolKind || next.toolMm === null) return '';
  return now?.toolMm === next.toolMm
    ? `, same ${toolKinds[next.toolKind].noun[0]}`
    : `, ${formatDiameter(next.toolMm, units)}`;
}

/** The set going in: which section, how, on what pace, finished when. */
export function SettingView(props: ChairViewProps) {
  const { set, view, drawn, clock, nowMs, log, dialog, onDialog } = props;
  const { units } = useUnits();
  const { state, record } = log;
  const technique = techniqueOf(set.technique);
  const { hasTone, share } = useChairSettings();
  const order = useMemo(() => orderOfShare(drawn, share), [drawn, share]);
  const inHand = nextSection(state, order);
  const marks = handMarks(state, log.ownHand);
  const sinceMs = settingSinceMs(state, set.startedAtMs, nowMs);
  const pace = livePace(state, view.sectionMin, sinceMs, nowMs);
  const doneCount = state.doneOrder.length;
  const [several, setSeveral] = useState<number | null>(null);
  const next = order.slice(order.indexOf(inHand ?? 0) + 1).find((number) => !state.doneAtMs.has(number));
  const then = drawn.find(({ number }) => number === next);

  const remist = view.plan.drying.remistEveryMin;
  const waiting =
    remist === null
      ? []
      : waitingHair(
          state,
          view.quadrants,
          order,
          (number) => pace.pace * view.sectionMin[number - 1]!,
          remist,
          sinceMs,
          nowMs,
        );
  const due = waiting.filter(({ dueMs }) => dueMs < nowMs);
  const dryingOut = new Set(due.flatMap(({ numbers }) => numbers));

  const uses = usesOf(set, state);
  const short = set.layers
    .map((layer, i) => shortWords(layer, uses[i]!, set, units))
    .find((words) => words !== null);

  const section = drawn.find((candidate) => candidate.number === inHand);
  // Each while it matters: before the first part, at sections by the hairline, always.
  const minded = set.cautions.setting.flatMap(({ text, moment }) =>
    (moment === 'first' && doneCount > 0) ||
    (moment === 'hairline' && section !== undefined && !BY_THE_HAIRLINE.includes(section.zone))
      ? []
      : [text],
  );

  const markDone = () => {
    if (inHand !== null) record('section-done', { sectionNumber: inHand });
  };
  const undo = () => {
    const last = lastDone(state, log.ownHand);
    if (last !== null) record('section-undone', undoneOf(state, last));
  };
  /** What wants it, or all that waits where nothing does yet. */
  const mist = () => {
    if (due.length === 0 || due.length === QUADRANTS.length) record('misted');
    else for (const { quadrant } of due) record('misted', { step: quadrant });
  };
  const pause = () => record(state.isPaused ? 'resumed' : 'paused');
  const markSeveral = () => setSeveral(inHand ?? set.sectionCount);
  const more: readonly ChairAction[] = [
    { label: 'Several at once', hint: 'a row, up to here, all that are left', key: 's', run: markSeveral },
    ...prepAction(set, onDialog),
    { label: 'Two at this head', hint: 'who works at this device, and where', run: () => onDialog('hands') },
    ...(set.layers.length > 0
      ? [
          {
            label: 'Product used',
            hint: 'pumps counted, or the tub weighed',
            key: 'w',
            run: () => onDialog('product'),
          } as const,
        ]
      : []),
    ...alwaysMore(onDialog),
  ];
  useChairKeys(
    (key) => {
      if (key === ' ') markDone();
      else if (key === 'Backspace') undo();
      else if (key === 'm') mist();
      else if (key === 'p') pause();
      else if (key === 's') markSeveral();
      else if (key === 'b' && set.prep.length > 0) onDialog('prep');
      else if (key === 'c') onDialog('cards');
      else if (key === 'w' && set.layers.length > 0) onDialog('product');
      else if (key === 'n') onDialog('note');
      else if (key === '?') onDialog('keys');
    },
    dialog !== null || several !== null,
  );

  const stateOf = (number: number): SectionState =>
    state.doneAtMs.has(number)
      ? { kind: 'done', hand: marks.get(state.handOf.get(number) ?? '') }
      : number === inHand
        ? { kind: 'in-hand' }
        : { kind: dryingOut.has(number) ? 'drying-out' : 'plain' };
  const line = inHand === null ? undefined : set.sectionLines[inHand];
  const leftOfSize = drawn.filter(
    ({ number }) => !state.doneAtMs.has(number) && set.sectionLines[number]?.toolMm === line?.toolMm,
  ).length;
  const running = runningStep(state);
  const step = running && set.prep.find((one) => one.step === running.step);
  const isStepUp =
    step !== null && step !== undefined && nowMs - running!.begunAtMs >= step.minutes * MINUTE_MS;
  const isMistDue = due.length > 0 && !state.isPaused && !running;
  useTone(isStepUp ? `step ${step.step}` : isMistDue ? `mist ${due[0]!.dueMs}` : null, hasTone);

  return (
    <div className={styles.setting}>
      <section className={styles.map} aria-label="Crown map">
        <CrownMap
          name={`${technique.label}, ${set.sectionCount} sections, ${doneCount} done`}
          sections={drawn}
          skin={set.skinTone}
          hair={set.hairTone}
          stateOf={stateOf}
          onHold={setSeveral}
          overlay={section && line?.toolKind && <WindingArrow section={section} />}
          onPick={(number) =>
            state.doneAtMs.has(number)
              ? record('section-undone', undoneOf(state, number))
              : record('section-done', { sectionNumber: number })
          }
        />
      </section>
      <section className={styles.panel} aria-label="Now">
        <p className={styles.count} aria-live="polite">
          <strong>{inHand ?? set.sectionCount}</strong>
          <span>
            of {set.sectionCount} · {section && whereOf(section)}
            {section?.product && (
              <>
                {' '}
                · <b>side {section.product}</b>
              </>
            )}
          </span>
        </p>
        <HandsLine log={log} />
        <div className={styles.instruction}>
          {set.setupLines[section?.zone ?? 'crown'].map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
        {inHand !== null && <HandCard set={set} number={inHand} left={leftOfSize} />}
        {state.isPaused ? (
          <p className={styles.cue}>
            <b>Paused since {formatWhen(state.pausedSinceMs ?? nowMs, clock, nowMs)}.</b> The clock of the set
            stands still.
          </p>
        ) : (
          waiting.length > 0 &&
          !running && (
            <p className={styles.cue} data-late={due.length > 0}>
              <b>
                {due.length > 0
                  ? `Mist the hair that waits now${waitingWords(due)}.`
                  : `Mist the hair that waits before ${formatClock(waiting[0]!.dueMs, clock)}${waitingWords(waiting)}.`}
              </b>{' '}
              After that it is drier than it should be set.
            </p>
          )
        )}
        {short && (
          <p className={styles.cue} data-late="true">
            <b>{short.what}</b> {short.todo}
          </p>
        )}
        <ChairCautions texts={minded} allergies={set.allergies} />
        <dl className={styles.figures}>
          <div>
            <dd>{pace.minPerSection === null ? '–' : formatStopwatch(pace.minPerSection)}</dd>
            <dt>
              a {technique.noun[0]}, planned {formatStopwatch(pace.plannedMinPerSection)}
            </dt>
          </div>
          <div>
            <dd>{formatClock(pace.finishAtMs.p50, clock)}</dd>
            <dt>
              <AskHow
                topic="handsOn"
                name="finished"
                now={`Finished about ${formatWhen(pace.finishAtMs.p50, clock, nowMs)}, between ${formatExactEnds(pace.finishAtMs.p10, pace.finishAtMs.p90, clock)}, from the pace so far.`}
                why={set.why.handsOn}
              />
              , {formatExactEnds(pace.finishAtMs.p10, pace.finishAtMs.p90, clock, 'to')}
            </dt>
          </div>
          {then && (
            <div>
              <dd>{then.number}</dd>
              <dt>
                then, {whereOf(then)}
                {nextToolWords(set, inHand, then.number, units)}
              </dt>
            </div>
          )}
        </dl>
        <div className={styles.buttons}>
          <button type="button" className={styles.big} onClick={markDone}>
            Section done <kbd>Space</kbd>
          </button>
          <button type="button" onClick={undo} disabled={doneCount === 0}>
            Undo <kbd>⌫</kbd>
          </button>
          <button type="button" onClick={mist}>
            Misted <kbd>M</kbd>
          </button>
          <button type="button" onClick={pause} aria-pressed={state.isPaused}>
            {state.isPaused ? 'Go on' : 'Pause'} <kbd>P</kbd>
          </button>
          <button type="button" onClick={() => onDialog('more')}>
            More
          </button>
        </div>
      </section>
      <MoreDialog open={dialog === 'more'} actions={more} onClose={() => onDialog(null)} />
      <SeveralDialog
        section={drawn.find(({ number }) => number === several) ?? null}
        drawn={drawn}
        isDone={(number) => state.doneAtMs.has(number)}
        onDone={(numbers) => {
          for (const sectionNumber of numbers) record('section-done', { sectionNumber });
          setSeveral(null);
        }}
        onClose={() => setSeveral(null)}
      />
    </div>
  );
}
