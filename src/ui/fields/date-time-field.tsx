'use client';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { pickedWords } from '../format';
import { useUnits } from '../units-context';

const LOCAL_TIME = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;

/** A day and time on the wall clock of the studio, as "2027-03-13T09:00". */
export function DateTimeField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: string;
  onCommit: (local: string | null) => void;
}) {
  const { clock } = useUnits();
  const [text, setText] = useState(value);
  const [last, setLast] = useState(value);
  if (value !== last) {
    setLast(value);
    setText(value);
  }
  const isWhole = text === '' || LOCAL_TIME.test(text);
  return (
    <TextField
      type="datetime-local"
      label={label}
      value={text}
      fullWidth
      error={!isWhole}
      helperText={
        isWhole
          ? (pickedWords(text, clock) ?? 'Leave it empty for no fixed time')
          : 'A whole day and time, such as 13/03/2027, 09:00'
      }
      slotProps={{ inputLabel: { shrink: true } }}
      onChange={(event) => {
        const next = event.target.value;
        setText(next);
        if (next === '' || LOCAL_TIME.test(next)) {
          setLast(next);
          onCommit(next === '' ? null : next);
        }
      }}
    />
  );
}
