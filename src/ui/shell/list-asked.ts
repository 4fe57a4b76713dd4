import { z } from 'zod';

/** What the address of a list asks for. */
export interface AskedList<L extends string, O extends string> {
  readonly list: L;
  readonly order: O;
  readonly search: string;
  readonly page: number;
}

/** Search parameters as the router gives them. */
export type SearchParams = Promise<Readonly<Record<string, string | string[] | undefined>>>;

const MOST_PAGES = 1_000_000;

/** Reads the address of a list. What is not understood is as usual: an address never leads to a failure. */
export function askedList<const L extends string, const O extends string>(
  params: Readonly<Record<string, string | string[] | undefined>>,
  lists: readonly [L, ...L[]],
  orders: readonly [O, ...O[]],
): AskedList<L, O> {
  const one = (key: string) => (typeof params[key] === 'string' ? params[key] : undefined);
  return {
    list: z.enum(lists).catch(lists[0]).parse(one('list')),
    order: z.enum(orders).catch(orders[0]).parse(one('order')),
    search: z.string().trim().max(80).catch('').parse(one('q')),
    page: z.coerce.number().int().min(1).max(MOST_PAGES).catch(1).parse(one('page')),
  };
}
