import { FRAME, type Drawing, type Tone } from '@/core/drawings/shape';
import { skinTone } from '../crown-map/tones';
import styles from './step-drawing.module.css';

const VARIABLES: Readonly<Record<Exclude<Tone, 'skin'>, string>> = {
  dark: '--dark',
  warm: '--warm',
  sand: '--sand',
  'hair-line': '--hair-line',
  'skin-line': '--skin-line',
  panel: '--panel',
  ground: '--ground-tone',
  tool: '--tool',
  'tool-line': '--tool-line',
  act: '--act-tone',
  now: '--now-tone',
  right: '--right',
  wrong: '--wrong',
};

/** One step, drawn. Its words stand beside it, so that it is hidden from screen readers. */
export function StepDrawing({
  drawing,
  skin,
  isMirrored,
}: {
  readonly drawing: Drawing;
  /** The head's own, by id. */
  readonly skin: string;
  /** For the left hand. */
  readonly isMirrored: boolean;
}) {
  const colour = (tone: Tone | undefined) =>
    tone === undefined ? 'none' : tone === 'skin' ? skinTone(skin).fill : `var(${VARIABLES[tone]})`;
  return (
    <svg className={styles.drawing} viewBox={`0 0 ${FRAME.width} ${FRAME.height}`} aria-hidden="true">
      <g transform={isMirrored ? `translate(${FRAME.width} 0) scale(-1 1)` : undefined}>
        {drawing.map(({ d, fill, stroke, width }, i) => (
          // Shapes have no identity but their place.
          <path
            key={i}
            d={d}
            style={{ fill: colour(fill), stroke: colour(stroke) }}
            strokeWidth={width ?? 1}
          />
        ))}
      </g>
    </svg>
  );
}
