import type { SeenCurl } from '@/core/curl/hung-curl';
import type { PlanFile } from '@/core/formats/plan-file';
import { ZONES, type Zone } from '@/core/hair/zone';
import { techniqueOf, type TechniqueId } from '@/core/techniques';

/** What the round view is drawn from. */
export interface RoundSource {
  readonly plan: PlanFile;
  readonly stretchedCm: Readonly<Record<Zone, number>>;
  readonly circumferenceCm: number;
  readonly strandUm: number;
  /** Pieces that each section is separated into. */
  readonly separations: number;
}

/** The curl of one zone on the first day. */
export interface ZoneCurl extends SeenCurl {
  readonly zone: Zone;
  /** Hair of one section, its strands side by side, mm². */
  readonly sectionMm2: number;
}

/** Share of a loose rope that is hair (for the eye; assumed). */
const PACKED = 0.5;
/** A rope thicker than this share of its curl's width would fill the curl. */
const THICKEST = 0.28;

/** Half the thickness of one piece of a section, cm. */
export const ropeRadiusCm = ({ sectionMm2, diameterMm }: ZoneCurl, pieces: number): number =>
  Math.min(Math.sqrt(sectionMm2 / pieces / PACKED / Math.PI), THICKEST * diameterMm) / 10;

/** The curl of every zone on the day of takedown, as forecast. Zones without sections have none. */
export function seenCurls({ plan, stretchedCm, strandUm }: RoundSource): ZoneCurl[] {
  const first = plan.result.byDay[0];
  return ZONES.flatMap((zone): ZoneCurl[] => {
    const visibleCm = first?.visibleLengthCm[zone];
    const diameterMm = first?.zoneCurlDiameterMm[zone];
    const inZone = plan.sections.filter((section) => section.zone === zone);
    const technique = inZone[0]?.technique;
    const hairs = inZone.reduce((sum, section) => sum + section.hairCount, 0) / Math.max(1, inZone.length);
    if (visibleCm === undefined || diameterMm === undefined || !technique) return [];
    return [
      {
        zone,
        lengthCm: stretchedCm[zone],
        visibleCm: Math.min(visibleCm, stretchedCm[zone]),
        diameterMm,
        sectionMm2: (hairs * Math.PI * (strandUm / 1000) ** 2) / 4,
        shape: techniqueOf(technique as TechniqueId).curlName,
      },
    ];
  });
}
