import { describe, expect, it } from 'vitest';
import { wishOf, readWishOf } from '../../../../tests/support/wishes';
import { CONDITIONS } from '../../formats/brief';
import { ask, timesOf } from '../ask';
import { factLevels, FACT_IDS, facts, type FactContext, type FactId } from '../facts';
import { FEATURE_IDS, features, type FeatureId } from '../features';
import { CAUTIONS } from '../../advice/cautions';
import { Search } from '../search';
import { RULES } from '.';

/* What suits which hair is common practice; here it is asked that each row can be heard and names what it rests on. */

const usualHead = readWishOf(wishOf({})).base.head;
const context = (head: Partial<typeof usualHead>, part: Partial<FactContext> = {}): FactContext => ({
  head: { ...usualHead, ...head },
  dewPointOutsideC: 12,
  availableH: 15,
  ...part,
});

/** A context in which each fact plainly holds. */
const PLAINLY: Readonly<Record<FactId, FactContext>> = {
  fine: context({ strandDiameterUm: 50 }),
  coarse: context({ strandDiameterUm: 92 }),
  'not-coarse': context({}),
  dense: context({ densityPerCm2: 215 }),
  thin: context({ densityPerCm2: 120 }),
  'low-porosity': context({ porosity: 'low' }),
  'high-porosity': context({ porosity: 'high' }),
  'not-high-porosity': context({}),
  bleached: context({ conditions: ['bleached'] }),
  'heat-worn': context({ conditions: ['heat-damaged'] }),
  tight: context({ naturalCoilDiameterMm: 4 }),
  shrinks: context({ shrinkage: 0.75 }),
  loose: context({ naturalCoilDiameterMm: 25 }),
  'two-textures': context({ conditions: ['transitioning'] }),
  short: context({ stretchedLengthCm: { front: 6, crown: 6, left: 6, right: 6, back: 6, nape: 6 } }),
  'not-so-short': context({}),
  'shoulder-length': context({
    stretchedLengthCm: { front: 32, crown: 32, left: 32, right: 32, back: 32, nape: 32 },
  }),
  long: context({ stretchedLengthCm: { front: 50, crown: 50, left: 50, right: 50, back: 50, nape: 50 } }),
  blunt: context({ conditions: ['blunt-trim'] }),
  'trim-due': context({ conditions: ['due-a-trim'] }),
  'damp-air': context({}, { dewPointOutsideC: 22 }),
  child: context({ conditions: ['child'] }),
  sore: context({ conditions: ['sore-scalp'] }),
  flaking: context({ conditions: ['flaking-scalp'] }),
  today: context({}, { availableH: 5 }),
  always: context({}),
};

describe('facts of a head', () => {
  it.each(FACT_IDS)('%s: holds where it plainly does, and not without what it rests on', (id) => {
    expect(factLevels(PLAINLY[id])[id]).toBe(1);
    if (id === 'always') return;
    expect(factLevels(facts[id].without(PLAINLY[id]))[id]).toBeLessThan(0.25);
  });

  it('a ramp, not a cliff: one micrometre turns nothing over', () => {
    for (let um = 40; um < 110; um++) {
      const [a, b] = [um, um + 1].map((strandDiameterUm) => factLevels(context({ strandDiameterUm })));
      for (const id of FACT_IDS) expect(Math.abs(a![id] - b![id])).toBeLessThan(0.1);
    }
  });

  it('what is noted of hair is known to some rule, but what is only said to the stylist', () => {
    const spoken = new Set(RULES.map(({ fact }) => facts[fact].field));
    expect(spoken).toContain('conditions');
    const heard = CONDITIONS.filter((condition) => {
      const levels = factLevels(context({ conditions: [condition] }));
      return FACT_IDS.some((id) => levels[id] !== factLevels(context({}))[id]);
    });
    expect(CONDITIONS.filter((condition) => !heard.includes(condition))).toEqual([
      'coloured',
      'tapered-cut',
      'protein-sensitive',
    ]);
  });
});

describe('rows of what suits which hair', () => {
  it.each(RULES.map((rule) => [rule.id, rule] as const))(
    '%s: one sentence, one axis, effects it can have',
    (_, rule) => {
      expect(rule.text).toMatch(/^[A-Z0-9].*\.$/);
      expect(rule.text.length).toBeLessThan(130);
      const named = [...Object.keys(rule.effects), ...(rule.out ?? [])];
      expect(named.length).toBeGreaterThan(0);
      for (const id of named) {
        const axis = features[id as FeatureId]?.axis;
        if (axis) expect(axis, `${rule.id} speaks of ${id}`).toBe(rule.axis);
        else expect(['more', 'fewer', 'deep-condition']).toContain(id);
      }
      for (const points of Object.values(rule.effects)) {
        expect(points).not.toBe(0);
        expect(Math.abs(points)).toBeLessThanOrEqual(2.5);
      }
    },
  );

  it('each has an id of its own, and every feature is spoken of', () => {
    expect(new Set(RULES.map(({ id }) => id)).size).toBe(RULES.length);
    const spoken = new Set(RULES.flatMap(({ effects, out }) => [...Object.keys(effects), ...(out ?? [])]));
    const silent = FEATURE_IDS.filter((id) => !spoken.has(id));
    expect(silent).toEqual([]);
  });

  it('none favours what a caution warns of', () => {
    // Cautions that a choice brings about by itself, and the feature it is brought about by.
    const warnedOf: Readonly<Record<string, FeatureId>> = {
      'hot-on-weak-hair': 'hot',
      'slept-in': 'knots-asleep',
      'hold-and-butter-on-fine': 'butter',
    };
    for (const [code, feature] of Object.entries(warnedOf)) {
      expect(CAUTIONS.some((caution) => caution.code === code)).toBe(true);
      const facts = { 'hot-on-weak-hair': ['bleached', 'heat-worn'], 'hold-and-butter-on-fine': ['fine'] }[
        code
      ];
      const favouring = RULES.filter(
        (rule) => (rule.effects[feature] ?? 0) > 0 && (!facts || facts.includes(rule.fact)),
      );
      expect(favouring, code).toEqual([]);
    }
  });

  it('every row is heard by some way of the head it is of', () => {
    const silent = RULES.filter((rule) => {
      if (rule.effects.more || rule.effects.fewer || rule.effects['deep-condition'] || rule.out) return false;
      // What is only a choice by day is looked for on a set begun in the morning.
      const byDay = rule.fact === 'today' || rule.fact === 'short';
      const wish = readWishOf(
        wishOf({}, byDay ? { startAt: '2027-03-13T07:00:00', wearBy: '2027-03-13T19:00:00' } : {}),
      );
      const asked = ask(wish, PLAINLY[rule.fact]);
      const { ways } = new Search(asked, timesOf(wish.base));
      const plain = ways.setChoices(asked.means.techniques, true).flatMap((choice) => {
        const node = ways.node(choice);
        return node ? ways.of(node, asked.stacks.slice(0, 1)).map(({ way }) => way) : [];
      });
      const one = [...new Map(plain.map((way) => [`${way.set.technique}/${way.startState}`, way])).values()];
      const all = {
        layers: one.flatMap((way) => asked.stacks.map((stack) => ({ ...way, stack }))),
        drying: plain.flatMap((way) => asked.routes.map((route) => ({ ...way, route }))),
        sections: one.map((way) => ({ ...way, set: { ...way.set, countShare: 0.4 } })),
      };
      const among = rule.axis in all ? all[rule.axis as keyof typeof all] : plain;
      return !among.some((way) => asked.suits.of(rule.axis, way).lines.some((line) => line.rule === rule));
    });
    expect(silent.map(({ id }) => id)).toEqual([]);
  });
});
