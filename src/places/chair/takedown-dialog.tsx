'use client';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { TAKEDOWN_HANDS_IDS, takedownHands, type TakedownHandsId } from '@/core/coefficients/takedown-hands';
import { formatChance } from '@/ui/format';
import { ChairDialog } from './chair-dialog';
import styles from './chair.module.css';

/** Why a takedown is held back. */
export interface Gate {
  readonly chance: number;
  readonly isFeltDamp: boolean;
  /** When it is worth feeling again; null when that is now. */
  readonly waitUntil: string | null;
}

/** Begins the takedown by what is on the hands; while it may be damp, behind a plain warning and with a reason. */
export function TakedownDialog({
  open,
  gate,
  planned,
  onClose,
  onTakeDown,
}: {
  readonly open: boolean;
  /** Null where it is dry enough. */
  readonly gate: Gate | null;
  /** What is on the hands, as planned. */
  readonly planned: TakedownHandsId;
  readonly onClose: () => void;
  readonly onTakeDown: (hands: TakedownHandsId, reason: string | null) => void;
}) {
  const [reason, setReason] = useState('');
  const choices = [planned, ...TAKEDOWN_HANDS_IDS.filter((id) => id !== planned)];
  const isHeld = gate !== null && reason.trim() === '';
  return (
    <ChairDialog
      open={open}
      title={gate === null ? 'Take down' : gate.isFeltDamp ? 'It felt damp' : 'It may still be damp'}
      onClose={onClose}
      close={gate === null ? 'Not yet' : 'Wait'}
      maxWidth="sm"
    >
      {gate && (
        <>
          <p>
            {formatChance(gate.chance)} sure to be dry. Taken down damp it frizzes, shrinks and goes days
            sooner.{' '}
            {gate.waitUntil
              ? `Waiting until about ${gate.waitUntil} would make it 8 in 10.`
              : 'Feel three sections before you decide.'}
          </p>
          <TextField
            label="Why take it down now?"
            fullWidth
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
        </>
      )}
      <p>{gate ? 'All the same, with:' : 'What is on your hands?'}</p>
      <div className={styles.more}>
        {choices.map((id) => (
          <button
            key={id}
            type="button"
            disabled={isHeld}
            onClick={() => onTakeDown(id, gate ? reason.trim() : null)}
          >
            <span>
              {takedownHands[id].label}
              {id === planned && <small>as planned</small>}
            </span>
          </button>
        ))}
      </div>
    </ChairDialog>
  );
}
