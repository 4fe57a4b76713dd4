import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ofStudio } from './studios';

/** A set product on the shelf. */
export const products = sqliteTable(
  'products',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    name: text('name').notNull(),
    role: text('role').notNull(),
    waterShare: real('water_share'),
    hold: real('hold'),
    weight: real('weight'),
    hasProtein: integer('has_protein', { mode: 'boolean' }).notNull().default(false),
    leftG: real('left_g'),
  },
  (table) => [index('products_by_studio').on(table.studioId, table.role)],
);
