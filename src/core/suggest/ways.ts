import type { Brief, PlannedTool } from '../brief/brief';
import type { Recorded } from './record';
import {
  ENDS_METHOD_IDS,
  endsMethods,
  rootMethods,
  type EndsMethodId,
  type RootMethodId,
} from '../coefficients/root-and-ends';
import type { StartStateId } from '../coefficients/start-states';
import { suggestion } from '../coefficients/suggestion';
import { MAX_SECTIONS, MIN_SECTIONS } from '../parting/generate';
import { recommendedDoseG } from '../products/dose';
import { productWaterPerG } from '../drying/start-moisture';
import { techniqueOf, type TechniqueId } from '../techniques';
import { clamp } from '../units/clamp';
import { families, familyOf } from './families';
import { meanLengthCm, type FactLevels } from './facts';
import { gentleOf, holdsNight, softOf, stackSoftness } from './figures';
import { toolsFor, type Means } from './means';
import { sittingH } from './routes';
import { isMeantStraight, nightWorkMin, scoreOf, type Weighed, type Weighing } from './score';
import {
  firstStretch,
  plainWay,
  setNode,
  stepsFrom,
  workMin,
  type SetNode,
  type Steps,
  type Sums,
} from './set-node';
import { stackHold } from './stack-traits';
import type { SuitTable } from './suit';
import type { Axis, Habit, Route, SetChoice, Stack, StackLayer, Way } from './way';

/** States hair may be brought to; dripping is nobody's choice but a school's. */
const STARTS: readonly StartStateId[] = ['wet', 'damp', 'nearly-dry', 'stretched-misted', 'stretched-dry'];

/** Sizes of tool that are tried, nearest to the usual first; and by the first answer. */
const SIZES = 5;
const FIRST_SIZES = 2;

/** How it may be taken down and slept in. */
const HABITS: readonly Habit[] = [
  { night: 'gather-and-bonnet', separations: 1, fluffing: 0, hands: 'oiled' },
  { night: 'gather-and-bonnet', separations: 2, fluffing: 1, hands: 'oiled' },
  { night: 'gather-and-bonnet', separations: 4, fluffing: 2, hands: 'oiled' },
  { night: 're-twists', separations: 2, fluffing: 1, hands: 'oiled' },
  { night: 're-twists', separations: 4, fluffing: 2, hands: 'oiled' },
];

/** Habits that follow the schools of a head as far as they can. */
function habitsFor(schools: readonly FollowedSchool[]): readonly Habit[] {
  const nights = ['gather-and-bonnet', 'scarf', 're-twists', 're-knots'] as const;
  const all = HABITS.flatMap((habit) =>
    nights.flatMap((night) => (['oiled', 'bare'] as const).map((hands) => ({ ...habit, night, hands }))),
  );
  const asked = schools.filter(({ axis }) => axis === 'nights');
  if (asked.length === 0) return HABITS;
  const followed = asked.reduce<readonly Habit[]>((kept, school) => {
    const left = kept.filter((habit) => school.follows({ habit } as Way));
    return left.length > 0 ? left : kept;
  }, all);
  const keyOf = ({ night, separations, fluffing, hands }: Habit) =>
    [night, separations, fluffing, hands].join('/');
  return [...new Map(followed.map((habit) => [keyOf(habit), habit])).values()];
}

/** A school taken on this head before: what of a choice follows it. */
export interface FollowedSchool {
  readonly question: string;
  readonly axis: Axis;
  readonly label: string;
  readonly follows: (way: Way) => boolean;
}

/** What is asked of the ways: whose head, with what, and weighed how. */
export interface Asked {
  readonly base: Brief;
  readonly means: Means;
  readonly levels: FactLevels;
  readonly suits: SuitTable;
  readonly weighing: Weighing;
  readonly stacks: readonly Stack[];
  readonly routes: readonly Route[];
  readonly schools: readonly FollowedSchool[];
  /** What this head's own sets say of techniques. */
  readonly record: ReadonlyMap<TechniqueId, Recorded>;
  readonly isConditioned: boolean;
}

/** A way as it is weighed before it is dried. */
export interface Node {
  readonly way: Way;
  readonly node: SetNode;
  /** Everything but drying: its sureness is taken to be whole. */
  readonly weighed: Weighed;
  /** Water that its products bring, g per g of hair. */
  readonly waterPerG: number;
  readonly score: number;
}

/** Smallest end rod that somebody winds, mm; larger than this it is a rod set. */
const END_ROD_MM = { low: 6, usual: 10, high: 16 } as const;

/** How roots and ends are done, and how that suits. */
interface Finish {
  readonly rootMethod: RootMethodId;
  readonly endsMethod: EndsMethodId;
  readonly tool: PlannedTool | null;
  readonly suit: number;
}

/** How well a choice suits, and whether it may be at all. */
interface SuitNow {
  readonly points: number;
  readonly isOut: boolean;
}

/** A set in its plain way. */
interface Frame {
  readonly node: SetNode;
  readonly plain: Way;
  readonly steps: Steps;
  readonly suit: number;
}

/** The same with start and finish. */
interface Finished {
  readonly way: Way;
  readonly sums: Sums;
  readonly suit: number;
  readonly minutes: ReturnType<typeof workMin>;
  readonly stretch: number;
  readonly isMeantStraight: boolean;
}

/** A habit, and what it adds. */
interface HabitStep {
  readonly habit: Habit;
  readonly sums: Sums;
  readonly suit: number;
  readonly nightWorkMin: number;
}

const sameHabit = (a: Habit, b: Habit) =>
  a.night === b.night && a.separations === b.separations && a.fluffing === b.fluffing && a.hands === b.hands;

/** Layers as they are weighed. */
interface StackChoice {
  readonly stack: Stack;
  readonly suit: number;
  readonly soft: number;
  readonly hold: number;
  readonly toBuy: number;
  readonly waterPerG: number;
  readonly shortShare: number;
}

/** Ways of one head: enumerated and weighed without drying anything. */
export class Ways {
  private readonly nodes = new Map<string, SetNode | null>();
  private readonly stretches = new Map<string, number>();
  private readonly stackLists = new Map<string, StackChoice[]>();
  private steps: Steps | null = null;
  readonly habits: readonly Habit[];
  readonly starts = STARTS;

  constructor(readonly asked: Asked) {
    this.habits = habitsFor(asked.schools);
  }

  /** Sections that are usual of a technique on this head, and how far that is from the technique's own. */
  usualCount(technique: TechniqueId): number {
    const { head } = this.asked.base;
    const c = suggestion.value;
    const points = this.asked.suits.effect('more').points - this.asked.suits.effect('fewer').points;
    return (
      techniqueOf(technique).usualSections *
      (head.densityPerCm2 / 165) ** c.countDensity *
      (head.circumferenceCm / 56) ** c.countHead *
      Math.exp(c.countPoint * points)
    );
  }

  /** Counts of a technique that are tried; a trial of two halves has as many on either side. */
  private countsOf(
    technique: TechniqueId,
    shares: readonly number[],
  ): { sections: number; countShare: number }[] {
    const usual = this.usualCount(technique);
    const grain = this.asked.base.parting.trial ? 2 : 1;
    const most = familyOf(technique) === 'flat' ? 14 : MAX_SECTIONS;
    const counts = shares.map((share) =>
      clamp(grain * Math.round((usual * share) / grain), grain * Math.ceil(MIN_SECTIONS / grain), most),
    );
    return [...new Set(counts)].map((sections) => ({ sections, countShare: sections / usual }));
  }

  /** Every count of a technique that is tried. */
  counts(technique: TechniqueId) {
    return this.countsOf(technique, families[familyOf(technique)].countShares);
  }

  /** Sets of some techniques, every size that goes round. */
  setChoices(techniques: readonly TechniqueId[], isFirst: boolean): Omit<SetChoice, 'zones'>[] {
    return techniques.flatMap((id) => {
      const technique = techniqueOf(id);
      const { countShares, firstShares } = families[familyOf(id)];
      return this.countsOf(id, isFirst ? firstShares : countShares).flatMap((count) => {
        const tools = technique.tool ? this.sizesFor(id, count.sections) : [null];
        return tools
          .slice(0, isFirst ? FIRST_SIZES : SIZES)
          .map((tool) => ({ technique: id, ...count, tool }));
      });
    });
  }

  /** Sizes that go round, nearest to the usual first. */
  sizesFor(id: TechniqueId, count: number): PlannedTool[] {
    const kind = techniqueOf(id).tool!;
    if (kind === 'end-rod') return [this.endRod(count) ?? []].flat();
    const usualMm = this.usualToolMm();
    return toolsFor(this.asked.means, kind, count).sort(
      (a, b) => Math.abs(Math.log(a.diameterMm / usualMm)) - Math.abs(Math.log(b.diameterMm / usualMm)),
    );
  }

  /** Rod that most would take on hair this long, mm. */
  private usualToolMm(): number {
    const { usualToolMm, usualToolCm } = suggestion.value;
    return usualToolMm * Math.sqrt(meanLengthCm(this.asked.base.head) / usualToolCm);
  }

  /** A set that this hair can carry; null where it cannot. */
  node(choice: Omit<SetChoice, 'zones'>): SetNode | null {
    const key = `${choice.technique}/${choice.sections}/${choice.tool?.diameterMm ?? ''}`;
    const known = this.nodes.get(key);
    if (known !== undefined) return known;
    const node = setNode(this.asked.base, choice, this.starts, this.habits[0]!);
    this.nodes.set(key, node);
    return node;
  }

  /** Roots and ends to choose from on a set: plain and plaited roots, and finishes that none beats in everything. */
  private finishes(plain: Way, steps: Steps): Finish[] {
    const { set } = plain;
    const technique = techniqueOf(set.technique);
    const [first] = technique.rootMethods;
    const plaited = technique.rootMethods.find((id) => rootMethods[id].isPlaited);
    const taught = technique.rootMethods.find((rootMethod) =>
      this.isTaught('root', { ...plain, rootMethod }),
    );
    const roots = [
      ...new Set([first, 'plain' as const, ...(plaited ? [plaited] : []), ...(taught ? [taught] : [])]),
    ].filter((id) => technique.rootMethods.includes(id));
    const ends = this.endsFor(set).flatMap(({ endsMethod, tool }) => {
      const suit = this.suitOf('ends', { ...plain, endsMethod });
      const { installMin, takedownMin } = endsMethods[endsMethod];
      return suit.isOut
        ? []
        : [
            {
              endsMethod,
              tool,
              suit: suit.points,
              min: installMin + takedownMin,
              look: steps.ends[endsMethod]!.definition,
            },
          ];
    });
    const best = ends.filter(
      (one) =>
        !ends.some(
          (other) =>
            other !== one &&
            other.suit >= one.suit &&
            other.min <= one.min &&
            other.look >= one.look &&
            (other.suit > one.suit || other.min < one.min || other.look > one.look),
        ),
    );
    return roots.flatMap((rootMethod) => {
      const suit = this.suitOf('root', { ...plain, rootMethod });
      return suit.isOut ? [] : best.map((end) => ({ rootMethod, ...end, suit: end.suit + suit.points }));
    });
  }

  /** Ends that a set can be finished with, and the tool that they ask for. */
  endsFor({
    technique: id,
    tool,
    sections,
  }: Omit<SetChoice, 'zones'>): Pick<Finish, 'endsMethod' | 'tool'>[] {
    const technique = techniqueOf(id);
    return technique.endsMethods.flatMap((endsMethod) => {
      if (technique.tool) return [{ endsMethod, tool }];
      if (endsMethod !== 'rod') return [{ endsMethod, tool: null }];
      const rod = this.endRod(sections);
      return rod ? [{ endsMethod, tool: rod }] : [];
    });
  }

  /** The rod that ends are wound on: of those that go round, the one nearest to the usual size. */
  private endRod(count: number): PlannedTool | undefined {
    return toolsFor(this.asked.means, 'end-rod', count)
      .filter(({ diameterMm }) => isEndRod(diameterMm))
      .sort(
        (a, b) => Math.abs(a.diameterMm - END_ROD_MM.usual) - Math.abs(b.diameterMm - END_ROD_MM.usual),
      )[0];
  }

  private isTaught(axis: Axis, way: Way): boolean {
    return this.asked.schools.some((school) => school.axis === axis && school.follows(way));
  }

  private stackChoice({ stack, startState }: Way, node: SetNode, suit: number): StackChoice {
    return {
      stack,
      suit,
      soft: stackSoftness(stack, this.asked.levels, this.asked.isConditioned),
      hold: stackHold(stack),
      toBuy: stack.layers.filter(({ isToBuy }) => isToBuy).length,
      waterPerG: this.waterPerG(stack, node, startState),
      shortShare: this.shortShare(stack, node, startState),
    };
  }

  /** Layers to choose from on a kind of technique and start: of equal hold, those that none beats in everything. */
  private stackChoices(way: Way, node: SetNode, stacks: readonly Stack[]): StackChoice[] {
    const key = `${familyOf(way.set.technique)}/${way.startState}/${stacks.length}`;
    const known = this.stackLists.get(key);
    if (known) return known;
    const all = stacks.flatMap((stack): StackChoice[] => {
      const suit = this.suitOf('layers', { ...way, stack });
      if (suit.isOut) return [];
      return [this.stackChoice({ ...way, stack }, node, suit.points)];
    });
    const beats = (a: StackChoice, b: StackChoice) =>
      a.hold === b.hold &&
      a.suit >= b.suit &&
      a.soft >= b.soft &&
      a.waterPerG <= b.waterPerG &&
      a.toBuy <= b.toBuy &&
      a.shortShare <= b.shortShare;
    const best = all.filter(
      (one, i) => !all.some((other, j) => j !== i && beats(other, one) && !(beats(one, other) && i < j)),
    );
    this.stackLists.set(key, best);
    return best;
  }

  /** Points of one choice: rows, and before them the schools taken on this head and what its own sets came to. */
  suitOf(axis: Axis, way: Way): SuitNow {
    const suit = this.asked.suits.of(axis, way);
    const taught = this.asked.schools.filter((school) => school.axis === axis && school.follows(way)).length;
    const recorded = axis === 'technique' ? (this.asked.record.get(way.set.technique)?.points ?? 0) : 0;
    return { points: suit.points + suggestion.value.school * taught + recorded, isOut: suit.out !== null };
  }

  /** What of a set no start, finish, layers or habit changes; null where a rule rules it out. */
  private frame(node: SetNode): Frame | null {
    const { choice } = node;
    const plain = { ...plainWay(choice, node.starts[0]!, this.habits[0]!), route: this.asked.routes[0]! };
    this.steps ??= stepsFrom(node, this.habits, ENDS_METHOD_IDS);
    const suits = (['technique', 'tool', 'sections'] as const).map((axis) => this.suitOf(axis, plain));
    return suits.some(({ isOut }) => isOut)
      ? null
      : {
          node,
          plain,
          steps: this.steps,
          suit: suits.reduce((sum, { points }) => sum + points, this.pull(choice)),
        };
  }

  /** The same with a start and a finish; null where a rule rules the start out. */
  private finished(
    { node, plain, steps, suit }: Frame,
    startState: StartStateId,
    finish: Finish,
  ): Finished | null {
    const startWay = { ...plain, startState };
    const start = this.suitOf('start', startWay);
    if (start.isOut) return null;
    const { rootMethod, endsMethod, tool } = finish;
    const at = (key: keyof Sums) =>
      node.sums[key] +
      steps.start[startState]![key] -
      steps.start[plain.startState]![key] +
      steps.root[rootMethod]![key] -
      steps.root[plain.rootMethod]![key] +
      steps.ends[endsMethod]![key] -
      steps.ends[plain.endsMethod]![key];
    return {
      way: { ...startWay, rootMethod, endsMethod, set: { ...node.choice, tool } },
      sums: { definition: at('definition'), frizz: at('frizz'), volume: at('volume'), lnDays: at('lnDays') },
      suit: suit + start.points + finish.suit,
      minutes: workMin(node, startState, rootMethod, endsMethod),
      stretch: this.stretch(node, startState, rootMethod),
      isMeantStraight: isMeantStraight(node.choice.technique, startState),
    };
  }

  private habitSteps(plain: Way, steps: Steps): HabitStep[] {
    return this.habits.flatMap((habit, i) =>
      // Re-twisting by night is for hair that was twisted or braided.
      habit.night === 're-twists' && familyOf(plain.set.technique) !== 'ropes'
        ? []
        : [
            {
              habit,
              sums: steps.habits[i]!,
              suit: this.suitOf('nights', { ...plain, habit }).points,
              nightWorkMin: nightWorkMin(habit),
            },
          ],
    );
  }

  private weighed(
    { way, sums, suit, minutes, stretch, isMeantStraight: isLong }: Finished,
    { suit: layerSuit, soft, hold, toBuy, shortShare }: StackChoice,
    { habit, sums: h, suit: nightSuit, nightWorkMin: byNight }: HabitStep,
    gentle: number,
  ): Weighed {
    const held = this.steps!.hold;
    return {
      chance: this.asked.base.wearByMs === null ? null : 1,
      handsOnMin: minutes.all + minutes.perPiece * (habit.separations - 1),
      nightWorkMin: byNight,
      definition: clamp(sums.definition + hold * held.definition + h.definition, 0, 10),
      frizz: clamp(sums.frizz + hold * held.frizz + h.frizz, 0, 10),
      volume: clamp(sums.volume + hold * held.volume + h.volume, 0, 10),
      days: Math.exp(sums.lnDays + hold * held.lnDays + h.lnDays),
      stretch,
      soft: softOf(soft, habit),
      gentle,
      suit: suit + layerSuit + nightSuit,
      toBuy,
      shortShare,
      sittingH: 0,
      pieces: way.set.sections * habit.separations,
      isMeantStraight: isLong,
      isWarned: false,
    };
  }

  /** Every way with a set, weighed as if it were surely dry: in the best habit, for each start, finish and layers. */
  of(node: SetNode, stacks: readonly Stack[], weighing = this.asked.weighing): Node[] {
    const frame = this.frame(node);
    if (!frame) return [];
    const { plain, steps } = frame;
    const isSlept = holdsNight(plain.route);
    const finishes = this.finishes(plain, steps);
    const habits = this.habitSteps(plain, steps);
    const out: Node[] = [];
    for (const startState of node.starts) {
      const choices = this.stackChoices({ ...plain, startState }, node, stacks);
      for (const finish of finishes) {
        const finished = this.finished(frame, startState, finish);
        if (!finished) break;
        const gentle = habits.map(({ habit }) => gentleOf({ ...finished.way, habit }, isSlept));
        for (const choice of choices) {
          let best: { score: number; weighed: Weighed; habit: Habit } | null = null;
          for (const [i, habit] of habits.entries()) {
            const weighed = this.weighed(finished, choice, habit, gentle[i]!);
            const score = scoreOf(weighed, weighing);
            if (!best || score > best.score) best = { score, weighed, habit: habit.habit };
          }
          if (best)
            out.push({
              way: { ...finished.way, stack: choice.stack, habit: best.habit },
              node,
              weighed: best.weighed,
              score: best.score,
              waterPerG: choice.waterPerG,
            });
        }
      }
    }
    return out;
  }

  /** One way, weighed as if it were surely dry; null where the hair cannot carry it or a rule rules it out. */
  weigh(way: Way): Node | null {
    const { set, startState, rootMethod, endsMethod } = way;
    const technique = techniqueOf(set.technique);
    const node = this.node({ ...set, tool: technique.tool ? set.tool : null });
    const frame = node?.starts.includes(startState) ? this.frame(node) : null;
    if (!node || !frame) return null;
    const parts = (['root', 'ends', 'layers'] as const).map((axis) => this.suitOf(axis, way));
    const [root, ends, layers] = parts as [SuitNow, SuitNow, SuitNow];
    const habit = this.habitSteps(frame.plain, frame.steps).find(({ habit: known }) =>
      sameHabit(known, way.habit),
    );
    const finish = { rootMethod, endsMethod, tool: set.tool, suit: root.points + ends.points };
    const finished = this.finished(frame, startState, finish);
    if (parts.some(({ isOut }) => isOut) || !habit || !finished) return null;
    const choice = this.stackChoice(way, node, layers.points);
    const weighed = this.weighed(finished, choice, habit, 0);
    return this.withRoute(
      {
        way: { ...finished.way, stack: way.stack, habit: way.habit },
        node,
        weighed,
        score: 0,
        waterPerG: choice.waterPerG,
      },
      way.route,
    );
  }

  /** What a count or a size of rod costs for being far from the usual, points. */
  private pull({ technique, countShare, tool }: Omit<SetChoice, 'zones'>): number {
    const c = suggestion.value;
    const count = -c.countPull * Math.log2(countShare) ** 2;
    if (!tool || techniqueOf(technique).tool === 'end-rod') return count;
    return count - c.toolPull * Math.log2(tool.diameterMm / this.usualToolMm()) ** 2;
  }

  private doseG({ role }: StackLayer, node: SetNode, startState: StartStateId): number {
    const { head } = this.asked.base;
    return recommendedDoseG(role, {
      dryMassG: node.dryMassG,
      strandUm: head.strandDiameterUm,
      porosity: head.porosity,
      startState,
    });
  }

  /** Shares of doses that the shelf is short of. */
  shortShare(stack: Stack, node: SetNode, startState: StartStateId): number {
    return stack.layers.reduce((sum, layer) => {
      if (layer.leftG === null) return sum;
      const dose = this.doseG(layer, node, startState);
      return sum + clamp(1 - layer.leftG / dose, 0, 1);
    }, 0);
  }

  private waterPerG(stack: Stack, node: SetNode, startState: StartStateId): number {
    return productWaterPerG(
      stack.layers.map((layer) => ({ ...layer, grams: this.doseG(layer, node, startState) })),
      node.dryMassG,
    );
  }

  private stretch(node: SetNode, startState: StartStateId, rootMethod: RootMethodId): number {
    const { technique, sections, tool } = node.choice;
    const key = `${technique}/${sections}/${tool?.diameterMm ?? ''}/${startState}/${rootMethod}`;
    const known = this.stretches.get(key) ?? firstStretch(node, startState, rootMethod);
    this.stretches.set(key, known);
    return known;
  }

  /** A way with another route, weighed as if it were surely dry; null where a rule rules it out. */
  withRoute(node: Node, route: Route, weighing = this.asked.weighing): Node | null {
    const way = { ...node.way, route };
    const suit = this.suitOf('drying', way);
    if (suit.isOut) return null;
    const weighed: Weighed = {
      ...node.weighed,
      suit: node.weighed.suit + suit.points,
      sittingH: sittingH(route),
      gentle: gentleOf(way, holdsNight(route)),
    };
    return { ...node, way, weighed, score: scoreOf(weighed, weighing) };
  }
}

const isEndRod = (diameterMm: number) => diameterMm >= END_ROD_MM.low && diameterMm <= END_ROD_MM.high;
