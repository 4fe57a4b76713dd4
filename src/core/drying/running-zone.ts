import { drying as dryingTable } from '../coefficients/drying';
import { ZONES, type Zone } from '../hair/zone';
import { saturatedVapourDensity } from './air';
import type { DryRunInput } from './dry-run-input';
import type { Ladder } from './ladder';
import { dryMoisture } from './dry-threshold';
import { sectionNodes, type DryingNode, type SectionClass } from './nodes';

/** Everything one node needs inside the time loop; all of one shape, changed in place. */
export interface RunningNode {
  readonly drawn: DryingNode;
  readonly level: 0 | 1 | 2;
  readonly place: number;
  readonly isKnot: boolean;
  readonly massKg: number;
  readonly areaM2: number;
  /** Heat from the scalp through what touches it, W/K. */
  readonly contactWK: number;
  readonly depthM: number;
  readonly sleeveSM: number;
  /** Vapour diffusion inside the bundle over that in free air. */
  readonly diffusionShare: number;
  readonly profileFactor: number;
  /** Resistance of dried product films, s/m. */
  readonly filmSM: number;
  readonly startMoisture: number;
  /** Moisture at which it counts as dry, g per g. */
  dry: number;
  /** Seconds on the run's clock at which it is set. */
  readonly setAtS: number;
  heatWM2K: number;
  massMS: number;
  radiation: number;
  moisture: number;
  /** Moisture at which its air and conductances are worked out: as it is, or halfway through a step. */
  halfway: number;
  limit: number;
  temperatureC: number;
  /** Saturated vapour density at that temperature, kg/m³. */
  saturatedDensity: number;
  activity: number;
  vapourConductance: number;
  heatConductance: number;
  isDry: boolean;
}

/** Three rungs of air of one zone. */
export interface RunningZone {
  readonly zone: Zone;
  readonly areaM2: number;
  readonly lengthM: number;
  readonly vent: number;
  readonly nodes: RunningNode[];
  /** Nodes that are in the set by now: the first of {@link nodes}. */
  active: number;
  /** Nodes that are not dry yet. */
  damp: number;
  between: readonly [number, number, number];
  roomC: number;
  readonly vapour: [number, number, number];
  readonly airC: [number, number, number];
  /** Scratch for the two ladders of a step. */
  readonly ladder: Ladder;
}

/** Mean over the sections of a zone by their scalp. */
const byArea = (
  classes: readonly { readonly section: SectionClass }[],
  of: (section: SectionClass) => number,
): number =>
  classes.reduce((sum, { section }) => sum + areaOf(section) * of(section), 0) /
  classes.reduce((sum, { section }) => sum + areaOf(section), 0);

const areaOf = (c: SectionClass) => c.count * c.sectionAreaCm2 * 1e-4;

/**
 * Heat that a node takes from the scalp for each kelvin, W/K: through its footprint, skin to hair and on to its middle.
 *
 * @source overnight §1
 */
export const scalpContactWK = ({ footprintM2, depthM }: DryingNode): number =>
  footprintM2 / (1 / dryingTable.value.scalpContactWM2K + depthM / dryingTable.value.dampConductivityWMK);

/** A node as the run begins: as wet as it is set, as warm as the room. */
function runningNode(
  node: DryingNode,
  section: SectionClass,
  index: number,
  input: DryRunInput,
  installS: number,
): RunningNode {
  const startMoisture = section.startMoisture ?? input.startMoisture;
  return {
    drawn: node,
    level: node.level,
    place: index * 3 + node.level,
    isKnot: node.isKnot,
    massKg: node.massKg * section.count,
    areaM2: node.areaM2 * section.count,
    contactWK: section.count * scalpContactWK(node),
    depthM: node.depthM,
    sleeveSM: node.sleeveSM,
    diffusionShare: dryingTable.value.bundleDiffusivity * (1 - node.packing) ** (4 / 3),
    profileFactor: node.profileFactor,
    filmSM: section.filmResistanceSM ?? input.filmResistanceSM,
    startMoisture,
    dry: dryMoisture({
      start: startMoisture,
      roomHumidity: input.room.relativeHumidity,
      porosityFactor: input.porosityFactor,
    }),
    setAtS: installS - 3600 * (section.setBeforeEndH ?? 0),
    heatWM2K: 0,
    massMS: 0,
    radiation: 0,
    moisture: startMoisture,
    halfway: startMoisture,
    limit: 0,
    temperatureC: input.room.temperatureC,
    saturatedDensity: saturatedVapourDensity(input.room.temperatureC),
    activity: 1,
    vapourConductance: 0,
    heatConductance: 0,
    isDry: false,
  };
}

/**
 * The zones of a head that have hair in the set, each with its nodes in the order they are set.
 *
 * @param installS seconds from the first section set to the last
 */
export function runningZones(input: DryRunInput, installS: number): RunningZone[] {
  return ZONES.flatMap((zone): RunningZone[] => {
    const classes = input.classes
      .map((section, index) => ({ section, index }))
      .filter(({ section }) => section.zone === zone && section.count > 0);
    if (classes.length === 0) return [];
    const nodes = classes.flatMap(({ section, index }) =>
      sectionNodes(section).map((node) => runningNode(node, section, index, input, installS)),
    );
    const { temperatureC } = input.room;
    return [
      {
        zone,
        areaM2: classes.reduce((sum, { section }) => sum + areaOf(section), 0),
        lengthM: byArea(classes, ({ lengthCm }) => lengthCm) / 100,
        vent: byArea(classes, ({ shape }) => (shape.kind === 'rope' ? (shape.vent ?? 1) : 1)),
        nodes: nodes.sort((a, b) => a.setAtS - b.setAtS),
        active: 0,
        damp: 0,
        between: [0, 0, 0],
        roomC: temperatureC,
        vapour: [0, 0, 0],
        airC: [temperatureC, temperatureC, temperatureC],
        ladder: { between: [0, 0, 0], toNodes: [0, 0, 0], sources: [0, 0, 0], room: 0 },
      },
    ];
  });
}
