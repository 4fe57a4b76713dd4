import type { Difference } from '@/core/evidence/difference';
import type { LearntSet } from '@/core/evidence/learning';
import type { StudioFindings } from '@/core/evidence/studio-findings';
import { remembered } from '@/core/remembered';
import type { Database } from './db/client';
import { ratedTwice } from './db/rows/evidence';
import { listHeadNames } from './db/rows/heads';
import { listProducts } from './db/rows/shelf';
import { studioKnowledge, type LearningStudio } from './learning';
import { inPool } from './pool';

/** Everything that a studio's log says, with the names to say it. */
export interface Found {
  /** The sets that it rests on. */
  readonly sets: readonly LearntSet[];
  readonly findings: StudioFindings;
  readonly differences: readonly Difference[];
  readonly headNames: ReadonlyMap<string, string>;
  readonly productNames: ReadonlyMap<string, string>;
  /** The log has changed since: what it says now is being worked out. */
  readonly isOlder: boolean;
}

type Made = Omit<Found, 'headNames' | 'isOlder'>;

interface Kept {
  readonly sets: readonly LearntSet[];
  /** What else it is made of. */
  readonly of: string;
  readonly coming: Promise<Made>;
  /** The last that was worked out, of this or of a former log. */
  made: Made | null;
}

/** Forecasts of one kind that are drawn at most. */
const MOST_DRAWN = 24;
/** Studios and heads whose findings are kept at once. */
const MOST_KEPT = 24;
/** A screen that has findings to show waits so long for newer ones. */
const PATIENCE_MS = 80;

const holder = globalThis as { keenSpiralFindings?: Map<string, Kept> };
const kept = (): Map<string, Kept> => (holder.keenSpiralFindings ??= new Map());

/** A set is written once, for as long as nothing of it changes. */
const written = remembered((set: LearntSet) => JSON.stringify(set));

async function bring(database: Database, studio: LearningStudio, headId: string | null): Promise<Kept> {
  const { db } = database;
  const { sets, settings, learning } = await studioKnowledge(database, studio);
  const names = (await listProducts(db, studio.id)).map(({ id, name }) => [id, name] as const);
  const isAsked = (of: string) => headId === null || of === headId;
  const rated = (await ratedTwice(db, studio.id)).filter((row) => isAsked(row.headId));
  const key = `${studio.id}/${headId ?? ''}`;
  const { noticeable } = settings;
  const { days, definition } = learning.spreads;
  const spreads = { days, definition };
  const of = JSON.stringify([names, rated, noticeable, spreads]);
  const last = kept().get(key);
  if (last?.sets === sets && last.of === of) return last;
  const coming = inPool(
    'findings',
    {
      sets: `[${sets
        .filter((set) => isAsked(set.headId))
        .map(written)
        .join()}]`,
      noticeable,
      rated,
      spreads,
      names,
      mostDrawn: MOST_DRAWN,
    },
    'log',
  ).then((said): Made => ({ ...said, sets, productNames: new Map(names) }));
  const now: Kept = { sets, of, coming, made: last?.made ?? null };
  kept().delete(key);
  kept().set(key, now);
  for (const oldest of [...kept().keys()].slice(0, -MOST_KEPT)) kept().delete(oldest);
  coming.then(
    (made) => (now.made = made),
    () => kept().get(key) === now && kept().delete(key),
  );
  return now;
}

/**
 * What a studio's log says, of all heads or of one: worked out beside the server, once for each state of the log.
 *
 * @param mayBeOlder whether what was said before the last change will do where the new takes longer
 */
export async function findOut(
  database: Database,
  studio: LearningStudio,
  headId: string | null = null,
  mayBeOlder = false,
): Promise<Found> {
  const { coming, made } = await bring(database, studio, headId);
  const newest =
    mayBeOlder && made
      ? await Promise.race([
          coming.then((said) => ({ ...said, isOlder: false })),
          new Promise<Made & { isOlder: boolean }>((wait) =>
            setTimeout(() => wait({ ...made, isOlder: true }), PATIENCE_MS),
          ),
        ])
      : { ...(await coming), isOlder: false };
  const headNames = new Map((await listHeadNames(database.db, studio.id)).map(({ id, name }) => [id, name]));
  return { ...newest, headNames };
}

/** Works the findings out before anybody asks, where there are any. */
export async function findOutBeforehand(database: Database, studio: LearningStudio): Promise<void> {
  const { sets } = await studioKnowledge(database, studio);
  if (sets.length > 0) await findOut(database, studio);
}
