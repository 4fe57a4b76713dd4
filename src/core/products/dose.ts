import { POROSITY, STRAND_UM, type Porosity } from '../coefficients/hair';
import { handsOn } from '../coefficients/result';
import { startStates, type StartStateId } from '../coefficients/start-states';
import { productRoles, type RoleId } from '.';

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
    (STRAND_UM.medium / context.strandUm) ** 0.7 *
    POROSITY[context.porosity].dose *
    startStates[context.startState].doseFactor *
    handsOn.value.dosePasses
  );
}
