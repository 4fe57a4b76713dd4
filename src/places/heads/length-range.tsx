'use client';
import type { HeadInput } from '@/core/formats/brief';
import { formatLength } from '@/ui/format';
import { useUnits } from '@/ui/units-context';

/** Shortest to longest stretched length of a head. */
export function LengthRange({ lengthCm }: { lengthCm: HeadInput['stretchedLengthCm'] }) {
  const { units } = useUnits();
  const all = typeof lengthCm === 'number' ? [lengthCm] : Object.values(lengthCm);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  return (
    <>
      <strong>{formatLength(high, units)}</strong>
      {low === high ? 'all round' : `shortest ${formatLength(low, units)}`}
    </>
  );
}
