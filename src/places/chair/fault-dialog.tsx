'use client';
import { sectionName } from '@/core/parting/section-name';
import { FAULT_IDS, faults } from '@/core/run/faults';
import { ChairDialog } from './chair-dialog';
import type { ChairViewProps } from './chair-set';
import styles from './chair.module.css';

/** What went wrong with a section; pressed again it did not. */
export function FaultDialog({
  sectionNumber,
  log: { state, record },
  onClose,
}: Pick<ChairViewProps, 'log'> & {
  /** Null while it is closed. */
  readonly sectionNumber: number;
  readonly onClose: () => void;
}) {
  const own = state.faults.filter((fault) => fault.sectionNumber === sectionNumber);
  return (
    <ChairDialog
      open
      title={`Section ${sectionName(sectionNumber)}: what went wrong?`}
      onClose={onClose}
      maxWidth="sm"
    >
      <div className={styles.faults}>
        {FAULT_IDS.map((id) => {
          const said = own.find(({ step }) => step === id);
          return (
            <button
              key={id}
              type="button"
              aria-pressed={said !== undefined}
              onClick={() =>
                said ? record('taken-back', { of: [said.id] }) : record('fault', { sectionNumber, step: id })
              }
            >
              {faults[id].label}
            </button>
          );
        })}
      </div>
    </ChairDialog>
  );
}
