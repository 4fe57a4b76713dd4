import type { PaperId } from '@/core/sheet/mark';
import { loadPrinted } from '@/places/plan/queries';
import { composeSheet } from '@/places/plan/sheet/compose';
import { qrModules } from '@/core/sheet/qr-modules';
import { sheetWords } from '@/places/plan/sheet/sheet-content';
import { asking } from '@/server/asking';
import { AppError } from '@/server/errors';
import { flatHead, type PrintedState } from '@/server/flat-head';
import { phoneOrigin } from '@/server/phone-origin';
import { route } from '@/server/route';
import { measure } from '@/server/sheet/fonts';
import { sheetPdf } from '@/server/sheet/pdf';
import { sheetSvg } from '@/server/sheet/svg';

type Printed = NonNullable<Awaited<ReturnType<typeof loadPrinted>>>;

const json = (value: unknown) => ({ type: 'application/json', body: `${JSON.stringify(value, null, 2)}\n` });

function answerOf({ answer }: Printed) {
  if (!answer.ok) throw new AppError('invalid', answer.errors);
  return answer.value;
}

/** What a head is printed in: as whoever sets it wants it, and as whoever wears it will. */
const PRINTED: readonly PrintedState[] = [
  { state: { kind: 'set' }, words: 'In the set' },
  { state: { kind: 'worn', day: 0, reach: 'likely' }, words: 'First day' },
];

async function sheetOf(printed: Printed, paper: PaperId, id: string) {
  const answer = answerOf(printed);
  return composeSheet(
    sheetWords({ ...printed, answer }),
    { sections: answer.drawn, partPath: answer.partPath },
    await flatHead(printed.content.brief, null, PRINTED, printed.units),
    qrModules(`${phoneOrigin() ?? asking().origin}/open/${id}`),
    paper,
    measure,
  );
}

const pdf = (paper: PaperId) => async (printed: Printed, id: string) => ({
  type: 'application/pdf',
  body: Buffer.from(await sheetPdf(await sheetOf(printed, paper, id), printed.printedAtMs)),
});
const svg = (paper: PaperId) => async (printed: Printed, id: string) => ({
  type: 'image/svg+xml',
  body: sheetSvg(await sheetOf(printed, paper, id)),
});

/** What a plan can be had as. Add a form by adding it here. */
const FORMS: Readonly<
  Record<
    string,
    (
      printed: Printed,
      id: string,
    ) => Promise<{ type: string; body: BodyInit }> | { type: string; body: BodyInit }
  >
> = {
  'a4.pdf': pdf('a4'),
  'letter.pdf': pdf('letter'),
  'a4.svg': svg('a4'),
  'letter.svg': svg('letter'),
  'brief.json': ({ content }) => json(content.brief),
  'plan.json': (printed) => json({ ...answerOf(printed).view.plan, brief: printed.content.brief }),
};

/** A file name of a plan that every system takes. */
const fileName = (title: string, file: string) =>
  `${
    title
      .normalize('NFKD')
      .replace(/[^\w -]/g, '')
      .trim()
      .replace(/\s+/g, '-')
      .toLowerCase() || 'plan'
  }-${file}`;

export const GET = route<{ id: string; file: string }>('read', async (_, { id, file }) => {
  // Only what is listed: “constructor” and its kin are names of every object, not of a form.
  const form = Object.hasOwn(FORMS, file) ? FORMS[file] : undefined;
  const printed = form && (await loadPrinted(id));
  if (!printed) throw new AppError('not-found');
  const { type, body } = await form(printed, id);
  return new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `inline; filename="${fileName(printed.content.title, file)}"`,
      'cache-control': 'no-store',
    },
  });
});
