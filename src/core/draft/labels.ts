import { TECHNIQUE_IDS, techniqueOf, techniques, type TechniqueId } from '../techniques';
import type { Technique } from '../techniques/technique';
import { plural } from '../words/words';
import { PART_LABEL } from '../parting/pattern';
import type { DraftParting, DraftSet } from './draft-brief';

const counted = (id: TechniqueId, count: number | undefined) => {
  const { noun } = techniqueOf(id);
  return count === undefined ? noun[1] : plural(count, ...noun);
};

/** "18 twists": what the head is parted in, without zones of their own. */
export const sectionsLabel = (set: DraftSet): string => counted(set.technique, set.sections);

/** "20 braids, 15 coils": everything that goes in, zones of their own too. */
export function wholeSetLabel(set: DraftSet): string {
  const counts = new Map<TechniqueId, number>([[set.technique, set.sections ?? 0]]);
  for (const draft of Object.values(set.zones ?? {})) {
    const id = draft?.technique ?? set.technique;
    if (draft?.sections) counts.set(id, (counts.get(id) ?? 0) + draft.sections);
  }
  return [...counts].map(([id, count]) => counted(id, count)).join(', ');
}

/** What a parting is, beyond its pattern: the part, rows that are asked for, two halves. */
export const partingWords = ({ part = 'none', backRows, trial }: DraftParting): string[] => [
  PART_LABEL[part].toLowerCase(),
  ...(backRows ? [`${plural(backRows, 'row')} at the back`] : []),
  ...(trial ? ['two halves compared'] : []),
];

const KNOWN = new Set<string>(TECHNIQUE_IDS);

/** The same of a set in a list, whose row may be of a newer version or damaged. */
export const setLabelOf = (set: DraftSet | null): string =>
  set === null
    ? 'a set that cannot be read'
    : KNOWN.has(set.technique)
      ? wholeSetLabel(set)
      : 'an unknown technique';

/** What a section is shown by on the crown map. */
export interface SectionMotif {
  readonly kind: Technique['motif'];
  /** Ropes wound round each other. */
  readonly ropes: number;
  /** Each rope is twisted of two itself. */
  readonly isDouble: boolean;
}

/** The motif of a technique: as many ropes as are wound. */
export const motifOf = ({ motif, inSet, coefficients }: Technique): SectionMotif => ({
  kind: motif,
  ropes: coefficients.value.ropes,
  isDouble: inSet === 'twice-twisted',
});

/** The motif of a section by what is done there; null where an old record does not say. */
export const motifOfSection = (
  sections: readonly { readonly technique?: string }[],
  number: number,
): SectionMotif | null => {
  const id = sections[number - 1]?.technique;
  return id && id in techniques ? motifOf(techniqueOf(id as TechniqueId)) : null;
};

/** Mean size of the sections of one technique, cm²; of all of them where none has it. */
export function meanSectionCm2(
  { sections }: { readonly sections: readonly { readonly areaCm2: number; readonly technique: string }[] },
  technique: TechniqueId,
): number {
  const ofTechnique = sections.filter((section) => section.technique === technique);
  const counted = ofTechnique.length > 0 ? ofTechnique : sections;
  return counted.reduce((sum, section) => sum + section.areaCm2, 0) / Math.max(1, counted.length);
}
