import type { FlatPicture } from '@/core/round/flat-picture';
import { flatSvg } from '@/core/round/flat-svg';
import styles from './round-view.module.css';
import { flatTones, type RoundTones } from './round-tones';

/** What every small head is seen in, so that two of them compare: left, top, width, height, cm. */
const BOX = '-22 -16.5 44 44';

/** A head small and flat, without a ruler; an empty place until it is drawn. */
export function FlatThumb({
  picture,
  tones,
  label,
}: {
  readonly picture: FlatPicture | null;
  readonly tones: RoundTones;
  readonly label: string;
}) {
  if (!picture) return <div className={styles.thumb} data-drawn={false} />;
  return (
    <svg
      className={styles.thumb}
      data-drawn
      viewBox={BOX}
      role="img"
      aria-label={label}
      // Numbers and colours only, from the core.
      dangerouslySetInnerHTML={{
        __html: flatSvg(picture, flatTones(tones), null),
      }}
    />
  );
}
