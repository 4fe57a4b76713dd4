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
    <p>
      {low === high
        ? `${formatLength(high, units)} all round`
        : `${formatLength(low, units)} to ${formatLength(high, units)} stretched`}
    </p>
  );
}
