import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sectionName } from '../parting/section-name';
import { MINUTE_MS } from '../units/time';
import type { PartingEdit } from './parting-edit';
import { runEvent, type RunEvent } from './run-event';
import { runState } from './run-state';

let made = 0;
const parted = (parting: PartingEdit) =>
  runEvent(`p${++made}`, 'parted', made * MINUTE_MS, { parting, sequence: made });
const done = (sectionNumber: number) =>
  runEvent(`d${++made}`, 'section-done', made * MINUTE_MS, { sectionNumber, sequence: made });
const back = (...of: RunEvent[]) =>
  runEvent(`b${++made}`, 'taken-back', made * MINUTE_MS, { of: of.map(({ id }) => id), sequence: made });
const numbers = (events: readonly RunEvent[], count = 6) => runState(events, count).parting.numbers;

const COUNT = 8;
const anyNumber = fc.integer({ min: 1, max: COUNT }).chain((n) => fc.constantFrom(n, n, 1000 + n));
const anyEdit: fc.Arbitrary<PartingEdit> = fc.oneof(
  fc.record({ edit: fc.constant('split' as const), section: anyNumber }),
  fc.record({ edit: fc.constant('join' as const), section: anyNumber, beside: anyNumber }),
  fc.record({ edit: fc.constant('leave-out' as const), section: anyNumber }),
  fc.record({ edit: fc.constant('between' as const), section: anyNumber, beside: anyNumber }),
  fc.record({
    edit: fc.constant('thin' as const),
    section: anyNumber,
    beside: anyNumber,
    share: fc.constant(0.25),
  }),
);
const anyLog = fc
  .array(fc.oneof({ arbitrary: anyEdit, weight: 2 }, { arbitrary: anyNumber, weight: 3 }), { maxLength: 25 })
  .map((all) => all.map((one) => (typeof one === 'number' ? done(one) : parted(one))));

describe('a parting changed at the chair', () => {
  it('what is new stands behind what it came from, and is called after it', () => {
    const [split, again] = [parted({ edit: 'split', section: 2 }), parted({ edit: 'split', section: 2 })];
    expect(numbers([split])).toEqual([1, 2, 1002, 3, 4, 5, 6]);
    expect(numbers([split, again]).map(sectionName)).toEqual(['1', '2', '2c', '2b', '3', '4', '5', '6']);
    const child = parted({ edit: 'split', section: 1002 });
    expect(numbers([split, child]).map(sectionName)).toEqual(['1', '2', '2b', '2c', '3', '4', '5', '6']);
  });

  it('numbers of what is done stay, and what is joined is one', () => {
    const log = [done(1), done(2), parted({ edit: 'join', section: 3, beside: 4 }), done(3)];
    const state = runState(log, 5);
    expect(state.parting.numbers).toEqual([1, 2, 3, 5]);
    expect(state.doneOrder).toEqual([1, 2, 3]);
    expect(state.installedAtMs).toBeNull();
    const last = done(5);
    expect(runState([...log, last], 5).installedAtMs).toBe(last.atMs);
  });

  it('a tap on a section that another hand joined meanwhile rests, and counts again once that is taken back', () => {
    const join = parted({ edit: 'join', section: 3, beside: 4 });
    const log = [join, done(4)];
    expect(runState(log, 5).doneOrder).toEqual([]);
    expect(runState([...log, back(join)], 5).doneOrder).toEqual([4]);
  });

  it('a set that is all in is open again where a section was parted in two', () => {
    const all = [1, 2, 3].map(done);
    expect(runState(all, 3).phase).toBe('drying');
    expect(runState([...all, parted({ edit: 'split', section: 3 })], 3).phase).toBe('setting');
  });

  it('no number stands twice, none is given a second time, and done ones are among those there are', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const { parting, doneOrder } = runState(log, COUNT);
        expect(new Set(parting.numbers).size).toBe(parting.numbers.length);
        expect(parting.numbers.length).toBeGreaterThan(0);
        for (const number of doneOrder) expect(parting.numbers).toContain(number);
        expect(parting.numbers.length).toBe(
          parting.edits.reduce(
            (count, { edit: { edit } }) =>
              count + (edit === 'split' || edit === 'between' ? 1 : edit === 'thin' ? 0 : -1),
            COUNT,
          ),
        );
      }),
    );
  });

  it('a change that is taken back is as if it never was, also when it arrives twice', () => {
    fc.assert(
      fc.property(anyLog, anyEdit, (log, edit) => {
        const change = parted(edit);
        expect(numbers([...log, change, change, back(change)], COUNT)).toEqual(numbers(log, COUNT));
      }),
    );
  });

  it('changes without a section to be about are no changes', () => {
    expect(numbers([parted({ edit: 'split', section: 9 })], 3)).toEqual([1, 2, 3]);
    expect(numbers([parted({ edit: 'join', section: 2, beside: 2 })], 3)).toEqual([1, 2, 3]);
    expect(numbers([parted({ edit: 'leave-out', section: 1 })], 1)).toEqual([1]);
    const add = parted({ edit: 'add', patch: 0, numbers: [4, 5] });
    expect(numbers([add, parted({ edit: 'add', patch: 0, numbers: [5] })], 3)).toEqual([1, 2, 3, 4, 5]);
  });
});
