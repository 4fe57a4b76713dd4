import { z } from 'zod';
import { CAUTION_PHASES } from '../advice/caution';
import { DRYING_METHOD_IDS } from '../drying-methods';
import { WINDINGS } from '../parting/winding';
import { SIDES } from '../hair/half';
import { ZONES } from '../hair/zone';
import { QUADRANTS } from '../parting/quadrant';
import { HAND_UNIT_IDS } from '../products/hand-units';

const number = z.number();
const spread = z.strictObject({ p10: number, p50: number, p90: number });
const range = z.strictObject({ p10: number, p90: number });
const reason = z.strictObject({ factor: z.string(), effect: number, text: z.string() });
const lookWithWhy = z.strictObject({ ...spread.shape, why: z.array(reason) });

const visibleLengthCm = z.partialRecord(z.enum(ZONES), number);

/** Curl and look of a set once it is taken down, and how they fade. */
const resultShape = z.strictObject({
  curlDiameterMm: number,
  rootCurlDiameterMm: number,
  tipCurlDiameterMm: number,
  visibleLengthCm,
  stretch: number,
  curlWhy: z.array(reason).describe('factors on how much of the set stays'),
  definition: lookWithWhy,
  frizz: lookWithWhy,
  volume: number,
  volumeWhy: z.array(reason),
  ranges: z
    .strictObject({ curlDiameterMm: range, stretch: range, volume: range })
    .optional()
    .describe('of what is expected at takedown; missing in forecasts of before'),
  byDay: z.array(
    z.strictObject({
      day: z.int(),
      definition: number,
      frizz: number,
      volume: number,
      curlDiameterMm: number,
      stretch: number,
      visibleLengthCm,
      zoneCurlDiameterMm: visibleLengthCm,
    }),
  ),
});

/** What comes of one half of a trial. */
const halfShape = z.strictObject({ result: resultShape, daysPresentable: lookWithWhy });

/** A plan as it is written: every quantity with its spread, the unit in the key. */
export const planFile = z
  .strictObject({
    format: z.literal('keen-spiral/plan'),
    version: z.literal(1),
    brief: z
      .record(z.string(), z.unknown())
      .optional()
      .describe('the brief it was worked out from, where it is carried along so that it can be opened again'),
    hair: z.strictObject({ scalpAreaCm2: number, hairCount: number, dryMassG: number }),
    sections: z.array(
      z.strictObject({
        number: z.int(),
        zone: z.enum(ZONES),
        side: z.enum(['left', 'middle', 'right']),
        areaCm2: number,
        hairCount: number,
        order: z.int(),
        technique: z.string(),
        toolDiameterMm: number.nullable().optional().describe('its own tool; null without one'),
        winding: z.enum(WINDINGS).optional().describe('which way it is wound, seen from behind'),
        doseFactor: number.optional().describe('times the dose that its hair would get; 1 where left out'),
        without: z.array(z.string()).optional().describe('products that do not go on it, by role'),
      }),
    ),
    zones: z
      .array(
        z.strictObject({
          zone: z.enum(ZONES),
          technique: z.string(),
          sections: z.int(),
          lengthCm: number,
          problem: z.strictObject({ code: z.string(), text: z.string() }).nullable(),
          proposals: z.array(
            z.strictObject({
              technique: z.string(),
              toolDiameterMm: number.nullable(),
              sections: z.int().nullable(),
              text: z.string(),
            }),
          ),
        }),
      )
      .describe(
        'whether the hair of each zone can carry what is planned there, and what could be done if not',
      ),
    evenness: z.strictObject({ hairCountCv: number }),
    tool: z
      .strictObject({
        kind: z.string(),
        turns: number,
        layers: z.int(),
        fits: z.boolean(),
        smallestFittingDiameterMm: number,
        needed: z.int(),
        owned: z.int(),
        monthsUntilOutgrown: number,
      })
      .nullable(),
    tools: z
      .array(
        z.strictObject({
          kind: z.string(),
          diameterMm: number,
          workingLengthMm: number,
          needed: z.int(),
          owned: z.int(),
        }),
      )
      .describe('every size the plan takes, over all zones'),
    handsOn: z.strictObject({
      prepMin: number.describe('before the set, hands-free waits left out'),
      partingMin: number.describe('part of installMin'),
      installMin: spread,
      takedownMin: number,
      separatingMin: number,
      why: z.array(reason).describe('minutes of installMin'),
    }),
    doses: z.array(
      z.strictObject({
        role: z.string(),
        grams: number,
        gramsPerSection: number.describe('of the sections it goes on'),
        zones: z
          .array(z.enum(ZONES))
          .optional()
          .describe('the only zones it goes on; everywhere when left out'),
        half: z.enum(SIDES).optional().describe('the only half it goes on, of two that are compared'),
        recommendedGrams: number,
        amount: z.enum(['little', 'right', 'much']),
        inHands: z.strictObject({ unit: z.enum(HAND_UNIT_IDS), amount: number }),
        leftAfterWashGrams: number,
      }),
    ),
    drying: z.strictObject({
      dryAfterH: spread,
      rootDryAfterH: spread,
      endsDryAfterH: spread,
      chanceDryAtWearBy: number.nullable(),
      sureUnder: z
        .strictObject({ method: z.enum(DRYING_METHOD_IDS), moreMin: number.nullable() })
        .nullable()
        .optional()
        .describe(
          'blown air before the takedown that would make it 9 in 10 sure, minutes more than planned; null minutes where no sitting does; null where it is sure, and in the quick estimate',
        ),
      curve: z.array(z.strictObject({ afterH: number, chanceDry: number, waterPerDryG: number })),
      remistEveryMin: number.nullable(),
      waiting: z
        .array(
          z.strictObject({
            quadrant: z.enum(QUADRANTS),
            fromMin: number,
            untilMin: number,
            endsDryMin: number.nullable(),
            mistAtMin: z.array(number),
          }),
        )
        .describe('each clipped-away quarter: when it is worked, and when it wants misting first'),
      why: z
        .array(reason)
        .describe('hours later or sooner than with each thing as usual; empty in the quick estimate'),
      draws: z.int().describe('heads drawn for the spread; 0 for the quick estimate'),
    }),
    result: resultShape,
    daysPresentable: lookWithWhy,
    halves: z
      .strictObject({ left: halfShape, right: halfShape })
      .optional()
      .describe('either half for itself, where two are compared whose layers differ'),
    trade: z
      .strictObject({
        installMin: number,
        dryAfterH: number,
        definition: number,
        stretch: number,
        daysPresentable: number,
      })
      .optional()
      .describe('middles as most heads would have them; missing where nothing was learnt of this one'),
    schedule: z
      .array(
        z.strictObject({
          step: z.enum(['prep', 'install', 'dry', 'takedown', 'separate']),
          startAt: z.string(),
          endAt: z.string(),
          handsOn: z.boolean(),
          method: z.string().optional(),
          part: z.string().optional().describe('which step of preparing'),
          product: z.string().optional().describe('what it is done with'),
        }),
      )
      .nullable(),
    cautions: z.array(
      z.strictObject({
        code: z.string(),
        severity: z.enum(['note', 'warn', 'stop']),
        shows: z.array(z.enum(CAUTION_PHASES)),
        text: z.string(),
        turnTo: z.string().optional(),
      }),
    ),
  })
  .meta({ title: 'Keen Spiral plan, version 1' });

export type PlanFile = z.output<typeof planFile>;
