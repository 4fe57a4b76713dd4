'use client';
import Link from '@/ui/shell/link';
import type { AllergyMatch } from '@/core/shelf/allergy';
import type { ShelfCheck } from '@/core/shelf/shelf-check';
import { productRoles, type RoleId } from '@/core/products';
import { formatMass, formatMoney } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { shortageWords } from '../shelf/shortage-words';
import { listed } from '@/core/words/words';
import styles from './from-the-shelf.module.css';

/** What the plan takes from the shelf: what runs short and by how much, what is left after, and the price. */
export function FromTheShelf({
  check,
  allergies,
  sections,
  currency,
}: {
  check: ShelfCheck;
  /** Products that list what this head is warned of. */
  allergies: readonly AllergyMatch[];
  sections: number;
  currency: string;
}) {
  const { units } = useUnits();
  const short = shortageWords(check, sections, units);
  const { products, tools, priceMinor, unpriced } = check;
  const named = unpriced.map((name) => productRoles[name as RoleId]?.label.toLowerCase() ?? name);
  const enough = products.filter(({ shortG, freeG }) => shortG === 0 && freeG !== null);
  return (
    <section className={styles.shelf}>
      <h2>
        <Link href="/shelf">From the shelf</Link>
      </h2>
      {allergies.map(({ product, word }) => (
        <p key={product} className={styles.allergy} role="alert">
          <b>
            {product} lists {word}
          </b>
          , and this head’s card warns of it. Take another, or patch-test and ask.
        </p>
      ))}
      {short.length > 0 && (
        <ul className={styles.short}>
          {short.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      {enough.length > 0 && (
        <p>
          {enough
            .map(({ name, freeG, needG }) => `${name} leaves ${formatMass((freeG ?? 0) - needG, units)}`)
            .join(', ')}
          .
        </p>
      )}
      {products.length === 0 && <p>No layer names a product of the shelf yet.</p>}
      {tools.length > 0 && tools.every((tool) => tool.short === 0) && <p>Enough tools of every size.</p>}
      {priceMinor !== null && (
        <p>
          <strong>{formatMoney(priceMinor, currency)}</strong> of product
          {named.length > 0 ? `, without ${listed(named)}: no price is known` : ''}.
        </p>
      )}
    </section>
  );
}
