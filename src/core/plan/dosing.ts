import { doseVerdict, inHands, recommendedDoseG, type Dose } from '../products/dose';
import { washOffResidueG } from '../products/residue';
import type { Brief } from '../brief/brief';
import { goesOn, type DosedLayer, type HairPlace, type Layer } from '../products/layer';
import type { SectionPlan } from './section-forecasts';

/** What of a layer says where it goes. */
type LayerPlace = Pick<Layer, 'zones' | 'half' | 'role'>;

/** Whether a layer goes on a section. */
export const isUnder = (
  layer: LayerPlace,
  section: Pick<SectionPlan, 'zone' | 'side' | 'without'>,
): boolean => goesOn(layer, section) && !section.without.includes(layer.role);

/** The sections that a layer goes on. */
export const sectionsUnder = <S extends Pick<SectionPlan, 'zone' | 'side' | 'without'>>(
  layer: LayerPlace,
  sections: readonly S[],
): S[] => sections.filter((section) => isUnder(layer, section));

/** Dry hair of some sections, g. */
export const dryMassOf = (sections: readonly Pick<SectionPlan, 'dryMassG'>[]): number =>
  sections.reduce((sum, section) => sum + section.dryMassG, 0);

/** Dry hair of some sections as far as a layer goes on it, each as often as its dose is of the usual one, g. */
export const dosedMassOf = (
  layer: LayerPlace,
  sections: readonly Pick<SectionPlan, 'zone' | 'side' | 'without' | 'dryMassG' | 'doseFactor'>[],
): number =>
  sectionsUnder(layer, sections).reduce((sum, { dryMassG, doseFactor }) => sum + dryMassG * doseFactor, 0);

/** Doses of the layers: what the brief says, or what is recommended for the hair that each goes on. */
export function dosesOf(brief: Brief, sections: readonly SectionPlan[]): Dose[] {
  return brief.set.layers.map((layer) => {
    const recommendedG = recommendedDoseG(layer.role, {
      dryMassG: dosedMassOf(layer, sections),
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

/** What is on the hair of one zone, or of one side of it, g of each layer for a gram of it. */
export function onZone(
  doses: readonly DosedLayer[],
  { zone, side }: HairPlace,
  sections: readonly SectionPlan[],
): DosedLayer[] {
  const inZone = sections.filter((section) => section.zone === zone && (!side || section.side === side));
  const hairG = dryMassOf(inZone);
  return doses
    .filter((layer) => inZone.some((section) => isUnder(layer, section)))
    .map((layer) => {
      const share = dosedMassOf(layer, inZone) / hairG;
      return { ...layer, grams: (layer.grams / dosedMassOf(layer, sections)) * share };
    });
}
