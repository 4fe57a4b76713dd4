import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { CareKindId } from '@/core/care/due';
import { timeMs } from './columns';
import { heads } from './heads';
import { sets } from './sets';
import { ofStudio } from './studios';

/** What was done to hair between sets. */
export const careLog = sqliteTable(
  'care_log',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    headId: text('head_id')
      .notNull()
      .references(() => heads.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<CareKindId>().notNull(),
    /** YYYY-MM-DD on the calendar of the studio. */
    date: text('date').notNull(),
    /** What came off, mm; null for anything but scissors, or where nobody said. */
    cutMm: real('cut_mm'),
    note: text('note').notNull(),
    createdAtMs: timeMs('created_at_ms').notNull(),
  },
  (table) => [index('care_by_head').on(table.headId, table.date)],
);

/** The diary that went home with a set: what its entries are signed with. */
export const takeHomeDiaries = sqliteTable(
  'take_home_diaries',
  {
    /** Short: it is part of a code that a camera reads. */
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    setId: text('set_id')
      .notNull()
      .references(() => sets.id, { onDelete: 'cascade' }),
    signingKey: text('signing_key').notNull(),
    madeAtMs: timeMs('made_at_ms').notNull(),
  },
  (table) => [uniqueIndex('one_diary_a_set').on(table.setId)],
);

/** Events that calendars were given, so that one that falls away can be called off there too. */
export const calendarEvents = sqliteTable(
  'calendar_events',
  {
    uid: text('uid').primaryKey(),
    studioId: ofStudio(),
    date: text('date').notNull(),
    summary: text('summary').notNull(),
    /** Counts the changes, as calendars do. */
    sequence: integer('sequence').notNull(),
    isCancelled: integer('is_cancelled', { mode: 'boolean' }).notNull(),
    changedAtMs: timeMs('changed_at_ms').notNull(),
  },
  (table) => [index('calendar_by_studio').on(table.studioId)],
);
