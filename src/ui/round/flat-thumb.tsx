import type { FlatPicture } from '@/core/round/flat-picture';
import { FlatHead } from './flat-round';
import styles from './round-view.module.css';
import type { RoundTones } from './round-tones';

/** What every small head is seen in, so that two of them compare: left, top, width, height, cm. */
const BOX = [-22, -16.5, 44, 44] as const;

/** A head small and flat, without a ruler; an empty place until it is drawn. */
export function FlatThumb({
  picture,
  ...told
}: {
  readonly picture: FlatPicture | null;
  readonly tones: RoundTones;
  readonly label: string;
}) {
  return (
    <div className={styles.thumb} data-drawn={picture !== null}>
      {picture && <FlatHead picture={picture} box={BOX} ruler={null} {...told} />}
    </div>
  );
}
