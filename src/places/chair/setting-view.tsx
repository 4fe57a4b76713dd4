'use client';
import { ZONE_LABEL } from '@/core/hair/zone';
import { livePace } from '@/core/run/live-pace';
import { QUADRANT_LABEL, QUADRANTS, type Quadrant } from '@/core/parting/quadrant';
import { nextSection } from '@/core/run/run-state';
import { techniqueOf } from '@/core/techniques';
import { CrownMap } from '@/ui/crown-map/crown-map';
import type { SectionState } from '@/ui/crown-map/section-state';
import { formatClock, formatMass, formatStopwatch } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { ChairCautions } from './chair-cautions';
import type { ChairViewProps } from './chair-set';
import { AskHow } from '@/ui/how-we-know/ask';
import styles from './chair.module.css';
import { useChairKeys } from './use-chair-keys';

const MINUTE_MS = 60_000;

/** Which quarters still wait, when not all do. */
const waitingWords = (quadrants: readonly Quadrant[]) =>
  quadrants.length === QUADRANTS.length
    ? ''
    : `: ${quadrants.map((quadrant) => QUADRANT_LABEL[quadrant]).join(', ')}`;

/** The set going in: which section, how, on what pace, finished when. */
export function SettingView({
  set,
  view,
  drawn,
  timeZone,
  nowMs,
  log,
  isDialogOpen,
  onDialog,
}: ChairViewProps) {
  const { units } = useUnits();
  const { state, record } = log;
  const technique = techniqueOf(set.technique);
  const inHand = nextSection(state, set.sectionCount);
  const pace = livePace(state, view.sectionMin, set.startedAtMs, nowMs);
  const doneCount = state.doneOrder.length;
  const productG = view.plan.doses.reduce((sum, dose) => sum + dose.grams, 0);

  const markDone = () => {
    if (inHand !== null) record('section-done', inHand);
  };
  const undo = () => {
    const last = state.doneOrder.at(-1);
    if (last !== undefined) record('section-undone', last);
  };
  const pause = () => record(state.isPaused ? 'resumed' : 'paused');
  useChairKeys((key) => {
    if (key === ' ') markDone();
    else if (key === 'Backspace') undo();
    else if (key === 'm') record('misted');
    else if (key === 'p') pause();
    else if (key === 'n') onDialog('note');
    else if (key === '?') onDialog('keys');
  }, isDialogOpen);

  const stateOf = (number: number): SectionState =>
    state.doneAtMs.has(number)
      ? { kind: 'done' }
      : number === inHand
        ? { kind: 'in-hand' }
        : { kind: 'plain' };
  const section = drawn.find((own) => own.number === inHand);
  const where = section
    ? `${ZONE_LABEL[section.zone]}${section.zone === 'left' || section.zone === 'right' || section.side === 'middle' ? '' : `, client’s ${section.side}`}`
    : '';
  const remist = view.plan.drying.remistEveryMin;
  const mistDueMs = remist === null ? null : (state.lastMistAtMs ?? set.startedAtMs) + remist * MINUTE_MS;
  const waiting = QUADRANTS.filter((quadrant) =>
    view.quadrants.some((own, i) => own === quadrant && !state.doneAtMs.has(i + 1) && i + 1 !== inHand),
  );
  const needsMist = waiting.length > 0 && mistDueMs !== null && mistDueMs < pace.finishAtMs.p90;

  return (
    <div className={styles.setting}>
      <section className={styles.map} aria-label="Crown map">
        <CrownMap
          name={`${technique.label}, ${set.sectionCount} sections, ${doneCount} done`}
          sections={drawn}
          skin={set.skinTone}
          hair={set.hairTone}
          stateOf={stateOf}
          onPick={(number) => record(state.doneAtMs.has(number) ? 'section-undone' : 'section-done', number)}
        />
      </section>
      <section className={styles.panel} aria-label="Now">
        <p className={styles.count} aria-live="polite">
          <strong>{inHand ?? set.sectionCount}</strong>
          <span>
            of {set.sectionCount} · {where}
            {section?.product && (
              <>
                {' '}
                · <b>side {section.product}</b>
              </>
            )}
          </span>
        </p>
        <div className={styles.instruction}>
          {set.setupLines[section?.zone ?? 'crown'].map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
        {state.isPaused ? (
          <p className={styles.cue}>
            <b>Paused since {formatClock(state.pausedSinceMs ?? nowMs, timeZone)}.</b> The clock of the set
            stands still.
          </p>
        ) : (
          needsMist && (
            <p className={styles.cue} data-late={mistDueMs < nowMs}>
              <b>
                {mistDueMs < nowMs
                  ? `Mist what waits now${waitingWords(waiting)}.`
                  : `Mist what waits before ${formatClock(mistDueMs, timeZone)}${waitingWords(waiting)}.`}
              </b>{' '}
              After that it is drier than it should be set.
            </p>
          )
        )}
        <ChairCautions texts={set.cautions.setting} />
        <dl className={styles.figures}>
          <div>
            <dd>{pace.minPerSection === null ? '–' : formatStopwatch(pace.minPerSection)}</dd>
            <dt>
              a {technique.noun[0]}, planned {formatStopwatch(pace.plannedMinPerSection)}
            </dt>
          </div>
          <div>
            <dd>{formatClock(pace.finishAtMs.p50, timeZone)}</dd>
            <dt>
              <AskHow
                topic="handsOn"
                name="finished"
                now={`Finished about ${formatClock(pace.finishAtMs.p50, timeZone)}, between ${formatClock(pace.finishAtMs.p10, timeZone)} and ${formatClock(pace.finishAtMs.p90, timeZone)}, from the pace so far.`}
                why={set.why.handsOn}
              />
              , {formatClock(pace.finishAtMs.p10, timeZone)} to {formatClock(pace.finishAtMs.p90, timeZone)}
            </dt>
          </div>
          <div>
            <dd>{formatMass(productG / set.sectionCount, units)}</dd>
            <dt>
              product a {technique.noun[0]}, {formatMass(productG, units)} in all
            </dt>
          </div>
        </dl>
        <div className={styles.buttons}>
          <button type="button" className={styles.big} onClick={markDone}>
            Section done <kbd>Space</kbd>
          </button>
          <button type="button" onClick={undo} disabled={doneCount === 0}>
            Undo <kbd>⌫</kbd>
          </button>
          <button type="button" onClick={() => record('misted')}>
            Misted <kbd>M</kbd>
          </button>
          <button type="button" onClick={pause} aria-pressed={state.isPaused}>
            {state.isPaused ? 'Go on' : 'Pause'} <kbd>P</kbd>
          </button>
          <button type="button" onClick={() => onDialog('note')}>
            Note <kbd>N</kbd>
          </button>
        </div>
      </section>
    </div>
  );
}
