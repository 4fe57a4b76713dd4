'use client';
import type { FlatPicture } from '@/core/round/flat-picture';
import { flatBox, flatSvg, type FlatRuler } from '@/core/round/flat-svg';
import { cmFromInches } from '@/core/units/length';
import { useUnits } from '../units-context';
import styles from './round-view.module.css';
import { flatTones, type RoundTones } from './round-tones';

interface Told {
  readonly tones: RoundTones;
  /** What is shown, in words. */
  readonly label: string;
}

/** A head drawn flat, as it fills a place. */
export function FlatHead({
  picture,
  box,
  ruler,
  tones,
  label,
}: Told & {
  readonly picture: FlatPicture;
  /** What of it is seen: left, top, width, height, cm. */
  readonly box: readonly [number, number, number, number];
  readonly ruler: FlatRuler | null;
}) {
  return (
    <svg
      className={styles.flat}
      viewBox={box.join(' ')}
      role="img"
      aria-label={label}
      // Numbers and colours only, from the core.
      dangerouslySetInnerHTML={{ __html: flatSvg(picture, flatTones(tones), ruler) }}
    />
  );
}

/** A head drawn flat beside a ruler: where there is no WebGL, and where it is wanted so. */
export function FlatRound({ picture, ...told }: Told & { readonly picture: FlatPicture | null }) {
  const { units } = useUnits();
  if (!picture) return null;
  return (
    <FlatHead
      picture={picture}
      box={flatBox(picture)}
      ruler={units.length === 'cm' ? { stepCm: 1, unit: 'cm' } : { stepCm: cmFromInches(1), unit: 'in' }}
      {...told}
    />
  );
}
