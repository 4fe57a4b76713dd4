import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { timeMs } from './columns';
import { mixes } from './mixes';
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
    /** Left at the last weighing. */
    leftG: real('left_g'),
    /** Planned doses of the sets begun since that weighing. */
    usedSinceG: real('used_since_g').notNull().default(0),
    weighedAtMs: timeMs('weighed_at_ms'),
    /** The tub or bottle with nothing in it. */
    emptyG: real('empty_g'),
    sizeG: real('size_g'),
    /** Price of a full one in the studio's money, minor units. */
    priceMinor: integer('price_minor'),
    /** ISO dates of the studio's calendar. */
    openedOn: text('opened_on'),
    useBy: text('use_by'),
    notes: text('notes').notNull().default(''),
    ingredients: text('ingredients').notNull().default(''),
    /** The mix it was mixed by; null for what was bought. */
    mixId: text('mix_id').references(() => mixes.id, { onDelete: 'set null' }),
    revision: integer('revision').notNull().default(1),
  },
  (table) => [index('products_by_studio').on(table.studioId, table.role)],
);
