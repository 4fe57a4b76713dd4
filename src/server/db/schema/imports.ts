import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { TableId } from '@/core/tables/table';
import { json, timeMs } from './columns';
import { ofStudio } from './studios';

/** A table that was taken in: enough to take it back. */
export const imports = sqliteTable('imports', {
  id: text('id').primaryKey(),
  studioId: ofStudio(),
  table: text('table_id').$type<TableId>().notNull(),
  fileName: text('file_name').notNull(),
  begunAtMs: timeMs('begun_at_ms').notNull(),
  /** When it was taken back; null while it stands. */
  undoneAtMs: timeMs('undone_at_ms'),
});

/** Rows that an import made or changed. */
export const importedRows = sqliteTable(
  'imported_rows',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    importId: text('import_id')
      .notNull()
      .references(() => imports.id, { onDelete: 'cascade' }),
    studioId: ofStudio(),
    rowId: text('row_id').notNull(),
    setId: text('set_id').notNull(),
    /** The row as it was; null where the import made it. */
    before: json<Record<string, unknown>>('before'),
    /** Its revision after the import: what was edited since is not taken back. */
    revision: integer('revision').notNull(),
  },
  (table) => [index('imported_rows_by_import').on(table.importId, table.rowId)],
);
