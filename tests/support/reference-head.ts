import type { DryingShape, SectionClass } from '@/core/drying/nodes';
import { twoStrandTwist } from '@/core/techniques/two-strand-twist';
import type { Zone } from '@/core/hair/zone';

/** Zone shares of the drying note's check tables; the product takes its own from the crown map. */
const SHARES: Readonly<Record<Zone, number>> = {
  front: 0.2,
  crown: 0.25,
  left: 0.125,
  right: 0.125,
  back: 0.2,
  nape: 0.1,
};

/** The reference head of the drying checks: 600 cm², 170 hairs of 70 µm per cm², 22 cm. */
export function referenceClasses(
  sections: number,
  shape: DryingShape = twoStrandTwist.dryingShape,
  lengthCm = 22,
  rod: SectionClass['rod'] = null,
  endRod: SectionClass['endRod'] = null,
): SectionClass[] {
  return (Object.keys(SHARES) as Zone[]).map((zone) => ({
    zone,
    count: sections * SHARES[zone],
    sectionAreaCm2: 600 / sections,
    hairsPerCm2: 170,
    strandUm: 70,
    lengthCm,
    shape,
    rod,
    endRod,
  }));
}
