import { careCard, paperDiary } from '@/core/take-home/paper';
import { loadTakenHome } from '@/places/wear/queries';
import { AppError } from '@/server/errors';
import { flatHead } from '@/server/flat-head';
import { route } from '@/server/route';
import { measure } from '@/server/sheet/fonts';
import { sheetPdf } from '@/server/sheet/pdf';
import { sheetSvg } from '@/server/sheet/svg';
import { diaryHtml } from '@/server/take-home';

type Home = Awaited<ReturnType<typeof loadTakenHome>>;

const pdf = async (sheet: Parameters<typeof sheetPdf>[0], madeAtMs: number) =>
  Buffer.from(await sheetPdf(sheet, madeAtMs));

const FIRST_DAY = { kind: 'worn', day: 0, reach: 'likely' } as const;

const cardOf = async ({ paper, brief, cameOut, units }: Home) =>
  careCard(
    paper,
    await flatHead(
      brief,
      cameOut,
      [
        {
          state: FIRST_DAY,
          words: cameOut.rated.some(({ day }) => day === 0) ? 'First day, as rated' : 'First day',
        },
      ],
      units,
    ),
    measure,
  );

/** What goes home. The diary is saved, the papers are shown. */
const FILES: Readonly<
  Record<
    string,
    {
      readonly type: string;
      readonly isSaved?: true;
      readonly of: (home: Home) => Promise<BodyInit> | BodyInit;
    }
  >
> = {
  'diary.html': { type: 'text/html; charset=utf-8', isSaved: true, of: ({ page }) => diaryHtml(page) },
  'diary.pdf': {
    type: 'application/pdf',
    of: ({ paper, madeAtMs }) => pdf(paperDiary(paper, measure), madeAtMs),
  },
  'care-card.pdf': {
    type: 'application/pdf',
    of: async (home) => pdf(await cardOf(home), home.madeAtMs),
  },
  'care-card.svg': { type: 'image/svg+xml', of: async (home) => sheetSvg(await cardOf(home)) },
};

export const GET = route<{ id: string; file: string }>('read', async (_, { id, file }) => {
  const asked = Object.hasOwn(FILES, file) ? FILES[file] : undefined;
  if (!asked) throw new AppError('not-found');
  const home = await loadTakenHome(id);
  const name = `${home.page.head
    .normalize('NFKD')
    .replace(/[^\w-]+/g, '-')
    .toLowerCase()}-${file}`;
  return new Response(await asked.of(home), {
    headers: {
      'content-type': asked.type,
      'content-disposition': `${asked.isSaved ? 'attachment' : 'inline'}; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
});
