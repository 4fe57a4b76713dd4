'use client';
import type { Clock } from '@/core/formats/display';
import type { ReactNode } from 'react';
import type { ScheduleBlock } from '@/core/schedule/backward';
import { formatClock, formatHours } from '../format';
import { useTimeDrag } from './use-time-drag';
import styles from './ribbon.module.css';

/** What moving a block does: the work begins at another time, or a drying step lasts longer. */
export interface BlockMover {
  readonly kind: 'start' | 'length';
  readonly by: (minutes: number) => void;
}

/** The bar of a block. Where it can be moved, it is dragged or moved with the arrow keys. */
export function BlockHold({
  label,
  block,
  isSettled,
  clock,
  onMove,
  children,
}: {
  label: string;
  block: ScheduleBlock;
  isSettled: boolean;
  clock: Clock;
  onMove: BlockMover | undefined;
  children: ReactNode;
}) {
  const isLength = onMove?.kind === 'length';
  const { shownMs, draggedMin, handlers } = useTimeDrag(
    isLength ? block.endMs : block.startMs,
    isSettled,
    onMove && ((minutes) => onMove.by(minutes)),
  );
  const words = isLength ? formatHours((shownMs - block.startMs) / 3_600_000) : formatClock(shownMs, clock);
  return (
    <span
      className={styles.bar}
      data-moves={onMove !== undefined}
      {...(handlers && {
        ...handlers,
        'aria-label': `${label}: ${isLength ? 'how long' : 'begins'}`,
        'aria-valuetext': words,
      })}
    >
      {children}
      {draggedMin !== 0 && <span className={styles.dragged}>{words}</span>}
    </span>
  );
}
