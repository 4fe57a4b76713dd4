import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { MixPart } from '@/core/shelf/mix';
import { json } from './columns';
import { ofStudio } from './studios';

/** A studio's own mix: what goes in, how much is made at once, and how long it keeps. */
export const mixes = sqliteTable(
  'mixes',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    name: text('name').notNull(),
    role: text('role').notNull(),
    parts: json<MixPart[]>('parts').notNull(),
    batchG: real('batch_g').notNull(),
    keepsDays: integer('keeps_days').notNull(),
    notes: text('notes').notNull(),
    revision: integer('revision').notNull(),
  },
  (table) => [index('mixes_by_studio').on(table.studioId, table.name)],
);
