import { z } from 'zod';
import { DRYER_RANGES, LAYER_RANGES, TOOL_RANGES } from '@/core/formats/ranges';
import { CURRENCIES, MINOR_UNITS } from '@/core/formats/money';
import { neededNumber, neededWhole, typedDay, typedNumber } from '@/core/formats/typed-field';
import { choice } from '@/core/formats/field';
import { DRYER_KINDS } from '@/core/drying-methods/method';
import { SHELF_KIND_IDS } from '@/core/products/shelf-kind';
import { DRAWER_KIND_IDS } from '@/core/techniques/tool-kind';

const id = z.string().min(1).max(64);
const words = (most: number) => z.string().trim().max(most, `at most ${most} letters`);
const name = words(60).min(1, 'write a name');

/** What the form of a product holds, and what is kept of it. */
export const productForm = z
  .strictObject({
    name,
    role: choice('kind of product', SHELF_KIND_IDS),
    waterPercent: typedNumber('Water in it', 0, 100, '%'),
    hold: typedNumber('Hold', LAYER_RANGES.hold.low, LAYER_RANGES.hold.high),
    weight: typedNumber('Weight', LAYER_RANGES.weight.low, LAYER_RANGES.weight.high),
    hasProtein: z.boolean(),
    sizeG: typedNumber('Size', 1, 20_000, 'g'),
    price: typedNumber('Price', 0, 100_000),
    emptyG: typedNumber('Empty tub', 0, 5000, 'g'),
    openedOn: typedDay('Opened on'),
    useBy: typedDay('Use by'),
    notes: words(2000),
    ingredients: words(4000),
  })
  .refine(({ openedOn, useBy }) => !openedOn || !useBy || openedOn <= useBy, {
    path: ['useBy'],
    error: 'Use by: a day after it was opened',
  })
  .transform(({ waterPercent, price, ...card }) => ({
    ...card,
    waterShare: waterPercent === null ? null : waterPercent / 100,
    priceMinor: price === null ? null : Math.round(price * MINOR_UNITS),
  }));

const { diameterMm, workingLengthMm, owned } = TOOL_RANGES;
/** What the form of a tool holds. */
export const toolForm = z.strictObject({
  kind: choice('kind of tool', DRAWER_KIND_IDS),
  diameterMm: neededNumber('Diameter', diameterMm.low, diameterMm.high, 'mm'),
  workingLengthMm: neededNumber('Working length', workingLengthMm.low, workingLengthMm.high, 'mm'),
  owned: neededWhole('How many', owned.low, owned.high),
  swatch: z.string().regex(/^#[0-9a-f]{6}$/i, 'choose a colour'),
});

const { airSpeedMS, airC, count } = DRYER_RANGES;
/** What the form of a dryer holds, and what is kept of it. */
export const dryerForm = z
  .strictObject({
    kind: choice('kind of dryer', DRYER_KINDS),
    name,
    airSpeedMS: neededNumber('Air speed', airSpeedMS.low, airSpeedMS.high, 'm/s'),
    airC: typedNumber('Air temperature', airC.low, airC.high, '°C'),
    count: neededWhole('How many', count.low, count.high),
  })
  .refine(({ kind, airC: warmth }) => kind === 'fan' || warmth !== null, {
    path: ['airC'],
    error: 'Air temperature: what it blows at the hair, 20 to 75 °C',
  })
  .transform(({ airC: warmth, ...card }) => ({ ...card, airC: card.kind === 'fan' ? null : warmth }));

const hasTwice = (ids: readonly string[]) => new Set(ids).size < ids.length;

/** What the form of a mix holds. */
export const mixForm = z
  .strictObject({
    name,
    role: choice('kind of product', SHELF_KIND_IDS),
    parts: z
      .array(
        z.strictObject({
          productId: z.string().min(1, 'choose what goes in'),
          parts: neededNumber('Parts', 0.1, 1000),
        }),
      )
      .min(2, 'a mix has at least two ingredients')
      .max(12, 'at most twelve ingredients'),
    batchG: neededNumber('Batch', 1, 20_000, 'g'),
    keepsDays: neededWhole('Keeps', 1, 1000, 'days'),
    notes: words(2000),
  })
  .refine(({ parts }) => !hasTwice(parts.flatMap(({ productId }) => productId || [])), {
    path: ['parts'],
    error: 'the same ingredient stands twice; put its parts together',
  });

const saved = { id: id.nullable(), revision: z.int().min(0) };
export const saveProductInput = z.strictObject({ ...saved, card: productForm });
export const saveToolInput = z.strictObject({ ...saved, card: toolForm });
export const saveDryerInput = z.strictObject({ ...saved, card: dryerForm });
export const saveMixInput = z.strictObject({ ...saved, card: mixForm });
export const takeOffInput = z.strictObject({ kind: z.enum(['product', 'tool', 'dryer', 'mix']), id });
export const batchInput = z.strictObject({ mixId: id, batchG: neededNumber('Batch', 1, 20_000, 'g') });
export const currencyInput = z.strictObject({ currency: z.enum(CURRENCIES) });
export const weighInput = z
  .strictObject({
    id,
    /** What the scale said with the tub on it, less what it said empty, g. */
    grossG: z.number().min(-1).max(30_000),
    emptyG: neededNumber('Empty tub', 0, 5000, 'g'),
  })
  .refine(({ grossG, emptyG }) => grossG >= emptyG - 1, {
    path: ['emptyG'],
    error: 'the empty tub cannot weigh more than the tub with what is in it',
  });

export type ProductFormValues = z.input<typeof productForm>;
export type ToolFormValues = z.input<typeof toolForm>;
export type DryerFormValues = z.input<typeof dryerForm>;
export type MixFormValues = z.input<typeof mixForm>;
