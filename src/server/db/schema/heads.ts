import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ChosenSchools } from '@/core/advice/schools';
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
    schools: text('schools', { mode: 'json' }).$type<ChosenSchools>().notNull().default({}),
    revision: integer('revision').notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    updatedAtMs: integer('updated_at_ms').notNull(),
  },
  (table) => [index('heads_by_studio').on(table.studioId, table.name)],
);
