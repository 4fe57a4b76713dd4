'use client';
import { sectionName } from '@/core/parting/section-name';
import { SelectField } from '@/ui/fields/select-field';

/** Picks one of some sections by what it is called. */
export const SectionSelect = ({
  numbers,
  value,
  onPick,
}: {
  readonly numbers: readonly number[];
  readonly value: number;
  readonly onPick: (number: number) => void;
}) => (
  <SelectField
    label="Section"
    value={String(value)}
    options={numbers.map((number) => ({ value: String(number), label: sectionName(number) }))}
    onChange={(number) => onPick(Number(number))}
  />
);
