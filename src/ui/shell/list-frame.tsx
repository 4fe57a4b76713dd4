'use client';
import Form from 'next/form';
import Link from '@/ui/shell/link';
import type { ReactNode } from 'react';
import styles from './list-frame.module.css';

/** One of the lists that a place keeps, such as “Open” and “Put aside”. */
export interface ListTab {
  readonly value: string;
  readonly label: string;
  readonly count: number;
}

/** The address of a list with some of what was asked of it changed. */
const listHref = (path: string, asked: Readonly<Record<string, string | number>>): string => {
  const search = new URLSearchParams();
  for (const [key, value] of Object.entries(asked))
    if (value !== '' && value !== 1) search.set(key, String(value));
  const text = search.toString();
  return text ? `${path}?${text}` : path;
};

/** What a list shows and how it was asked for. */
export interface ListFrameProps {
  readonly path: string;
  /** What is looked for, for the label: “a name, a caution”. */
  readonly what: string;
  readonly asked: {
    readonly list: string;
    readonly order: string;
    readonly search: string;
    readonly size: number;
  };
  readonly orders: readonly { readonly value: string; readonly label: string }[];
  /** The first is the usual one and needs no word in the address. */
  readonly tabs: readonly ListTab[];
  readonly page: number;
  readonly total: number;
  /** What is said where nothing is found, and where nothing is there. */
  readonly noMatch: string;
  readonly nothing: string;
  readonly children: ReactNode;
}

/** A list under its tabs, search and order, over its pages. */
export function ListFrame({ noMatch, nothing, children, ...list }: ListFrameProps) {
  const { path, asked, tabs, page, total } = list;
  const kept = { list: asked.list === tabs[0]?.value ? '' : asked.list, q: asked.search, order: asked.order };
  return (
    <>
      <ListBar {...list} />
      {total === 0 ? <p>{asked.search ? `${noMatch} “${asked.search}”.` : nothing}</p> : children}
      <Pager path={path} asked={kept} page={page} total={total} size={asked.size} />
    </>
  );
}

/** Above a list: which one, what to look for, in which order. Works without scripts too. */
function ListBar({
  path,
  what,
  asked: { list: tab, order, search },
  orders,
  tabs,
}: Pick<ListFrameProps, 'path' | 'what' | 'asked' | 'orders' | 'tabs'>) {
  return (
    <div className={styles.bar}>
      {tabs.length > 1 && (
        <nav className={styles.tabs} aria-label="Lists">
          {tabs.map(({ value, label, count }) => (
            <Link
              key={value}
              href={listHref(path, { list: value === tabs[0]!.value ? '' : value, q: search, order })}
              aria-current={value === tab ? 'true' : undefined}
            >
              {label} <span>{count}</span>
            </Link>
          ))}
        </nav>
      )}
      <Form action={path} className={styles.form} role="search" key={`${tab}/${order}/${search}`}>
        {tab !== tabs[0]?.value && <input type="hidden" name="list" value={tab} />}
        <input
          type="search"
          name="q"
          defaultValue={search}
          maxLength={80}
          placeholder={`Find ${what}`}
          aria-label={`Find ${what}`}
        />
        <label>
          <span>Order</span>
          <select
            name="order"
            defaultValue={order}
            onChange={(event) => event.currentTarget.form?.requestSubmit()}
          >
            {orders.map(({ value, label }) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <button type="submit">Find</button>
      </Form>
    </div>
  );
}

/** Below a list that has more pages than one. */
function Pager({
  path,
  asked,
  page,
  total,
  size,
}: {
  path: string;
  asked: Readonly<Record<string, string>>;
  page: number;
  total: number;
  size: number;
}) {
  const pages = Math.ceil(total / size);
  if (pages <= 1) return null;
  const at = (to: number) => listHref(path, { ...asked, page: to });
  return (
    <nav className={styles.pager} aria-label="Pages">
      {page > 1 ? <Link href={at(page - 1)}>‹ Before</Link> : <span />}
      <span>
        {(page - 1) * size + 1} to {Math.min(page * size, total)} of {total}
      </span>
      {page < pages ? <Link href={at(page + 1)}>After ›</Link> : <span />}
    </nav>
  );
}
