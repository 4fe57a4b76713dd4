import type { BriefInput } from '@/core/formats/brief';
import { techniqueOf, type TechniqueId } from '@/core/techniques';
import { aBrief } from './briefs';

/** More sections than this only make a check slower. */
const MOST_SECTIONS = 40;

/** A brief of a technique as it is usually done, on hair that it suits. */
export function usualBrief(id: TechniqueId, change: Parameters<typeof aBrief>[0] = {}): BriefInput {
  const technique = techniqueOf(id);
  return aBrief({
    ...change,
    head: { stretchedLengthCm: technique.motif === 'coil' ? 16 : 28, ...change.head },
    set: {
      technique: id,
      sections: Math.min(MOST_SECTIONS, technique.usualSections),
      endsMethod: technique.endsMethods[0],
      startState: technique.needsStretched ? 'stretched-dry' : technique.needsWet ? 'wet' : 'damp',
      ...change.set,
    },
    brief: {
      ...(technique.usualPattern === 'lanes-back' ? { parting: { pattern: 'lanes-back' } } : {}),
      ...change.brief,
    },
  });
}
