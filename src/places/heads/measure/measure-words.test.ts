import { describe, expect, it } from 'vitest';
import { readDisplay } from '@/core/formats/read-display';
import { KNOWABLE } from '@/core/hair/head';
import { perZone } from '@/core/hair/zone';
import { MEASURING } from '../measuring';
import { UNKNOWN_HEAD } from '../head-form-values';
import { headForm, type HeadFormValues } from '../head-input';
import { QUESTIONS } from './questions';
import { FIELD_OF, knownWords, MEASURE_STEPS, stepOf } from './steps-known';
import { tellsWords } from './tells';
import { coilWords, nearestThing, REACHES, THINGS } from './things';

const units = readDisplay({});
const known = (part: Partial<HeadFormValues>): HeadFormValues => ({ ...UNKNOWN_HEAD, notKnown: [], ...part });

describe('the way through a head', () => {
  it('asks each step as a question, and every field that a forecast rests on but the girth', () => {
    for (const { id } of MEASURE_STEPS) {
      expect(QUESTIONS[id].question).toMatch(/^[A-Z].*\?$/);
      expect(QUESTIONS[id].how).toMatch(/\.$/);
    }
    const asked = Object.values(FIELD_OF);
    expect(KNOWABLE.filter((field) => !asked.includes(field))).toEqual(['circumferenceCm']);
    for (const field of asked) expect(stepOf(field)).not.toBeNull();
    for (const field of KNOWABLE) expect(MEASURING[field].how).toMatch(/\.$/);
    expect(stepOf('wig')).toBeNull();
  });

  it('of a new head nothing is known, and it says so of every step', () => {
    for (const { id } of MEASURE_STEPS) expect(knownWords(id, UNKNOWN_HEAD, units), id).toBeNull();
  });

  it('says in a few words what is known', () => {
    const words = (id: (typeof MEASURE_STEPS)[number]['id'], part: Partial<HeadFormValues>) =>
      knownWords(id, known(part), units);
    expect(words('who', { name: 'Ore' })).toBe('Ore');
    expect(words('length', { lengthCm: perZone(() => 20) })).toBe('20 cm');
    expect(words('length', { lengthCm: { ...perZone(() => 20), nape: 12 } })).toBe('12 cm to 20 cm');
    expect(words('hangs', { shrinkagePercent: 60 })).toBe('draws up by 60 in 100');
    expect(words('coil', { naturalCoilDiameterMm: 7 })).toBe('as wide as a pencil');
    expect(words('coil', { naturalCoilDiameterMm: 2.5 })).toBe('tighter than the spring');
    expect(words('strand', { strandDiameterUm: 55 })).toBe('fine');
    expect(words('dense', { densityFrom: 'ponytail', ponytailCircumferenceCm: 9 })).toBe('by the ponytail');
    expect(words('dense', { densityPerCm2: 210 })).toBe('thick');
    expect(words('drinks', { porosity: 'high' })).toBe('high porosity');
    expect(words('been', { conditions: ['bleached', 'child'] })).toBe('bleached');
    expect(words('scalp', { conditions: ['flaking-scalp'] })).toBe('flaking scalp');
    expect(words('differs', { zoneCoilMm: { front: 10, nape: 4 } })).toBe('front and nape');
    expect(words('reacts', { allergies: 'coconut' })).toBe('coconut');
    expect(words('likes', { likes: ['lasts', 'soft'] })).toBe('lasting and soft');
  });

  it('tells what an answer means, and sends a sore scalp away', () => {
    for (const { id } of MEASURE_STEPS)
      if (id !== 'who') expect(tellsWords(id, known({})), id).toMatch(/[.:]$|\.$/);
    expect(tellsWords('scalp', known({ conditions: ['sore-scalp'] }))).toContain('dermatologist');
    expect(tellsWords('strand', known({ strandDiameterUm: 55 }))).toContain('limp');
    expect(tellsWords('drinks', known({ porosity: 'low' }))).toContain('beads');
    expect(tellsWords('coil', known({ naturalCoilDiameterMm: 20 }))).toContain('drop');
  });

  it('things are in order of width, and each is nearest to itself', () => {
    const widths = THINGS.map(({ mm }) => mm);
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
    for (const thing of THINGS) expect(nearestThing(thing.mm).id).toBe(thing.id);
    expect(coilWords(6)).toBe('as wide as a drinking straw');
    expect(REACHES.map(({ cm }) => cm)).toEqual([...REACHES.map(({ cm }) => cm)].sort((a, b) => a - b));
  });
});

describe('the form of a head', () => {
  const filled = known({ name: 'Ore', lengthCm: perZone(() => 20) });

  it('takes what is not known along, and where her coil differs', () => {
    const read = headForm.parse({
      ...filled,
      notKnown: ['porosity'],
      zoneCoilMm: { nape: 4 },
      likes: ['big'],
    });
    expect(read.measured).toMatchObject({ notKnown: ['porosity'], zoneCoilMm: { nape: 4 } });
    expect(read.card.likes).toEqual(['big']);
  });

  it('refuses what is no field of a head, a coil that is none, and a third wish', () => {
    expect(headForm.safeParse({ ...filled, notKnown: ['wig'] }).success).toBe(false);
    expect(headForm.safeParse({ ...filled, zoneCoilMm: { nape: 400 } }).success).toBe(false);
    expect(headForm.safeParse({ ...filled, likes: ['big', 'soft', 'long'] }).success).toBe(false);
  });
});
