import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { answerBrief } from '../plan/answer-brief';
import type { BriefInput } from './brief';
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

  it.each([
    [
      'a technique nobody knows',
      aBrief({ set: { technique: 'finger-wave' as never } }),
      'set.technique',
      /“finger-wave” is not known/,
    ],
    [
      'a zone nobody knows',
      aBrief({ set: { zones: { temple: { sections: 3 } } as never } }),
      'set.zones.temple',
      /not a field/,
    ],
    [
      'no sections in a zone',
      aBrief({ set: { zones: { nape: { sections: 0 } } } }),
      'set.zones.nape.sections',
      /1 to 600; 0/,
    ],
    [
      'zones that add up to too many',
      aBrief({ set: { sections: 590, zones: { nape: { sections: 60 } } } }),
      'set.sections',
      /650 sections/,
    ],
    [
      'a braided root on a knot in one zone',
      aBrief({ set: { zones: { nape: { technique: 'bantu-knot', rootMethod: 'braided' } } } }),
      'set.zones.nape.rootMethod',
      /cannot start with “braided”/,
    ],
    [
      'a zone size of 9',
      aBrief({ brief: { parting: { zoneSize: { crown: 9 } } } }),
      'parting.zoneSize.crown',
      /0.4 to 2.5; 9/,
    ],
    [
      'a pattern nobody knows',
      aBrief({ brief: { parting: { pattern: 'spiral' as never } } }),
      'parting.pattern',
      /not known/,
    ],
    ['no pace at all', aBrief({ brief: { pace: 0 } }), 'pace', /0.3 to 3; 0/],
    [
      'a spread of pace below nothing',
      aBrief({ brief: { pace: { median: 1, lnSd: -1 } } }),
      'pace.lnSd',
      /0 to 1; -1/,
    ],
    ['too many draws', aBrief({ brief: { draws: 1e6 } }), 'draws', /0 to 5000/],
    [
      'a recipe of another version',
      aBrief({ brief: { parting: { recipe: { version: 3 } as never } } }),
      'parting.recipe.version',
      /versions 1 and 2/,
    ],
    [
      'a recipe whose rows go backwards',
      aBrief({
        brief: {
          parting: {
            recipe: {
              version: 2,
              circumferenceCm: 56,
              pattern: 'brick',
              part: { kind: 'none' },
              panels: [{ id: 'W', rowLines: [1, 0, -1], cuts: [[], []] }],
            },
          },
        },
      }),
      'parting.recipe.panels.0.rowLines',
      /from the back forwards/,
    ],
  ] as const)('%s', (_, input, path, message) => {
    expect(errorsOf(input)[path]).toMatch(message);
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
        set: {
          sections: 18,
          rootMethod: 'plain',
          endsMethod: 'finger-coiled',
          startState: 'damp',
          tool: null,
        },
        parting: { pattern: 'brick', part: 'none', recipe: null },
        pace: { median: 1 },
        dryingRate: { median: 1, lnSd: 0.27 },
        draws: 400,
        seed: 1,
      },
    });
    expect(read.ok && read.value.head.densityPerCm2).toBeCloseTo(141.7, 1);
    expect(read.ok && read.value.drying[0]!.method.id).toBe('air');
  });

  it('give a rod set the usual rod when none is named, and leave a tool that nothing uses aside', () => {
    const rods = readBrief(aBrief({ set: { technique: 'rod-set', endsMethod: 'pasted' } }));
    expect(rods.ok && rods.value.set.tool).toMatchObject({
      kind: 'rod',
      diameterMm: 16,
      workingLengthMm: 80,
    });
    const twists = readBrief(aBrief({ set: { tool: { diameterMm: 12 } } }));
    expect(twists.ok && twists.value.set.tool).toBeNull();
    const ends = readBrief(aBrief({ set: { endsMethod: 'rod', tool: { diameterMm: 12 } } }));
    expect(ends.ok && ends.value.set.tool).toMatchObject({ kind: 'end-rod', diameterMm: 12 });
  });

  it('a zone of its own takes what it says, and the rest from the set', () => {
    const read = readBrief(
      aBrief({
        set: { rootMethod: 'braided', zones: { nape: { technique: 'comb-coil', sections: 6 } } },
      }),
    );
    expect(read.ok && read.value.zones.nape).toMatchObject({
      technique: 'comb-coil',
      sections: 6,
      rootMethod: 'plain',
      endsMethod: 'finger-coiled',
    });
    expect(read.ok && read.value.zones.crown).toMatchObject({
      technique: 'two-strand-twist',
      sections: null,
      rootMethod: 'braided',
    });
  });

  it('lanes are the usual parting of flat twists', () => {
    const read = readBrief(aBrief({ set: { technique: 'flat-twist', sections: 7 } }));
    expect(read.ok && read.value.parting.pattern).toBe('lanes-back');
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

  it('rows at the back want rows, a back parted with the rest, and two sections a row', () => {
    const said = (set: Parameters<typeof aBrief>[0], parting: BriefInput['parting']) => {
      const read = readBrief(aBrief({ ...set, brief: { parting } }));
      return read.ok ? [] : read.errors.map(({ path, message }) => `${path}: ${message}`);
    };
    expect(said({ set: { sections: 24 } }, { backRows: 4, part: 'left' })).toEqual([]);
    expect(said({ set: { sections: 24 } }, { backRows: 4, pattern: 'radial' })[0]).toMatch(
      /straight or brick/,
    );
    expect(said({ set: { sections: 7 } }, { backRows: 4 })[0]).toMatch(/at least 8 sections; there are 7/);
    expect(said({ set: { sections: 24, zones: { nape: { sections: 4 } } } }, { backRows: 4 })[0]).toMatch(
      /^parting\.backRows: the back is parted for itself/,
    );
    // A side part makes unequal halves in any case.
    expect(said({ set: { sections: 21 } }, { trial: true, part: 'left' })).toEqual([]);
  });

  it('a half-head trial wants an even number, and no zones of their own', () => {
    const said = (set: Parameters<typeof aBrief>[0]) => {
      const read = readBrief(aBrief(set));
      return read.ok ? [] : read.errors.map(({ path, message }) => `${path}: ${message}`);
    };
    const parting = { trial: true };
    expect(said({ set: { sections: 24 }, brief: { parting } })).toEqual([]);
    expect(said({ set: { sections: 21 }, brief: { parting } })[0]).toMatch(/^set\.sections: .*take 20 or 22/);
    expect(said({ set: { sections: 20, zones: { nape: { sections: 4 } } }, brief: { parting } })[0]).toMatch(
      /^set\.zones\.nape\.sections: .*alike all over/,
    );
  });
});
