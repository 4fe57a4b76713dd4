import type { BriefInput } from '../formats/brief';
import { fieldErrors, type Checked } from '../formats/field-error';
import { USUAL_HEAD } from '../formats/ranges';
import { readBrief } from '../formats/read-brief';
import { wishInput } from '../formats/wish';
import { dryingMethods, DRYING_METHOD_IDS } from '../drying-methods';
import { withOutput } from '../drying-methods/method';
import { KNOWABLE, type Knowable } from '../hair/head';
import { TECHNIQUE_IDS } from '../techniques';
import type { Wish } from './ask';
import type { Means } from './means';

/** A wish, checked and complete, and the brief that its suggestions are written into. */
export interface ReadWish {
  readonly wish: Wish;
  readonly told: BriefInput;
}

/** Ways to dry that a studio usually has. */
const USUAL_DRYING = DRYING_METHOD_IDS.filter((id) => dryingMethods[id].dryer !== 'fan');

function readMeans({ shelf, allergies }: ReturnType<typeof wishInput.parse>): Means {
  return {
    techniques: TECHNIQUE_IDS,
    allergies,
    products:
      shelf.products?.map((product, i) => ({
        id: product.id ?? `${i}`,
        name: product.name,
        role: product.role,
        waterShare: product.waterShare ?? null,
        hold: product.hold ?? null,
        weight: product.weight ?? null,
        hasProtein: product.protein,
        ingredients: product.ingredients,
        leftG: product.gramsLeft ?? null,
        minorPerG: product.priceMinorPerG ?? null,
        isOut: product.unusable,
        useBy: product.useBy ?? null,
      })) ?? null,
    tools: shelf.tools ?? null,
    drying: (shelf.drying ?? USUAL_DRYING).map((way) =>
      typeof way === 'string' ? dryingMethods[way] : withOutput(dryingMethods[way.method], way),
    ),
  };
}

/**
 * Reads a wish of the open format. What is left out of the head is not known: the usual stands in its place.
 *
 * @returns the wish, or what to change, field by field
 */
export function readWish(raw: unknown): Checked<ReadWish> {
  const parsed = wishInput.safeParse(raw, { reportInput: true });
  if (!parsed.success) return { ok: false, errors: fieldErrors(parsed.error) };
  const input = parsed.data;
  const given = (raw as { head: Record<string, unknown> }).head;
  const isKnown = (field: Knowable) =>
    given[field] !== undefined || (field === 'densityPerCm2' && given.ponytailCircumferenceCm !== undefined);
  const notKnown = KNOWABLE.filter((field) => !isKnown(field) || input.head.notKnown?.includes(field));
  const { head, room, timeZone, wearBy, startAt, sleep, pace, dryingRate, seed, hand, part } = input;
  const { learnt, asIfUnknown, corrections } = input;
  const told: BriefInput = {
    format: 'keen-spiral/brief',
    version: 1,
    head: { ...head, stretchedLengthCm: head.stretchedLengthCm ?? USUAL_HEAD.stretchedLengthCm, notKnown },
    set: { technique: TECHNIQUE_IDS[0]!, sections: 18, hand },
    parting: { part },
    room,
    ...(sleep ? { sleep } : {}),
    ...(timeZone === undefined ? {} : { timeZone }),
    ...(wearBy === undefined ? {} : { wearBy }),
    ...(startAt === null || startAt === undefined ? {} : { startAt }),
    pace,
    dryingRate,
    ...(learnt ? { learnt } : {}),
    asIfUnknown,
    ...(corrections ? { corrections } : {}),
    seed,
  };
  const brief = readBrief(told);
  if (!brief.ok) return brief;
  return {
    ok: true,
    value: {
      told,
      wish: {
        base: brief.value,
        wants: input.wants,
        technique: input.technique,
        handsOnMaxMin: input.handsOnHours === null ? null : input.handsOnHours * 60,
        sureness: input.sureness,
        means: readMeans(input),
        schools: input.schools,
        past: input.past,
      },
    },
  };
}
