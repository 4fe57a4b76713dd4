import { expect, it } from 'vitest';
import { readOrThrow } from '../../../tests/support/briefs';
import { briefOfRow, PRACTICE_ROWS, type PracticeRow } from '../../../tests/support/overnight-rows';
import { drawSpread, dryness } from '../coefficients/drying';
import { startMoistureOf } from '../drying/draws';
import { dryRun } from '../drying/dry-run';
import { beliefAfterChecks, placeLikelihood, type DrynessCheck } from '../drying/dryness-checks';
import { LEVELS } from '../drying/nodes';
import { chanceDry, drySpread } from '../drying/rate-belief';
import { HORIZON_H } from '../drying/horizon';
import { handPartedClasses } from '../drying/section-classes';
import { ZONES, type Zone } from '../hair/zone';
import { seededRng } from '../random/rng';
import { normalQuantile } from '../stats/normal';
import { quantiles } from '../stats/quantile';
import { SETTLED_DRAWS } from './draw-counts';
import { drawHeads, dryingForecast, sectionTimes, type DryingBasis } from './drying-forecast';
import { forecastBasis } from './forecast';
import { layoutFor } from './layout-for';

/*
 * Checks against brute force: heads drawn and dried one by one here, each weighted by how likely it makes what was
 * felt (importance sampling). Nothing of the rate axis, the belief or its grid is used for the oracle.
 */
const HEADS = 2000;
const CASES = 7;
const SETS = [
  '18 damp twists, blotted',
  '24 braids',
  '15 wet knots',
  '60 small rods on short',
  '7 flat twists in air',
];
const ROWS = SETS.map((name) => PRACTICE_ROWS.find((row) => row.name.startsWith(name))!);

interface OracleHead {
  readonly allH: number;
  readonly placeH: (zone: Zone, level: number) => number;
}

function oracleHead({ uncertain: u }: DryingBasis, index: number): OracleHead {
  const rng = seededRng(4711, index);
  const normal = () => normalQuantile(rng());
  const s = drawSpread.value;
  const ln = (sd: number) => Math.exp(sd * normal());
  const [pickUp, density, movement, water] = [s.pickUp, s.hairDensity, s.airMovement, s.productWater].map(ln) as [number, number, number, number]; // prettier-ignore
  const room = {
    temperatureC: u.room.temperatureC + s.roomTemperatureK * normal(),
    relativeHumidity: Math.min(0.95, Math.max(0, u.room.relativeHumidity + s.roomHumidity * normal())),
  };
  const classes = handPartedClasses(u.zones, (zone) => ({
    density,
    startMoisture: startMoistureOf(u, zone, room, pickUp, water),
    filmResistanceSM: u.filmResistanceSM[zone]!,
    largestQuantile: rng(),
  }));
  const { dryAfterH } = dryRun({
    classes, room, steps: u.steps, porosityFactor: u.porosityFactor, startMoisture: 0, filmResistanceSM: 0,
    rate: u.rate.median * ln(u.rate.lnSd), horizonH: HORIZON_H, supply: { movement, hotAirK: s.hotAirK * normal() },
    stepScale: 2.4, timesOnly: true, untilDry: true,
  }); // prettier-ignore
  const typical = (zone: Zone) =>
    classes.reduce(
      (best, own, i) => (own.zone === zone && own.count > (classes[best]?.count ?? 0) ? i : best),
      -1,
    );
  return {
    allH: Math.min(HORIZON_H, Math.max(...dryAfterH)),
    placeH: (zone, level) => Math.min(HORIZON_H, dryAfterH[typical(zone) * 3 + level]!),
  };
}

/** How far the product's chance is from the oracle's, over random checks of one set. */
function differences(row: PracticeRow, seed: number): number[] {
  const brief = readOrThrow(briefOfRow(row));
  const basis = forecastBasis(brief, layoutFor(brief)).drying;
  const heads = Array.from({ length: HEADS }, (_, i) => oracleHead(basis, i));
  const [p50] = quantiles(heads.map((head) => head.allH), [0.5]) as [number]; // prettier-ignore
  const prior = dryingForecast(basis, drawHeads(basis, 1, 0, SETTLED_DRAWS)).belief;
  const zones = ZONES.filter((zone) => basis.uncertain.zones.some((own) => own.zone === zone));
  const rng = seededRng(seed, 1);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(rng() * of.length)]!;
  return Array.from({ length: CASES }, () => {
    const truth = pick(heads);
    const places = Array.from({ length: 1 + Math.floor(rng() * 2) }, () => {
      const [zone, level] = [pick(zones), Math.floor(rng() * 3)];
      const dryH = truth.placeH(zone, level) * Math.exp(dryness.value.sectionSd * normalQuantile(rng()));
      const checks = Array.from({ length: 1 + Math.floor(rng() * 2) }, (): DrynessCheck => {
        const afterH = p50 * (0.3 + rng());
        const isRight = rng() > dryness.value.wrongDry;
        const feel = afterH >= dryH === isRight ? 'dry' : 'damp';
        return { sectionNumber: ZONES.indexOf(zone) + 1, level: LEVELS[level]!, feel, afterH };
      }).sort((a, b) => a.afterH - b.afterH);
      return { zone, level, checks };
    }).filter(
      (own, i, all) => all.findIndex((one) => one.zone === own.zone && one.level === own.level) === i,
    );
    const weights = heads.map((head) =>
      places.reduce(
        (weight, { zone, level, checks }) =>
          weight * placeLikelihood(checks, head.placeH(zone, level), dryness.value.sectionSd),
        1,
      ),
    );
    const total = weights.reduce((sum, weight) => sum + weight, 0);
    const belief = beliefAfterChecks(
      prior,
      places.flatMap(({ checks }) => checks),
      (number) => ZONES[number - 1]!,
      (zone, level) => sectionTimes(basis.table, zone, level),
    );
    return [0.8, 1, 1.3].map((share) => {
      const afterH = share * p50;
      const exact = heads.reduce((sum, head, i) => sum + (head.allH <= afterH ? weights[i]! : 0), 0) / total;
      return Math.abs(chanceDry(belief, basis.all, afterH) - exact);
    });
  }).flat();
}

it('what is felt bends the chance as importance sampling over drawn heads does', () => {
  const all = ROWS.flatMap((row, i) => differences(row, 90 + i)).sort((a, b) => a - b);
  expect(all[Math.floor(all.length / 2)]).toBeLessThan(0.02);
  expect(all.at(-1)).toBeLessThan(0.08);
});

it('follows a head unlike all that were drawn', () => {
  const brief = readOrThrow(briefOfRow(ROWS[0]!));
  const basis = forecastBasis(brief, layoutFor(brief)).drying;
  const { belief, dryAfterH } = dryingForecast(basis, drawHeads(basis, 1, 0, SETTLED_DRAWS));
  const afterH = 1.7 * dryAfterH.p90;
  const checks = ZONES.flatMap((_, i): DrynessCheck[] =>
    [0.9, 1].map((share) => ({ sectionNumber: i + 1, level: 'root', feel: 'damp', afterH: share * afterH })),
  );
  const after = beliefAfterChecks(
    belief,
    checks,
    (number) => ZONES[number - 1]!,
    (zone, level) => sectionTimes(basis.table, zone, level),
  );
  expect(chanceDry(after, basis.all, afterH)).toBeLessThan(0.15);
  expect(drySpread(after, basis.all).p50).toBeGreaterThan(afterH);
});
