import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { RateBelief } from '@/core/drying/rate-belief';
import type { BriefInput } from '@/core/formats/brief';
import type { PlanFile } from '@/core/formats/plan-file';
import { headMeasurements } from './head-measurements';
import { heads } from './heads';
import { plans } from './plans';
import { ofStudio } from './studios';

/** A set that was begun: the brief and forecast are kept as they were given. */
export const sets = sqliteTable(
  'sets',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    headId: text('head_id')
      .notNull()
      .references(() => heads.id, { onDelete: 'cascade' }),
    planId: text('plan_id').references(() => plans.id, { onDelete: 'set null' }),
    measurementId: text('measurement_id')
      .notNull()
      .references(() => headMeasurements.id, { onDelete: 'cascade' }),
    title: text('title').notNull(),
    brief: text('brief', { mode: 'json' }).$type<BriefInput>().notNull(),
    forecast: text('forecast', { mode: 'json' }).$type<PlanFile>().notNull(),
    modelVersion: text('model_version').notNull(),
    /** Belief in the drying rate of this head as it was forecast: the drying watch starts from it. */
    dryingBelief: text('drying_belief', { mode: 'json' }).$type<RateBelief>(),
    /** Price of the products planned for it, as prices were then, minor units; null where none was known. */
    costMinor: integer('cost_minor'),
    startedAtMs: integer('started_at_ms').notNull(),
    installedAtMs: integer('installed_at_ms'),
    takenDownAtMs: integer('taken_down_at_ms'),
    endedAtMs: integer('ended_at_ms'),
  },
  (table) => [
    index('sets_by_studio').on(table.studioId, table.startedAtMs),
    index('sets_by_head').on(table.headId, table.startedAtMs),
  ],
);

/** Sections of a set as they were laid out. */
export const setSections = sqliteTable(
  'set_sections',
  {
    setId: text('set_id')
      .notNull()
      .references(() => sets.id, { onDelete: 'cascade' }),
    studioId: ofStudio(),
    number: integer('number').notNull(),
    zone: text('zone').notNull(),
    side: text('side').notNull(),
    areaCm2: real('area_cm2').notNull(),
    hairCount: real('hair_count').notNull(),
    plannedMin: real('planned_min').notNull(),
  },
  (table) => [primaryKey({ columns: [table.setId, table.number] })],
);

/** What happened at the chair, in order. The id comes from the device, so that a tap sent twice counts once. */
export const setEvents = sqliteTable(
  'set_events',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    setId: text('set_id')
      .notNull()
      .references(() => sets.id, { onDelete: 'cascade' }),
    kind: text('kind').notNull(),
    sectionNumber: integer('section_number'),
    note: text('note'),
    atMs: integer('at_ms').notNull(),
  },
  (table) => [index('events_by_set').on(table.setId, table.atMs)],
);

/** A hand felt a section. */
export const drynessChecks = sqliteTable(
  'dryness_checks',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    setId: text('set_id')
      .notNull()
      .references(() => sets.id, { onDelete: 'cascade' }),
    sectionNumber: integer('section_number').notNull(),
    level: text('level').notNull(),
    feel: text('feel').notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (table) => [index('checks_by_set').on(table.setId, table.atMs)],
);

/** One day of wear; day 0 is the day of takedown. */
export const wearDays = sqliteTable(
  'wear_days',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    setId: text('set_id')
      .notNull()
      .references(() => sets.id, { onDelete: 'cascade' }),
    day: integer('day').notNull(),
    definition: real('definition').notNull(),
    frizz: real('frizz').notNull(),
    volume: real('volume').notNull(),
    moisture: real('moisture').notNull(),
    shine: real('shine').notNull(),
    night: text('night').notNull(),
    visibleLengthCm: real('visible_length_cm'),
    note: text('note').notNull(),
    revision: integer('revision').notNull(),
    updatedAtMs: integer('updated_at_ms').notNull(),
  },
  (table) => [uniqueIndex('one_entry_a_day').on(table.setId, table.day)],
);

/** How a style ended. */
export const outcomes = sqliteTable('outcomes', {
  setId: text('set_id')
    .primaryKey()
    .references(() => sets.id, { onDelete: 'cascade' }),
  studioId: ofStudio(),
  lastGoodDay: integer('last_good_day').notNull(),
  reason: text('reason').notNull(),
  note: text('note').notNull(),
  createdAtMs: integer('created_at_ms').notNull(),
});
