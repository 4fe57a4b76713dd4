import { METRIC, UTC_CLOCK } from '@/core/formats/display';
import fc from 'fast-check';
import jsQR from 'jsqr';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../../../tests/support/briefs';
import type { BriefInput } from '@/core/formats/brief';
import { briefOfFile } from '@/core/formats/brief-of-file';
import { answerView, type AnsweredView } from '@/core/plan/answer-view';
import { flatPicture } from '@/core/round/flat-picture';
import { openedRound } from '@/core/round/opened';
import { ran } from '@/core/work';
import type { PaperFigures } from '@/core/round/flat-paper';
import { wrapped } from '@/core/sheet/flow';
import { PAPERS, type PaperId, type Sheet } from '@/core/sheet/mark';
import { TECHNIQUE_IDS, techniqueOf } from '@/core/techniques';
import { composeSheet } from '@/places/plan/sheet/compose';
import { qrModules } from '@/core/sheet/qr-modules';
import { sheetWords } from '@/places/plan/sheet/sheet-content';
import { measure, runsOf } from '@/server/sheet/fonts';
import { sheetPdf } from '@/server/sheet/pdf';
import { sheetSvg } from '@/server/sheet/svg';

const URL_OF_SET = 'http://127.0.0.1:3000/open/0mwvvtrf6ce951b3883909e5a3c6b';
const NOON = Date.UTC(2027, 2, 12, 12);

/** The forecast of a brief, worked out once for all its papers. */
const forecasts = new WeakMap<BriefInput, AnsweredView>();
function answered(brief: BriefInput): AnsweredView {
  const known = forecasts.get(brief);
  if (known) return known;
  const answer = answerView(brief);
  if (!answer.ok) throw new Error(answer.errors[0]!.message);
  forecasts.set(brief, answer.value);
  return answer.value;
}

function sheetOf(
  brief: BriefInput,
  paper: PaperId = 'a4',
  change: { name?: string; allergies?: string; title?: string; figures?: PaperFigures } = {},
): Sheet {
  const answer = answered(brief);
  const words = sheetWords({
    content: { title: change.title ?? 'A set', brief, layerProductIds: [] },
    answer,
    head: { name: change.name ?? 'Wren', description: 'dense coils', allergies: change.allergies ?? '' },
    schools: {},
    products: [],
    handUnits: {},
    units: METRIC,
    clock: { ...UTC_CLOCK, timeZone: 'Europe/Lisbon' },
    printedAtMs: NOON,
  });
  return composeSheet(
    words,
    { sections: answer.drawn, partPath: answer.partPath },
    change.figures ?? null,
    qrModules(URL_OF_SET),
    paper,
    measure,
  );
}
const timed = (change: Parameters<typeof aBrief>[0] = {}) =>
  aBrief({
    ...change,
    brief: { wearBy: '2027-03-13T09:00', timeZone: 'Europe/Lisbon', draws: 40, ...change.brief },
  });
const textOf = (sheet: Sheet) =>
  sheet.marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])).join('\n');

/** What a PDF says, read back by another library. */
async function readBack(pdf: Uint8Array) {
  const task = getDocument({ data: new Uint8Array(pdf), verbosity: 0 });
  const document = await task.promise;
  const page = await document.getPage(1);
  const { items } = await page.getTextContent();
  const [, , widthPt, heightPt] = page.view as [number, number, number, number];
  const read = {
    pages: document.numPages,
    widthMm: (widthPt * 25.4) / 72,
    heightMm: (heightPt * 25.4) / 72,
    text: items.map((item) => ('str' in item ? item.str : '')).join(' '),
    title: ((await document.getMetadata()).info as { Title?: string }).Title,
  };
  await task.destroy();
  return read;
}

describe('the plan sheet', () => {
  it('is one page whose every word comes back out of the PDF', async () => {
    const brief = timed({ set: { layers: [{ role: 'leave-in' }, { role: 'gel' }] } });
    for (const paper of ['a4', 'letter'] as const) {
      const read = await readBack(await sheetPdf(sheetOf(brief, paper, { allergies: 'coconut' }), NOON));
      expect(read.pages).toBe(1);
      expect(read.title).toBe('A set');
      expect(read.widthMm).toBeCloseTo(PAPERS[paper].widthMm, 1);
      expect(read.heightMm).toBeCloseTo(PAPERS[paper].heightMm, 1);
      for (const words of [
        'Wren',
        'coconut',
        'Two-strand twist',
        'Leave-in',
        'Gel',
        'Take down',
        '09:00',
        'nape',
      ])
        expect(read.text, words).toContain(words);
      for (let number = 1; number <= 18; number++)
        expect(read.text.split(/\s+/), String(number)).toContain(String(number));
    }
  });

  it('shows how it will look where its words keep their size, in under 150 kB', () => {
    const brief = timed();
    const model = openedRound(brief, null);
    if (!model.ok) throw new Error('not read');
    const figures: PaperFigures = {
      pictures: (['set', 'worn'] as const).map((kind) => ({
        picture: ran(
          flatPicture(model.value, kind === 'set' ? { kind } : { kind, day: 0, reach: 'likely' }, 0, 'small'),
        ),
        words: kind,
      })),
      bar: { cm: 5, words: '5 cm' },
      told: 'drawn to scale',
    };
    const [without, beside] = [sheetOf(brief), sheetOf(brief, 'a4', { figures })];
    const lines = (sheet: Sheet) => textOf(sheet).split('\n');
    expect(lines(beside).filter((line) => !lines(without).includes(line))).toEqual(
      expect.arrayContaining(['set', 'worn', 'drawn to scale']),
    );
    const smallest = Math.min(
      ...beside.marks.flatMap((mark) => (mark.kind === 'text' && mark.face === 'bold' ? [mark.sizePt] : [])),
    );
    expect(smallest).toBeGreaterThanOrEqual(7);
    expect(sheetSvg(beside).length - sheetSvg(without).length).toBeLessThan(150_000);
    // The bar is as long as it says, against the head beside it.
    const drawn = beside.marks.filter((mark) => mark.kind === 'path' && mark.line !== undefined);
    const bar = beside.marks.find((mark) => mark.kind === 'path' && mark.d.startsWith('M0 -.6'));
    if (bar?.kind !== 'path' || drawn[0]?.kind !== 'path') throw new Error('no bar');
    expect(Number(/H([\d.]+)/.exec(bar.d)![1])).toBeCloseTo(5 * drawn[0].scale, 1);
    // A page full of words goes without.
    const full = timed({
      set: {
        layers: (['leave-in', 'cream', 'oil', 'butter', 'gel', 'mousse'] as const).map((role) => ({ role })),
        sections: 150,
      },
      head: { conditions: ['bleached', 'child', 'due-a-trim', 'protein-sensitive', 'transitioning'] },
      brief: {
        prep: (['old-style-down', 'detangle', 'clay-mask', 'cleanse', 'deep-condition', 'blot'] as const).map(
          (step) => ({ step }),
        ),
      },
    });
    expect(textOf(sheetOf(full, 'letter', { figures }))).toBe(textOf(sheetOf(full, 'letter')));
  });

  it('has room for every technique, for 150 sections, and for everything there is to mind', () => {
    const much: BriefInput[] = TECHNIQUE_IDS.map((technique) =>
      timed({
        set: {
          technique,
          sections: techniqueOf(technique).usualSections,
          endsMethod: techniqueOf(technique).endsMethods[0],
          layers: ['leave-in', 'cream', 'oil', 'butter', 'gel', 'mousse'].map((role) => ({
            role: role as never,
          })),
        },
        head: { conditions: ['bleached', 'child', 'due-a-trim', 'protein-sensitive', 'transitioning'] },
        brief: {
          prep: ['old-style-down', 'detangle', 'clay-mask', 'cleanse', 'deep-condition', 'blot'].map(
            (step) => ({ step: step as never }),
          ),
        },
      }),
    );
    for (const brief of [...much, timed({ set: { sections: 150 } }), timed({ set: { sections: 2 } })]) {
      for (const paper of ['a4', 'letter'] as const) {
        const sheet = sheetOf(brief, paper);
        const said = textOf(sheet);
        expect(said, brief.set.technique).toContain('Layers, in order');
        expect(said, brief.set.technique).toContain('Takedown and nights');
        const cutOff = sheet.marks.filter((mark) => {
          if (mark.kind !== 'text') return false;
          const wide = measure(mark.text, mark.sizePt, mark.face);
          const left = mark.xMm - { start: 0, middle: wide / 2, end: wide }[mark.align];
          return left < 6 || left + wide > sheet.widthMm - 6 || mark.yMm > sheet.heightMm - 6;
        });
        expect(cutOff, brief.set.technique).toEqual([]);
      }
    }
  });

  it('spells names of any alphabet it can, and breaks a long one', async () => {
    expect(runsOf('Ọmọlará Ẹ̀bùn', 'bold').every(({ text }) => !text.includes('?'))).toBe(true);
    const read = await readBack(
      await sheetPdf(sheetOf(timed(), 'a4', { name: 'Ọmọlará', title: 'Łucja’s knots, ½ down' }), NOON),
    );
    expect(read.text.replace(/\s/g, '')).toContain('Ọmọlará'.normalize('NFC'));
    expect(read.text).toContain('½');
    const long = sheetOf(timed(), 'a4', { title: 'x'.repeat(80) });
    expect(textOf(long)).toContain('xxx');
  });

  it('has a code that opens the set, as a reader of codes sees it', () => {
    const modules = qrModules(URL_OF_SET);
    const pixels = 6;
    const size = (modules.length + 8) * pixels;
    const image = new Uint8ClampedArray(size * size * 4).fill(255);
    modules.forEach((row, y) =>
      row.forEach((dark, x) => {
        if (!dark) return;
        for (let dy = 0; dy < pixels; dy++)
          for (let dx = 0; dx < pixels; dx++)
            image.fill(
              0,
              (((y + 4) * pixels + dy) * size + (x + 4) * pixels + dx) * 4,
              (((y + 4) * pixels + dy) * size + (x + 4) * pixels + dx) * 4 + 3,
            );
      }),
    );
    expect(jsQR(image, size, size)?.data).toBe(URL_OF_SET);
  });

  it('is black on white and nothing between, in the SVG too', () => {
    const svg = sheetSvg(sheetOf(timed()));
    const colours = new Set(svg.match(/(?:fill|stroke)="([^"]+)"/g));
    expect([...colours].every((own) => /"(#000(000)?|#fff(fff)?|none)"$/.test(own))).toBe(true);
    expect(svg).not.toMatch(/https?:\/\/(?!www\.w3\.org)/);
    expect(svg).toContain('<title>A set</title>');
    expect(sheetSvg(sheetOf(timed(), 'a4', { title: 'A <b> & "c"' }))).toContain(
      'A &lt;b&gt; &amp; &quot;c&quot;',
    );
  });
});

describe('words in a width', () => {
  it('lose no letter and are never wider', () => {
    const width = (text: string) => text.length;
    fc.assert(
      fc.property(
        fc.array(fc.string({ minLength: 1, maxLength: 30 })),
        fc.integer({ min: 1, max: 20 }),
        (words, wide) => {
          const lines = wrapped(words.join(' '), wide, width);
          expect(lines.every((line) => width(line) <= wide || line.length === 1)).toBe(true);
          expect(lines.join('').replace(/\s/g, '')).toBe(words.join('').replace(/\s/g, ''));
        },
      ),
    );
  });
});

describe('a file opened again', () => {
  const brief = timed();
  const said = (text: string) => {
    const read = briefOfFile(text);
    return read.ok ? 'ok' : `${read.errors[0]!.path}: ${read.errors[0]!.message}`;
  };

  it('gives the brief back from a brief and from a plan that carries one', () => {
    const answer = answerView(brief);
    const plan = answer.ok ? answer.value.view.plan : null;
    for (const file of [brief, { ...plan, brief }]) {
      const read = briefOfFile(JSON.stringify(file));
      expect(read.ok && read.value).toEqual(JSON.parse(JSON.stringify(brief)));
    }
  });

  it('says what is wrong with one', () => {
    expect(said('{')).toContain('not JSON');
    expect(said(JSON.stringify({ format: 'keen-spiral/plan' }))).toContain('does not carry its brief');
    expect(said(JSON.stringify({ ...brief, set: { ...brief.set, sections: 900 } }))).toContain(
      'set.sections',
    );
    expect(said('null')).toContain('no brief');
    expect(said('[1]')).toContain('no brief');
  });
});
