'use client';
import { prepName } from '@/core/coefficients/prep-steps';
import { finishStage } from '@/core/run/finish';
import { restedMs, runningStep, settingSinceMs } from '@/core/run/run-state';
import { HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { plural } from '@/core/words/words';
import { formatHours, formatMinutes } from '@/ui/format';
import type { ChairViewProps } from './chair-set';
import { preparedMin } from './prep-words';
import styles from './chair.module.css';

/** One stage of a set: what it is, how it goes, and what was planned. */
interface Stage {
  readonly id: 'prep' | 'set' | 'dry' | 'undo' | 'measure';
  readonly name: string;
  readonly now: string;
  readonly planned: string;
  readonly isNow: boolean;
  readonly isLate?: boolean;
}

const minutesOf = (ms: number) => Math.max(0, ms / MINUTE_MS);

/** The steps before the set as a stage: the one that runs, or what they came to. */
function prepStage({ set, log: { state }, nowMs }: ChairViewProps): Stage {
  const planned = set.prep.reduce((sum, { minutes }) => sum + minutes, 0);
  const running = runningStep(state);
  const step = running && set.prep.find((one) => one.step === running.step);
  const ranMin = running ? minutesOf(nowMs - running.begunAtMs) : 0;
  const isOpen = state.phase === 'setting' && state.doneOrder.length === 0;
  const left = set.prep.filter(({ step: name }) => !state.prep.has(name)).length;
  const spent = preparedMin(state);
  return {
    id: 'prep',
    name: 'Prep',
    now: running
      ? `${prepName(running.step)}, ${Math.floor(ranMin)} min`
      : spent > 0
        ? formatMinutes(spent)
        : isOpen && left > 0
          ? `${plural(left, 'step')} to do`
          : 'not timed',
    planned: step
      ? ranMin >= step.minutes
        ? `${formatMinutes(step.minutes)} are up`
        : `of ${formatMinutes(step.minutes)}`
      : `planned ${formatMinutes(planned)}`,
    isNow: running !== null || (isOpen && left > 0),
    isLate: step ? ranMin >= step.minutes : false,
  };
}

function setStage({ set, view, log: { state }, nowMs }: ChairViewProps): Stage {
  const sinceMs = settingSinceMs(state, set.startedAtMs, nowMs);
  const untilMs = state.installedAtMs ?? nowMs;
  const worked = minutesOf(untilMs - sinceMs - restedMs(state.pauses, sinceMs, untilMs));
  const planned = view.sectionMin.reduce((sum, min) => sum + min, 0);
  return {
    id: 'set',
    name: 'Set',
    now:
      state.phase === 'setting'
        ? `${state.doneOrder.length} of ${set.sectionCount} done`
        : formatMinutes(worked),
    planned:
      state.phase === 'setting' && state.doneOrder.length > 0
        ? `${formatMinutes(worked)} of about ${formatMinutes(planned)}`
        : `planned ${formatMinutes(planned)}`,
    isNow: state.phase === 'setting' && runningStep(state) === null,
  };
}

function dryStage({ view, log: { state }, nowMs }: ChairViewProps): Stage {
  const { installedAtMs, takenDownAtMs } = state;
  const ran = installedAtMs === null ? null : ((takenDownAtMs ?? nowMs) - installedAtMs) / HOUR_MS;
  return {
    id: 'dry',
    name: 'Dry',
    now: ran === null ? 'to come' : formatHours(Math.max(0, ran)),
    planned: `dry in about ${formatHours(view.plan.drying.dryAfterH.p50)}`,
    isNow: state.phase === 'drying',
  };
}

/** Undoing, separating and fluffing as one stage: what is counted now, or how long all of it took. */
function undoStage({ set, log: { state }, nowMs }: ChairViewProps): Stage {
  const { takenDownAtMs, undone, separated, fluffedAtMs } = state;
  const stage = finishStage(state, set, nowMs);
  const lastMs = Math.max(
    takenDownAtMs ?? 0,
    fluffedAtMs ?? 0,
    ...[...undone.values(), ...separated.values()].map(({ atMs }) => atMs),
  );
  const took = takenDownAtMs === null ? 0 : minutesOf(lastMs - takenDownAtMs);
  const words = {
    undoing: `${undone.size} of ${set.toUndo} undone`,
    separating: `${separated.size} of ${set.sectionCount} separated`,
    fluffing: 'roots to fluff',
    measuring: took > 0 ? formatMinutes(took) : 'done',
    worn: took > 0 ? formatMinutes(took) : 'done',
  };
  return {
    id: 'undo',
    name: 'Undo',
    now: stage === null ? 'to come' : words[stage],
    planned: `planned ${formatMinutes(set.takedownMin + set.separatingMin)}`,
    isNow: stage === 'undoing' || stage === 'separating' || stage === 'fluffing',
  };
}

function measureStage({ set, log: { state }, nowMs }: ChairViewProps): Stage {
  const stage = finishStage(state, set, nowMs);
  return {
    id: 'measure',
    name: 'Measure',
    now: state.measured ? 'done' : stage === 'worn' ? 'left out' : 'to come',
    planned: 'under a minute',
    isNow: stage === 'measuring',
  };
}

/** The stages of the set in one quiet line, each as it went beside what was planned; the steps before it open. */
export function StageStrip(props: ChairViewProps & { readonly onPrep: () => void }) {
  const stages = [
    ...(props.set.prep.length > 0 ? [prepStage(props)] : []),
    setStage(props),
    dryStage(props),
    undoStage(props),
    measureStage(props),
  ];
  return (
    <ol className={styles.stages} aria-label="Stages">
      {stages.map(({ id, name, now, planned, isNow, isLate }) => {
        const words = (
          <>
            <b>{name}</b> {now}
            <small>{planned}</small>
          </>
        );
        return (
          <li key={id} data-now={isNow} data-late={isLate} aria-current={isNow ? 'step' : undefined}>
            {id === 'prep' ? (
              <button type="button" onClick={props.onPrep}>
                {words}
              </button>
            ) : (
              <span>{words}</span>
            )}
          </li>
        );
      })}
    </ol>
  );
}
