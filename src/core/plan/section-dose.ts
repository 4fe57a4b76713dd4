import type { PlanFile } from '../formats/plan-file';
import { dryMassG, meanSurvival } from '../hair/dry-mass';
import type { Head } from '../hair/head';
import { goesOn } from '../products/layer';

/**
 * Grams of each layer that each section gets, in working order and the order of the layers: its share of the hair that
 * the layer goes on. Null where a layer does not go.
 */
export function sectionDoses(
  { sections, doses }: Pick<PlanFile, 'sections' | 'doses'>,
  head: Pick<Head, 'stretchedLengthCm' | 'strandDiameterUm'>,
): (number | null)[][] {
  const massG = sections.map(({ zone, hairCount }) => {
    const lengthCm = head.stretchedLengthCm[zone];
    return dryMassG(hairCount, lengthCm, head.strandDiameterUm, meanSurvival(lengthCm));
  });
  return sections.map((section, i) =>
    doses.map((dose) => {
      const { grams, role } = dose;
      const isOn = (one: typeof section) => goesOn(dose, one) && !one.without?.includes(role);
      if (!isOn(section)) return null;
      const dosedG = (j: number) => massG[j]! * (sections[j]!.doseFactor ?? 1);
      const underG = sections.reduce((sum, other, j) => sum + (isOn(other) ? dosedG(j) : 0), 0);
      return (grams * dosedG(i)) / underG;
    }),
  );
}
