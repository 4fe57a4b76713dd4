'use client';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';

/** A line or a few lines of text in a form, with what is wrong said under it. */
export function FormField<V extends FieldValues>({
  control,
  name,
  label,
  hint,
  type = 'text',
  lines,
  decimal = false,
}: {
  control: Control<V>;
  name: FieldPath<V>;
  label: string;
  hint?: ReactNode;
  type?: 'text' | 'date' | 'color';
  lines?: number;
  /** A number is typed: phones show their digits. */
  decimal?: boolean;
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
          fullWidth
          error={error !== undefined}
          helperText={error?.message ?? hint}
          {...(lines ? { multiline: true, minRows: lines } : {})}
          slotProps={{
            htmlInput: decimal ? { inputMode: 'decimal' } : {},
            ...(type === 'text' ? {} : { inputLabel: { shrink: true } }),
          }}
        />
      )}
    />
  );
}
