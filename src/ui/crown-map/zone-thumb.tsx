import { DRAWING, drawZones, hairlinePath } from '@/core/parting/drawn-layout';
import { HEAD_DRAWING } from '@/core/parting/head-drawing';
import styles from './head-thumb.module.css';
import { hairTone, skinTone } from './tones';

const ID = 'zone-thumb';
const VIEW = `4 14 ${DRAWING.width - 8} ${DRAWING.height - 48}`;

/** The shapes of `ZoneThumb`, drawn once a page: a list of heads would repeat them for each. */
export function ZoneThumbShapes() {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
      <symbol id={ID} viewBox={VIEW}>
        <g fill="var(--thumb-skin)">
          {[...HEAD_DRAWING.ears, HEAD_DRAWING.nose, HEAD_DRAWING.outline].map((d) => (
            <path key={d} d={d} />
          ))}
        </g>
        {drawZones().map((zone) => (
          <path key={zone.number} d={zone.path} className={styles.section} data-state="plain" />
        ))}
        <path d={hairlinePath()} fill="none" stroke="var(--thumb-hair)" strokeWidth="5" />
      </symbol>
    </svg>
  );
}

/** A small picture of a head with its zones, in its own tones. */
export function ZoneThumb({ skin, hair }: { skin: string; hair: string }) {
  const tones = { '--thumb-skin': skinTone(skin).fill, '--thumb-hair': hairTone(hair).stroke };
  return (
    <svg className={styles.thumb} viewBox={VIEW} aria-hidden="true" style={tones as React.CSSProperties}>
      <use href={`#${ID}`} />
    </svg>
  );
}
