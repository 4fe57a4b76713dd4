'use client';
import TextField from '@mui/material/TextField';
import { useState, type Ref } from 'react';
import { parseLengthCm } from '@/core/units/length';
import { capitalised } from '@/core/words/words';
import { formatLength, inchWords } from '../format';
import { useUnits } from '../units-context';

export interface LengthFieldProps {
  readonly label: string;
  /** What is kept: centimetres, or null while nothing usable was typed. */
  readonly valueCm: number | null;
  readonly lowCm: number;
  readonly highCm: number;
  readonly onChange: (cm: number | null) => void;
  /** Said from outside, as by the server. */
  readonly error?: string | undefined;
  readonly inputRef?: Ref<HTMLInputElement>;
}

/** A length in the chosen unit; "9 1/2 in" and "24 cm" are read too. */
export function LengthField({ label, valueCm, lowCm, highCm, onChange, error, inputRef }: LengthFieldProps) {
  const { units } = useUnits();
  const unit = units.length === 'cm' ? 'cm' : 'in';
  const shown = (cm: number | null) =>
    cm === null || Number.isNaN(cm) ? '' : unit === 'cm' ? String(Math.round(cm * 100) / 100) : inchWords(cm);
  const [typed, setTyped] = useState({ text: shown(valueCm), unit, cm: valueCm });
  // Another unit, or a value from elsewhere such as what was typed before a reload.
  if (typed.unit !== unit || !Object.is(typed.cm, valueCm))
    setTyped({ text: shown(valueCm), unit, cm: valueCm });
  const cm = typed.text.trim() === '' ? null : parseLengthCm(typed.text, unit);
  const range = `${formatLength(lowCm, units)} to ${formatLength(highCm, units)}`;
  const problem =
    typed.text.trim() === ''
      ? null
      : cm === null
        ? `“${typed.text}” is not a length; write ${range}`
        : cm < lowCm || cm > highCm
          ? `${range}; ${typed.text} was given`
          : null;
  const said = problem ?? (error && capitalised(error));
  return (
    <TextField
      label={`${label}, ${unit}`}
      value={typed.text}
      inputRef={inputRef}
      fullWidth
      error={said !== undefined && said !== null}
      helperText={said}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      onChange={(event) => {
        const { value } = event.target;
        const next = value.trim() === '' ? null : (parseLengthCm(value, unit) ?? Number.NaN);
        setTyped({ text: value, unit, cm: next });
        onChange(next);
      }}
    />
  );
}
