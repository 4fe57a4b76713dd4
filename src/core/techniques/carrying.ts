import { thresholds } from '../coefficients/thresholds';
import { TECHNIQUE_IDS, techniqueOf, type TechniqueId } from '.';
import type { HairInSet, Tool } from './bundle';
import { bundleOf, type BundleSource } from './bundle-of';
import type { ToolFit } from './rod-fit';
import type { Technique } from './technique';
import { CATALOGUE_MM, toolKinds } from './tool-kind';

export type CarryProblemCode =
  'too-short' | 'too-long' | 'impossible' | 'overlaps' | 'less-than-a-turn' | 'wants-stretched';

/** Why the hair of a zone cannot carry what is planned there, or only badly. */
export interface CarryProblem {
  readonly code: CarryProblemCode;
  readonly text: string;
}

/** Something that can be done there instead. */
export interface CarryProposal {
  readonly technique: TechniqueId;
  readonly toolDiameterMm: number | null;
  readonly sections: number | null;
  readonly text: string;
}

const cm = (value: number) => `${Math.round(value * 2) / 2} cm`;

function fitProblem(technique: Technique, fit: ToolFit, tool: Tool): CarryProblem | null {
  const noun = technique.noun[0];
  const size = `${tool.diameterMm} mm ${toolKinds[technique.tool!].noun[0]}`;
  if (fit.impossible) {
    return { code: 'impossible', text: `too much hair for a ${size}: one turn cannot close` };
  }
  if (fit.fill > 1) {
    return {
      code: 'overlaps',
      text: `the hair has outgrown a ${size}: it wants ${Math.round(fit.axialMm)} mm of ${noun} and there are ${tool.workingLengthMm}`,
    };
  }
  if (fit.turns < 1) {
    return {
      code: 'less-than-a-turn',
      text: `the hair does not go once round a ${size}: it bends and does not curl`,
    };
  }
  return null;
}

/** What stands in the way of a technique on one section; null when nothing does. */
export function carryProblem(
  technique: Technique,
  hair: HairInSet,
  tool: Tool | null,
  isStretched: boolean,
): CarryProblem | null {
  const lengthCm = hair.lengthMm / 10;
  const { shortestCm, longestCm } = technique.coefficients.value;
  if (lengthCm < shortestCm) {
    return {
      code: 'too-short',
      text: `${cm(lengthCm)} is too short for ${technique.noun[1]}: they want ${cm(shortestCm)}`,
    };
  }
  if (lengthCm > longestCm) {
    return {
      code: 'too-long',
      text: `${cm(lengthCm)} is too long for ${technique.label.toLowerCase()}: up to ${cm(longestCm)}`,
    };
  }
  if (technique.needsStretched && !isStretched) {
    return { code: 'wants-stretched', text: `${technique.noun[1]} want hair that was stretched first` };
  }
  const fit = tool && technique.tool ? technique.form(hair, tool).fit : null;
  return fit && tool ? fitProblem(technique, fit, tool) : null;
}

/** The smallest common size of a technique's tool on which this hair fits in one layer and makes a turn. */
function sizeThatFits(technique: Technique, hair: HairInSet): number | null {
  if (!technique.tool) return null;
  const { workingLengthMm } = toolKinds[technique.tool].usual;
  return (
    CATALOGUE_MM.find((diameterMm) => {
      const fit = technique.form(hair, { diameterMm, workingLengthMm }).fit;
      return fit !== null && fit.fits && !fit.bandTooWide && fit.turns >= 1;
    }) ?? null
  );
}

/** Most sections a zone is asked to be split into to make a tool fit. */
const MOST_SPLIT = 4;
const MOST_PROPOSALS = 3;

/**
 * What can be done where the hair cannot carry what is planned: another size, more sections, another technique.
 *
 * @param source the section as it is parted now
 * @param sections how many the zone has now
 */
export function carryProposals(
  id: TechniqueId,
  source: BundleSource,
  sections: number,
  tool: Tool | null,
  isStretched: boolean,
): CarryProposal[] {
  const technique = techniqueOf(id);
  const proposals: CarryProposal[] = [];
  if (technique.tool) {
    const size = sizeThatFits(technique, bundleOf(technique, source));
    const works =
      size !== null &&
      carryProblem(
        technique,
        bundleOf(technique, source),
        { ...toolKinds[technique.tool].usual, diameterMm: size },
        isStretched,
      ) === null;
    if (works) {
      const noun = toolKinds[technique.tool].noun[1];
      proposals.push({
        technique: id,
        toolDiameterMm: size,
        sections: null,
        text: `${size} mm ${noun} here`,
      });
    }
    for (let times = 2; tool && times <= MOST_SPLIT; times++) {
      const hair = bundleOf(technique, { ...source, sectionCm2: source.sectionCm2 / times });
      if (carryProblem(technique, hair, tool, isStretched) !== null) continue;
      proposals.push({
        technique: id,
        toolDiameterMm: tool.diameterMm,
        sections: sections * times,
        text: `${sections * times} smaller sections here on the same size`,
      });
      break;
    }
  }
  for (const other of TECHNIQUE_IDS) {
    if (other === id) continue;
    const next = techniqueOf(other);
    // Kin first: what is wound stays wound, and short hair goes to coils.
    const hair = bundleOf(next, source);
    const diameterMm = sizeThatFits(next, hair);
    const nextTool = next.tool
      ? { ...toolKinds[next.tool].usual, diameterMm: diameterMm ?? toolKinds[next.tool].usual.diameterMm }
      : null;
    if (next.tool && diameterMm === null) continue;
    if (carryProblem(next, hair, nextTool, isStretched) !== null) continue;
    proposals.push({
      technique: other,
      toolDiameterMm: diameterMm,
      sections: null,
      text: diameterMm
        ? `${next.label.toLowerCase()} on ${diameterMm} mm here`
        : `${next.label.toLowerCase()} here`,
    });
  }
  return proposals
    .map((proposal, order) => ({
      proposal,
      rank: rankOf(proposal.technique, technique, source.lengthCm),
      order,
    }))
    .sort((a, b) => a.rank - b.rank || a.order - b.order)
    .slice(0, MOST_PROPOSALS)
    .map(({ proposal }) => proposal);
}

/** Lower is nearer: the technique itself, then one of the same kind of shape, then by how well the length suits. */
function rankOf(id: TechniqueId, from: Technique, lengthCm: number): number {
  const technique = techniqueOf(id);
  if (technique.id === from.id) return 0;
  const kin = technique.motif === from.motif || (technique.tool !== null && from.tool !== null) ? 1 : 2;
  const { longestCm, shortestCm } = technique.coefficients.value;
  // On short hair, what is usually done on hair about as long comes first.
  const usualCm = Math.sqrt(shortestCm * longestCm);
  return lengthCm < thresholds.value.shortHairCm ? Math.abs(Math.log(lengthCm / usualCm)) : kin;
}
