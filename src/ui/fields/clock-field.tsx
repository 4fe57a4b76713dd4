'use client';
import TextField from '@mui/material/TextField';

/** A time of day on the wall clock, as "23:00". An emptied field keeps the time it had. */
export function ClockField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: string;
  onCommit: (clock: string) => void;
}) {
  return (
    <TextField
      type="time"
      label={label}
      value={value}
      fullWidth
      slotProps={{ inputLabel: { shrink: true } }}
      onChange={(event) => {
        if (event.target.value !== '') onCommit(event.target.value.slice(0, 5));
      }}
    />
  );
}
