import { dryness } from '@/core/coefficients/drying';
import type { PlanFile } from '@/core/formats/plan-file';
import type { TakenDown } from '@/core/plan/as-taken-down';
import { formatChance } from '@/ui/format';

/** That a set was not surely dry when it was taken down, and what that changed; empty where it was. */
export function dampWords({
  asTakenDown,
  forecast,
}: {
  readonly asTakenDown: TakenDown | null;
  readonly forecast: PlanFile;
}): string {
  if (!asTakenDown || asTakenDown.chanceDry >= dryness.value.sure) return '';
  const before = Math.round(forecast.daysPresentable.p50 * 2) / 2;
  const now = Math.round(asTakenDown.daysPresentable.p50 * 2) / 2;
  const change = before === now ? '' : `; dry it would have been ${before} days`;
  return `Taken down ${formatChance(asTakenDown.chanceDry)} sure to be dry: days, definition and frizz follow that${change}.`;
}
