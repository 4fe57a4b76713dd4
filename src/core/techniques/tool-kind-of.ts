import type { EndsMethodId } from '../coefficients/root-and-ends';
import type { Technique } from './technique';
import type { ToolKindId } from './tool-kind';

/** What hair is wound on: the technique's own tool, or a rod on the ends. */
export const toolKindOf = (technique: Technique, endsMethod: EndsMethodId): ToolKindId | null =>
  technique.tool ?? (endsMethod === 'rod' ? 'end-rod' : null);
