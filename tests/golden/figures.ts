import { DRYING_METHOD_IDS } from '@/core/drying-methods';
import { START_STATE_IDS, startStates } from '@/core/coefficients/start-states';
import { TECHNIQUE_IDS, techniqueOf } from '@/core/techniques';
import type { BriefInput } from '@/core/formats/brief';
import { forecast } from '@/core/plan/forecast';
import { layoutFor } from '@/core/plan/layout-for';
import { aBrief, readOrThrow } from '../support/briefs';

const DRAWS = 20;
const DIGITS = 8;
const wearBy = '2027-03-13T09:00:00Z';

/** One brief for each technique, over every drying method and start state, and heads unlike each other. */
const briefs: Readonly<Record<string, BriefInput>> = {
  ...Object.fromEntries(
    TECHNIQUE_IDS.map((id, i) => {
      const technique = techniqueOf(id);
      const starts = START_STATE_IDS.filter(
        (state) =>
          (!technique.needsStretched || startStates[state].straightened > 0.5) &&
          (!technique.needsWet || startStates[state].moisture.kind === 'free'),
      );
      return [
        id,
        aBrief({
          head: {
            stretchedLengthCm: 14 + 3 * (i % 6),
            strandDiameterUm: [52, 70, 88][i % 3]!,
            densityPerCm2: 110 + 20 * (i % 5),
            naturalCoilDiameterMm: 4 + 2 * (i % 5),
            porosity: (['low', 'medium', 'high'] as const)[i % 3]!,
          },
          set: {
            technique: id,
            sections: technique.usualSections,
            endsMethod: technique.endsMethods[0],
            rootMethod: technique.rootMethods[0],
            startState: starts[i % starts.length]!,
            layers: [{ role: 'leave-in' }, { role: i % 2 === 0 ? 'gel' : 'mousse' }],
          },
          brief: { drying: [{ method: DRYING_METHOD_IDS[i % DRYING_METHOD_IDS.length]!, hours: 10 }], wearBy },
        }),
      ];
    }),
  ),
  'a night and a hood, zones of their own, a damp evening out': aBrief({
    set: { zones: { nape: { technique: 'braid', sections: 5 }, front: { technique: 'finger-coil', sections: 8 } } },
    room: { temperatureC: 18, relativeHumidity: 0.7, dewPointOutsideC: 21 },
    head: { conditions: ['bleached', 'due-a-trim'], stretchedLengthCm: { front: 18, crown: 25, left: 20, right: 21, back: 28, nape: 15 } },
    brief: { drying: [{ method: 'bonnet', hours: 8 }, { method: 'hood-warm', hours: 1 }], wearBy, sleep: { from: '23:00', until: '06:30' } },
  }),
}; // prettier-ignore

const rounded = (value: number) => Number(value.toPrecision(DIGITS));

/** What a stylist reads of each brief, by brief and figure. */
export function goldenFigures(): Record<string, Record<string, number>> {
  return Object.fromEntries(
    Object.entries(briefs).map(([name, input]) => {
      const brief = readOrThrow(input);
      const { plan } = forecast(brief, layoutFor(brief), DRAWS);
      const { hair, handsOn, drying, result, daysPresentable } = plan;
      const last = result.byDay.at(-1)!;
      const figures: Record<string, number> = {
        hairCount: hair.hairCount,
        dryMassG: hair.dryMassG,
        prepMin: handsOn.prepMin,
        installMin: handsOn.installMin.p50,
        installMinHigh: handsOn.installMin.p90,
        takedownMin: handsOn.takedownMin,
        separatingMin: handsOn.separatingMin,
        dryAfterH: drying.dryAfterH.p50,
        dryAfterHLow: drying.dryAfterH.p10,
        dryAfterHHigh: drying.dryAfterH.p90,
        endsDryAfterH: drying.endsDryAfterH.p50,
        chanceDryAtWearBy: drying.chanceDryAtWearBy ?? -1,
        waterAfterAThird: drying.curve[10]!.waterPerDryG,
        curlDiameterMm: result.curlDiameterMm,
        rootCurlDiameterMm: result.rootCurlDiameterMm,
        tipCurlDiameterMm: result.tipCurlDiameterMm,
        stretch: result.stretch,
        definition: result.definition.p50,
        frizz: result.frizz.p50,
        volume: result.volume,
        days: daysPresentable.p50,
        daysHigh: daysPresentable.p90,
        lastDayDefinition: last.definition,
        lastDayStretch: last.stretch,
        ...Object.fromEntries(plan.doses.map((dose) => [`${dose.role}G`, dose.grams])),
        startsMinBefore: plan.schedule
          ? (Date.parse(wearBy) - Date.parse(plan.schedule[0]!.startAt)) / 60_000
          : -1,
        toolTurns: plan.tool?.turns ?? -1,
      };
      return [name, Object.fromEntries(Object.entries(figures).map(([key, value]) => [key, rounded(value)]))];
    }),
  );
}
