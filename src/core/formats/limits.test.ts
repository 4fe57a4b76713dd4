import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { LEARNT_OUTCOMES } from '../coefficients/evidence';
import { layoutFor } from '../plan/layout-for';
import { briefInput, type BriefInput } from './brief';
import { readBrief } from './read-brief';
import { isTimeMs, MAX_TIME_MS } from './time-bounds';

type Json = Record<string, unknown>;
/** A panel of lines, as this test bends it. */
interface RecipePanel {
  rowLines: number[];
  cuts: number[][];
}

const ROD_SET = { technique: 'rod-set', rootMethod: 'plain', endsMethod: 'pasted' } as const;
const SIZE = { diameterMm: 16, workingLengthMm: 80, owned: 30 };
const LEARNT = { shift: 0, spread: 1, sd: 0.5, sets: 2, worth: 1 };
const TOOL = { ...SIZE, alternate: { ...SIZE, diameterMm: 20 } };
/** A brief that says everything that has a range. */
const full = (): BriefInput =>
  aBrief({
    head: { densityPerCm2: 165, ponytailCircumferenceCm: 8 },
    set: {
      ...ROD_SET,
      sections: 24,
      sectionSideCm: 6,
      tool: TOOL,
      knot: { turns: 2 },
      layers: [{ role: 'gel', grams: 20, waterShare: 0.8, hold: 3, weight: 2 }],
      zones: { front: { sections: 4, tool: TOOL } },
    },
    brief: {
      parting: { zoneSize: { front: 1 } },
      prep: [{ step: 'cleanse', minutes: 10 }],
      drying: [{ method: 'air', hours: 4, airSpeedMS: 1, airC: 40 }],
      pace: { median: 1, lnSd: 0.1 },
      dryingRate: { median: 1, lnSd: 0.1 },
      learnt: { others: Object.fromEntries(LEARNT_OUTCOMES.map((id) => [id, LEARNT])) },
      corrections: {
        dry: { shift: 0, slope: 1 },
        widths: { days: 1, definition: 1, stretch: 1, pace: 1 },
      },
      draws: 10,
      seed: 1,
    },
  });

function at(path: string, value: unknown): unknown {
  const brief = structuredClone(full()) as unknown as Json;
  const keys = path.split('.');
  const last = keys.pop()!;
  let inner = brief;
  for (const key of keys) inner = inner[key] as Json;
  inner[last] = value;
  return brief;
}
/** Whether a brief is refused for what stands at a path. */
const isRefused = (path: string, value: unknown): boolean => {
  const read = readBrief(at(path, value));
  return !read.ok && read.errors.some((error) => error.path.startsWith(path));
};

/** Every range of the format (its page, docs/model, and common practice), with the step that is just outside. */
const RANGES: readonly (readonly [path: string, low: number, high: number, step: number])[] = [
  ['head.circumferenceCm', 46, 66, 0.1],
  ['head.densityPerCm2', 40, 350, 1],
  ['head.ponytailCircumferenceCm', 1, 25, 0.1],
  ['head.strandDiameterUm', 35, 120, 1],
  ['head.naturalCoilDiameterMm', 0.5, 60, 0.1],
  ['head.shrinkage', 0, 0.92, 0.01],
  ['head.stretchedLengthCm', 1, 120, 0.1],
  ['set.sections', 2, 600, 1],
  ['set.sectionSideCm', 1, 20, 0.1],
  ['set.knot.turns', 1, 6, 1],
  ['set.tool.diameterMm', 3, 80, 0.1],
  ['set.tool.workingLengthMm', 20, 600, 1],
  ['set.tool.owned', 0, 1000, 1],
  ['set.tool.alternate.diameterMm', 3, 80, 0.1],
  ['set.tool.alternate.workingLengthMm', 20, 600, 1],
  ['set.tool.alternate.owned', 0, 1000, 1],
  ['set.layers.0.grams', 0, 500, 1],
  ['set.layers.0.waterShare', 0, 1, 0.01],
  ['set.layers.0.hold', 0, 5, 0.1],
  ['set.layers.0.weight', 0, 5, 0.1],
  ['set.zones.front.sections', 1, 600, 1],
  ['set.zones.front.tool.diameterMm', 3, 80, 0.1],
  ['set.zones.front.tool.workingLengthMm', 20, 600, 1],
  ['set.zones.front.tool.owned', 0, 1000, 1],
  ['set.zones.front.tool.alternate.diameterMm', 3, 80, 0.1],
  ['set.zones.front.tool.alternate.workingLengthMm', 20, 600, 1],
  ['set.zones.front.tool.alternate.owned', 0, 1000, 1],
  ['parting.backRows', 1, 12, 1],
  ['parting.zoneSize.front', 0.4, 2.5, 0.01],
  ['wear.separations', 1, 8, 1],
  ['wear.fluffing', 0, 3, 1],
  ['room.temperatureC', 5, 45, 0.1],
  ['room.relativeHumidity', 0, 1, 0.01],
  ['room.dewPointOutsideC', -30, 35, 0.1],
  ['prep.0.minutes', 1, 240, 1],
  ['drying.0.hours', 0.05, 96, 0.01],
  ['drying.0.airSpeedMS', 0.2, 8, 0.01],
  ['drying.0.airC', 20, 75, 0.1],
  ['pace.median', 0.3, 3, 0.01],
  ['pace.lnSd', 0, 1, 0.01],
  ['dryingRate.median', 0.3, 3, 0.01],
  ['dryingRate.lnSd', 0, 1, 0.01],
  ...LEARNT_OUTCOMES.flatMap((id) => {
    const reach = id === 'definition' ? 10 : id === 'stretch' ? 100 : 2.4;
    const of = (key: string) => `learnt.others.${id}.${key}`;
    return [
      [of('shift'), -reach, reach, 0.01],
      [of('spread'), 0.05, 5, 0.01],
      [of('sd'), 0, reach, 0.01],
      [of('sets'), 0, 100_000, 1],
      [of('worth'), 0, 100_000, 0.1],
    ] as const;
  }),
  ['corrections.dry.shift', -10, 10, 0.1],
  ['corrections.dry.slope', 0.05, 5, 0.01],
  ['corrections.widths.days', 0.2, 5, 0.01],
  ['corrections.widths.definition', 0.2, 5, 0.01],
  ['corrections.widths.stretch', 0.2, 5, 0.01],
  ['corrections.widths.pace', 0.2, 5, 0.01],
  ['draws', 0, 5000, 1],
  ['seed', 0, 4_294_967_295, 1],
];

/** The paths of all numbers of a JSON schema that have both a least and a most. */
function numbersOf(schema: Json, path: readonly string[] = []): string[] {
  const options = (schema.anyOf ?? schema.oneOf ?? []) as Json[];
  const properties = Object.entries((schema.properties ?? {}) as Record<string, Json>);
  return [
    ...(schema.type === 'number' || schema.type === 'integer' ? [path.join('.')] : []),
    ...options.flatMap((option) => numbersOf(option, path)),
    ...properties.flatMap(([key, inner]) => numbersOf(inner, [...path, key])),
    ...(schema.items ? numbersOf(schema.items as Json, [...path, '0']) : []),
  ];
}

describe('the ranges of a brief', () => {
  it('are all in the table below', () => {
    const schema = z.toJSONSchema(briefInput, { io: 'input' }) as Json;
    const paths = numbersOf(schema)
      .filter((path) => !path.startsWith('parting.recipe') && path !== 'version')
      // One zone stands for the six, and a learnt number is read in both of its forms.
      .map((path) => path.replace(/\.(nape|crown|left|right|back)(?=\.|$)/, '.front'))
      .map((path) => path.replace('head.stretchedLengthCm.front', 'head.stretchedLengthCm'))
      .map((path) => path.replace(/^(pace|dryingRate)$/, '$1.median'));
    expect([...new Set(paths)].sort()).toEqual(RANGES.map(([path]) => path).sort());
  });

  it('holds a brief that says everything', () => {
    expect(readBrief(full())).toMatchObject({ ok: true });
  });

  it.each(RANGES)('%s is taken from %d to %d, and not beyond', (path, low, high, step) => {
    expect(isRefused(path, low)).toBe(false);
    expect(isRefused(path, low - step)).toBe(true);
    // Both are within the range of the field; together they would be too many for one head.
    if (path !== 'set.zones.front.sections' && path !== 'set.sections')
      expect(isRefused(path, high)).toBe(false);
    expect(isRefused(path, high + step)).toBe(true);
    expect(isRefused(path, 'many')).toBe(true);
    expect(isRefused(path, null)).toBe(true);
  });

  it.each(['pace', 'dryingRate'])('%s is taken as one number too', (path) => {
    for (const value of [0.3, 3]) expect(isRefused(path, value)).toBe(false);
    for (const value of [0.29, 3.01]) expect(isRefused(path, value)).toBe(true);
  });

  it('lists are taken up to their length, and not beyond', () => {
    const many = (n: number, item: unknown) => Array.from({ length: n }, () => item);
    const lists = [
      ['set.layers', 8, { role: 'gel' }],
      ['prep', 8, { step: 'cleanse' }],
      ['drying', 24, { method: 'air', hours: 1 }],
    ] as const;
    for (const [path, most, item] of lists) {
      expect(isRefused(path, many(most, item))).toBe(false);
      expect(isRefused(path, many(most + 1, item))).toBe(true);
    }
  });
});

describe('what holds a brief together', () => {
  const read = (change: Json) => readBrief({ ...aBrief(), ...change });
  const pathsOf = (change: Json) => {
    const answer = read(change);
    return answer.ok ? [] : answer.errors.map(({ path }) => path);
  };

  it('a head takes 600 sections, those of zones of their own among them', () => {
    const withNape = (sections: number, nape: number) => ({
      draws: 0,
      set: { ...aBrief().set, sections, zones: { nape: { sections: nape } } },
    });
    expect(pathsOf({ ...withNape(590, 10) })).toEqual([]);
    expect(pathsOf({ ...withNape(590, 11) })).toEqual(['set.sections']);
  });

  it('drawn heads times sections are bounded', () => {
    const asked = (sections: number, draws: number) => pathsOf({ draws, set: { ...aBrief().set, sections } });
    expect(asked(600, 1000)).toEqual([]);
    expect(asked(600, 1001)).toEqual(['draws']);
    expect(asked(120, 5000)).toEqual([]);
    expect(asked(121, 5000)).toEqual(['draws']);
  });

  it('from the beginning to being ready is at least a moment and at most thirty days', () => {
    const startAt = '2027-03-01T09:00:00Z';
    expect(pathsOf({ startAt, wearBy: '2027-03-31T09:00:00Z' })).toEqual([]);
    expect(pathsOf({ startAt, wearBy: '2027-03-31T09:00:01Z' })).toEqual(['wearBy']);
    expect(pathsOf({ startAt, wearBy: startAt })).toEqual(['wearBy']);
    expect(pathsOf({ startAt, wearBy: '2027-03-01T09:00:01Z' })).toEqual([]);
  });

  it('times are of a calendar in use', () => {
    expect(pathsOf({ wearBy: '2199-12-31T23:59:00Z' })).toEqual([]);
    expect(pathsOf({ wearBy: '2200-01-01T00:00:00Z' })).toEqual(['wearBy']);
    expect(pathsOf({ wearBy: '1969-12-31T23:59:00Z' })).toEqual(['wearBy']);
    expect(pathsOf({ wearBy: '2027-02-30T10:00:00Z' })).toEqual(['wearBy']);
    for (const ms of [0, MAX_TIME_MS]) expect(isTimeMs(ms)).toBe(true);
    for (const ms of [-1, MAX_TIME_MS + 1, 0.5, NaN, Infinity]) expect(isTimeMs(ms)).toBe(false);
  });

  it('two halves have as many sections on either side', () => {
    const halves = (sections: number) =>
      pathsOf({ parting: { trial: true }, set: { ...aBrief().set, sections } });
    expect(halves(18)).toEqual([]);
    expect(halves(17)).toEqual(['set.sections']);
  });

  it('a ponytail that would mean an impossible density is asked to be measured again', () => {
    const ponytail = (ponytailCircumferenceCm: number) => {
      const { densityPerCm2: _, ...head } = aBrief().head as Json;
      return pathsOf({ head: { ...head, ponytailCircumferenceCm } });
    };
    expect(ponytail(8)).toEqual([]);
    expect(ponytail(2)).toEqual(['head.ponytailCircumferenceCm']);
    expect(ponytail(24)).toEqual(['head.ponytailCircumferenceCm']);
  });

  it('lines drawn by hand have rows and cuts in order, one list of cuts a row', () => {
    const recipe = layoutFor(readOrThrow(aBrief())).recipe as unknown as { panels: RecipePanel[] };
    const changed = (change: (panel: RecipePanel) => void) => {
      const own = structuredClone(recipe);
      change(own.panels[0]!);
      return pathsOf({ parting: { recipe: own } });
    };
    expect(changed(() => undefined)).toEqual([]);
    expect(changed((panel) => panel.rowLines.reverse()).length).toBeGreaterThan(0);
    expect(changed((panel) => panel.cuts.pop()).length).toBeGreaterThan(0);
    expect(changed((panel) => (panel.cuts[0] = [0.3, 0.1])).length).toBeGreaterThan(0);
    expect(changed((panel) => (panel.rowLines[0] = -5)).length).toBeGreaterThan(0);
  });
});
