'use client';
import type { DrawnSection } from '@/core/parting/drawn-layout';
import { sectionName } from '@/core/parting/section-name';
import { plural } from '@/core/words/words';
import { ChairDialog } from './chair-dialog';
import styles from './chair.module.css';

/** Several sections at once: what was done while no hand was free to tap. */
export function SeveralDialog({
  section,
  drawn,
  isDone,
  onDone,
  onClose,
}: {
  /** The section that was pressed long. */
  readonly section: DrawnSection;
  readonly drawn: readonly DrawnSection[];
  readonly isDone: (number: number) => boolean;
  readonly onDone: (numbers: readonly number[]) => void;
  readonly onClose: () => void;
}) {
  const open = drawn.filter(({ number }) => !isDone(number));
  const choices = [
    { label: 'All of this row', own: open.filter(({ row }) => row === section.row) },
    {
      label: `All up to ${sectionName(section.number)}`,
      own: open.filter((other) => drawn.indexOf(other) <= drawn.indexOf(section)),
    },
    { label: 'All that are left', own: open },
  ].filter(({ own }) => own.length > 0);
  return (
    <ChairDialog
      open
      title={`Section ${sectionName(section.number)}: several at once`}
      onClose={onClose}
      close="Leave"
    >
      <div className={styles.several}>
        {choices.map(({ label, own }) => (
          <button key={label} type="button" onClick={() => onDone(own.map(({ number }) => number))}>
            {label}
            <small>{plural(own.length, 'section')}</small>
          </button>
        ))}
        {choices.length === 0 && <p>Every section is done.</p>}
      </div>
    </ChairDialog>
  );
}
