import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { halfHead } from '@/core/coefficients/evidence';
import type { KeptCorrections } from '@/core/evidence/corrections';
import type { SeenSymptoms } from '@/core/evidence/fault-finder';
import type { CauseAnswers, ToldFacts } from '@/core/evidence/kept';
import type { FittedSpreads } from '@/core/evidence/learning';
import type { SetEvidence } from '@/core/evidence/set-evidence';
import { json, timeMs } from './columns';
import { sets } from './sets';
import { ofStudio } from './studios';

/**
 * What can be learnt from each set, made from its entries and made anew when any of them changes: triggers of the
 * database take a row away as soon as its set, its days, its end or its log is touched.
 */
export const setEvidence = sqliteTable('set_evidence', {
  setId: text('set_id')
    .primaryKey()
    .references(() => sets.id, { onDelete: 'cascade' }),
  studioId: ofStudio(),
  seen: json<SetEvidence>('seen').notNull(),
});

/**
 * What changed in what a studio can learn from, each set or head once, numbered in the order of its last change: kept by
 * triggers, so that who asks again reads those alone. A set that is gone stays in it.
 */
export const evidenceTouched = sqliteTable(
  'evidence_touched',
  {
    /** A set; or a head, where something was done to her hair between sets. */
    id: text('id').primaryKey(),
    studioId: text('studio_id').notNull(),
    at: integer('at').notNull(),
  },
  (table) => [index('evidence_touched_in_order').on(table.studioId, table.at)],
);

/** What a studio's log was fitted with, and what its forecasts are put right by. */
export const studioLearning = sqliteTable('studio_learning', {
  studioId: ofStudio().primaryKey(),
  fitted: json<FittedSpreads>('fitted').notNull().default({}),
  /** Sets that it was fitted on, and when. */
  fittedSets: integer('fitted_sets').notNull().default(0),
  fittedAtMs: timeMs('fitted_at_ms'),
  corrections: json<KeptCorrections>('corrections').notNull().default({}),
  /** Least difference that this studio notices, points. */
  noticeable: real('noticeable').notNull().default(halfHead.value.noticeable),
});

/** What somebody saw of a set that fell short, and what they say of the causes. */
export const faultFindings = sqliteTable('fault_findings', {
  setId: text('set_id')
    .primaryKey()
    .references(() => sets.id, { onDelete: 'cascade' }),
  studioId: ofStudio(),
  symptoms: json<SeenSymptoms>('symptoms').notNull().default({}),
  /** What only a person can tell. */
  told: json<ToldFacts>('told').notNull().default({}),
  /** That was it, or it was not, by cause. */
  answers: json<CauseAnswers>('answers').notNull().default({}),
  revision: integer('revision').notNull(),
  updatedAtMs: timeMs('updated_at_ms').notNull(),
});
