import { blob, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PhotoViewId } from '@/core/diary/photo';
import type { PhotoMeasureId, WorseId } from '@/core/diary/photo-measure';
import type { Zone } from '@/core/hair/zone';
import { json, timeMs } from './columns';
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
    /** Focal length as of film 36 mm wide, where the picture told it; all else that it told is not kept. */
    focal35Mm: real('focal_35_mm'),
    /** Ear tops, middle of the hairline and chin as somebody marked them, px: whether two pictures are of one view. */
    marks: json<readonly (readonly [number, number])[]>('view_marks'),
    takenAtMs: timeMs('taken_at_ms').notNull(),
    /** Smaller, for lists. */
    thumb: blob('thumb', { mode: 'buffer' }).notNull(),
    jpeg: blob('jpeg', { mode: 'buffer' }).notNull(),
  },
  (table) => [index('photos_by_day').on(table.setId, table.day)],
);

/** What was measured on a picture of a day. It stays when the picture is deleted. */
export const photoMeasures = sqliteTable(
  'photo_measures',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    setId: text('set_id')
      .notNull()
      .references(() => sets.id, { onDelete: 'cascade' }),
    photoId: text('photo_id').references(() => photos.id, { onDelete: 'set null' }),
    day: integer('day').notNull(),
    measure: text('measure').$type<PhotoMeasureId>().notNull(),
    zone: text('zone').$type<Zone>(),
    value: real('value').notNull(),
    sigma: real('sigma').notNull(),
    worse: json<readonly WorseId[]>('worse').notNull(),
    measuredAtMs: timeMs('measured_at_ms').notNull(),
  },
  (table) => [index('photo_measures_by_day').on(table.setId, table.day)],
);
