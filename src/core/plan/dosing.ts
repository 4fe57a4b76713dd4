import { doseVerdict, inHands, recommendedDoseG, type Dose } from '../products/dose';
import { washOffResidueG } from '../products/residue';
import type { Brief } from '../brief/brief';
import type { Zone } from '../hair/zone';
import { goesOn, type DosedLayer, type Layer } from '../products/layer';
import type { SectionPlan } from './section-forecasts';

/** The sections that a layer goes on. */
export const sectionsUnder = <S extends Pick<SectionPlan, 'zone'>>(
  layer: Pick<Layer, 'zones'>,
  sections: readonly S[],
): S[] => sections.filter(({ zone }) => goesOn(layer, zone));

/** Dry hair of some sections, g. */
export const dryMassOf = (sections: readonly Pick<SectionPlan, 'dryMassG'>[]): number =>
  sections.reduce((sum, section) => sum + section.dryMassG, 0);

/** Doses of the layers: what the brief says, or what is recommended for the hair that each goes on. */
export function dosesOf(brief: Brief, sections: readonly SectionPlan[]): Dose[] {
  return brief.set.layers.map((layer) => {
    const recommendedG = recommendedDoseG(layer.role, {
      dryMassG: dryMassOf(sectionsUnder(layer, sections)),
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

/** What is on the hair of one zone, g of each layer for a gram of it. */
export function onZone(
  doses: readonly DosedLayer[],
  zone: Zone,
  sections: readonly SectionPlan[],
): DosedLayer[] {
  return doses
    .filter((layer) => goesOn(layer, zone))
    .map((layer) => ({ ...layer, grams: layer.grams / dryMassOf(sectionsUnder(layer, sections)) }));
}
