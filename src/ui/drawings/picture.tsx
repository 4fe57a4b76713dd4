import type { CSSProperties } from 'react';
import type { Drawing, Tone } from '@/core/drawings/shape';
import { hairTone, skinTone } from '../crown-map/tones';
import styles from './picture.module.css';

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

/** A drawing in its frame. Its words stand beside it, so that it is hidden from screen readers. */
export function Picture({
  drawing,
  frame,
  skin,
  hair,
  isMirrored = false,
}: {
  readonly drawing: Drawing;
  readonly frame: { readonly width: number; readonly height: number };
  /** The head's own, by id. */
  readonly skin: string;
  /** The same of its hair; strands told apart by tone where it is left out. */
  readonly hair?: string;
  /** For the left hand. */
  readonly isMirrored?: boolean;
}) {
  const colour = (tone: Tone | undefined) =>
    tone === undefined ? 'none' : tone === 'skin' ? skinTone(skin).fill : `var(${VARIABLES[tone]})`;
  return (
    <svg
      className={styles.picture}
      data-own-hair={hair !== undefined}
      style={hair === undefined ? undefined : ({ '--own-hair': hairTone(hair).stroke } as CSSProperties)}
      viewBox={`0 0 ${frame.width} ${frame.height}`}
      aria-hidden="true"
    >
      <g transform={isMirrored ? `translate(${frame.width} 0) scale(-1 1)` : undefined}>
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
