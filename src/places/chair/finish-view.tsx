'use client';
import Link from '@/ui/shell/link';
import { useState } from 'react';
import { TAKEDOWN_HANDS_IDS, takedownHands } from '@/core/coefficients/takedown-hands';
import { finishStage, shedIn } from '@/core/run/finish';
import type { RunEvent } from '@/core/run/run-event';
import { MINUTE_MS } from '@/core/units/time';
import { CrownMap } from '@/ui/crown-map/crown-map';
import type { SectionState } from '@/ui/crown-map/section-state';
import { formatStopwatch, formatWhen } from '@/ui/format';
import { alwaysMore } from './always-more';
import type { ChairViewProps } from './chair-set';
import type { ChairAction } from './more-dialog';
import { FaultDialog, MeasureForm, MoreDialog, SeveralDialog } from './later';
import { useChairKeys } from './use-chair-keys';
import styles from './chair.module.css';

/** Work that is counted section by section at the end: what its taps are called, and what it says. */
const TALLIES = {
  undoing: { kind: 'section-loosed', title: 'to undo', done: 'Section undone' },
  separating: { kind: 'section-separated', title: 'to separate', done: 'Section separated' },
} as const;

/** The set coming down: undone, separated, fluffed, measured; then it is worn. */
export function FinishView(props: ChairViewProps) {
  const { set, log, nowMs, clock, view } = props;
  const { state, record } = log;
  const stage = finishStage(state, set, nowMs) ?? 'worn';
  if (stage === 'undoing' || stage === 'separating') return <Tally key={stage} {...props} stage={stage} />;
  if (stage === 'measuring') return <MeasureForm {...props} />;
  if (stage === 'fluffing')
    return (
      <section className={styles.over} aria-label="Fluff the roots">
        <h2>Now the roots</h2>
        <p>
          Fingers or a pick, at the roots only; stop before the ends.{' '}
          {set.finish.fluffing > 1 ? 'Planned full: lift all round.' : 'Lift where the parts show, no more.'}
        </p>
        <p>The part that is worn and the edges come last.</p>
        <button type="button" className={styles.big} onClick={() => record('fluffed')}>
          Roots fluffed
        </button>
      </section>
    );
  return (
    <section className={styles.over} aria-label="Worn">
      <h2>Taken down at {formatWhen(state.takenDownAtMs ?? nowMs, clock, nowMs)}</h2>
      <p>
        {set.finish.after && `${set.finish.after}. `}
        {view.plan.daysPresentable.p50 >= 5 ? 'Cover it every night.' : 'Gather it loosely tonight.'}
      </p>
      <Link className={styles.big} href={`/wear/${set.id}`}>
        Record the first day
      </Link>
    </section>
  );
}

/** Sections counted off one by one. */
function Tally({
  set,
  drawn,
  log,
  clock,
  nowMs,
  dialog,
  onDialog,
  stage,
}: ChairViewProps & { readonly stage: keyof typeof TALLIES }) {
  const { finish } = set;
  const { state, record } = log;
  const { kind, title, done: doneWords } = TALLIES[stage];
  const [faultAt, setFaultAt] = useState<number | null>(null);
  const [several, setSeveral] = useState<number | null>(null);
  const taps: ReadonlyMap<number, RunEvent> = stage === 'undoing' ? state.undone : state.separated;
  const ofStage = drawn.filter(({ zone }) => stage === 'separating' || finish.undoLines[zone] !== null);
  // Back first, as it went in: from the nape up.
  const next = ofStage.find(({ number }) => !taps.has(number));
  const sinceMs =
    stage === 'undoing'
      ? (state.takenDownAtMs ?? nowMs)
      : Math.max(
          state.takenDownAtMs ?? nowMs,
          state.fluffedAtMs ?? 0,
          ...[...state.undone.values()].map(({ atMs }) => atMs),
        );
  const lastMs = Math.max(sinceMs, ...[...taps.values()].map(({ atMs }) => atMs));
  const plannedEach =
    (stage === 'undoing' ? set.takedownMin : set.separatingMin) / Math.max(1, ofStage.length);
  const each = taps.size === 0 ? null : (lastMs - sinceMs) / MINUTE_MS / taps.size;
  const left = ofStage.length - taps.size;
  const finishMs = nowMs + left * (each ?? plannedEach) * MINUTE_MS;
  const shed = shedIn(state.installedAtMs ?? set.startedAtMs, state.takenDownAtMs ?? nowMs);
  const said = state.standing.findLast((event) => event.kind === 'taken-down')?.step;
  const hands = TAKEDOWN_HANDS_IDS.find((id) => id === said) ?? finish.hands;

  const mark = (numbers: readonly number[]) => {
    for (const sectionNumber of numbers) if (!taps.has(sectionNumber)) record(kind, { sectionNumber });
  };
  const takeBack = (number: number) => {
    const tap = taps.get(number);
    if (tap) record('taken-back', { of: [tap.id] });
  };
  const undo = () => {
    const last = [...taps.keys()].at(-1);
    if (last !== undefined) takeBack(last);
    // Nothing of this yet: what is taken back is what led here.
    else if (stage === 'separating' && state.undone.size > 0) {
      const before = [...state.undone.values()].at(-1);
      if (before) record('taken-back', { of: [before.id] });
    }
  };
  const pressed = drawn.find(({ number }) => number === several);
  const more: readonly ChairAction[] = [
    {
      label: 'Several at once',
      hint: 'a row, up to here, all that are left',
      key: 's',
      run: () => setSeveral(next?.number ?? 1),
    },
    {
      label: 'Something went wrong',
      hint: 'mixed strands, a loose root, damp inside',
      run: () => setFaultAt(next?.number ?? 1),
    },
    ...alwaysMore(onDialog),
  ];
  useChairKeys(
    (key) => {
      if (key === ' ') mark(next ? [next.number] : []);
      else if (key === 'Backspace') undo();
      else if (key === 's') setSeveral(next?.number ?? 1);
      else if (key === 'c') onDialog('cards');
      else if (key === 'n') onDialog('note');
      else if (key === '?') onDialog('keys');
    },
    dialog !== null || faultAt !== null || several !== null,
  );
  const stateOf = (number: number): SectionState =>
    taps.has(number) ? { kind: 'done' } : number === next?.number ? { kind: 'in-hand' } : { kind: 'plain' };

  return (
    <div className={styles.setting}>
      <section className={styles.map} aria-label="Crown map">
        <CrownMap
          name={`${ofStage.length} ${set.noun[1]}, ${left} left ${title}`}
          sections={drawn}
          skin={set.skinTone}
          hair={set.hairTone}
          stateOf={stateOf}
          detailOf={({ number }) =>
            state.faults.some((fault) => fault.sectionNumber === number) ? 'something went wrong here' : ''
          }
          onHold={setFaultAt}
          onPick={(number) => (taps.has(number) ? takeBack(number) : mark([number]))}
        />
      </section>
      <section className={styles.panel} aria-label="Now">
        <p className={styles.count} aria-live="polite">
          <strong>{next?.number ?? ofStage.length}</strong>
          <span>
            {left} {title}
          </span>
        </p>
        <div className={styles.instruction}>
          {stage === 'undoing' ? (
            <>
              <p>{finish.undoLines[next?.zone ?? 'crown']}</p>
              <p>Ends first, the back first, the front last.</p>
              <p>On the hands: {takedownHands[hands].short}.</p>
            </>
          ) : (
            <>
              <p>
                {finish.separations <= 1
                  ? 'Leave each piece whole.'
                  : `Each in ${finish.separations}, only where it wants to part.`}
              </p>
              <p>From the ends up, fingers apart sideways; never comb through. Stop when it is big enough.</p>
            </>
          )}
        </div>
        {stage === 'undoing' && (
          <p className={styles.last}>
            Loose hair is ordinary: {shed.from} to {shed.to} shed hairs gather in a set that was in so long. A
            bald place, or hair that snaps, is not: stop and look; a doctor can say more.
          </p>
        )}
        <dl className={styles.figures}>
          <div>
            <dd>{each === null ? '–' : formatStopwatch(each)}</dd>
            <dt>
              a {set.noun[0]}, planned {formatStopwatch(plannedEach)}
            </dt>
          </div>
          <div>
            <dd>{formatWhen(finishMs, clock, nowMs)}</dd>
            <dt>finished about</dt>
          </div>
          {state.faults.length > 0 && (
            <div>
              <dd>{state.faults.length}</dd>
              <dt>noted as gone wrong</dt>
            </div>
          )}
        </dl>
        <div className={styles.buttons}>
          <button type="button" className={styles.big} onClick={() => mark(next ? [next.number] : [])}>
            {doneWords} <kbd>Space</kbd>
          </button>
          <button type="button" onClick={undo}>
            Take back <kbd>⌫</kbd>
          </button>
          <button type="button" onClick={() => setFaultAt(next?.number ?? 1)}>
            Went wrong
          </button>
          <button type="button" onClick={() => onDialog('more')}>
            More
          </button>
        </div>
      </section>
      {dialog === 'more' && <MoreDialog actions={more} onClose={() => onDialog(null)} />}
      {pressed && (
        <SeveralDialog
          section={pressed}
          drawn={ofStage}
          isDone={(number) => taps.has(number)}
          onDone={(numbers) => {
            mark(numbers);
            setSeveral(null);
          }}
          onClose={() => setSeveral(null)}
        />
      )}
      {faultAt !== null && (
        <FaultDialog key={faultAt} sectionNumber={faultAt} log={log} onClose={() => setFaultAt(null)} />
      )}
    </div>
  );
}
