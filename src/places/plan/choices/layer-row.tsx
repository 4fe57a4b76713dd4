'use client';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { ReactNode } from 'react';
import { GripIcon } from '@/ui/icons';
import styles from './layers.module.css';

/** One layer that can be dragged by its grip, with a pointer or with the keyboard. */
export function LayerRow({ id, name, children }: { id: string; name: string; children: ReactNode }) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      className={styles.layer}
      data-dragging={isDragging}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        className={styles.grip}
        {...attributes}
        {...listeners}
        aria-label={`Move ${name}`}
      >
        <GripIcon width={18} height={18} />
      </button>
      {children}
    </li>
  );
}
