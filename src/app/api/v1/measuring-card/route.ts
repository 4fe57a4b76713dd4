import { cardSheet } from '@/core/photo/card-sheet';
import { query } from '@/server/action';
import { route } from '@/server/route';
import { sheetPdf } from '@/server/sheet/pdf';

/** The card that tells the size of things in a picture, as a PDF at its true size; with `?paper=letter` on that paper. */
export const GET = route('read', async (request) => {
  const paper = new URL(request.url).searchParams.get('paper') === 'letter' ? 'letter' : 'a4';
  const madeAtMs = await query('read', ({ nowMs }) => Promise.resolve(nowMs));
  return new Response(Buffer.from(await sheetPdf(cardSheet(paper), madeAtMs)), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'inline; filename="measuring-card.pdf"',
      'cache-control': 'no-store',
    },
  });
});
