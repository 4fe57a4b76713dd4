/** What can have gone wrong with a section, as it shows at takedown. One row a fault (common practice). */
export const faults = {
  'damp-inside': { label: 'Damp inside' },
  'strands-mixed': { label: 'Strands mixed' },
  'too-big': { label: 'Too big' },
  'loose-root': { label: 'Loose root' },
  'ends-open': { label: 'Ends open' },
  'bent-ends': { label: 'Bent ends' },
  'too-little': { label: 'Too little product' },
  flakes: { label: 'Flakes or white' },
  pulled: { label: 'Pulled, sore' },
  broke: { label: 'Hair broke' },
} as const satisfies Record<string, { readonly label: string }>;

export type FaultId = keyof typeof faults;
/** Their ids, as they are offered. */
export const FAULT_IDS = Object.keys(faults) as FaultId[];

/** Whether a word names a fault. */
export const isFault = (word: string | null): word is FaultId => FAULT_IDS.some((id) => id === word);
