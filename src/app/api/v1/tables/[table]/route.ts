import { z } from 'zod';
import { fieldErrors } from '@/core/formats/field-error';
import { TABLE_IDS } from '@/core/tables/table';
import { beginImport, loadTable } from '@/places/tables/queries';
import { AppError } from '@/server/errors';
import { readJson, route } from '@/server/route';

/** A table by its address. @throws AppError not-found */
const tableOf = (name: string) => {
  const table = TABLE_IDS.find((id) => id === name);
  if (!table) throw new AppError('not-found');
  return table;
};

/** A table of the studio as CSV, to be saved. */
export const GET = route<{ table: string }>('records', async (_, { table }) => {
  const id = tableOf(table);
  return new Response(await loadTable(id), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${id}.csv"`,
      'cache-control': 'no-store',
    },
  });
});

const begun = z.object({ fileName: z.string().trim().max(200).default('') });

/** Begins taking a table in; its rows are sent under the id that is answered. */
export const POST = route<{ table: string }>('records', async (request, { table }) => {
  const parsed = begun.safeParse(await readJson(request));
  if (!parsed.success) throw new AppError('invalid', fieldErrors(parsed.error));
  return Response.json(
    { importId: await beginImport(tableOf(table), parsed.data.fileName) },
    { status: 201 },
  );
});
