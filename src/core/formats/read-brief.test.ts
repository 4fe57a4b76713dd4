import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { answerBrief } from '../plan/answer-brief';
import { planFile } from './plan-file';
import { readBrief } from './read-brief';
import { jsonSchemas } from './schemas';

const errorsOf = (input: unknown) => {
  const read = readBrief(input);
  return read.ok ? {} : Object.fromEntries(read.errors.map((error) => [error.path, error.message]));
};

describe('bad briefs say what to change', () => {
  it.each([
    [
      'a length of 0 cm',
      aBrief({ head: { stretchedLengthCm: 0 } }),
      'head.stretchedLengthCm',
      /1 to 120 cm; 0 was given/,
    ],
    [
      'a length of 0 cm in one zone',
      aBrief({
        head: { stretchedLengthCm: { front: 20, crown: 20, left: 20, right: 20, back: 20, nape: 0 } },
      }),
      'head.stretchedLengthCm.nape',
      /nape, must be 1 to 120 cm; 0 was given/,
    ],
    ['900 sections', aBrief({ set: { sections: 900 } }), 'set.sections', /2 to 600; 900 was given/],
    ['half a section', aBrief({ set: { sections: 7.5 } }), 'set.sections', /whole number/],
    [
      'humidity 140',
      aBrief({ room: { relativeHumidity: 140 } }),
      'room.relativeHumidity',
      /share, not a percentage.*140/,
    ],
    [
      'a rod without diameter',
      aBrief({ set: { technique: 'rod-set', endsMethod: 'pasted', tool: { diameterMm: 0 } } }),
      'set.tool.diameterMm',
      /rod diameter must be 3 to 80 mm; 0/,
    ],
    [
      'a rod set without a rod',
      aBrief({ set: { technique: 'rod-set', endsMethod: 'pasted' } }),
      'set.tool',
      /needs a rod/,
    ],
    ['twists on a rod', aBrief({ set: { tool: { diameterMm: 16 } } }), 'set.tool', /use no rod/],
    [
      'a pasted end on a twist',
      aBrief({ set: { endsMethod: 'pasted' } }),
      'set.endsMethod',
      /choose finger-coiled/,
    ],
    [
      'an impossible ponytail',
      aBrief({ head: { densityPerCm2: undefined, ponytailCircumferenceCm: 24 } }),
      'head.ponytailCircumferenceCm',
      /hairs per cm²/,
    ],
    ['a time without a zone', aBrief({ brief: { wearBy: '2027-03-13T09:00' } }), 'wearBy', /has no offset/],
    [
      'a time zone that is none',
      aBrief({ brief: { wearBy: '2027-03-13T09:00', timeZone: 'Fern/Hollow' } }),
      'timeZone',
      /Fern\/Hollow/,
    ],
    [
      'a day that does not exist',
      aBrief({ brief: { wearBy: '2027-02-31T09:00:00Z' } }),
      'wearBy',
      /not a time that exists/,
    ],
    [
      'ready before it starts',
      aBrief({ brief: { startAt: '2027-03-13T09:00:00Z', wearBy: '2027-03-13T08:00:00Z' } }),
      'wearBy',
      /later than startAt/,
    ],
  ])('%s', (_, input, path, message) => {
    expect(errorsOf(input)[path]).toMatch(message);
  });

  it('a technique of the format that is not built yet says so', () => {
    expect(
      errorsOf({ ...aBrief(), set: { ...aBrief().set, technique: 'flat-twist' } })['set.technique'],
    ).toMatch(/“flat-twist” is not built yet.*two-strand-twist, rod-set/);
    expect(errorsOf({ ...aBrief(), draws: 400 }).draws).toMatch(/not built yet/);
  });

  it('an unknown field is named with its path', () => {
    expect(
      errorsOf({ ...aBrief(), head: { ...(aBrief().head as object), length: 3 } })['head.length'],
    ).toMatch(/not a field/);
  });

  it('anything that is not a brief is refused without a crash', () => {
    for (const junk of [null, 3, 'brief', [], {}, { head: null }]) expect(readBrief(junk).ok).toBe(false);
  });
});

describe('good briefs', () => {
  it('fill in what was left out', () => {
    const read = readBrief({
      format: 'keen-spiral/brief',
      version: 1,
      head: { stretchedLengthCm: 20, ponytailCircumferenceCm: 9 },
      set: { technique: 'two-strand-twist', sectionSideCm: 6 },
    });
    expect(read).toMatchObject({
      ok: true,
      value: {
        set: { sections: 18, rootMethod: 'plain', endsMethod: 'finger-coiled', startState: 'damp' },
        pace: 1,
      },
    });
    expect(read.ok && read.value.head.densityPerCm2).toBeCloseTo(141.7, 1);
    expect(read.ok && read.value.drying[0]!.method.id).toBe('air');
  });

  it('read a wall-clock time in its zone, summer time and all', () => {
    const at = (wearBy: string) => {
      const read = readBrief(aBrief({ brief: { wearBy, timeZone: 'Europe/London' } }));
      return read.ok ? read.value.wearByMs : null;
    };
    expect(at('2026-03-28T09:00')).toBe(Date.UTC(2026, 2, 28, 9));
    expect(at('2026-03-29T09:00')).toBe(Date.UTC(2026, 2, 29, 8));
  });

  it('the example of the documents gives a plan of the open format', () => {
    const example = JSON.parse(readFileSync('docs/example-brief.json', 'utf8')) as unknown;
    const answer = answerBrief(example);
    expect(answer.ok && planFile.safeParse(answer.value).success).toBe(true);
  });

  it('the JSON Schemas in docs are those of this code', () => {
    for (const [name, schema] of Object.entries(jsonSchemas())) {
      expect(JSON.parse(readFileSync(`docs/schema/${name}`, 'utf8')), `${name}: run npm run schemas`).toEqual(
        JSON.parse(JSON.stringify(schema)),
      );
    }
  });
});
