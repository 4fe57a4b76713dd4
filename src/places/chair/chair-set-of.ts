import { endsMethods, rootMethods } from '@/core/coefficients/root-and-ends';
import type { ForecastView } from '@/core/plan/forecast-view';
import { productRoles } from '@/core/products';
import { techniqueOf } from '@/core/techniques';
import type { ChairSet } from './chair-set';
import type { loadChair } from './queries';

type LoadedSet = NonNullable<Awaited<ReturnType<typeof loadChair>>>['set'];

const sentence = (words: string) =>
  words === '' ? '' : `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** Boils a set down to what the chair shows. */
export function chairSetOf(set: LoadedSet, view: ForecastView): ChairSet {
  const { technique: id, layers = [], rootMethod, endsMethod } = set.brief.set;
  const technique = techniqueOf(id);
  const root = rootMethods[rootMethod ?? technique.rootMethods[0]];
  const ends = endsMethods[endsMethod ?? technique.endsMethods[0]];
  const products = layers.map((layer) => productRoles[layer.role].label.toLowerCase()).join(', ');
  return {
    id: set.id,
    headName: set.headName,
    skinTone: set.skinTone,
    hairTone: set.hairTone,
    technique: id,
    setupLines: [
      products && `${sentence(products)} Ends twice.`,
      technique.chairLine,
      sentence(`${root.phrase}, ${ends.phrase}`),
    ].filter(Boolean),
    startedAtMs: set.startedAtMs,
    wearByMs: view.blocks.at(-1)?.endMs ?? null,
    sectionCount: set.sections.length,
    zoneOf: Object.fromEntries(view.plan.sections.map((section) => [section.number, section.zone])),
    events: set.events,
    checks: set.checks.map(({ id: checkId, sectionNumber, level, feel, atMs }) => ({
      id: checkId,
      sectionNumber,
      level,
      feel,
      atMs,
    })),
  };
}
