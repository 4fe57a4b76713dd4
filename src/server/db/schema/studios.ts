import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { care } from '@/core/coefficients/care';
import type { HandId } from '@/core/coefficients/hands';
import type { DisplaySettings } from '@/core/formats/display';
import type { WeighedUnits } from '@/core/products/hand-units';
import { json, timeMs } from './columns';

/** A studio: everything else belongs to one. */
export const studios = sqliteTable('studios', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  timeZone: text('time_zone').notNull(),
  /** Grams of one pump, dime or teaspoon as weighed here; units left out are as usual. */
  handUnits: json<WeighedUnits>('hand_units').notNull().default({}),
  /** ISO 4217 code of the money that prices are in. */
  currency: text('currency').notNull().default('EUR'),
  /** How tightly hair is worked here. */
  hand: text('hand').$type<HandId>().notNull().default('usual'),
  /** How times, lengths and weights are shown here; what is left out is as usual. */
  display: json<Partial<DisplaySettings>>('display').notNull().default({}),
  /** Weeks from trim to trim that are usual here. */
  trimWeeks: integer('trim_weeks').notNull().default(care.value.trimWeeks),
  /** The secret part of the address that calendars read; null until one is asked for. */
  calendarKey: text('calendar_key'),
  /** The made-up studio that comes with the program. */
  isDemo: integer('is_demo', { mode: 'boolean' }).notNull().default(false),
  /** When it was put aside; null for the studio that is worked in. */
  asideAtMs: timeMs('aside_at_ms'),
  createdAtMs: timeMs('created_at_ms').notNull(),
});

/** The column that scopes a row to its studio. */
export const ofStudio = () =>
  text('studio_id')
    .notNull()
    .references(() => studios.id, { onDelete: 'cascade' });
