'use client';
import { useWatch } from 'react-hook-form';
import { DRYER_KINDS, DRYER_LABEL, type DryerKind } from '@/core/drying-methods/method';
import { FormField } from '@/ui/fields/form-field';
import { FormSelect } from '@/ui/fields/form-select';
import { saveDryer } from './actions';
import { ShelfForm } from './shelf-form';
import { dryerForm, type DryerFormValues } from './shelf-input';
import type { Dryer } from './shelf-types';
import { useShelfForm } from './use-shelf-form';
import styles from './shelf-form.module.css';

const valuesOf = (dryer: Dryer | null): DryerFormValues => ({
  kind: (dryer?.kind ?? 'hood') as DryerKind,
  name: dryer?.name ?? '',
  airSpeedMS: dryer ? String(dryer.airSpeedMS) : '',
  airC: dryer === null || dryer.airC === null ? '' : String(dryer.airC),
  count: dryer ? String(dryer.count) : '1',
});

/** The form of one fan, hood or diffuser. */
export function DryerForm({ dryer }: { dryer: Dryer | null }) {
  const { id = null, revision = 0 } = dryer ?? {};
  const { form, submit, ...frame } = useShelfForm(
    dryerForm,
    valuesOf(dryer),
    `dryer.${id ?? 'new'}`,
    (card) => saveDryer({ id, revision, card }),
  );
  const { control } = form;
  const isFan = useWatch({ control, name: 'kind' }) === 'fan';
  return (
    <ShelfForm kind="dryer" id={id} keep="Keep this dryer" {...frame} onSubmit={submit}>
      <div className={styles.fields}>
        <FormSelect
          control={control}
          name="kind"
          label="Kind"
          options={DRYER_KINDS.map((value) => ({ value, label: DRYER_LABEL[value] }))}
        />
        <FormField control={control} name="name" label="Name" hint="what you call it, such as “chair 2”" />
        <FormField
          control={control}
          name="airSpeedMS"
          label="Air speed, m/s"
          decimal
          hint={
            isFan
              ? 'at the hair: a gentle fan is about 1'
              : 'at the hair: a strong hood about 2, a soft bonnet 1'
          }
        />
        {!isFan && (
          <FormField
            control={control}
            name="airC"
            label="Air temperature, °C"
            decimal
            hint="at the hair, by a thermometer held where the hair is"
          />
        )}
        <FormField control={control} name="count" label="How many" decimal />
      </div>
      <p className={styles.hint}>
        Choose it at a drying step of a plan. Test hot air on your wrist, and keep it off the scalp.
      </p>
    </ShelfForm>
  );
}
