'use client';
import { useRouter } from 'next/navigation';
import { CURRENCIES, type Currency } from '@/core/formats/money';
import { SelectField } from '@/ui/fields/select-field';
import { saveCurrency } from './actions';
import styles from './shelf-page.module.css';

/** Which money prices are in. It is only a name: prices are not converted. */
export function CurrencyChoice({ currency }: { currency: string }) {
  const router = useRouter();
  return (
    <div className={styles.currency}>
      <SelectField
        label="Prices are in"
        value={currency}
        options={CURRENCIES.map((value) => ({ value, label: value }))}
        onChange={(value) =>
          void saveCurrency({ currency: value as Currency }).then((answer) => {
            if (answer.ok) router.refresh();
          })
        }
      />
    </div>
  );
}
