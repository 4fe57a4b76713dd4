'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import Link from '@/ui/shell/link';
import { useState } from 'react';
import { isUnmade, leftNowG, minorPerG } from '@/core/shelf/stock';
import { formatCalendarDay, formatMass, formatMoney } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import type { Product } from './shelf-types';
import { PRICED } from './priced-weight';
import styles from './shelf-page.module.css';

const WeighDialog = dynamic(() => import('./weighing/weigh-dialog').then((module) => module.WeighDialog));

/** One product: what is left, what is spoken for, what it costs, how long it keeps. */
export function ProductRow({
  product,
  group,
  keptG,
  currency,
  today,
}: {
  product: Product;
  /** Name of its kind, on the first of each kind. */
  group: string | null;
  keptG: number;
  currency: string;
  today: string;
}) {
  const { units, clock } = useUnits();
  const [isWeighing, setWeighing] = useState(false);
  const left = leftNowG(product);
  const perG = minorPerG(product);
  const full = product.sizeG ?? left ?? 1;
  const share = left === null ? 0 : Math.min(1, left / full);
  const keptShare = Math.min(share, keptG / full);
  const isPast = product.useBy !== null && product.useBy < today;
  return (
    <div role="row" className={styles.row}>
      <span role="rowheader" className={styles.name}>
        <small>{group}</small>
        <Link href={`/shelf/products/${product.id}`}>{product.name}</Link>
      </span>
      <span role="cell" className={styles.left}>
        {isUnmade(product) ? (
          'no batch made yet'
        ) : left === null ? (
          'never weighed'
        ) : (
          <>
            <span className={styles.gauge} aria-hidden="true">
              <span style={{ width: `${100 * share}%` }} />
              <span className={styles.keptPart} style={{ width: `${100 * keptShare}%` }} />
            </span>
            {product.usedSinceG > 0 ? 'about ' : ''}
            {formatMass(left, units)}
            {product.sizeG !== null && ` of ${formatMass(product.sizeG, units)}`}
          </>
        )}
      </span>
      <span
        role="cell"
        data-label="kept for booked"
        data-none={keptG === 0}
        data-short={left !== null && keptG > left}
      >
        {keptG > 0 ? formatMass(keptG, units) : '–'}
      </span>
      <span role="cell" data-label={`for ${PRICED[units.mass].words}`} data-none={perG === null}>
        {perG === null ? '–' : formatMoney(perG * PRICED[units.mass].grams, currency)}
      </span>
      <span role="cell" data-label="use by" data-none={product.useBy === null} data-short={isPast}>
        {product.useBy === null ? '–' : `${formatCalendarDay(product.useBy, clock)}${isPast ? ', past' : ''}`}
      </span>
      <span role="cell">
        <Button
          size="small"
          variant="outlined"
          aria-label={`Weigh ${product.name}`}
          onClick={() => setWeighing(true)}
        >
          Weigh
        </Button>
      </span>
      {isWeighing && <WeighDialog product={product} onClose={() => setWeighing(false)} />}
    </div>
  );
}
