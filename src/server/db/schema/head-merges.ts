import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { json, timeMs } from './columns';
import { heads } from './heads';
import { ofStudio } from './studios';

/** What of one entry was moved to another, by id: enough to part them again. */
export interface MovedRows {
  readonly measurements: readonly string[];
  readonly plans: readonly string[];
  readonly sets: readonly string[];
  /** Missing in merges of before care was written down. */
  readonly care?: readonly string[];
}

/** Two entries of the same person made one. */
export const headMerges = sqliteTable(
  'head_merges',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    keptId: text('kept_id')
      .notNull()
      .references(() => heads.id, { onDelete: 'cascade' }),
    mergedId: text('merged_id')
      .notNull()
      .references(() => heads.id, { onDelete: 'cascade' }),
    moved: json<MovedRows>('moved').notNull(),
    mergedAtMs: timeMs('merged_at_ms').notNull(),
  },
  (table) => [index('merges_by_kept').on(table.keptId)],
);
