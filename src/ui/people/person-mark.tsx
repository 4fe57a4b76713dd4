import { handMark } from '@/ui/crown-map/hand-marks';
import styles from './person-mark.module.css';

/** The mark and colour that somebody goes by. */
export function PersonMark({ colour }: { colour: number }) {
  const { place, mark } = handMark(colour, '');
  return (
    <span className={styles.mark} data-hand={place} aria-hidden="true">
      {mark}
    </span>
  );
}
