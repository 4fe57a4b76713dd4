import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ofStudio } from './studios';

/** A kind and size of tool that the studio owns. */
export const tools = sqliteTable(
  'tools',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    kind: text('kind').notNull(),
    diameterMm: real('diameter_mm').notNull(),
    workingLengthMm: real('working_length_mm').notNull(),
    owned: integer('owned').notNull(),
    swatch: text('swatch').notNull(),
    revision: integer('revision').notNull().default(1),
  },
  (table) => [index('tools_by_studio').on(table.studioId, table.kind, table.diameterMm)],
);
