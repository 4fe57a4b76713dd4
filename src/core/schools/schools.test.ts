import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { briefInput } from '../formats/brief';
import { productRoles, ROLE_IDS } from '../products';
import { orderProblems } from '../advice/layering';
import { followedSchool, questionsOf, SCHOOL_QUESTION_IDS, schoolQuestion, withSchools } from './schools';

const roles = (brief: ReturnType<typeof aBrief>) => (brief.set.layers ?? []).map(({ role }) => role);
const told = aBrief({
  set: { layers: [{ role: 'leave-in' }, { role: 'oil' }, { role: 'cream' }, { role: 'gel', hold: 4 }] },
});

describe('schools', () => {
  it('whatever is taken gives a brief that can be read, and is followed from then on', () => {
    for (const id of SCHOOL_QUESTION_IDS) {
      const { schools } = schoolQuestion(id);
      expect(Object.keys(schools).length, id).toBeGreaterThan(1);
      for (const [name, school] of Object.entries(schools)) {
        const done = withSchools(told, { [id]: name });
        expect(briefInput.safeParse(done).success, `${id}/${name}`).toBe(true);
        if (school.isOf) expect(school.isOf(done), `${id}/${name}`).toBe(true);
        expect(followedSchool(id, done, { [id]: name }), `${id}/${name}`).toBe(name);
        expect(withSchools(done, { [id]: name })).toEqual(done);
      }
    }
  });

  it('turns cream and oil round and leaves the rest where it was', () => {
    expect(roles(withSchools(told, { order: 'cream-first' }))).toEqual(['leave-in', 'cream', 'oil', 'gel']);
    expect(followedSchool('order', told, {})).toBe('oil-first');
  });

  it('changes what holds, and keeps what is known of a hold that stays', () => {
    expect(roles(withSchools(told, { hold: 'foam' }))).toEqual(['leave-in', 'oil', 'cream', 'mousse']);
    expect(withSchools(told, { hold: 'cream-under-gel' }).set.layers?.at(-1)).toEqual({
      role: 'gel',
      hold: 4,
    });
  });

  it('a brief that has left the remembered school says what it follows now', () => {
    expect(followedSchool('start', aBrief({ set: { startState: 'wet' } }), { start: 'damp' })).toBe('wet');
    expect(followedSchool('fluffing', told, {})).toBeNull();
    expect(followedSchool('fluffing', told, { fluffing: 'roots-first' })).toBe('roots-first');
  });

  it('asks about knots only where there are knots', () => {
    expect(questionsOf('roots', 'bantu-knot')).toEqual(['knots']);
    expect(questionsOf('roots', 'rod-set')).toEqual([]);
  });

  it('no school teaches an order that is warned of', () => {
    for (const school of ['cream-first', 'oil-first']) {
      expect(orderProblems(withSchools(told, { order: school }).set.layers ?? [])).toEqual([]);
    }
    for (const role of ROLE_IDS.filter((own) => productRoles[own].isSealant)) {
      expect(orderProblems([{ role }, { role: 'leave-in' }])[0]).toContain('first seals in');
    }
  });
});
