import { customType } from 'drizzle-orm/sqlite-core';
import { MAX_TIME_MS } from '@/core/formats/time-bounds';

/**
 * A moment, epoch ms. What a foreign hand wrote into the file is brought within what a calendar can show when it is
 * read, so that one bad row cannot take a page down.
 */
export const timeMs = customType<{ data: number; driverData: number }>({
  dataType: () => 'integer',
  fromDriver: (value) => {
    const ms = Math.trunc(Number(value));
    return Number.isNaN(ms) ? 0 : Math.min(Math.max(ms, 0), MAX_TIME_MS);
  },
});

/** A value kept as JSON. Text that is none, as a foreign hand may leave it, is read as null. */
export const json = <T>(name: string) =>
  customType<{ data: T; driverData: string }>({
    dataType: () => 'text',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (text) => {
      try {
        return JSON.parse(text) as T;
      } catch {
        return null as T;
      }
    },
  })(name);
