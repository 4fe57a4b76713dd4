'use client';
import { DRAWING, hairlinePath, type DrawnSection } from '@/core/parting/drawn-layout';
import { HEAD_DRAWING } from '@/core/parting/head-drawing';
import styles from './head-thumb.module.css';
import { wetStep, type SectionState } from './section-state';
import { hairTone, skinTone } from './tones';

const HAIRLINE = hairlinePath();

/** A small picture of a head; what it shows is said in words beside it. */
export function HeadThumb({
  drawn,
  skin,
  hair,
  stateOf,
}: {
  drawn: readonly DrawnSection[];
  skin: string;
  hair: string;
  stateOf?: (section: DrawnSection) => SectionState;
}) {
  const tone = skinTone(skin);
  return (
    <svg
      className={styles.thumb}
      viewBox={`4 14 ${DRAWING.width - 8} ${DRAWING.height - 48}`}
      aria-hidden="true"
    >
      {HEAD_DRAWING.ears.map((d) => (
        <path key={d} d={d} fill={tone.fill} />
      ))}
      <path d={HEAD_DRAWING.nose} fill={tone.fill} />
      <path d={HEAD_DRAWING.outline} fill={tone.fill} />
      {drawn.map((section) => {
        const state = stateOf?.(section) ?? { kind: 'plain' };
        return (
          <path
            key={section.number}
            d={section.path}
            className={styles.section}
            data-state={state.kind === 'drying' ? `wet${wetStep(state.chanceDry)}` : state.kind}
          />
        );
      })}
      <path d={HAIRLINE} fill="none" stroke={hairTone(hair).stroke} strokeWidth="5" />
    </svg>
  );
}
