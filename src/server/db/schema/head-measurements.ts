import { index, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { json, timeMs } from './columns';
import { heads } from './heads';
import { ofStudio } from './studios';

/** What was measured on one day. Rows are added, never changed: plans and sets point at theirs. */
export const headMeasurements = sqliteTable(
  'head_measurements',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    headId: text('head_id')
      .notNull()
      .references(() => heads.id, { onDelete: 'cascade' }),
    measuredAtMs: timeMs('measured_at_ms').notNull(),
    circumferenceCm: real('circumference_cm').notNull(),
    densityPerCm2: real('density_per_cm2'),
    ponytailCircumferenceCm: real('ponytail_circumference_cm'),
    strandDiameterUm: real('strand_diameter_um').notNull(),
    naturalCoilDiameterMm: real('natural_coil_diameter_mm').notNull(),
    shrinkage: real('shrinkage').notNull(),
    porosity: text('porosity').notNull(),
    conditions: json<string[]>('conditions').notNull(),
    /** Own coil where it differs, by zone. */
    zoneCoilMm: json<Partial<Record<string, number>>>('zone_coil_mm').notNull().default({}),
    /** Fields that nobody measured: what stands there is what is usual. */
    notKnown: json<string[]>('not_known').notNull().default([]),
  },
  (table) => [index('measurements_by_head').on(table.headId, table.measuredAtMs)],
);

/** Stretched length of each zone in a measurement. */
export const zoneMeasurements = sqliteTable(
  'zone_measurements',
  {
    measurementId: text('measurement_id')
      .notNull()
      .references(() => headMeasurements.id, { onDelete: 'cascade' }),
    studioId: ofStudio(),
    zone: text('zone').notNull(),
    stretchedLengthCm: real('stretched_length_cm').notNull(),
  },
  (table) => [primaryKey({ columns: [table.measurementId, table.zone] })],
);
