'use client';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

export interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly unit?: string;
  readonly step?: number;
  /** Only whole numbers. */
  readonly whole?: boolean;
  readonly onCommit: (value: number) => void;
  readonly width?: number;
  /** What stands over it, where the whole name has no room. */
  readonly short?: string;
}

const shown = (value: number) => String(Math.round(value * 100) / 100);

/** A number in its range. What was typed stays; only a number in range is handed on. */
export function NumberField({
  label,
  value,
  low,
  high,
  unit = '',
  step = 1,
  whole = false,
  onCommit,
  width,
  short,
}: NumberFieldProps) {
  const [text, setText] = useState(shown(value));
  const [last, setLast] = useState(value);
  if (value !== last) {
    setLast(value);
    if (Number(text.replace(',', '.')) !== value) setText(shown(value));
  }
  const problem = problemOf(text, { label, low, high, unit, whole });
  return (
    <TextField
      label={short ?? (unit ? `${label}, ${unit}` : label)}
      value={text}
      error={problem !== null}
      helperText={problem}
      {...(width ? { sx: { width } } : { fullWidth: true })}
      slotProps={{
        htmlInput: { inputMode: whole ? 'numeric' : 'decimal', ...(short && { 'aria-label': label }) },
      }}
      onChange={(event) => {
        const next = event.target.value;
        setText(next);
        if (problemOf(next, { label, low, high, unit, whole }) === null) {
          const number = Number(next.replace(',', '.'));
          setLast(number);
          onCommit(number);
        }
      }}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
        event.preventDefault();
        const next = Math.min(high, Math.max(low, value + (event.key === 'ArrowUp' ? step : -step)));
        setText(shown(next));
        setLast(next);
        onCommit(next);
      }}
    />
  );
}

/** Why a text is not a number in range, in words; null when it is. */
export function problemOf(
  text: string,
  {
    label,
    low,
    high,
    unit,
    whole,
  }: { label: string; low: number; high: number; unit: string; whole: boolean },
): string | null {
  const range = `${shown(low)} to ${shown(high)}${unit && ` ${unit}`}`;
  if (text.trim() === '') return `${label}: write a number, ${range}`;
  const number = Number(text.trim().replace(',', '.'));
  if (!Number.isFinite(number)) return `“${text}” is not a number; write ${range}`;
  if (whole && !Number.isInteger(number)) return `${label}: a whole number, ${range}`;
  if (number < low || number > high) return `${label}: ${range}`;
  return null;
}
