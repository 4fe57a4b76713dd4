import TinyQueue from 'tinyqueue';
import { rootMethods } from '../coefficients/root-and-ends';
import { startStates } from '../coefficients/start-states';
import { TECHNIQUE_IDS, type TechniqueId } from '../techniques';
import { familyOf } from './families';
import { scoreOf, type Weighed, type Weighing } from './score';
import { holdLayer, isFoam } from './stack-traits';
import { Trials, type Times, type Tried } from './trial';
import type { Route, Stack, Way } from './way';
import { Ways, type Asked, type Node } from './ways';

/** A way that was tried, and what it came to. */
export interface Pick {
  readonly way: Way;
  readonly node: Node['node'];
  readonly weighed: Weighed;
  readonly score: number;
  readonly tried: Tried;
}

/** How far a search is. */
export interface SearchState {
  readonly stage: 'first' | 'draft' | 'others';
  readonly runs: number;
  readonly of: number;
  /** The best so far; null where nothing can be done yet. */
  readonly best: Pick | null;
}

/** Runs of the drying model that each stage may take: never time, so that the same question has the same answer. */
const BUDGET = { first: 40, draft: 220, others: 80, each: 5 } as const;
const FIRST_STACKS = 5;
/** What is not sure to be dry is looked at so much longer. */
const UNSURE_TIMES = 1;
/** What another run is known to be no better than: rough runs differ by this much. */
const BOUND_SLACK = 0.02;
/** Gain that a rule for a route may bring over the plain one. */
const MOST_ROUTE_GAIN = 0.25;

interface Item {
  readonly bound: number;
  readonly node: Node;
  /** Null until its routes are looked at one by one. */
  readonly route: Route | null;
}

/** What kind of hold a stack has: options that differ in it differ in kind. */
export function holdFamily(stack: Stack): 'foam' | 'gel' | 'soft' {
  const role = holdLayer(stack)?.role;
  return role === 'gel' ? 'gel' : role && isFoam(role) ? 'foam' : 'soft';
}

/** What makes two ways the same in kind. */
export const kindOf = ({ set, stack, startState }: Way): string =>
  `${set.technique}/${holdFamily(stack)}/${startStates[startState].straightened > 0.5}`;

/** A key of everything that a way is. */
export const wayKey = ({ set, startState, rootMethod, endsMethod, stack, route, habit }: Way): string =>
  [
    set.technique,
    set.sections,
    set.tool?.diameterMm,
    startState,
    rootMethod,
    endsMethod,
    stack.id,
    route.id,
    habit.night,
    habit.separations,
    habit.hands,
  ].join('/');

/** What is looked for: how ways are weighed, and which of them will do. */
export interface Goal {
  readonly weighing: Weighing;
  /** Whether a way will do, as far as can be said before it is dried. */
  readonly allows: (node: Node) => boolean;
  /** Whether it will do once it was tried. */
  readonly accepts: (pick: Pick) => boolean;
  /** What is less sure than this need not be tried. */
  readonly leastChance: number;
}

/** Looks for the best ways to do a head, first by sums, then by drying those that could still be best. */
export class Search {
  readonly ways: Ways;
  readonly trials: Trials;
  private readonly picks = new Map<string, Pick | null>();
  private readonly known = new Map<string, { sections: number; waterPerG: number; chance: number }[]>();
  private nodes: Node[] = [];
  private fewStacks: readonly Stack[] | null = null;

  constructor(
    readonly asked: Asked,
    times: Times,
  ) {
    this.ways = new Ways(asked);
    this.trials = new Trials(asked.base, times, asked.base.wearByMs !== null);
    this.wished = { weighing: asked.weighing, allows: () => true, accepts: () => true, leastChance: 0 };
  }

  /** What the wish itself looks for. */
  private readonly wished: Goal;

  private nodesOf(isFirst: boolean, { weighing, allows } = this.wished): Node[] {
    const techniques = TECHNIQUE_IDS.filter((id) => this.asked.means.techniques.includes(id));
    const stacks = isFirst ? this.firstStacks() : this.asked.stacks;
    return this.ways.setChoices(techniques, isFirst).flatMap((choice) => {
      const node = this.ways.node(choice);
      return node ? undominated(this.ways.of(node, stacks, weighing)).filter(allows) : [];
    });
  }

  /** A few stacks that suit best, one of each hold before a second. */
  private firstStacks(): readonly Stack[] {
    if (this.fewStacks) return this.fewStacks;
    const { stacks } = this.asked;
    const sample = this.ways
      .setChoices(this.asked.means.techniques, true)
      .flatMap((choice) => this.ways.node(choice) ?? [])[0];
    if (!sample) return stacks.slice(0, FIRST_STACKS);
    const ranked = this.ways
      .of(sample, stacks)
      .sort((a, b) => b.score - a.score)
      .map(({ way }) => way.stack);
    const unique = [...new Set(ranked)];
    const firsts = unique.filter(
      (stack, i) => unique.findIndex((other) => holdFamily(other) === holdFamily(stack)) === i,
    );
    this.fewStacks = [...new Set([...firsts, ...unique])].slice(0, FIRST_STACKS);
    return this.fewStacks;
  }

  /** What of a way drying hangs on, but for counts and water: ends without a rod, and roots not plaited, dry alike. */
  private chanceKey({ way }: Node, route: Route): string {
    const { set, startState, rootMethod, endsMethod } = way;
    const { isPlaited } = rootMethods[rootMethod];
    return [set.technique, set.tool?.diameterMm, startState, isPlaited, endsMethod === 'rod', route.id].join(
      '/',
    );
  }

  /** The most that a chance can be, after what was dried before: fewer sections or more water is never sooner. */
  private mostChance(node: Node, route: Route): number {
    const runs = this.known.get(this.chanceKey(node, route)) ?? [];
    return runs.reduce(
      (least, { sections, waterPerG, chance }) =>
        node.way.set.sections <= sections && node.waterPerG >= waterPerG
          ? Math.min(least, chance + BOUND_SLACK)
          : least,
      1,
    );
  }

  private bounded(node: Node, route: Route, weighing: Weighing): Item | null {
    const routed = this.ways.withRoute(node, route, weighing);
    if (!routed) return null;
    const chance = routed.weighed.chance === null ? null : this.mostChance(node, route);
    return {
      node: routed,
      route,
      bound: chance === 1 ? routed.score : scoreOf({ ...routed.weighed, chance }, weighing),
    };
  }

  /** Tries one way; null where there is no time for it. */
  pick(node: Node): Pick | null {
    const key = wayKey(node.way);
    const before = this.picks.get(key);
    if (before !== undefined) return before;
    const tried = this.trials.try(node.way);
    if (tried?.chance !== undefined && tried.chance !== null) {
      const at = this.chanceKey(node, node.way.route);
      this.known.set(at, [
        ...(this.known.get(at) ?? []),
        { sections: node.way.set.sections, waterPerG: node.waterPerG, chance: tried.chance },
      ]);
    }
    const pick = tried && this.weighedPick(node, tried);
    this.picks.set(key, pick);
    return pick;
  }

  private weighedPick({ way, node, weighed: before }: Node, tried: Tried): Pick {
    const { chance, definition, frizz, days, stretch, isWarned } = tried;
    const weighed = { ...before, chance, definition, frizz, days, stretch, isWarned };
    return { way, node, weighed, tried, score: scoreOf(weighed, this.asked.weighing) };
  }

  /** The best of some ways, drying no more than a budget allows. */
  *bestOf(
    nodes: readonly Node[],
    budget: number,
    best: Pick | null = null,
    { weighing, accepts, leastChance } = this.wished,
  ): Generator<Pick | null, Pick | null> {
    const queue = new TinyQueue<Item>(
      nodes.map((node) => ({ node, route: null, bound: node.score + MOST_ROUTE_GAIN })),
      (a, b) => b.bound - a.bound,
    );
    const until = this.trials.runs + budget;
    while (queue.length > 0 && this.trials.runs < until) {
      const item = queue.pop()!;
      if (best && item.bound <= best.score) break;
      if (!item.route) {
        for (const route of this.asked.routes) {
          if (this.mostChance(item.node, route) < leastChance) continue;
          const next = this.bounded(item.node, route, weighing);
          if (next && !(best && next.bound <= best.score)) queue.push(next);
        }
        continue;
      }
      // What was learnt since may have lowered it, or ruled it out.
      if (this.mostChance(item.node, item.route) < leastChance) continue;
      const now = this.bounded(item.node, item.route, weighing);
      if (now && now.bound < item.bound - 1e-9) {
        queue.push({ ...item, bound: now.bound });
        continue;
      }
      const tried = this.pick(item.node);
      const pick = tried && { ...tried, score: scoreOf(tried.weighed, weighing) };
      if (pick && accepts(pick) && (!best || pick.score > best.score)) best = pick;
      yield best;
    }
    return best;
  }

  /** The best way for another goal than the wish's own. */
  *bestFor(goal: Goal, budget: number): Generator<Pick | null, Pick | null> {
    return yield* this.bestOf(this.nodesOf(false, goal), budget, null, goal);
  }

  /** The best way with one technique, among the few counts and sizes that the first answer looks at. */
  bestOfTechnique(technique: TechniqueId, budget: number): Pick | null {
    const stacks = this.firstStacks();
    const nodes = this.ways.setChoices([technique], true).flatMap((choice) => {
      const node = this.ways.node(choice);
      return node ? undominated(this.ways.of(node, stacks)) : [];
    });
    const within = (runs: number, leastChance: number) => {
      const best = this.bestOf(nodes, runs, null, { ...this.wished, leastChance });
      let step = best.next();
      while (!step.done) step = best.next();
      return step.value;
    };
    const quick = within(budget, 0);
    // What is not dry in time is looked for once more, passing over what cannot be: there may be a hood that brings it home.
    const { sureness } = this.asked.weighing;
    if ((quick?.weighed.chance ?? 1) >= sureness) return quick;
    const surer = within(UNSURE_TIMES * budget, sureness);
    return (surer?.weighed.chance ?? 0) > (quick?.weighed.chance ?? 0) ? surer : quick;
  }

  /** The best way, a stage at a time. */
  *run(): Generator<SearchState, Pick | null> {
    const of = BUDGET.first + BUDGET.draft + BUDGET.others;
    const tell = (stage: SearchState['stage'], best: Pick | null): SearchState => ({
      stage,
      runs: this.trials.runs,
      of,
      best,
    });
    const first = this.bestOf(this.nodesOf(true), BUDGET.first);
    let step = first.next();
    while (!step.done) step = first.next();
    yield tell('first', step.value);
    this.nodes = this.nodesOf(false);
    const draft = this.bestOf(this.nodes, BUDGET.draft, step.value);
    step = draft.next();
    while (!step.done) {
      yield tell('draft', step.value);
      step = draft.next();
    }
    const best = step.value;
    yield tell('draft', best);
    return best;
  }

  /** The best of each kind, for options that differ from the draft; told as they are found. */
  *kinds(draft: Pick): Generator<SearchState, Pick[]> {
    const of = BUDGET.first + BUDGET.draft + BUDGET.others;
    const kinds = new Map<string, Node[]>();
    for (const node of this.nodes) {
      const kind = kindOf(node.way);
      const list = kinds.get(kind);
      if (list) list.push(node);
      else kinds.set(kind, [node]);
    }
    const ranked = [...kinds.entries()]
      .map(([kind, nodes]) => ({ kind, nodes, top: Math.max(...nodes.map(({ score }) => score)) }))
      .sort((a, b) => b.top - a.top);
    const until = this.trials.runs + BUDGET.others;
    const found: Pick[] = [];
    for (const { nodes } of ranked) {
      if (this.trials.runs >= until) break;
      const search = this.bestOf(nodes, BUDGET.each);
      let step = search.next();
      while (!step.done) step = search.next();
      if (step.value) found.push(step.value);
      yield { stage: 'others', runs: this.trials.runs, of, best: draft };
    }
    return found;
  }
}

/** Ways of one set that no other beats in suiting, softness and water at the same hold, start and finish. */
function undominated(nodes: readonly Node[]): Node[] {
  const groups = new Map<string, Node[]>();
  for (const node of nodes) {
    const { startState, rootMethod, endsMethod, stack } = node.way;
    const key = `${startState}/${rootMethod}/${endsMethod}/${holdLayer(stack)?.productId ?? holdLayer(stack)?.role ?? ''}`;
    const list = groups.get(key);
    if (list) list.push(node);
    else groups.set(key, [node]);
  }
  return [...groups.values()].flatMap((group) =>
    group.filter(
      (node) =>
        !group.some(
          (other) =>
            other !== node &&
            other.score >= node.score &&
            other.waterPerG <= node.waterPerG &&
            (other.score > node.score || other.waterPerG < node.waterPerG),
        ),
    ),
  );
}

/** How alike two ways are, 0 to 1: what a stylist would call the same. */
export function likeness(a: Way, b: Way): number {
  const same = <T>(of: (way: Way) => T, share: number) => (of(a) === of(b) ? share : 0);
  const technique =
    a.set.technique === b.set.technique
      ? 0.45
      : familyOf(a.set.technique) === familyOf(b.set.technique)
        ? 0.28
        : 0;
  return (
    technique +
    same(({ stack }) => holdFamily(stack), 0.2) +
    same(({ startState }) => startState, 0.2) +
    same(({ route }) => route.id, 0.15)
  );
}
