import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { BriefInput } from '@/core/formats/brief';
import { json, timeMs } from './columns';
import { headMeasurements } from './head-measurements';
import { heads } from './heads';
import { ofStudio } from './studios';

/** A plan for one set. The brief keeps the head as it was measured then. */
export const plans = sqliteTable(
  'plans',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    headId: text('head_id')
      .notNull()
      .references(() => heads.id, { onDelete: 'cascade' }),
    measurementId: text('measurement_id')
      .notNull()
      .references(() => headMeasurements.id, { onDelete: 'cascade' }),
    title: text('title').notNull(),
    status: text('status').notNull(),
    brief: json<BriefInput>('brief').notNull(),
    /** Shelf product of each layer, in order; null where only the role is decided. */
    layerProductIds: json<(string | null)[]>('layer_product_ids').notNull(),
    revision: integer('revision').notNull(),
    createdAtMs: timeMs('created_at_ms').notNull(),
    updatedAtMs: timeMs('updated_at_ms').notNull(),
  },
  (table) => [index('plans_by_studio').on(table.studioId, table.status, table.updatedAtMs)],
);
