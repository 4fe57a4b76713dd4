'use client';
import { useMemo, useState } from 'react';
import type { Units } from '@/core/formats/display';
import type { DrawnSection } from '@/core/parting/drawn-layout';
import { ZONE_LABEL, type Zone } from '@/core/hair/zone';
import { livePace } from '@/core/run/live-pace';
import { QUADRANTS } from '@/core/parting/quadrant';
import { sectionName } from '@/core/parting/section-name';
import { lastDone, nextSection, runningStep, settingSinceMs, undoneOf } from '@/core/run/run-state';
import { orderOfShare } from '@/core/run/share';
import { waitingHair } from '@/core/run/wetness';
import { toolKinds } from '@/core/techniques/tool-kind';
import { MINUTE_MS } from '@/core/units/time';
import { CrownMap } from '@/ui/crown-map/crown-map';
import type { SectionState } from '@/ui/crown-map/section-state';
import { formatClock, formatDiameter, formatExactEnds, formatStopwatch, formatWhen } from '@/ui/format';
import { SettingCues } from './setting-cues';
import { lateSet } from './late-set';
import { useUnits } from '@/ui/units-context';
import { ChairCautions } from './chair-cautions';
import { alwaysMore, prepAction } from './always-more';
import type { ChairSet, ChairViewProps } from './chair-set';
import { HandCard } from './hand-card';
import { handMarks } from './hands';
import { HandsLine } from './hands-line';
import { MoreDialog, PartingDialog, RescueDialog, SeveralDialog } from './later';
import type { ChairAction } from './more-dialog';
import { useTone } from './tone';
import { useChairSettings } from './chair-settings';
import { shortWords } from './short-words';
import { usesOf } from './uses-of';
import { WindingArrow } from './winding-arrow';
import { AskHow } from '@/ui/how-we-know/ask';
import styles from './chair.module.css';
import { useChairKeys } from './use-chair-keys';

/** Less than this behind is in time, min. */
const WORTH_MIN = 10;
/** Zones that end at the hairline. */
const BY_THE_HAIRLINE: readonly Zone[] = ['front', 'left', 'right', 'nape'];

/** Where a section lies, as one says it: "back, client’s left". */
const whereOf = ({ zone, side }: DrawnSection) =>
  `${ZONE_LABEL[zone]}${zone === 'left' || zone === 'right' || side === 'middle' ? '' : `, client’s ${side}`}`;

/** ", 20 mm" where the next section takes another size than the one in hand. */
function nextToolWords(set: ChairSet, inHand: number | null, then: number, units: Units): string {
  const [now, next] = [inHand === null ? undefined : set.sections[inHand], set.sections[then]];
  if (!next?.toolKind || next.toolMm === null) return '';
  return now?.toolMm === next.toolMm
    ? `, same ${toolKinds[next.toolKind].noun[0]}`
    : `, ${formatDiameter(next.toolMm, units)}`;
}

/** The set going in: which section, how, on what pace, finished when. */
export function SettingView(props: ChairViewProps) {
  const { set, view, drawn, clock, nowMs, log, parting, dialog, onDialog } = props;
  const { units } = useUnits();
  const { state, record } = log;
  const { hasTone, share } = useChairSettings();
  const order = useMemo(() => orderOfShare(drawn, share), [drawn, share]);
  const inHand = nextSection(state, order);
  const marks = handMarks(state, log.ownHand);
  const sinceMs = settingSinceMs(state, set.startedAtMs, nowMs);
  const minutes = useMemo(
    () => new Map(drawn.map(({ number }) => [number, set.sections[number]?.minutes ?? 0])),
    [drawn, set.sections],
  );
  const pace = livePace(state, minutes, sinceMs, nowMs);
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
          (number) => set.sections[number]?.quadrant ?? null,
          order,
          (number) => pace.pace * (minutes.get(number) ?? 0),
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

  const pressed = drawn.find(({ number }) => number === several);
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
  const markSeveral = () => setSeveral(inHand ?? drawn.at(-1)!.number);
  const late = lateSet(props, pace, inHand);
  const isLate = late.lateMin >= WORTH_MIN && set.sectionCount - doneCount > 1 && !state.isPaused;
  const more: readonly ChairAction[] = [
    { label: 'Several at once', hint: 'a row, up to here, all that are left', key: 's', run: markSeveral },
    {
      label: 'Part it otherwise',
      hint: 'split, join, thin, leave out, one more',
      key: 'x',
      run: () => onDialog('parting'),
    },
    {
      label: 'To be in time',
      hint: 'what would help, worked out',
      key: 'r',
      isOff: !isLate,
      run: () => onDialog('rescue'),
    },
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
      else if (key === 'x') onDialog('parting');
      else if (key === 'r' && isLate) onDialog('rescue');
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
  const line = inHand === null ? undefined : set.sections[inHand];
  const leftOfSize = drawn.filter(
    ({ number }) => !state.doneAtMs.has(number) && set.sections[number]?.toolMm === line?.toolMm,
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
          name={`${set.techniqueLabel}, ${set.sectionCount} sections, ${doneCount} done`}
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
          <strong>{sectionName(inHand ?? drawn.at(-1)!.number)}</strong>
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
        <SettingCues
          log={log}
          clock={clock}
          nowMs={nowMs}
          waiting={waiting}
          isPreparing={running !== null}
          short={short ?? null}
          lateMin={isLate ? late.lateMin : null}
          finishMs={pace.finishAtMs.p50}
          onRescue={() => onDialog('rescue')}
        />
        <ChairCautions texts={minded} allergies={set.allergies} />
        <dl className={styles.figures}>
          <div>
            <dd>{pace.minPerSection === null ? '–' : formatStopwatch(pace.minPerSection)}</dd>
            <dt>
              a {set.noun[0]}, planned {formatStopwatch(pace.plannedMinPerSection)}
            </dt>
          </div>
          <div>
            <dd>{formatClock(pace.finishAtMs.p50, clock)}</dd>
            <dt>
              <AskHow
                topic="handsOn"
                name="finished"
                now={`Finished about ${formatWhen(pace.finishAtMs.p50, clock, nowMs)}, between ${formatExactEnds(pace.finishAtMs.p10, pace.finishAtMs.p90, clock)}, from the pace so far.${set.known.handsOn ? ` ${set.known.handsOn}.` : ''}`}
                why={set.why.handsOn}
              />
              , {formatExactEnds(pace.finishAtMs.p10, pace.finishAtMs.p90, clock, 'to')}
            </dt>
          </div>
          {then && (
            <div>
              <dd>{sectionName(then.number)}</dd>
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
      {dialog === 'parting' && (
        <PartingDialog
          log={log}
          parting={parting}
          drawn={drawn}
          pace={pace.pace}
          first={inHand ?? drawn.at(-1)!.number}
          onClose={() => onDialog(null)}
        />
      )}
      {dialog === 'rescue' && (
        <RescueDialog
          set={set}
          log={log}
          parting={parting}
          clock={clock}
          nowMs={nowMs}
          late={late}
          onClose={() => onDialog(null)}
        />
      )}
      {dialog === 'more' && <MoreDialog actions={more} onClose={() => onDialog(null)} />}
      {pressed && (
        <SeveralDialog
          section={pressed}
          drawn={drawn}
          isDone={(number) => state.doneAtMs.has(number)}
          onDone={(numbers) => {
            for (const sectionNumber of numbers) record('section-done', { sectionNumber });
            setSeveral(null);
          }}
          onClose={() => setSeveral(null)}
        />
      )}
    </div>
  );
}
