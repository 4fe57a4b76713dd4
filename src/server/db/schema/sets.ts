import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { TakenDown } from '@/core/plan/as-taken-down';
import type { RateBelief } from '@/core/drying/rate-belief';
import type { BriefInput } from '@/core/formats/brief';
import type { PlanFile } from '@/core/formats/plan-file';
import { ZONES } from '@/core/hair/zone';
import type { Measured } from '@/core/run/measured';
import type { RoomAir } from '@/core/run/room-sensor';
import type { DayDone, DayEntry, DayMarks, DayWeather, EntrySource } from '@/core/diary/day-entry';
import type { Half } from '@/core/hair/half';
import type { Recalled } from '@/core/diary/outcome';
import type { PartingEdit } from '@/core/run/parting-edit';
import { json, timeMs } from './columns';
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
    brief: json<BriefInput>('brief').notNull(),
    forecast: json<PlanFile>('forecast').notNull(),
    modelVersion: text('model_version').notNull(),
    /** Belief in the drying rate of this head as it was forecast: the drying watch starts from it. */
    dryingBelief: json<RateBelief>('drying_belief'),
    /** What comes of it as it was taken down: by how damp it was then. Null while it is in, or where nobody saw it. */
    asTakenDown: json<TakenDown>('as_taken_down'),
    /** When its rods will be too small, as was forecast; null without rods, and in sets of before that was kept. */
    outgrownAtMs: timeMs('outgrown_at_ms'),
    /** Price of the products planned for it, as prices were then, minor units; null where none was known. */
    costMinor: integer('cost_minor'),
    /** Shelf product of each layer, in order; null where only the role was decided. */
    layerProductIds: json<(string | null)[]>('layer_product_ids').notNull().default([]),
    /** Grams taken out of each product of the shelf, by id, once more is known than the plan had; null: as planned. */
    takenG: json<Record<string, number>>('taken_g'),
    /** What its plan was before it was begun. */
    planStatusBefore: text('plan_status_before'),
    /** Done elsewhere and written down afterwards: it counts for days, not for what nobody saw. */
    isEnteredLater: integer('is_entered_later', { mode: 'boolean' }).notNull().default(false),
    /** Begun by mistake; null for a set that stands. */
    cancelledAtMs: timeMs('cancelled_at_ms'),
    startedAtMs: timeMs('started_at_ms').notNull(),
    installedAtMs: timeMs('installed_at_ms'),
    takenDownAtMs: timeMs('taken_down_at_ms'),
    endedAtMs: timeMs('ended_at_ms'),
  },
  (table) => [
    index('sets_by_studio').on(table.studioId, table.startedAtMs),
    index('sets_by_head').on(table.headId, table.startedAtMs),
    // Of all that were ever set, few are in the chair or worn; and they are counted without walking their briefs.
    index('sets_by_end').on(table.studioId, table.cancelledAtMs, table.endedAtMs, table.startedAtMs),
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
    zone: text('zone', { enum: ZONES }).notNull(),
    side: text('side', { enum: ['left', 'middle', 'right'] }).notNull(),
    areaCm2: real('area_cm2').notNull(),
    hairCount: real('hair_count').notNull(),
    plannedMin: real('planned_min').notNull(),
  },
  (table) => [primaryKey({ columns: [table.setId, table.number] })],
);

/**
 * What happened at the chair, in the order the server received it. The id comes from the device, so that a tap sent
 * twice counts once.
 */
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
    atMs: timeMs('at_ms').notNull(),
    /** Place in the order of the set, from 1. */
    sequence: integer('sequence').notNull().default(0),
    /** Where a hand felt, and what. */
    level: text('level'),
    feel: text('feel'),
    /** The events it corrects, and the time it gives them. */
    of: json<string[]>('of'),
    toMs: timeMs('to_ms'),
    /** The step before the set, or the way of drying, that it is about. */
    step: text('step'),
    /** How long a way of drying is to last. */
    minutes: real('minutes'),
    /** Grams on the scale, or hand units of a product. */
    amount: real('amount'),
    /** First measurements. */
    measured: json<Measured>('measured'),
    /** The air it dries in, as it was measured. */
    room: json<RoomAir>('room'),
    /** How the parting was changed. */
    parting: json<PartingEdit>('parting'),
    /** The name that its device goes by; null where it goes by none. */
    by: text('by_name'),
    /** The device it came from, and its number there; empty for what the server wrote itself. */
    deviceId: text('device_id').notNull().default(''),
    deviceNumber: integer('device_number').notNull().default(0),
  },
  (table) => [uniqueIndex('events_in_order').on(table.setId, table.sequence)],
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
    /** The whole head, or one side of a half-head trial. */
    half: text('half').$type<Half>().notNull().default('whole'),
    /** Ratings, 0 to 10; null for what was not rated. */
    definition: real('definition'),
    frizz: real('frizz'),
    volume: real('volume'),
    moisture: real('moisture'),
    shine: real('shine'),
    hold: real('hold'),
    /** Sections where something is wrong. */
    marks: json<DayMarks>('marks').notNull().default({}),
    /** Care of the night before; null where nobody said. */
    night: text('night'),
    /** What was done to it and how it was worn. */
    done: json<DayDone>('done').notNull().default({ deeds: [], redone: null, worn: null }),
    weather: json<DayWeather>('weather'),
    /** Visible length by zone where it was measured, cm. */
    visibleCm: json<DayEntry['visibleCm']>('visible_cm').notNull().default({}),
    note: text('note').notNull(),
    /** Who rated it; null where nobody said. */
    ratedBy: text('rated_by'),
    source: text('source').$type<EntrySource>().notNull().default('studio'),
    revision: integer('revision').notNull(),
    updatedAtMs: timeMs('updated_at_ms').notNull(),
  },
  (table) => [uniqueIndex('one_entry_a_half_a_day').on(table.setId, table.day, table.half)],
);

/** What an entry said before a later one took its place. */
export const wearDayHistory = sqliteTable(
  'wear_day_history',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    wearDayId: text('wear_day_id')
      .notNull()
      .references(() => wearDays.id, { onDelete: 'cascade' }),
    entry: json<DayEntry>('entry').notNull(),
    ratedBy: text('rated_by'),
    source: text('source').$type<EntrySource>().notNull(),
    replacedAtMs: timeMs('replaced_at_ms').notNull(),
  },
  (table) => [index('history_by_day').on(table.wearDayId)],
);

/** How a style ended, and before that each half of a trial. */
export const outcomes = sqliteTable(
  'outcomes',
  {
    setId: text('set_id')
      .notNull()
      .references(() => sets.id, { onDelete: 'cascade' }),
    studioId: ofStudio(),
    half: text('half').$type<Half>().notNull().default('whole'),
    lastGoodDay: integer('last_good_day').notNull(),
    reason: text('reason').notNull(),
    wouldHaveGoneOn: integer('would_have_gone_on', { mode: 'boolean' }),
    note: text('note').notNull(),
    recalled: json<Recalled>('recalled'),
    createdAtMs: timeMs('created_at_ms').notNull(),
  },
  (table) => [primaryKey({ columns: [table.setId, table.half] })],
);
