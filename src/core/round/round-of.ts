import type { Brief } from '../brief/brief';
import { rootMethods } from '../coefficients/root-and-ends';
import type { PlanFile } from '../formats/plan-file';
import { perZone } from '../hair/zone';
import { coilMm } from '../hair/unknown';
import { rangesOf } from '../plan/result-ranges';
import type { Forecast } from '../plan/forecast';
import type { Layout } from '../parting/layout';
import { sphereDistance } from '../sphere/crown-chart';
import { polygonArea, polygonCentroid } from '../sphere/polygon';
import { techniqueOf } from '../techniques';
import type { RoundDay, RoundLook, RoundModel, RoundSection } from './model';

type ByDay = PlanFile['result']['byDay'];

const lookOn = (byDay: ByDay, day: number): RoundLook => {
  const own = byDay[Math.min(day, byDay.length - 1)]!;
  return {
    definition: own.definition,
    frizz: own.frizz,
    volume: own.volume,
    visibleCm: own.visibleLengthCm,
    curlMm: own.zoneCurlDiameterMm,
  };
};

/** How far a forecast reaches either way, against its middle. */
function endsOf(result: PlanFile['result']): RoundModel['ends'] {
  const { curlDiameterMm, stretch, volume } = rangesOf(result);
  const end = (key: 'p10' | 'p90') => ({
    curl: curlDiameterMm[key] / result.curlDiameterMm,
    stretch: Math.min(1, stretch[key]) / result.stretch,
    volume: volume[key] - result.volume,
  });
  return { narrow: end('p10'), wide: end('p90') };
}

/** Patches that are left out of a set, as thick with hair as the rest of the head. */
function leftOutOf({ recipe }: Layout, sections: readonly RoundSection[]): RoundSection[] {
  const hairs = sections.reduce((sum, { hairCount }) => sum + hairCount, 0);
  const area = sections.reduce((sum, { outline }) => sum + polygonArea(outline), 0);
  return recipe.exclude.map((corners, i): RoundSection => {
    const outline = corners.map(([x, y]) => ({ x, y }));
    const centroid = polygonCentroid(outline);
    const nearest = sections.reduce((best, one) =>
      sphereDistance(one.centroid, centroid) < sphereDistance(best.centroid, centroid) ? one : best,
    );
    return {
      ...nearest,
      number: sections.length + 1 + i,
      outline,
      centroid,
      spine: null,
      hairCount: (hairs * polygonArea(outline)) / area,
      flatRootCm: 0,
      tool: null,
      isOwn: true,
    };
  });
}

/** All that a plan says of how it will look, as it is drawn in the round. */
export function roundOf(
  brief: Brief,
  { layout, sections, plan }: Pick<Forecast, 'layout' | 'sections' | 'plan'>,
): RoundModel {
  const left = plan.halves?.left.result.byDay ?? plan.result.byDay;
  const right = plan.halves?.right.result.byDay ?? plan.result.byDay;
  const { head, zones } = brief;
  const flatCm = (zone: RoundSection['zone']) => {
    const root = rootMethods[zones[zone].rootMethod];
    return Math.max(root.stretchedMm, techniqueOf(zones[zone].technique).ownRoot?.stretchedMm ?? 0) / 10;
  };
  const drawn = layout.sections.map((laid, i): RoundSection => {
    const { form, bundle, hairCount, lengthCm, tool } = sections[i]!;
    return {
      number: laid.number,
      zone: laid.zone,
      side: laid.side,
      outline: laid.outline,
      centroid: laid.centroid,
      spine: laid.spine,
      winding: laid.winding,
      hairCount,
      lengthCm,
      technique: techniqueOf(zones[laid.zone].technique),
      form,
      ropeMm: bundle.ropeMm,
      flatRootCm: flatCm(laid.zone),
      tool,
      isOwn: false,
    };
  });
  return {
    sections: drawn,
    leftOut: leftOutOf(layout, drawn),
    circumferenceCm: head.circumferenceCm,
    strandUm: head.strandDiameterUm,
    coilMm: perZone((zone) => coilMm(head, zone)),
    shrinkage: head.shrinkage,
    lengthCm: head.stretchedLengthCm,
    partLine: layout.partLine,
    part: brief.parting.part,
    pieces: brief.wear.separations,
    ends: endsOf(plan.result),
    days: left.map(({ day }, i): RoundDay => ({
      day,
      isRated: false,
      left: lookOn(left, i),
      right: lookOn(right, i),
    })),
    seed: brief.seed,
  };
}
