'use client';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { LengthField } from './length-field';

/** A length in a form, in the chosen unit; the form holds centimetres, or null while nothing is measured. */
export function FormLength<V extends FieldValues>({
  control,
  name,
  label,
  range,
}: {
  control: Control<V>;
  name: FieldPath<V>;
  label: string;
  range: { readonly low: number; readonly high: number };
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState: { error } }) => (
        <LengthField
          label={label}
          valueCm={field.value as number | null}
          lowCm={range.low}
          highCm={range.high}
          onChange={field.onChange}
          inputRef={field.ref}
          error={error?.message}
        />
      )}
    />
  );
}
