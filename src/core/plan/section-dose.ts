import type { PlanFile } from '../formats/plan-file';
import { dryMassG, meanSurvival } from '../hair/dry-mass';
import type { Head } from '../hair/head';

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
    doses.map(({ grams, zones }) => {
      const isOn = (zone: typeof section.zone) => zones?.includes(zone) ?? true;
      if (!isOn(section.zone)) return null;
      const underG = sections.reduce((sum, { zone }, j) => sum + (isOn(zone) ? massG[j]! : 0), 0);
      return (grams * massG[i]!) / underG;
    }),
  );
}
