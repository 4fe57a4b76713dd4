import { FRAME, type Drawing } from '@/core/drawings/shape';
import { Picture } from './picture';

/** One step of a card, drawn. */
export const StepDrawing = (props: {
  readonly drawing: Drawing;
  readonly skin: string;
  /** For the left hand. */
  readonly isMirrored: boolean;
}) => <Picture {...props} frame={FRAME} />;
