import { z } from 'zod';
import { ZONES } from '../hair/zone';

const number = z.number();
const spread = z.strictObject({ p10: number, p50: number, p90: number });
const reason = z.strictObject({ factor: z.string(), effect: number, text: z.string() });
const lookWithWhy = z.strictObject({ ...spread.shape, why: z.array(reason) });

/** A plan as it is written: every quantity with its spread, the unit in the key. */
export const planFile = z
  .strictObject({
    format: z.literal('keen-spiral/plan'),
    version: z.literal(1),
    hair: z.strictObject({ scalpAreaCm2: number, hairCount: number, dryMassG: number }),
    sections: z.array(
      z.strictObject({
        number: z.int(),
        zone: z.enum(ZONES),
        side: z.enum(['left', 'middle', 'right']),
        areaCm2: number,
        hairCount: number,
        order: z.int(),
      }),
    ),
    evenness: z.strictObject({ hairCountCv: number }),
    tool: z
      .strictObject({
        turns: number,
        layers: z.int(),
        fits: z.boolean(),
        smallestFittingDiameterMm: number,
        needed: z.int(),
        owned: z.int(),
        monthsUntilOutgrown: number,
      })
      .nullable(),
    handsOn: z.strictObject({
      partingMin: number.describe('part of installMin'),
      installMin: spread,
      takedownMin: number,
      separatingMin: number,
    }),
    doses: z.array(z.strictObject({ role: z.string(), grams: number, gramsPerSection: number })),
    drying: z.strictObject({
      dryAfterH: spread,
      rootDryAfterH: spread,
      endsDryAfterH: spread,
      chanceDryAtWearBy: number.nullable(),
      curve: z.array(z.strictObject({ afterH: number, chanceDry: number, waterPerDryG: number })),
      remistEveryMin: number.nullable(),
    }),
    result: z.strictObject({
      curlDiameterMm: number,
      visibleLengthCm: z.partialRecord(z.enum(ZONES), number),
      stretch: number,
      definition: lookWithWhy,
      volume: number,
    }),
    daysPresentable: lookWithWhy,
    schedule: z
      .array(
        z.strictObject({
          step: z.enum(['prep', 'install', 'dry', 'takedown', 'separate']),
          startAt: z.string(),
          endAt: z.string(),
          handsOn: z.boolean(),
          method: z.string().optional(),
        }),
      )
      .nullable(),
    cautions: z.array(
      z.strictObject({ code: z.string(), severity: z.enum(['note', 'warn', 'stop']), text: z.string() }),
    ),
  })
  .meta({ title: 'Keen Spiral plan, version 1' });

export type PlanFile = z.output<typeof planFile>;
