import type { StartStateId } from '../coefficients/start-states';
import { suggestion } from '../coefficients/suggestion';
import { techniqueOf } from '../techniques';
import { capitalised, uncapitalised } from '../words/words';
import { alternatives, bestAmong, isSameIn } from './alternatives';
import { ask, contextOf, timesOf, type Wish } from './ask';
import { facts, type FactField, type FactId } from './facts';
import type { Recorded } from './record';
import { RULES } from './rules';
import type { Rule } from './rules/rule';
import { Search, type Pick } from './search';
import { scoreOf } from './score';
import { choiceWords, routeWords } from './words';
import { WANT_WORDS } from './want-words';
import { AXES, type Axis, type Way } from './way';
import { dueSizes, fieldOfSize } from './zone-sizes';
import type { Want } from '../coefficients/wants';

/** Why something was chosen: the fact that it rests on, and one sentence. */
export interface SuggestReason {
  readonly about: Axis;
  /** The field of the head, or what else was asked, that would change the choice. */
  readonly fact: FactField | 'wants' | 'shelf' | 'allergies' | 'schools' | 'record' | 'usual';
  readonly text: string;
}

/** A fact that holds this little is no reason. */
const LEAST_LEVEL = 0.25;
const MOST_PER_AXIS = 2;
/** Points from which her own sets are a reason. */
const LEAST_RECORDED = 0.5;

/** Axes that are tried again without a fact or a wish. */
const RETRIED: readonly Axis[] = ['start', 'layers', 'sections', 'root', 'ends', 'tool', 'drying', 'nights'];

/** "surely", "9 in 10", "4 in 10": a chance as a stylist says it. */
export function chanceWords(chance: number): string {
  const tenths = Math.round(chance * 10);
  return tenths >= 10 ? 'surely dry' : tenths <= 0 ? 'hardly ever dry' : `dry ${tenths} times in 10`;
}

/** A sentence that speaks against what was not chosen, with that named first. */
const rather = (instead: string, text: string) => `Not ${instead}: ${uncapitalised(text)}`;

/** Everything that reasons are found with; searches without a fact are made once. */
class Reasoner {
  private readonly without = new Map<string, Search>();

  constructor(
    private readonly wish: Wish,
    private readonly search: Search,
    private readonly pick: Pick,
    private readonly kinds: readonly Pick[],
  ) {}

  private searchWithout(cause: FactId | Want): Search {
    const known = this.without.get(cause);
    if (known) return known;
    const { wish } = this;
    const isFact = cause in facts;
    const asked = isFact
      ? ask(wish, facts[cause as FactId].without(contextOf(wish.base)))
      : ask({ ...wish, wants: wish.wants.filter((want) => want !== cause) });
    const search = new Search(asked, timesOf(wish.base));
    this.without.set(cause, search);
    return search;
  }

  /** What would be chosen in one choice without a fact or a wish; null where nothing would change. */
  private otherwise(axis: Axis, cause: FactId | Want): Way | null {
    const search = this.searchWithout(cause);
    const best = bestAmong(alternatives(axis, this.pick.way, search), search);
    return best && !isSameIn(axis, best.way, this.pick.way) ? best.way : null;
  }

  /** What a row says of a choice that was made rather than another: for it, or against the other; null for neither. */
  private saidBy({ id, text }: Rule, axis: Axis, chosen: Way, instead: Way): string | null {
    const { suits } = this.search.asked;
    const points = (way: Way) =>
      suits
        .of(axis, way)
        .lines.filter(({ rule }) => rule.id === id)
        .map((line) => line.points);
    if (axis === 'sections') return `${text} Otherwise ${choiceWords(axis, instead)} would do.`;
    if (points(chosen).some((p) => p > 0)) return text;
    return points(instead).some((p) => p < 0) ? rather(choiceWords(axis, instead), text) : null;
  }

  /** Rows that bear on a choice, those that say most of it first. */
  private rowsOn(axis: Axis): Rule[] {
    const { levels } = this.search.asked;
    const strength = ({ effects }: Rule) => Math.max(0, ...Object.values(effects).map(Math.abs));
    return RULES.filter(
      (rule) => rule.axis === axis && rule.fact !== 'always' && levels[rule.fact] >= LEAST_LEVEL,
    ).sort(
      (a, b) =>
        Number(b.rank !== 'trait') - Number(a.rank !== 'trait') ||
        strength(b) * levels[b.fact] - strength(a) * levels[a.fact],
    );
  }

  private wantReason(axis: Axis, want: Want): SuggestReason | null {
    const text = WANT_WORDS[want][axis];
    return text ? { about: axis, fact: 'wants', text } : null;
  }

  /** Reasons of a choice that is made again without each thing that bears on it. */
  on(axis: Axis): SuggestReason[] {
    const found: SuggestReason[] = [];
    for (const rule of this.rowsOn(axis)) {
      if (found.length >= MOST_PER_AXIS) break;
      const other = this.otherwise(axis, rule.fact);
      const text = other && this.saidBy(rule, axis, this.pick.way, other);
      if (text) found.push({ about: axis, fact: facts[rule.fact].field, text });
    }
    for (const want of this.wish.wants) {
      if (found.length >= MOST_PER_AXIS) break;
      const reason = this.wantReason(axis, want);
      if (reason && this.otherwise(axis, want)) found.push(reason);
    }
    return found;
  }

  /** Why this technique: a row that the lead over the next one hangs on, or a wish that does. */
  technique(): SuggestReason[] {
    const { pick, search } = this;
    const others = this.kinds.filter(({ way }) => !isSameIn('technique', way, pick.way));
    const next = others.reduce<Pick | null>(
      (best, one) => (best && best.score >= one.score ? best : one),
      null,
    );
    if (!next) {
      return this.wish.technique
        ? [
            {
              about: 'technique',
              fact: 'wants',
              text: `${capitalised(techniqueOf(pick.way.set.technique).noun[1])}, as you asked.`,
            },
          ]
        : [];
    }
    const { suit } = suggestion.value;
    const lead = pick.score - next.score;
    const said = (rule: Rule, way: Way) =>
      search.asked.suits
        .of('technique', way)
        .lines.filter((line) => line.rule === rule)
        .reduce((sum, { points }) => sum + points, 0);
    const rows = this.rowsOn('technique').filter((rule) => {
      const ours = said(rule, pick.way);
      const theirs = said(rule, next.way);
      return suit * (ours - theirs) > lead && ours >= 0 && (ours > 0 || theirs < 0);
    });
    const found: SuggestReason[] = rows.slice(0, MOST_PER_AXIS).map((rule) => ({
      about: 'technique',
      fact: facts[rule.fact].field,
      text: said(rule, pick.way) > 0 ? rule.text : rather(choiceWords('technique', next.way), rule.text),
    }));
    for (const want of this.wish.wants) {
      if (found.length >= MOST_PER_AXIS) break;
      const { weights } = this.searchWithout(want).asked.weighing;
      const score = (of: Pick) => scoreOf(of.weighed, { ...search.asked.weighing, weights });
      const reason = this.wantReason('technique', want);
      if (reason && others.some((other) => score(other) > score(pick))) found.push(reason);
    }
    return found;
  }

  prep(): SuggestReason[] {
    const { suits, isConditioned } = this.search.asked;
    if (!isConditioned) return [];
    const [line] = [...suits.effect('deep-condition').lines].sort((a, b) => b.points - a.points);
    return line ? [{ about: 'prep', fact: facts[line.rule.fact].field, text: line.rule.text }] : [];
  }

  /** Why sections differ in size by zone. */
  sizes(): SuggestReason[] {
    const { levels } = this.search.asked;
    if (techniqueOf(this.pick.way.set.technique).usualPattern.startsWith('lanes')) return [];
    return dueSizes(levels, this.wish.wants)
      .filter(({ level }) => level >= LEAST_LEVEL)
      .slice(-1)
      .map(({ rule }) => ({
        about: 'sections',
        fact: rule.fact === 'always' ? 'usual' : fieldOfSize(rule),
        text: rule.text,
      }));
  }

  /** What the time there is has to do with how it is dried. */
  drying(): SuggestReason[] {
    const { pick, search } = this;
    const { chance } = pick.weighed;
    if (chance === null) return [];
    const [plain] = search.asked.routes;
    if (!plain || plain.id === pick.way.route.id)
      return [
        {
          about: 'drying',
          fact: 'wearBy',
          text: `${capitalised(routeWords(pick.way.route))} is enough: ${chanceWords(chance)} by takedown.`,
        },
      ];
    const node = search.ways.weigh({ ...pick.way, route: plain });
    const alone = node && search.pick(node);
    if (!alone) return [];
    const before = alone.weighed.chance ?? 0;
    return before < chance - 0.05
      ? [
          {
            about: 'drying',
            fact: 'wearBy',
            text: `${capitalised(routeWords(plain))} alone it would be ${chanceWords(before)} by takedown; so it is ${chanceWords(chance)}.`,
          },
        ]
      : [];
  }

  /** Products that stay on the shelf, and what has to be bought. */
  shelf(): SuggestReason[] {
    const { stack } = this.pick.way;
    return stack.layers
      .filter(({ isToBuy }) => isToBuy)
      .map(({ role }) => ({
        about: 'layers',
        fact: 'shelf',
        text: `No ${role.replace('-', ' ')} is at hand that may go on her: one to buy.`,
      }));
  }

  /** What her own sets say for this technique, or against another that would have come first. */
  record(): SuggestReason[] {
    const { pick, search } = this;
    const { record } = search.asked;
    const { technique } = pick.way.set;
    const own = record.get(technique);
    const { suit } = suggestion.value;
    const isDecided = ({ points }: Recorded, score: number) =>
      points < 0 && score - suit * points > pick.score;
    const against = this.kinds.flatMap(({ way, score }) => {
      const told = record.get(way.set.technique);
      return told && way.set.technique !== technique && isDecided(told, score) ? [told] : [];
    });
    return [...(own && own.points >= LEAST_RECORDED ? [own] : []), ...against].map(({ text }) => ({
      about: 'technique',
      fact: 'record',
      text,
    }));
  }

  schools(): SuggestReason[] {
    return this.search.asked.schools
      .filter((school) => school.follows(this.pick.way))
      .map(({ axis, label }) => ({ about: axis, fact: 'schools', text: `${label}: done so on her before.` }));
  }
}

/** What each start is good for, where neither hair nor wish decided alone. */
const START_WORDS: Readonly<Record<StartStateId, string>> = {
  dripping: 'Dripping wet: the most slip and the cleanest clumps.',
  wet: 'Wet: slip and clean clumps, and time enough to dry.',
  damp: 'Damp: sets sooner than wet, clumps better than dry.',
  'nearly-dry': 'Nearly dry: it sets soonest of the washed starts.',
  'stretched-misted': 'Stretched first: length and lift, and an hour of drying instead of a night.',
  'stretched-dry': 'Stretched first: length and lift, and only the products to dry.',
};

/** What is said of a choice that nothing about this head decided. */
function usualWords(axis: Axis, { way }: Pick): string | null {
  switch (axis) {
    case 'technique':
      return 'Best of all for what you want, weighed against every other set that this hair carries.';
    case 'start':
      return START_WORDS[way.startState];
    case 'layers':
      return 'Nothing about this hair asks for more, and nothing for less.';
    case 'sections':
      return 'As many as are usual on a head this size and this dense.';
    case 'root':
      return way.rootMethod === 'plain'
        ? 'Plain roots: quickest in and out, and nothing that pulls.'
        : 'Flat roots hold their length from the scalp on.';
    case 'ends':
      return 'The ends are sound and need no more than this.';
    case 'tool':
      return way.set.tool && techniqueOf(way.set.technique).tool
        ? 'The size that fits this length, and that goes round.'
        : null;
    case 'drying':
      return (way.route.first ?? way.route.last) ? 'It brings the roots home sooner.' : 'No heat is needed.';
    case 'nights':
      return 'A loose gather keeps its size; satin keeps it smooth.';
    case 'prep':
      return 'Clean, conditioned and blotted: nothing more is needed first.';
  }
}

/** Why each choice was made, in the order of the work: at least a sentence for each, at most two that rest on a fact. */
export function reasonsFor(wish: Wish, search: Search, pick: Pick, kinds: readonly Pick[]): SuggestReason[] {
  const reasoner = new Reasoner(wish, search, pick, kinds);
  const all = [
    ...reasoner.schools(),
    ...reasoner.record(),
    ...reasoner.technique(),
    ...reasoner.prep(),
    ...RETRIED.flatMap((axis) =>
      axis === 'drying' ? [...reasoner.drying(), ...reasoner.on(axis)] : reasoner.on(axis),
    ),
    ...reasoner.sizes(),
    ...reasoner.shelf(),
  ];
  return AXES.flatMap((axis) => {
    const about = all.filter((reason) => reason.about === axis).slice(0, MOST_PER_AXIS + 1);
    if (about.length > 0) return about;
    const text = usualWords(axis, pick);
    return text ? [{ about: axis, fact: 'usual' as const, text }] : [];
  });
}
