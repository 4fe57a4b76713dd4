import { QUADRANTS, type Quadrant } from '../parting/quadrant';
import { startStates } from '../coefficients/start-states';
import { hairMoisture } from '../drying/start-moisture';
import type { Room } from '../drying/air-at-hair';
import { POROSITY } from '../coefficients/hair';
import { handsOn } from '../coefficients/result';
import { ZONES, type Zone } from '../hair/zone';
import {
  waitedMoisture,
  waitingHair,
  waitingLimits,
  type WaitingHair,
  type WaitingZone,
} from '../drying/waiting';
import type { Brief } from '../brief/brief';
import type { SectionPlan } from './section-forecasts';

/** A clipped-away quarter of the head: when it is worked, and when it wants misting first. */
export interface WaitingQuadrant {
  readonly quadrant: Quadrant;
  /** Minutes after the start of the set. */
  readonly fromMin: number;
  readonly untilMin: number;
  /** When its ends have dried below what they should be set at; null when its turn comes sooner. */
  readonly endsDryMin: number | null;
  /** When it wants misting, each time, while any of it still waits. */
  readonly mistAtMin: readonly number[];
}

/** How the waiting hair dries while the set goes in. */
export interface WaitingPlan {
  readonly installMin: number;
  readonly quadrants: readonly WaitingQuadrant[];
  /** Minutes after which waiting hair wants misting: of the quarter that dries first. Null when none ever does. */
  readonly remistEveryMin: number | null;
  /** Hours before the end of installing at which a zone's sections are set, on the mean. */
  readonly setBeforeEndH: (zone: Zone) => number;
  /** Water that a zone's hair lost while it waited its turn, g per g. */
  readonly lostWaiting: (zone: Zone) => number;
}

/** The zones that lie in a quarter of the head. */
const ZONES_OF: Readonly<Record<Quadrant, readonly Zone[]>> = {
  'back-left': ['nape', 'back'],
  'back-right': ['nape', 'back'],
  'front-left': ['front', 'crown', 'left'],
  'front-right': ['front', 'crown', 'right'],
};

const MOST_MISTINGS = 40;

/** Clipped hair of each zone that has sections. */
function clippedZones({ head }: Brief, sections: readonly SectionPlan[]): WaitingZone[] {
  return ZONES.flatMap((zone): WaitingZone[] => {
    const inZone = sections.filter((section) => section.zone === zone);
    if (inZone.length === 0) return [];
    return [
      {
        zone,
        count: 1,
        sectionAreaCm2: inZone.reduce((sum, section) => sum + section.areaCm2, 0),
        hairsPerCm2: head.densityPerCm2,
        strandUm: head.strandDiameterUm,
        lengthCm: head.stretchedLengthCm[zone],
      },
    ];
  });
}

/** How the hair of a plan dries while it is clipped away. */
export const clippedHair = (brief: Brief, sections: readonly SectionPlan[], room: Room): WaitingHair =>
  waitingHair(
    clippedZones(brief, sections),
    room,
    brief.set.startState,
    POROSITY[brief.head.porosity].boundWater,
  );

function quadrantOf(
  hair: WaitingHair,
  quadrant: Quadrant,
  own: readonly { fromMin: number; untilMin: number }[],
  present: ReadonlySet<Zone>,
): WaitingQuadrant {
  const zones = ZONES_OF[quadrant].filter((zone) => present.has(zone));
  const limits = waitingLimits(hair, zones);
  const fromMin = Math.min(...own.map((section) => section.fromMin));
  const untilMin = Math.max(...own.map((section) => section.untilMin));
  const lastStarts = Math.max(...own.map((section) => section.fromMin));
  const mistAtMin: number[] = [];
  if (limits) {
    const everyMin = Math.max(1, limits.meanH * 60);
    for (let at = everyMin; at < lastStarts && mistAtMin.length < MOST_MISTINGS; at += everyMin) {
      mistAtMin.push(at);
    }
  }
  const endsMin = limits ? limits.endsH * 60 : null;
  return {
    quadrant,
    fromMin,
    untilMin,
    endsDryMin: endsMin !== null && endsMin < lastStarts ? endsMin : null,
    mistAtMin,
  };
}

/**
 * Follows the hair that waits its turn: when each quarter wants misting, and how wet each zone is when it is set
 * by someone who mists when told.
 *
 * @param hair how it dries while it waits, when that is known from another plan for the same head
 * @source drying §8
 */
export function planWaiting(
  brief: Brief,
  sections: readonly SectionPlan[],
  room: Room,
  hair = clippedHair(brief, sections, room),
): WaitingPlan {
  const { startState } = brief.set;
  const porosityFactor = POROSITY[brief.head.porosity].boundWater;
  let clock = handsOn.value.settleMin;
  const times = sections.map(({ zone, quadrant, installMin }) => {
    const fromMin = clock;
    clock += installMin;
    return { zone, quadrant, fromMin, untilMin: clock };
  });
  const installMin = clock;
  const present = new Set(sections.map((section) => section.zone));
  const quadrants = QUADRANTS.flatMap((quadrant): WaitingQuadrant[] => {
    const inQuadrant = times.filter((section) => section.quadrant === quadrant);
    return inQuadrant.length === 0 ? [] : [quadrantOf(hair, quadrant, inQuadrant, present)];
  });
  const limits = waitingLimits(hair, [...present]);
  const { isMistedInTurn } = startStates[startState];
  const midMin = new Map<Zone, number>();
  for (const zone of present) {
    const inZone = times.filter((section) => section.zone === zone);
    midMin.set(zone, inZone.reduce((sum, s) => sum + (s.fromMin + s.untilMin) / 2, 0) / inZone.length);
  }
  const asUsual = hairMoisture(startState, porosityFactor, room);
  const lost = new Map<Zone, number>();
  for (const zone of present) {
    const left = isMistedInTurn
      ? asUsual
      : Math.min(asUsual, waitedMoisture(hair, zone, midMin.get(zone)! / 60));
    // Misted when it asks for it, waiting hair is on the mean half way between wet and the floor at the driest.
    const most = hair.floor === null ? Infinity : Math.max(0, asUsual - hair.floor) / 2;
    lost.set(zone, Math.min(most, asUsual - left));
  }
  return {
    installMin,
    quadrants,
    remistEveryMin: limits ? limits.meanH * 60 : null,
    setBeforeEndH: (zone) => (installMin - (midMin.get(zone) ?? installMin)) / 60,
    lostWaiting: (zone) => lost.get(zone) ?? 0,
  };
}
