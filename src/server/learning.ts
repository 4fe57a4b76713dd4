import type { Corrections, Learnt } from '@/core/brief/learnt';
import { periodsOf } from '@/core/care/periods';
import { pooling } from '@/core/coefficients/evidence';
import { correctionsOf } from '@/core/evidence/corrections';
import {
  learningOf,
  learntOfHead,
  withHeadChanged,
  type Learning,
  type LearntSet,
} from '@/core/evidence/learning';
import { grouped } from '@/core/grouped';
import { evidenceOfSet } from '@/core/evidence/set-evidence';
import type { BriefInput } from '@/core/formats/brief';
import { calendarDates } from './calendar-dates';
import type { Database } from './db/client';
import { careOf } from './db/rows/care';
import {
  keepEvidence,
  keepLearningSettings,
  lastTouched,
  learningSettings,
  touchedSince,
  type LearningSettings,
  type Touched,
} from './db/rows/evidence';
import { namesNow } from './db/rows/people';
import { findSet } from './db/rows/sets';
import { log } from './log';
import { inPool, isServing } from './pool';

/** The studio that learns. */
export interface LearningStudio {
  readonly id: string;
  readonly timeZone: string;
  /** Who signed in: what she plans takes her own pace. */
  readonly setBy?: string;
}

/** What a studio knows by now. */
export interface StudioKnowledge {
  readonly learning: Learning;
  readonly sets: readonly LearntSet[];
  readonly settings: LearningSettings;
  readonly corrections: Corrections | null;
  /** Sets that are not read yet. */
  readonly waiting: number;
}

interface Kept {
  /** The last change that is in it. */
  readonly touched: number;
  readonly timeZone: string;
  /** Names that were changed since sets were timed under them. */
  readonly names: string;
  readonly settings: string;
  readonly sets: ReadonlyMap<string, LearntSet>;
  /** Sets that are still to be read, oldest change first. */
  readonly due: ReadonlySet<string>;
  readonly knowledge: StudioKnowledge;
}

/** What stands beside every copy of this module: the server and what starts it load one each. */
interface Shared {
  readonly kept: Map<string, Kept>;
  /** Who asks of one studio waits for who asked before. */
  readonly turns: Map<string, Promise<unknown>>;
  /** Sets that nothing can be read of, by studio, until they are touched again. */
  readonly unreadable: Map<string, Set<string>>;
  /** Studios whose sets are being read, or whose spreads are being fitted. */
  readonly reading: Set<string>;
  readonly fitting: Set<string>;
}

const holder = globalThis as { keenSpiralLearning?: Shared };
const shared = (): Shared =>
  (holder.keenSpiralLearning ??= {
    kept: new Map(),
    turns: new Map(),
    unreadable: new Map(),
    reading: new Set(),
    fitting: new Set(),
  });

/** Sets whose evidence is made in one transaction: others may write in between. */
const AT_ONCE = 20;
/** Sets that are read before anybody is answered; more are read meanwhile, as after an upgrade. */
const WAITED_FOR = 60;
/** So many heads changed, and all is worked out anew. */
const FEW_HEADS = 8;

/**
 * Makes the evidence of some sets, from their entries.
 *
 * @param give is told of each set that cannot be read: it teaches nothing, and is asked about again once it changes
 */
async function makeEvidence(
  { write }: Database,
  studioId: string,
  ids: readonly string[],
  give: (setId: string) => void,
): Promise<void> {
  for (let from = 0; from < ids.length; from += AT_ONCE)
    await write(async (tx) => {
      const rows = [];
      for (const setId of ids.slice(from, from + AT_ONCE)) {
        const set = await findSet(tx, studioId, setId).catch(() => null);
        if (set && set.takenDownAtMs !== null) rows.push({ setId, seen: evidenceOfSet(set) });
        else give(setId);
      }
      await keepEvidence(tx, studioId, rows);
    });
}

/** Reads a few sets at once, and the rest beside whoever asked. */
async function readSets(database: Database, studioId: string, due: readonly string[]): Promise<void> {
  const { unreadable, reading } = shared();
  const given = unreadable.get(studioId) ?? new Set<string>();
  unreadable.set(studioId, given);
  const give = (setId: string) => given.add(setId);
  await makeEvidence(database, studioId, due.slice(0, WAITED_FOR), give);
  const rest = due.slice(WAITED_FOR);
  if (rest.length === 0 || reading.has(studioId)) return;
  reading.add(studioId);
  void makeEvidence(database, studioId, rest, give)
    .catch((thrown: unknown) => log.warn({ err: thrown }, 'sets could not be read to learn from'))
    .finally(() => reading.delete(studioId));
}

/** What was touched since, with what could be read of it; and what is still to be read. */
async function brought(
  database: Database,
  studioId: string,
  last: Kept | undefined,
): Promise<{ found: Map<string, Touched>; due: Set<string>; touched: number }> {
  let touched = last?.touched ?? 0;
  const found = new Map<string, Touched>();
  const due = new Set(last?.due);
  const take = async () => {
    for (const one of await touchedSince(database.db, studioId, touched)) {
      found.set(one.id, one);
      touched = one.at;
      due.delete(one.id);
      if (one.set && !one.seen) due.add(one.id);
    }
  };
  await take();
  const { unreadable } = shared();
  for (const id of found.keys()) unreadable.get(studioId)?.delete(id);
  if (due.size > 0) {
    await readSets(database, studioId, [...due]);
    await take();
  }
  for (const id of unreadable.get(studioId) ?? []) due.delete(id);
  return { found, due, touched };
}

/** The sets that are known once some are touched, in the periods of their heads; and whose heads are others now. */
async function withTouched(
  { db }: Database,
  { id: studioId, timeZone }: LearningStudio,
  last: Kept | undefined,
  found: ReadonlyMap<string, Touched>,
  names: ReadonlyMap<string, string>,
): Promise<{ sets: Map<string, LearntSet>; changed: Set<string> }> {
  const sets = new Map(last?.sets);
  const changed = new Set<string>();
  for (const { id, set, seen } of found.values()) {
    const before = sets.get(id);
    if (before) changed.add(before.headId);
    if (set) changed.add(set.headId);
    if (last?.knowledge.learning.sets.has(id)) changed.add(id);
    if (set && seen) {
      const stylist = names.get(seen.stylist ?? '') ?? seen.stylist;
      sets.set(id, { id, ...set, period: before?.period ?? 0, seen: { ...seen, stylist } });
    } else sets.delete(id);
  }
  if (changed.size === 0) return { sets, changed };
  const [only] = changed.size === 1 ? changed : [];
  const periodOf = periodsOf(await careOf(db, studioId, only));
  const dateOf = calendarDates(timeZone);
  for (const [id, set] of sets) {
    if (!changed.has(set.headId)) continue;
    const period = periodOf(set.headId, dateOf(set.startedAtMs));
    if (period !== set.period) sets.set(id, { ...set, period });
  }
  return { sets, changed };
}

function learningFrom(
  last: Kept | undefined,
  settings: string,
  fitted: LearningSettings['fitted'],
  sets: readonly LearntSet[],
  changed: ReadonlySet<string>,
): Learning {
  if (last?.settings !== settings || changed.size > FEW_HEADS) return learningOf(sets, fitted);
  const own = grouped(
    sets.filter(({ headId }) => changed.has(headId)),
    ({ headId }) => headId,
  );
  return [...changed].reduce(
    (learning, headId) => withHeadChanged(learning, headId, own.get(headId) ?? []),
    last.knowledge.learning,
  );
}

/** Fits the spreads anew beside the server once enough sets came; who asks meanwhile gets those of before. */
function fitWhenDue(database: Database, studioId: string, { sets, settings }: StudioKnowledge): void {
  const { fitting } = shared();
  const { fewestSets, fittedEvery, mostFitted } = pooling.value;
  if (sets.length < fewestSets || sets.length - settings.fittedSets < fittedEvery) return;
  if (fitting.has(studioId) || !isServing()) return;
  fitting.add(studioId);
  const newest = [...sets].sort((a, b) => b.startedAtMs - a.startedAtMs).slice(0, mostFitted);
  void inPool('fit', newest, 'log')
    .then((fitted) =>
      database.write((tx) =>
        keepLearningSettings(tx, studioId, { fitted, fittedSets: sets.length, fittedAtMs: Date.now() }),
      ),
    )
    .catch((thrown: unknown) => log.warn({ err: thrown }, 'spreads could not be fitted'))
    .finally(() => fitting.delete(studioId));
}

async function broughtUpToDate(database: Database, studio: LearningStudio): Promise<StudioKnowledge> {
  const { db } = database;
  const before = shared().kept.get(studio.id);
  const names = await namesNow(db, studio.id);
  const namesKey = JSON.stringify([...names]);
  const last = before?.timeZone === studio.timeZone && before.names === namesKey ? before : undefined;
  const settings = await learningSettings(db, studio.id);
  const settingsKey = JSON.stringify(settings);
  const isSame = last?.settings === settingsKey;
  if (last && isSame && last.due.size === 0 && last.touched === (await lastTouched(db, studio.id)))
    return last.knowledge;
  const { found, due, touched } = await brought(database, studio.id, last);
  const { sets, changed } = await withTouched(database, studio, last, found, names);
  const all = last && changed.size === 0 ? last.knowledge.sets : [...sets.values()];
  const knowledge: StudioKnowledge =
    last && isSame && changed.size === 0
      ? { ...last.knowledge, waiting: due.size }
      : {
          learning: learningFrom(last, settingsKey, settings.fitted, all, changed),
          sets: all,
          settings,
          corrections: correctionsOf(settings.corrections),
          waiting: due.size,
        };
  const { timeZone } = studio;
  shared().kept.set(studio.id, {
    touched,
    timeZone,
    names: namesKey,
    settings: settingsKey,
    sets,
    due,
    knowledge,
  });
  fitWhenDue(database, studio.id, knowledge);
  return knowledge;
}

/** Everything that a studio knows by now: what changed since it was asked last is read and learnt first, once for all who ask. */
export function studioKnowledge(database: Database, studio: LearningStudio): Promise<StudioKnowledge> {
  const { turns } = shared();
  const turn = (turns.get(studio.id) ?? Promise.resolve()).then(() => broughtUpToDate(database, studio));
  turns.set(
    studio.id,
    turn.catch(() => undefined),
  );
  return turn;
}

const LOOK_AGAIN_MS = 200;

/** The same once every set is read, however many there are: for who writes it all down. */
export async function wholeKnowledge(database: Database, studio: LearningStudio): Promise<StudioKnowledge> {
  for (;;) {
    const knowledge = await studioKnowledge(database, studio);
    if (knowledge.waiting === 0) return knowledge;
    await new Promise((wait) => setTimeout(wait, LOOK_AGAIN_MS));
  }
}

/** Forgets what was learnt: another database stands behind the same ids. */
export const forgetLearning = (): void => {
  shared().kept.clear();
  shared().unreadable.clear();
};

/** Figures are taken no finer than this: a forecast does not move for what nobody can see. */
const FIGURES = 3;
const rounded = (learnt: Learnt | null): Learnt | null =>
  learnt &&
  (JSON.parse(
    JSON.stringify(learnt, (_, value: unknown) =>
      typeof value === 'number' ? Number(value.toFixed(FIGURES)) : value,
    ),
  ) as Learnt);

/** What a forecast for a head takes from what the studio knows. */
export interface KnownOfHead {
  readonly learnt: Learnt | null;
  readonly corrections: Corrections | null;
}

/** The same; nothing where it cannot be worked out: a plan opens all the same. */
export async function knownOfHead(
  database: Database,
  studio: LearningStudio,
  headId: string,
): Promise<KnownOfHead> {
  try {
    const { learning, corrections } = await studioKnowledge(database, studio);
    return { learnt: rounded(learntOfHead(learning, headId, studio.setBy)), corrections };
  } catch (thrown) {
    log.warn({ err: thrown }, 'what is learnt could not be worked out');
    return { learnt: null, corrections: null };
  }
}

/** A plan as a forecast takes it now: with what is known of its head by now. */
export async function knownPlan<P extends { readonly headId: string; readonly brief: BriefInput }>(
  database: Database,
  studio: LearningStudio,
  plan: P,
): Promise<P> {
  return { ...plan, brief: withKnown(plan.brief, await knownOfHead(database, studio, plan.headId)) };
}

/** A brief with what is known of its head now, in place of what it was written with. */
export function withKnown(brief: BriefInput, { learnt, corrections }: KnownOfHead): BriefInput {
  const { learnt: _, corrections: __, ...rest } = brief;
  return {
    ...rest,
    ...(learnt ? { learnt: learnt as BriefInput['learnt'] } : {}),
    ...(corrections ? { corrections } : {}),
  };
}
