import { z } from 'zod';
import { fieldErrors } from '@/core/formats/field-error';
import { ROWS_AT_ONCE, TABLE_IDS } from '@/core/tables/table';
import { tableRows } from '@/places/tables/queries';
import { AppError } from '@/server/errors';
import { readBody, route } from '@/server/route';

const MOST_BYTES = 4 * 1024 * 1024;
const cell = z.string().max(5000, 'a cell of at most 5000 letters');
const sent = z.object({
  columns: z.array(z.string().max(200)).min(1, 'the first row names the columns').max(100),
  rows: z.array(z.array(cell).max(100)).max(ROWS_AT_ONCE, `at most ${ROWS_AT_ONCE} rows at once`),
  importId: z.string().max(64).nullable(),
});

/** What becomes of some rows of a table: looked at where no import is named, else taken in. */
export const POST = route<{ table: string }>('records', async (request, { table }) => {
  const id = TABLE_IDS.find((own) => own === table);
  if (!id) throw new AppError('not-found');
  const body = await readBody(request, MOST_BYTES);
  let raw: unknown;
  try {
    raw = JSON.parse(body.toString('utf8'));
  } catch {
    throw new AppError('broken-json');
  }
  const parsed = sent.safeParse(raw);
  if (!parsed.success) throw new AppError('invalid', fieldErrors(parsed.error).slice(0, 5));
  return Response.json({ fates: await tableRows(id, parsed.data) });
});
