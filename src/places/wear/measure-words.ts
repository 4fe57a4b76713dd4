import { photoMeasures, type PhotoMeasure } from '@/core/diary/photo-measure';
import type { Units } from '@/core/formats/display';
import { ZONE_LABEL } from '@/core/hair/zone';
import { Z_90 } from '@/core/stats/normal';
import { formatDiameter, formatIndex, formatLength } from '@/ui/format';

/** A figure from a picture in words: what it is, its value, and its range of eight in ten. */
export function measureWords(
  { measure, zone, value, sigma }: PhotoMeasure,
  units: Units,
): { readonly name: string; readonly value: string; readonly range: string } {
  const { label, unit } = photoMeasures[measure];
  const show = (figure: number): string => {
    switch (unit) {
      case 'cm':
        return formatLength(figure, units);
      case 'mm':
        return formatDiameter(figure, units);
      case '%':
        return `${Math.round(figure)} %`;
      case 'of 10':
        return `${formatIndex(figure)} of 10`;
      case 'head widths':
        return `${figure.toFixed(2)} head widths`;
    }
  };
  const [low, high] = [Math.max(0, value - Z_90 * sigma), value + Z_90 * sigma];
  const most = unit === '%' ? 100 : unit === 'of 10' ? 10 : Infinity;
  return {
    name: zone ? `${label}, ${ZONE_LABEL[zone]}` : label,
    value: show(value),
    range: `${show(low)} to ${show(Math.min(most, high))}`,
  };
}
