import { like, or, sql, type SQL, type SQLWrapper } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';

/** Rows on one page of a list. */
export const PAGE_SIZE = 24;

/** Which part of a list is wanted. */
export interface ListAsked {
  /** Words that must occur, in any order; empty for all. */
  readonly search: string;
  /** Page, from 1. */
  readonly page: number;
}

/** One page of a list, and how many rows there are in all. */
export interface Paged<T> {
  readonly rows: readonly T[];
  readonly total: number;
  readonly page: number;
}

/** The first row of a page that exists: a page beyond the end is the last one. */
export function pageOf(asked: number, total: number): { page: number; offset: number } {
  const page = Math.max(1, Math.min(Math.trunc(asked) || 1, Math.ceil(total / PAGE_SIZE)));
  return { page, offset: (page - 1) * PAGE_SIZE };
}

/** Every word of a search must occur in one of the columns. A % or _ means itself. */
export function matching(search: string, columns: readonly (SQLiteColumn | SQLWrapper)[]): SQL[] {
  return search
    .split(/\s+/)
    .filter(Boolean)
    .slice(0, 8)
    .map((word) => {
      const pattern = `%${word.replace(/[\\%_]/g, (letter) => `\\${letter}`)}%`;
      return or(...columns.map((column) => sql`${like(sql`${column}`, pattern)} escape '\\'`))!;
    });
}
