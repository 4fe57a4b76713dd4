import { prepName } from '@/core/coefficients/prep-steps';
import { dryingMethods, type DryingMethodId } from '@/core/drying-methods';
import type { ScheduleBlock } from '@/core/schedule/backward';

/** What a block of the day is called, on the ribbon and on the sheet. */
export function blockLabel(block: ScheduleBlock, setLabel: string): string {
  switch (block.step) {
    case 'prep':
      return block.part ? [prepName(block.part), block.product].filter(Boolean).join(': ') : 'Wash and prep';
    case 'install':
      return `Set ${setLabel}`;
    case 'dry':
      return `Dry ${dryingMethods[block.method as DryingMethodId]?.phrase ?? ''}`.trim();
    case 'takedown':
      return 'Take down';
    case 'separate':
      return 'Separate';
  }
}
