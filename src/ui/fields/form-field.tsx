'use client';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';
import { capitalised } from '@/core/words/words';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';

/** A line or a few lines of text in a form, with what is wrong said under it. */
export function FormField<V extends FieldValues>({
  control,
  name,
  label,
  hint,
  placeholder,
  type = 'text',
  lines,
  decimal = false,
  range,
}: {
  control: Control<V>;
  name: FieldPath<V>;
  label: string;
  hint?: ReactNode;
  placeholder?: string;
  type?: 'text' | 'date' | 'datetime-local' | 'color';
  lines?: number;
  /** A number is typed: phones show their digits. */
  decimal?: boolean;
  /** First and last day that can be meant, for a date. */
  range?: { readonly min?: string; readonly max: string };
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { ref, ...field }, fieldState: { error } }) => (
        <TextField
          {...field}
          inputRef={ref}
          type={type}
          label={label}
          placeholder={placeholder}
          fullWidth
          error={error !== undefined}
          helperText={error?.message ? capitalised(error.message) : hint}
          {...(lines ? { multiline: true, minRows: lines } : {})}
          slotProps={{
            htmlInput: { ...range, ...(decimal && { inputMode: 'decimal' as const }) },
            ...(type === 'text' ? {} : { inputLabel: { shrink: true } }),
          }}
        />
      )}
    />
  );
}
