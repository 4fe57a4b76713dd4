import { doseVerdict, inHands, recommendedDoseG, type Dose } from '../products/dose';
import { washOffResidueG } from '../products/residue';
import type { Brief } from '../brief/brief';

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
