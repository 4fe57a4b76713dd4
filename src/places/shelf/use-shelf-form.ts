'use client';
import type { FieldValues } from 'react-hook-form';
import { useCheckedForm } from '@/ui/hooks/use-checked-form';

type Options<V extends FieldValues> = Parameters<typeof useCheckedForm<V, unknown>>[0];

/** A form of the shelf: what is kept leads back to the shelf. */
export const useShelfForm = <V extends FieldValues>(
  schema: Options<V>['schema'],
  values: V,
  unsavedAs: string,
  save: Options<V>['save'],
) => useCheckedForm<V, unknown>({ schema, values, unsavedAs, save, onKept: () => '/shelf' });
