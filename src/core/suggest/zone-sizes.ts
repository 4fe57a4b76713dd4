import { SET_RANGES } from '../formats/ranges';
import { perZone, ZONES, type PerZone, type Zone } from '../hair/zone';
import { clamp } from '../units/clamp';
import { facts, type FactField, type FactId, type FactLevels } from './facts';
import type { Want } from '../coefficients/wants';

/** How large sections are by zone, and why. */
export interface SizeRule {
  readonly id: string;
  /** A fact of the head, or a wish. */
  readonly fact: FactId | null;
  readonly want: Want | null;
  /** × the size that the zone would have. */
  readonly sizes: Partial<PerZone<number>>;
  readonly text: string;
}

/** Common practice. Sizes change neither how many sections there are nor what else is chosen. */
export const SIZE_RULES: readonly SizeRule[] = [
  {
    id: 'face',
    fact: 'always',
    want: null,
    sizes: { front: 0.85, crown: 1.1 },
    text: 'Smaller at the face, where it frizzes first and is seen most.',
  },
  {
    id: 'big',
    fact: null,
    want: 'big',
    sizes: { crown: 1.25, left: 0.9, right: 0.9, back: 0.95 },
    text: 'Larger at the crown, for the size you want.',
  },
  {
    id: 'dense',
    fact: 'dense',
    want: null,
    sizes: { back: 0.88, nape: 0.8 },
    text: 'Smaller at back and nape: dense hair dries there last.',
  },
  {
    id: 'child',
    fact: 'child',
    want: null,
    sizes: { front: 1.18, crown: 0.91 },
    text: 'No smaller at the hairline than elsewhere: little hands-on, nothing that pulls.',
  },
];

/** A size rule that bears on a head, and how much. */
export interface DueSize {
  readonly rule: SizeRule;
  readonly level: number;
}

/** The rules that hold of a head and a wish. */
export const dueSizes = (levels: FactLevels, wants: readonly Want[]): DueSize[] =>
  SIZE_RULES.flatMap((rule) => {
    const level = rule.fact ? levels[rule.fact] : wants.includes(rule.want!) ? 1 : 0;
    return level > 0 ? [{ rule, level }] : [];
  });

/** Hundredths: nobody parts finer. */
const GRAIN = 100;

/** How large sections are, by zone; the same left and right. */
export function zoneSizes(due: readonly DueSize[]): PerZone<number> {
  const sized = (zone: Zone) =>
    due.reduce((size, { rule, level }) => size * (rule.sizes[zone] ?? 1) ** level, 1);
  const { low, high } = SET_RANGES.zoneSize;
  return perZone((zone) => Math.round(GRAIN * clamp(sized(zone), low, high)) / GRAIN);
}

/** Whether sizes differ from zone to zone. */
export const isUneven = (sizes: PerZone<number>): boolean =>
  ZONES.some((zone) => sizes[zone] !== sizes.front);

/** What a size rule rests on. */
export const fieldOfSize = ({ fact }: SizeRule): FactField | 'wants' => (fact ? facts[fact].field : 'wants');
