import { POROSITY, STRAND_UM, type Porosity } from '../coefficients/hair';
import { handsOn } from '../coefficients/result';
import { startStates, type StartStateId } from '../coefficients/start-states';
import { productRoles, type RoleId } from '.';
import type { DosedLayer } from './layer';
import { handUnitG, handUnits, type HandUnitId, type WeighedUnits } from './hand-units';

/** What a dose depends on besides the product. */
export interface DoseContext {
  readonly dryMassG: number;
  readonly strandUm: number;
  readonly porosity: Porosity;
  readonly startState: StartStateId;
}

/**
 * Usual dose of a product for a whole head, g. Finer strands have more surface for their mass.
 *
 * @source set-geometry §10
 */
export function recommendedDoseG(role: RoleId, context: DoseContext): number {
  const product = productRoles[role];
  if ('fixedDoseG' in product) return product.fixedDoseG;
  return (
    product.dosePerG *
    context.dryMassG *
    (STRAND_UM.medium / context.strandUm) ** handsOn.value.doseStrandPower *
    POROSITY[context.porosity].dose *
    startStates[context.startState].doseFactor *
    handsOn.value.dosePasses
  );
}

export type DoseVerdict = 'little' | 'right' | 'much';

/**
 * Whether a dose is about right; the limits lie well outside ± 30 %, the range of the recommendation itself.
 *
 * @example doseVerdict(5, 10) // => 'little'
 */
export const doseVerdict = (grams: number, recommendedG: number): DoseVerdict =>
  grams < handsOn.value.doseLittle * recommendedG
    ? 'little'
    : grams > handsOn.value.doseMuch * recommendedG
      ? 'much'
      : 'right';

/** A dose in the unit that hands use for that product, or in a larger one where it would be too many to count. */
export function inHands(
  role: RoleId,
  grams: number,
  weighed: WeighedUnits = {},
): { unit: HandUnitId; amount: number } {
  const { handUnit, gramsPerMl } = productRoles[role];
  const inUnit = (unit: HandUnitId): { unit: HandUnitId; amount: number } => {
    const amount = grams / handUnitG(unit, gramsPerMl, weighed);
    const { upTo } = handUnits[unit];
    return upTo && amount > upTo.count ? inUnit(upTo.then) : { unit, amount };
  };
  return inUnit(handUnit);
}

/** A layer as it is dosed: how much, in what units, and whether that is about right. */
export interface Dose {
  readonly layer: DosedLayer;
  readonly recommendedG: number;
  readonly verdict: DoseVerdict;
  readonly inHands: { readonly unit: HandUnitId; readonly amount: number };
  /** Left on the hair after the next wash, g. */
  readonly leftAfterWashG: number;
}
