'use client';
import { FAULT_IDS, faults as faultTable, type FaultId } from '@/core/run/faults';
import type { RunEvent } from '@/core/run/run-event';
import { ChairDialog } from './chair-dialog';
import styles from './chair.module.css';

/** What went wrong with a section; pressed again it did not. */
export function FaultDialog({
  sectionNumber,
  faults,
  onFault,
  onTakeBack,
  onClose,
}: {
  /** Null while it is closed. */
  readonly sectionNumber: number | null;
  readonly faults: readonly RunEvent[];
  readonly onFault: (fault: FaultId) => void;
  readonly onTakeBack: (eventId: string) => void;
  readonly onClose: () => void;
}) {
  if (sectionNumber === null) return null;
  const own = faults.filter((fault) => fault.sectionNumber === sectionNumber);
  return (
    <ChairDialog open title={`Section ${sectionNumber}: what went wrong?`} onClose={onClose} maxWidth="sm">
      <div className={styles.faults}>
        {FAULT_IDS.map((id) => {
          const said = own.find(({ step }) => step === id);
          return (
            <button
              key={id}
              type="button"
              aria-pressed={said !== undefined}
              onClick={() => (said ? onTakeBack(said.id) : onFault(id))}
            >
              {faultTable[id].label}
            </button>
          );
        })}
      </div>
    </ChairDialog>
  );
}
