import { dryMassG, meanSurvival } from '../hair/dry-mass';
import { scalpAreaCm2, strandAreaMm2 } from '../hair/head';
import type { Zone } from '../hair/zone';
import { sectionInstallMin, sectionSeparateMin, sectionTakedownMin } from '../hands-on/install-time';
import type { Layout } from '../parting/brick-layout';
import type { Bundle } from '../techniques/bundle';
import type { SetForm } from '../techniques/technique';
import { techniqueOf } from '../techniques';
import type { Brief } from './brief';

/** What is worked out for each section of a plan. */
export interface SectionPlan {
  readonly number: number;
  readonly zone: Zone;
  readonly side: 'left' | 'middle' | 'right';
  readonly areaCm2: number;
  readonly hairCount: number;
  readonly lengthCm: number;
  readonly dryMassG: number;
  readonly bundle: Bundle;
  readonly form: SetForm;
  /** Minutes at the brief's pace. */
  readonly installMin: number;
  readonly takedownMin: number;
  readonly separatingMin: number;
}

/** Works out every section; sections of equal zone and size share one computation. */
export function planSections(brief: Brief, layout: Layout): SectionPlan[] {
  const { head, set } = brief;
  const technique = techniqueOf(set.technique);
  const scalp = scalpAreaCm2(head.circumferenceCm);
  const t = technique.coefficients.value;
  const known = new Map<string, Omit<SectionPlan, 'number' | 'side' | 'areaCm2'>>();
  const work = (zone: Zone, areaCm2: number) => {
    const hairCount = head.densityPerCm2 * areaCm2;
    const lengthCm = head.stretchedLengthCm[zone];
    const grossMm2 = (hairCount * strandAreaMm2(head.strandDiameterUm)) / t.packing;
    const bundle = {
      hairCount,
      lengthMm: lengthCm * 10,
      grossMm2,
      ropeMm: Math.sqrt((4 * grossMm2) / (Math.PI * t.ropes)),
    };
    const one = { ...set, technique, hairCount, lengthCm };
    return {
      zone,
      hairCount,
      lengthCm,
      dryMassG: dryMassG(hairCount, lengthCm, head.strandDiameterUm, meanSurvival(lengthCm)),
      bundle,
      form: technique.form(bundle, set.tool),
      installMin: brief.pace * sectionInstallMin(one),
      takedownMin: brief.pace * sectionTakedownMin(one),
      separatingMin: brief.pace * sectionSeparateMin(one, brief.wear.separations),
    };
  };
  return layout.sections.map((section) => {
    const areaCm2 = section.share * scalp;
    const key = `${section.zone}/${areaCm2.toFixed(2)}`;
    let shared = known.get(key);
    if (!shared) {
      shared = work(section.zone, areaCm2);
      known.set(key, shared);
    }
    return { ...shared, number: section.number, side: section.side, areaCm2 };
  });
}
