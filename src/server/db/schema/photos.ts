import { blob, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PhotoViewId } from '@/core/diary/photo';
import { timeMs } from './columns';
import { sets } from './sets';
import { ofStudio } from './studios';

/** Pictures of a style that is worn. They are in the file like all else, and nothing is known of them but this. */
export const photos = sqliteTable(
  'photos',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    setId: text('set_id')
      .notNull()
      .references(() => sets.id, { onDelete: 'cascade' }),
    /** Days since the takedown. */
    day: integer('day').notNull(),
    view: text('view').$type<PhotoViewId>().notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    takenAtMs: timeMs('taken_at_ms').notNull(),
    /** Smaller, for lists. */
    thumb: blob('thumb', { mode: 'buffer' }).notNull(),
    jpeg: blob('jpeg', { mode: 'buffer' }).notNull(),
  },
  (table) => [index('photos_by_day').on(table.setId, table.day)],
);
