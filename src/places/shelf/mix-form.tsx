'use client';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { useFieldArray } from 'react-hook-form';
import { SHELF_KIND_IDS, shelfKind, type ShelfKindId } from '@/core/products/shelf-kind';
import type { Mix, Product } from './shelf-types';
import { sentence } from '@/core/words/words';
import { FormField } from '@/ui/fields/form-field';
import { FormSelect } from '@/ui/fields/form-select';
import { CloseIcon } from '@/ui/icons';
import { saveMix } from './actions';
import { ShelfForm } from './shelf-form';
import { mixForm, type MixFormValues } from './shelf-input';
import { useShelfForm } from './use-shelf-form';
import styles from './shelf-form.module.css';

const EMPTY_PART = { productId: '', parts: '1' };

const valuesOf = (mix: Mix | null): MixFormValues => ({
  name: mix?.name ?? '',
  role: (mix?.role ?? 'leave-in') as ShelfKindId,
  parts: mix?.parts.map(({ productId, parts }) => ({ productId, parts: String(parts) })) ?? [
    EMPTY_PART,
    EMPTY_PART,
  ],
  batchG: mix ? String(mix.batchG) : '100',
  keepsDays: mix ? String(mix.keepsDays) : '14',
  notes: mix?.notes ?? '',
});

/** The form of a mix: what goes in, in parts by weight, how much at once, and how long it keeps. */
export function MixForm({ mix, products }: { mix: Mix | null; products: readonly Product[] }) {
  const { id = null, revision = 0 } = mix ?? {};
  const { form, submit, ...frame } = useShelfForm(mixForm, valuesOf(mix), `mix.${id ?? 'new'}`, (card) =>
    saveMix({ id, revision, card }),
  );
  const { control } = form;
  const parts = useFieldArray({ control, name: 'parts' });
  const { parts: wrong } = form.formState.errors;
  const partsWrong = wrong?.root?.message ?? wrong?.message;
  return (
    <ShelfForm
      kind="mix"
      id={id}
      keep="Keep this mix"
      {...frame}
      problem={
        frame.problem ?? (partsWrong === undefined ? null : { text: sentence(partsWrong), isConflict: false })
      }
      onSubmit={submit}
    >
      <div className={styles.fields}>
        <FormField control={control} name="name" label="Name" />
        <FormSelect
          control={control}
          name="role"
          label="Used as"
          options={SHELF_KIND_IDS.map((value) => ({ value, label: shelfKind(value).label }))}
        />
        <FormField control={control} name="batchG" label="A batch, g" decimal />
        <FormField
          control={control}
          name="keepsDays"
          label="Keeps, days"
          decimal
          hint="without a preservative, days and in the cold"
        />
      </div>
      <ol className={styles.parts} aria-label="What goes in">
        {parts.fields.map((part, i) => (
          <li key={part.id}>
            <FormSelect
              control={control}
              name={`parts.${i}.productId`}
              label={`Ingredient ${i + 1}`}
              options={[
                { value: '', label: 'Choose…' },
                ...products.map((product) => ({ value: product.id, label: product.name })),
              ]}
            />
            <FormField control={control} name={`parts.${i}.parts`} label="Parts" decimal />
            <IconButton
              aria-label={`Leave out ingredient ${i + 1}`}
              disabled={parts.fields.length <= 2}
              onClick={() => parts.remove(i)}
            >
              <CloseIcon width={18} height={18} />
            </IconButton>
          </li>
        ))}
      </ol>
      <div>
        <Button size="small" onClick={() => parts.append(EMPTY_PART)}>
          Another ingredient
        </Button>
      </div>
      <FormField control={control} name="notes" label="How it is made" lines={2} />
      <p className={styles.hint}>
        Label every batch with what is in it and its date, throw it away when its day has passed, and
        patch-test it. Local rules may forbid own mixes on paying clients.
      </p>
    </ShelfForm>
  );
}
