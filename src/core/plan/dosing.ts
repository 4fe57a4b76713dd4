import { doseVerdict, inHands, recommendedDoseG, type DoseVerdict } from '../products/dose';
import type { DosedLayer } from '../products/layer';
import type { HandUnitId } from '../products/hand-units';
import { washOffResidueG } from '../products/residue';
import type { Brief } from './brief';

/** A layer as it is dosed: how much, in what units, and whether that is about right. */
export interface Dose {
  readonly layer: DosedLayer;
  readonly recommendedG: number;
  readonly verdict: DoseVerdict;
  readonly inHands: { readonly unit: HandUnitId; readonly amount: number };
  /** Left on the hair after the next wash, g. */
  readonly leftAfterWashG: number;
}

/** Doses of the layers: what the brief says, or what is recommended. */
export function dosesOf(brief: Brief, dryMassG: number): Dose[] {
  return brief.set.layers.map((layer) => {
    const recommendedG = recommendedDoseG(layer.role, {
      dryMassG,
      strandUm: brief.head.strandDiameterUm,
      porosity: brief.head.porosity,
      startState: brief.set.startState,
    });
    const grams = layer.grams ?? recommendedG;
    return {
      layer: { ...layer, grams },
      recommendedG,
      verdict: doseVerdict(grams, recommendedG),
      inHands: inHands(layer.role, grams),
      leftAfterWashG: washOffResidueG(layer.role, grams, 1),
    };
  });
}
