'use client';
import type { FlatPicture } from '@/core/round/flat-picture';
import { flatBox, flatSvg } from '@/core/round/flat-svg';
import { cmFromInches } from '@/core/units/length';
import { useUnits } from '../units-context';
import styles from './round-view.module.css';
import { flatTones, type RoundTones } from './round-tones';

/** A head drawn flat: where there is no WebGL, and where it is wanted so. */
export function FlatRound({
  picture,
  tones,
  label,
}: {
  readonly picture: FlatPicture | null;
  readonly tones: RoundTones;
  readonly label: string;
}) {
  const { units } = useUnits();
  if (!picture) return null;
  return (
    <svg
      className={styles.flat}
      viewBox={flatBox(picture).join(' ')}
      role="img"
      aria-label={label}
      // Numbers and colours only, from the core.
      dangerouslySetInnerHTML={{
        __html: flatSvg(
          picture,
          flatTones(tones),
          units.length === 'cm' ? { stepCm: 1, unit: 'cm' } : { stepCm: cmFromInches(1), unit: 'in' },
        ),
      }}
    />
  );
}
