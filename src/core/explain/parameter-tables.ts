import {
  airAtHair,
  drawSpread,
  drying,
  dryingSpread,
  dryness,
  knotCore,
  sorption,
  zoneExposure,
} from '../coefficients/drying';
import { care } from '../coefficients/care';
import { photo } from '../coefficients/photo';
import type { Coefficient } from '../coefficients/coefficient';
import { compared, factorRules, halfHead, judged, pooling } from '../coefficients/evidence';
import { goodDay } from '../coefficients/good-day';
import { hair } from '../coefficients/hair';
import { pace } from '../coefficients/pace';
import { handsOn, result } from '../coefficients/result';
import { round } from '../coefficients/round';
import { setShape } from '../coefficients/set-shape';
import { thresholds } from '../coefficients/thresholds';
import { techniques } from '../techniques';

/** Parameters of one model, as documents and the how-we-know panel list them. */
export interface ParameterTable {
  readonly title: string;
  readonly records: Readonly<Record<string, Coefficient>>;
}

/** Every parameter table that is not a technique's own. */
export const PARAMETER_TABLES = {
  hair: { title: 'Hair and scalp', records: hair.records },
  drying: { title: 'Drying', records: drying.records },
  sorption: { title: 'Water that hair holds', records: sorption.records },
  'air-at-hair': { title: 'Air at the hair', records: airAtHair.records },
  'knot-core': { title: 'The inside of a knot', records: knotCore.records },
  dryness: { title: 'Feeling for dryness, and how sure is sure', records: dryness.records },
  'zone-exposure': { title: 'How freely air reaches a zone', records: zoneExposure.records },
  'draw-spread': { title: 'What is only roughly known of a drying head', records: drawSpread.records },
  'drying-spread': { title: 'What each of those does to the time', records: dryingSpread.records },
  'set-shape': { title: 'How hair lies in a set', records: setShape.records },
  result: { title: 'Look, life and curl', records: result.records },
  'hands-on': { title: 'Hands-on time', records: handsOn.records },
  pace: { title: 'Live pace', records: pace.records },
  'good-day': { title: 'A day that is still good', records: goodDay.records },
  thresholds: { title: 'From where on something is said', records: thresholds.records },
  care: { title: 'Care between sets, and growth', records: care.records },
  photo: { title: 'Measuring on a picture', records: photo.records },
  round: { title: 'Hair drawn in the round', records: round.records },
  pooling: { title: 'How far sets differ by hand, head and technique', records: pooling.records },
  'half-head': { title: 'Two ways on two halves', records: halfHead.records },
  'factor-rules': { title: 'When a choice is said to make the difference', records: factorRules.records },
  judged: { title: 'Judging past forecasts', records: judged.records },
  compared: { title: 'Comparing days, and two people', records: compared.records },
} as const satisfies Record<string, ParameterTable>;

export type ParameterTableId = keyof typeof PARAMETER_TABLES;

/** The parameters of each technique, by its label. */
export const techniqueTables = (): ParameterTable[] =>
  Object.values(techniques).map(({ label, coefficients }) => ({
    title: label,
    records: coefficients.records,
  }));

/** What the source letters of a parameter mean. */
export const SOURCE_WORDS: Readonly<Record<Coefficient['source'], string>> = {
  P: 'published',
  M: 'published, quoted from memory',
  C: 'common practice',
  F: 'fitted to common practice',
  A: 'assumed, for a physical reason',
};
