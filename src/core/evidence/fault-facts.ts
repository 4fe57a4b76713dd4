import { endsMethods, rootMethods } from '../coefficients/root-and-ends';
import { nightCares } from '../coefficients/night-care';
import { result } from '../coefficients/result';
import type { DayEntry } from '../diary/day-entry';
import type { HalfOutcome } from '../diary/outcome';
import type { BriefInput } from '../formats/brief';
import type { PlanFile } from '../formats/plan-file';
import type { TakenDown } from '../plan/as-taken-down';
import { isFault, type FaultId } from '../run/faults';
import type { RunState } from '../run/run-state';
import { techniqueOf } from '../techniques';
import { MINUTE_MS } from '../units/time';
import { NO_FACTS, type FaultFacts, type SymptomId } from './causes';
import type { SeenSymptoms } from './fault-finder';
import type { ToldFacts } from './kept';
import type { SetEvidence } from './set-evidence';

/** A set as its record has it, as far as it tells what went wrong. */
export interface FaultSource {
  readonly brief: BriefInput;
  readonly forecast: Pick<PlanFile, 'evenness' | 'result' | 'handsOn' | 'drying'>;
  readonly asTakenDown: TakenDown | null;
  readonly run: Pick<RunState, 'faults' | 'undone' | 'mists' | 'standing'>;
  readonly wearDays: readonly (Pick<DayEntry, 'marks' | 'night'> & { readonly day: number })[];
  readonly outcome: HalfOutcome | null;
  readonly seen: SetEvidence;
  /** Weeks from the last trim or cut to the set; null where none was written down. */
  readonly weeksSinceTrim: number | null;
  /** Deep-conditioned on the day or the day before, as far as care was written down. */
  readonly deepConditionedBefore: boolean;
}

/** Taps at a takedown before its time means something. */
const FEWEST_TAPS = 3;
/** Days of wear that count as early. */
const EARLY_DAYS = 2;
/** A share of the sections from which something is said to be all over. */
const ALL_OVER = 0.5;

/** Sections made over those that suit the coil: thickness doubles where a section is four times as large. */
function sectionsRatio({ result: look }: FaultSource['forecast']): number {
  const effect = look.definition.why.find(({ factor }) => factor === 'section-size')?.effect ?? 0;
  const doublings = effect / result.value.sizeDefinition;
  return Math.min(4, Math.max(0.1, 4 ** -doublings));
}

function takedownRatio({ run, forecast }: FaultSource): number | null {
  const taps = [...run.undone.values()].map(({ atMs }) => atMs);
  if (taps.length < FEWEST_TAPS || forecast.handsOn.takedownMin <= 0) return null;
  const took = (Math.max(...taps) - Math.min(...taps)) / MINUTE_MS;
  // The first section is not in what lies between the taps.
  return (took * taps.length) / (taps.length - 1) / forecast.handsOn.takedownMin;
}

/** What the record of a set says that bears on what went wrong, with what somebody told of it. */
export function faultFacts(source: FaultSource, told: ToldFacts): FaultFacts {
  const { brief, forecast, asTakenDown, run, wearDays, seen } = source;
  const { set, wear, prep } = brief;
  const technique = techniqueOf(set.technique);
  const root = rootMethods[set.rootMethod ?? technique.rootMethods[0]];
  const ends = endsMethods[set.endsMethod ?? technique.endsMethods[0]];
  const roles = (set.layers ?? []).map(({ role }) => role);
  const nights = wearDays.flatMap(({ night }) => (night ? [nightCares[night].cover === null ? 1 : 0] : []));
  const hands = run.standing.findLast(({ kind }) => kind === 'taken-down')?.step ?? wear?.hands ?? 'oiled';
  const waits = forecast.drying.waiting.map(({ fromMin }) => fromMin);
  const isWet = set.startState === 'wet' || set.startState === 'dripping';
  return {
    ...NO_FACTS,
    chanceDry: asTakenDown?.chanceDry ?? null,
    doseRatio: seen.factors.doseRatio,
    sizeCv: forecast.evenness.hairCountCv,
    sectionsRatio: sectionsRatio(forecast),
    rootsStretched: told.rootsStretched ?? root.stretchedMm > 0,
    endsHeld: told.endsHeld ?? ends.definition >= 0,
    dewPointC: seen.factors.dewPointC,
    nightsMissed: nights.length === 0 ? null : nights.reduce<number>((sum, missed) => sum + missed, 0),
    takedownRatio: takedownRatio(source),
    hadDryHands: hands === 'bare',
    separations: wear?.separations ?? 2,
    longestWaitMin: waits.length === 0 ? null : Math.max(...waits),
    wasMisted: run.mists.length > 0,
    weeksSinceTrim: source.weeksSinceTrim,
    tension: told.tension ?? null,
    newAtScalp: told.newAtScalp ?? null,
    mixFailed: told.mixFailed ?? null,
    gelWithoutCream: roles.includes('gel') ? !roles.includes('cream') : null,
    setWetUnstretched: isWet && root.stretchedMm === 0,
    deepConditioned:
      source.deepConditionedBefore || (prep?.some(({ step }) => step === 'deep-condition') ?? false),
  };
}

/** What each fault noted at takedown shows as. */
const FAULT_SHOWS: Partial<Readonly<Record<FaultId, SymptomId>>> = {
  'damp-inside': 'damp-inside',
  'loose-root': 'roots-unlike',
  'ends-open': 'puffy-ends',
  'bent-ends': 'puffy-ends',
  'strands-mixed': 'uneven',
  flakes: 'flakes',
  pulled: 'scalp',
};

/** Symptoms that the record of a set shows already: they are ticked before anybody looks. */
export function recordedSymptoms(
  { run, wearDays, outcome, seen }: FaultSource,
  sections: number,
): SeenSymptoms {
  const present = new Set<SymptomId>();
  for (const { note } of run.faults) {
    const shows = isFault(note) ? FAULT_SHOWS[note] : undefined;
    if (shows) present.add(shows);
  }
  for (const { day, marks } of wearDays) {
    if (marks.itch?.length) present.add('scalp');
    if (day > EARLY_DAYS) continue;
    if (marks.frizz?.length)
      present.add(marks.frizz.length >= ALL_OVER * sections ? 'frizz-all' : 'frizz-roots');
    if (marks['lost-shape']?.length) present.add('lost-by-two');
  }
  const { reason, lastGoodDay } = outcome ?? { reason: null, lastGoodDay: Infinity };
  if (reason === 'frizz') present.add('frizz-all');
  if (reason === 'limp') present.add('limp');
  if (reason === 'sore') present.add('scalp');
  if ((reason === 'lost-shape' || reason === 'frizz') && lastGoodDay <= EARLY_DAYS)
    present.add('lost-by-two');
  if (seen.stretch && seen.stretch.came < seen.stretch.low) present.add('shrank');
  if (present.has('frizz-all')) present.delete('frizz-roots');
  return Object.fromEntries([...present].map((id) => [id, 'present' as const]));
}
