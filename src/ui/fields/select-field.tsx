'use client';
import TextField from '@mui/material/TextField';

export interface SelectOption {
  readonly value: string;
  readonly label: string;
}

export interface SelectFieldProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly SelectOption[];
  readonly onChange: (value: string) => void;
  readonly error?: string | undefined;
}

/** A native list of choices: keyboards, phones and screen readers know it already. */
export function SelectField({ label, value, options, onChange, error }: SelectFieldProps) {
  return (
    <TextField
      select
      fullWidth
      label={label}
      value={value}
      error={error !== undefined}
      helperText={error}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </TextField>
  );
}
