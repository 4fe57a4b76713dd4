import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Want } from '@/core/coefficients/wants';
import type { ChosenSchools } from '@/core/schools/schools';
import { json, timeMs } from './columns';
import { ofStudio } from './studios';

/** A person whose hair is set. Measurements are kept apart, by the day they were taken. */
export const heads = sqliteTable(
  'heads',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    name: text('name').notNull(),
    description: text('description').notNull(),
    notes: text('notes').notNull(),
    allergies: text('allergies').notNull(),
    skinTone: text('skin_tone').notNull(),
    hairTone: text('hair_tone').notNull(),
    /** Which school was taken on this head where practitioners differ, by question. */
    schools: json<ChosenSchools>('schools').notNull().default({}),
    /** What she likes of a set, what matters most first. */
    likes: json<Want[]>('likes').notNull().default([]),
    revision: integer('revision').notNull(),
    /** When it was put away; null while it is one of the heads of the day. */
    archivedAtMs: timeMs('archived_at_ms'),
    createdAtMs: timeMs('created_at_ms').notNull(),
    updatedAtMs: timeMs('updated_at_ms').notNull(),
  },
  (table) => [index('heads_by_studio').on(table.studioId, table.name)],
);
