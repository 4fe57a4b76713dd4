import type { Units } from '@/core/formats/display';
import type { PartingEffect } from '@/core/plan/parting-effect';
import { formatDiameter, formatHours, formatMinutes } from '@/ui/format';

/** Changes under these nobody feels: min, hours, mm. */
const LEAST = { min: 0.75, hours: 0.2, mm: 0.75 } as const;

/** "1 min more", "dry 1¼ h later", "curls 2.5 mm larger": what a change brings, as far as anybody would notice. */
export function effectWords(
  { moreMin, laterH, curlMm }: PartingEffect,
  pace: number,
  units: Units,
): string[] {
  const min = moreMin * pace;
  const mm = curlMm ? curlMm.after - curlMm.before : 0;
  return [
    Math.abs(min) >= LEAST.min && `${formatMinutes(Math.abs(min))} ${min > 0 ? 'more' : 'saved'}`,
    Math.abs(mm) >= LEAST.mm &&
      `curls there ${formatDiameter(Math.abs(mm), units)} ${mm > 0 ? 'larger' : 'smaller'}`,
    Math.abs(laterH) >= LEAST.hours &&
      `dry ${formatHours(Math.abs(laterH))} ${laterH > 0 ? 'later' : 'sooner'}`,
  ].filter((words) => words !== false);
}
