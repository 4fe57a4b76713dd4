'use client';
import { useWatch } from 'react-hook-form';
import { SHELF_KIND_IDS, shelfKind, type ShelfKindId } from '@/core/products/shelf-kind';
import { MINOR_UNITS } from '@/core/formats/money';
import { FormField } from '@/ui/fields/form-field';
import { FormSelect } from '@/ui/fields/form-select';
import type { Product } from './shelf-types';
import { saveProduct } from './actions';
import { ShelfForm } from './shelf-form';
import { productForm, type ProductFormValues } from './shelf-input';
import { useShelfForm } from './use-shelf-form';
import styles from './shelf-form.module.css';

const typed = (value: number | null) => (value === null ? '' : String(Math.round(value * 100) / 100));

const percentOf = (share: number | null) => (share === null ? null : share * 100);
const priceOf = (minor: number | null) => (minor === null ? '' : (minor / MINOR_UNITS).toFixed(2));

/** A product as its form shows it; empty for a new one. */
const valuesOf = (product: Product | null): ProductFormValues => ({
  name: product?.name ?? '',
  role: (product?.role ?? 'leave-in') as ShelfKindId,
  waterPercent: typed(percentOf(product?.waterShare ?? null)),
  hold: typed(product?.hold ?? null),
  weight: typed(product?.weight ?? null),
  hasProtein: product?.hasProtein ?? false,
  sizeG: typed(product?.sizeG ?? null),
  price: priceOf(product?.priceMinor ?? null),
  emptyG: typed(product?.emptyG ?? null),
  openedOn: product?.openedOn ?? '',
  useBy: product?.useBy ?? '',
  notes: product?.notes ?? '',
  ingredients: product?.ingredients ?? '',
});

/** The form of a product: what it is, what it does, and what it cost. */
export function ProductForm({ product, currency }: { product: Product | null; currency: string }) {
  const { id = null, revision = 0 } = product ?? {};
  const { form, submit, ...frame } = useShelfForm(
    productForm,
    valuesOf(product),
    `product.${id ?? 'new'}`,
    (card) => saveProduct({ id, revision, card }),
  );
  const { control } = form;
  const kind = shelfKind(useWatch({ control, name: 'role' }));
  return (
    <ShelfForm kind="product" id={id} keep="Keep this product" {...frame} onSubmit={submit}>
      <div className={styles.fields}>
        <FormField control={control} name="name" label="Name" />
        <FormSelect
          control={control}
          name="role"
          label="Kind"
          options={SHELF_KIND_IDS.map((value) => ({ value, label: shelfKind(value).label }))}
        />
        <FormField
          control={control}
          name="waterPercent"
          label="Water in it, %"
          decimal
          hint={`empty: ${Math.round(kind.waterShare * 100)}, as is usual`}
        />
        <FormField
          control={control}
          name="hold"
          label="Hold, 0 to 5"
          decimal
          hint={`empty: ${Math.round(kind.hold)}`}
        />
        <FormField
          control={control}
          name="weight"
          label="Weight on the hair, 0 to 5"
          decimal
          hint={`empty: ${kind.weight}`}
        />
        <label className={styles.check}>
          <input type="checkbox" {...form.register('hasProtein')} />
          Holds protein
        </label>
        <FormField control={control} name="sizeG" label="Full, g" decimal />
        <FormField control={control} name="price" label={`Price of a full one, ${currency}`} decimal />
        <FormField
          control={control}
          name="emptyG"
          label="The empty tub, g"
          decimal
          hint="to weigh it without emptying it"
        />
        <FormField control={control} name="openedOn" label="Opened on" type="date" />
        <FormField control={control} name="useBy" label="Use by" type="date" />
        <div className={styles.wide}>
          <FormField control={control} name="ingredients" label="Ingredients, as on the label" lines={2} />
        </div>
        <div className={styles.wide}>
          <FormField control={control} name="notes" label="Notes" lines={2} />
        </div>
      </div>
      <p className={styles.hint}>
        Check the ingredients against a client’s allergies, and patch-test anything new.
      </p>
    </ShelfForm>
  );
}
