import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { WeighedUnits } from '@/core/products/hand-units';

/** A studio: everything else belongs to one. */
export const studios = sqliteTable('studios', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  timeZone: text('time_zone').notNull(),
  /** Grams of one pump, dime or teaspoon as weighed here; units left out are as usual. */
  handUnits: text('hand_units', { mode: 'json' }).$type<WeighedUnits>().notNull().default({}),
  /** ISO 4217 code of the money that prices are in. */
  currency: text('currency').notNull().default('EUR'),
  createdAtMs: integer('created_at_ms').notNull(),
});

/** The column that scopes a row to its studio. */
export const ofStudio = () =>
  text('studio_id')
    .notNull()
    .references(() => studios.id, { onDelete: 'cascade' });
