'use client';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { capitalised } from '@/core/words/words';
import { SelectField, type SelectOption } from './select-field';

/** A list of choices in a form, with what is wrong said under it. */
export function FormSelect<V extends FieldValues>({
  control,
  name,
  label,
  options,
}: {
  control: Control<V>;
  name: FieldPath<V>;
  label: string;
  options: readonly SelectOption[];
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState: { error } }) => (
        <SelectField
          label={label}
          value={field.value as string}
          error={error?.message && capitalised(error.message)}
          options={options}
          onChange={field.onChange}
        />
      )}
    />
  );
}
