'use client';
import type { PerZone } from '@/core/hair/zone';
import { DRAWING, hairlinePath, type DrawnSection } from '@/core/parting/drawn-layout';
import { HEAD_DRAWING } from '@/ui/crown-map/head-drawing';
import { skinTone, hairTone } from '@/ui/crown-map/tones';
import { dryingState, wetStep } from '@/ui/crown-map/section-state';
import styles from './today-page.module.css';

const HAIRLINE = hairlinePath();

/** A small picture of a drying head; what it shows is said beside it. */
export function DryingThumb({
  drawn,
  zones,
  skin,
  hair,
}: {
  drawn: readonly DrawnSection[];
  zones: PerZone<number>;
  skin: string;
  hair: string;
}) {
  const tone = skinTone(skin);
  return (
    <svg className={styles.thumb} viewBox={`0 0 ${DRAWING.width} ${DRAWING.height - 50}`} aria-hidden="true">
      {HEAD_DRAWING.ears.map((d) => (
        <path key={d} d={d} fill={tone.fill} />
      ))}
      <path d={HEAD_DRAWING.nose} fill={tone.fill} />
      <path d={HEAD_DRAWING.outline} fill={tone.fill} />
      {drawn.map((section) => {
        const state = dryingState(zones[section.zone]);
        return (
          <path
            key={section.number}
            d={section.path}
            className={styles.thumbSection}
            data-wet={state.kind === 'drying' ? wetStep(state.chanceDry) : 'dry'}
          />
        );
      })}
      <path d={HAIRLINE} fill="none" stroke={hairTone(hair).stroke} strokeWidth="4" />
    </svg>
  );
}
