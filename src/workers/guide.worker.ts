import { expose } from 'comlink';
import type { Porosity } from '@/core/coefficients/hair';
import type { FieldError } from '@/core/formats/field-error';
import { readWish } from '@/core/suggest/read-wish';
import { setGuide, type GuideRow } from '@/core/suggest/set-guide';

/** What the worker does: works a set guide out, a row at a time. It is stopped by ending it. */
const endpoint = {
  run(raw: unknown, porosity: Porosity, hear: (row: GuideRow) => void): readonly FieldError[] {
    const read = readWish(raw);
    if (!read.ok) return read.errors;
    for (const row of setGuide(read.value.wish, porosity)) hear(row);
    return [];
  },
};

export type GuideEndpoint = typeof endpoint;

expose(endpoint);
