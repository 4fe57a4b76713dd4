import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ofStudio } from './studios';

/** A fan, hood or diffuser that the studio dries with. */
export const dryers = sqliteTable(
  'dryers',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    kind: text('kind').notNull(),
    name: text('name').notNull(),
    /** At the hair. */
    airSpeedMS: real('air_speed_m_s').notNull(),
    /** At the hair, on the setting it is used on; null for a fan. */
    airC: real('air_c'),
    count: integer('count').notNull(),
    revision: integer('revision').notNull().default(1),
  },
  (table) => [index('dryers_by_studio').on(table.studioId, table.kind, table.name)],
);
