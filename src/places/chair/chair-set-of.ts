import { dueCautions, momentOf } from '@/core/advice/cautions';
import { DRYING_METHOD_IDS, dryingMethods, type DryingMethodId } from '@/core/drying-methods';
import type { DryingMethod } from '@/core/drying-methods/method';
import { prepSteps } from '@/core/coefficients/prep-steps';
import { endsMethods, rootMethods } from '@/core/coefficients/root-and-ends';
import { whyOf } from '@/core/explain/why-of';
import { learntWords } from '@/ui/known/known-of-her';
import { readBrief } from '@/core/formats/read-brief';
import { perZone, ZONES } from '@/core/hair/zone';
import type { Brief } from '@/core/brief/brief';
import type { ForecastView } from '@/core/plan/forecast-view';
import { afterWords, windingWords, workedWords } from '@/core/plan/how-words';
import { productRoles } from '@/core/products';
import { goesOn } from '@/core/products/layer';
import { techniqueOf } from '@/core/techniques';
import { sentence } from '@/core/words/words';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { chairSections } from './chair-sections';
import type { ChairCaution, ChairLayer, ChairPrep, ChairSet, ChairSetBase } from './chair-set';
import type { loadChair } from './queries';

type LoadedChair = NonNullable<Awaited<ReturnType<typeof loadChair>>>;

/** Cautions of the plan that belong here, and what the calendar adds: a set that has been in too long. */
function cautionsOf(
  brief: Brief,
  daysInSet: number,
  view: ForecastView,
  phase: 'setting' | 'drying',
): ChairCaution[] {
  const known = new Set(view.plan.cautions.map(({ code }) => code));
  const byCalendar = dueCautions({ brief, facts: null, daysInSet }).filter(({ code }) => !known.has(code));
  return [...byCalendar, ...view.plan.cautions]
    .filter(({ shows }) => shows.includes(phase))
    .map(({ code, text, turnTo }) => ({
      text: turnTo ? `${text} Ask ${turnTo}.` : text,
      moment: momentOf(code),
    }));
}

/** The steps before the set: as they lie in its day, with the waits that follow from its start, else as planned. */
function prepOf({ prep }: Brief, { blocks }: ForecastView): ChairPrep[] {
  const laid = blocks.flatMap(({ step, part, startMs, endMs, handsOn, product }): ChairPrep[] =>
    step === 'prep' && part
      ? [{ step: part, minutes: (endMs - startMs) / MINUTE_MS, handsOn, product: product ?? null }]
      : [],
  );
  if (laid.length > 0) return laid;
  return (prep ?? []).map(({ step, minutes, product }) => ({
    step,
    minutes,
    handsOn: prepSteps[step].handsOn,
    product,
  }));
}

/** How a set is finished, as the plan has it. */
function finishOf(brief: Brief): ChairSet['finish'] {
  const { hands, separations, fluffing } = brief.wear;
  const lengths = brief.head.stretchedLengthCm;
  return {
    hands,
    undoLines: perZone((zone) => techniqueOf(brief.zones[zone].technique).takedownLine),
    separations,
    fluffing,
    after: afterWords(brief),
    longestZone: ZONES.filter((zone) => zone !== 'crown').reduce((longest, zone) =>
      lengths[zone] > lengths[longest] ? zone : longest,
    ),
  };
}

/** A set that is begun so much after its day was to begin is done on another day, h. */
const ANOTHER_DAY_H = 6;

/** When a set was planned to be in: so long after it was begun as it takes, or as its day was laid out if that is sooner. */
function plannedInMs({ forecast, sections, startedAtMs }: LoadedChair['set']): number {
  const workMin = sections.reduce((sum, { plannedMin }) => sum + plannedMin, forecast.handsOn.prepMin);
  const fromStartMs = startedAtMs + workMin * MINUTE_MS;
  const laid = forecast.schedule?.find(({ step }) => step === 'install');
  const laidMs = laid ? Date.parse(laid.endAt) : Infinity;
  return fromStartMs - laidMs > ANOTHER_DAY_H * HOUR_MS ? fromStartMs : Math.min(fromStartMs, laidMs);
}

/** Ways of drying that are offered: those of the plan, and those that the studio has what it takes for. */
function waysToDry({ drying }: Brief, dryers: LoadedChair['dryers']): DryingMethodId[] {
  return DRYING_METHOD_IDS.filter((id) => {
    const method: DryingMethod = dryingMethods[id];
    if (drying.some((step) => step.method.id === id)) return true;
    const isThere = dryers.length === 0 || dryers.some(({ kind }) => kind === method.dryer);
    return !method.isManner && (method.dryer === null || isThere);
  });
}

/**
 * Boils a set down to what the chair shows.
 *
 * @throws Error when the brief cannot be read, which loading has ruled out
 */
export function chairSetOf({
  set,
  view,
  drawn,
  doses,
  begunBrief,
  partedBrief,
  dryCourse,
  dryers,
  schools,
  products,
  tools,
  handUnits,
  phoneUrl,
  nowMs,
}: LoadedChair): ChairSet {
  const read = readBrief(set.brief);
  if (!read.ok) throw new Error('the brief of a set at the chair cannot be read');
  const brief = read.value;
  const daysInSet = set.installedAtMs === null ? 0 : (nowMs - set.installedAtMs) / DAY_MS;
  const base: ChairSetBase = {
    id: set.id,
    phoneUrl,
    headName: set.headName,
    skinTone: set.skinTone,
    hairTone: set.hairTone,
    technique: brief.set.technique,
    techniqueLabel: techniqueOf(brief.set.technique).label,
    noun: techniqueOf(brief.set.technique).noun,
    setupLines: perZone((zone) => {
      const { technique, rootMethod, endsMethod } = brief.zones[zone];
      return [
        brief.set.layers.some((layer) => goesOn(layer, { zone })) &&
          'Products ends first, and over the ends again.',
        techniqueOf(technique).chairLine,
        sentence(`${rootMethods[rootMethod].phrase}, ${endsMethods[endsMethod].phrase}`),
        ...workedWords(brief, technique).map(sentence),
        sentence(windingWords(brief)),
        brief.note,
      ].filter((words): words is string => Boolean(words));
    }),
    howOf: perZone((zone) => {
      const { technique, rootMethod, endsMethod } = brief.zones[zone];
      return { technique, rootMethod, endsMethod };
    }),
    startedAtMs: set.startedAtMs,
    installedAtMs: set.installedAtMs,
    wearByMs: view.blocks.at(-1)?.endMs ?? null,
    plannedInMs: plannedInMs(set),
    takedownMs: view.blocks.find(({ step }) => step === 'takedown')?.startMs ?? null,
    plannedCount: set.sections.length,
    prep: prepOf(brief, view),
    layers: brief.set.layers.map((layer, i): ChairLayer => {
      const product = products.find(({ id }) => id === set.layerProductIds[i]);
      const kept = productRoles[layer.role];
      const kind = kept.label;
      return {
        role: layer.role,
        name: product?.name ?? kind,
        what: product ? kind.toLowerCase() : '',
        unit: kept.handUnit,
        // The shelf has counted the dose of this set as used when it was begun.
        atStartG:
          product === undefined || product.leftG === null
            ? null
            : Math.max(0, product.leftG - product.usedSinceG) + (view.plan.doses[i]?.grams ?? 0),
        isMixedIn: layer.inHand ?? false,
      };
    }),
    handUnits,
    cautions: {
      setting: cautionsOf(brief, daysInSet, view, 'setting'),
      drying: cautionsOf(brief, daysInSet, view, 'drying'),
    },
    why: { handsOn: whyOf(set.forecast, 'handsOn'), dry: whyOf(set.forecast, 'dry') },
    known: {
      handsOn: learntWords(set.forecast, 'handsOn'),
      dry: learntWords(set.forecast, 'dry'),
    },
    events: set.events,
    toolOf: perZone((zone) => brief.zones[zone].tool?.kind ?? null),
    tools: tools.map(({ kind, diameterMm, owned, swatch }) => ({ kind, diameterMm, owned, swatch })),
    allergies: set.allergies,
    school: schools.fluffing === 'roots-first' ? 'roots-first' : 'separate-first',
    finish: finishOf(brief),
    begunBrief,
    partedBy: set.run.parting.edits.map(({ id }) => id),
    dryCourse,
    waysToDry: waysToDry(brief, dryers),
    isCancelled: set.cancelledAtMs !== null,
  };
  return { ...base, ...chairSections(base, { view, drawn, doses, brief: partedBrief }) };
}
