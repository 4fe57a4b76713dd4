import { SHELF_KIND_IDS, shelfKindLabel } from '@/core/products/shelf-kind';
import { isUnmade } from '@/core/shelf/stock';
import { LinkButton } from '@/ui/shell/link-button';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatDay, formatMoney } from '@/ui/format';
import { Page, Part } from '@/ui/shell/page';
import { CurrencyChoice } from './currency-choice';
import { DryerRows } from './dryer-rows';
import { MixCard } from './mix-card';
import { ProductRow } from './product-row';
import { PricedWeight } from './priced-weight';
import { Shortages } from './shortages';
import type { Shelf } from './shelf-types';
import { ToolRows } from './tool-rows';
import styles from './shelf-page.module.css';

/** What there is to set with, what is spoken for, and what it costs. */
export function ShelfPage({ products, tools, dryers, mixes, booked, priced, currency, today, clock }: Shelf) {
  const kept = new Map<string, number>();
  for (const { check } of booked)
    for (const { id, needG } of check.products) kept.set(id, (kept.get(id) ?? 0) + needG);
  const byRole = SHELF_KIND_IDS.map((role) => ({
    role,
    own: products.filter((product) => product.role === role),
  })).filter(({ own }) => own.length > 0);
  const known = new Set<string>(SHELF_KIND_IDS);
  const unknown = products.filter((product) => !known.has(product.role));
  const add = (
    <LinkButton href="/shelf/products/new" variant="contained">
      New product
    </LinkButton>
  );
  return (
    <Page title="Shelf" lead="What there is to set with, and what booked sets will need." action={add}>
      <Shortages booked={booked} clock={clock} />
      <Part title="Products" note="what is left is as weighed, less what sets were planned to take since">
        {products.length === 0 ? (
          <EmptyState
            title="Nothing on the shelf yet"
            text="Put your leave-in and what holds the set here. Plans then take their water, hold and weight, and say when a tub runs short."
            action={add}
          />
        ) : (
          <div className={styles.products} role="table" aria-label="Products">
            <div role="row" className={styles.headRow}>
              <span role="columnheader">Name</span>
              <span role="columnheader">Left</span>
              <span role="columnheader">Kept for booked</span>
              <span role="columnheader">
                For <PricedWeight />
              </span>
              <span role="columnheader">Use by</span>
              <span role="columnheader" className="visually-hidden">
                Weigh
              </span>
            </div>
            {[...byRole, ...(unknown.length > 0 ? [{ role: null, own: unknown }] : [])].map(({ role, own }) =>
              own.map((product, i) => (
                <ProductRow
                  key={product.id}
                  product={product}
                  group={i === 0 ? (role ? shelfKindLabel(role) : 'Other') : null}
                  keptG={kept.get(product.id) ?? 0}
                  currency={currency}
                  today={today}
                />
              )),
            )}
          </div>
        )}
      </Part>
      <div className={styles.two}>
        <Part title="Tools" note="by diameter, measured">
          <ToolRows tools={tools} booked={booked} />
          <LinkButton href="/shelf/tools/new">New size</LinkButton>
        </Part>
        <div>
          <Part title="Own mixes" note="in parts by weight">
            <div className={styles.mixes}>
              {mixes.map((mix) => (
                <MixCard
                  key={mix.id}
                  mix={mix}
                  products={products}
                  made={products.find((product) => product.mixId === mix.id && !isUnmade(product)) ?? null}
                  today={today}
                />
              ))}
            </div>
            {mixes.length === 0 && <p className={styles.quiet}>None yet.</p>}
            <LinkButton href="/shelf/mixes/new">New mix</LinkButton>
          </Part>
          <Part title="Dryers" note="what they blow at the hair">
            <DryerRows dryers={dryers} />
            <LinkButton href="/shelf/dryers/new">New dryer</LinkButton>
          </Part>
        </div>
      </div>
      <Part title="What sets cost" note="products only, at the price when they were begun">
        {priced.length === 0 ? (
          <p className={styles.quiet}>
            Give products a price and a size, and every set from then on is priced.
          </p>
        ) : (
          <ul className={styles.costs}>
            {priced.map(({ id, title, headName, startedAtMs, costMinor }) => (
              <li key={id}>
                <a href={`/sets/${id}`}>
                  {headName}, {title}
                </a>
                <span>{formatDay(startedAtMs, clock)}</span>
                <strong>{formatMoney(costMinor, currency)}</strong>
              </li>
            ))}
          </ul>
        )}
        <CurrencyChoice currency={currency} />
      </Part>
    </Page>
  );
}
