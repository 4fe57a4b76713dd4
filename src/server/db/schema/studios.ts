import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** A studio: everything else belongs to one. */
export const studios = sqliteTable('studios', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  timeZone: text('time_zone').notNull(),
  createdAtMs: integer('created_at_ms').notNull(),
});

/** The column that scopes a row to its studio. */
export const ofStudio = () =>
  text('studio_id')
    .notNull()
    .references(() => studios.id, { onDelete: 'cascade' });
