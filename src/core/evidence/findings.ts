import { capitalised, listed, plural } from '../words/words';
import { ratingScales } from '../wear/rating-scales';
import type { Difference, FactorFinding, NotYet } from './difference';
import type { Coverage } from './judged';
import type { Lasting, LastingComparison } from './lasting';
import type { BandKind, BandRightness, DryRightness } from './rightness';
import { trialWords } from './trial';
import type { Trial } from './trials';
import type { ScaleAgreement, TwoPeople } from './two-people';

/** A piece of a sentence; what matters in it stands out. */
export interface Piece {
  readonly text: string;
  readonly isStrong?: boolean;
}

/** How sure something is, in words, and as an empty, half or full dot. */
export interface HowSure {
  readonly words: string;
  readonly strength: 0 | 1 | 2;
}

/** One thing that was found, as it is said. */
export interface Sentence {
  readonly lead: readonly Piece[];
  readonly sure: HowSure;
  /** What it rests on. */
  readonly basis: string;
}

/** What is not known yet, and what would tell. */
export interface OpenQuestion {
  readonly id: string;
  readonly title: string;
  readonly text: string;
  /** Two products that a half-head trial would tell apart; null where none would. */
  readonly products: readonly [string, string] | null;
}

const strong = (text: string): Piece => ({ text, isStrong: true });
const plain = (text: string): Piece => ({ text });

/** A half of a day is seen by nobody. */
const daysOf = (median: number | null, longest: number): string =>
  median === null ? `longer than ${plural(longest, 'day')} so far` : plural(Math.round(median), 'day');

const sideOf = ({ a, b }: LastingComparison, which: 'a' | 'b') => (which === 'a' ? a : b);

/** "Styles begun damp stay good for 4 days, begun wet for 3." */
export function lastingSentence(comparison: LastingComparison): Sentence {
  const isTechnique = comparison.grouping === 'technique';
  const { heads, test, verdict } = comparison;
  // What lasts longer is said first.
  const longer = test && test.observed > test.expected ? ('b' as const) : ('a' as const);
  const [first, second] = [sideOf(comparison, longer), sideOf(comparison, longer === 'a' ? 'b' : 'a')];
  const worn = first.stillWorn + second.stillWorn;
  const basis = `${plural(first.sets + second.sets, 'set')} on ${plural(heads, 'head')}, each compared with herself${worn > 0 ? `; ${worn} still being worn` : ''}`;
  if (verdict === 'alike')
    return {
      lead: [
        plain(`No difference seen between ${comparison.subject} `),
        strong(first.name),
        plain(' and '),
        strong(second.name),
        plain('.'),
      ],
      sure: { words: 'No difference seen so far', strength: 1 },
      basis,
    };
  const isSure = (test?.p ?? 1) < 0.01;
  return {
    lead: [
      ...(isTechnique
        ? [strong(capitalised(first.name))]
        : [plain(`${capitalised(comparison.subject)} `), strong(first.name)]),
      plain(' stay good for '),
      strong(daysOf(first.median, first.longest)),
      plain(', '),
      strong(second.name),
      plain(` for ${daysOf(second.median, second.longest)}.`),
    ],
    sure: { words: isSure ? 'Sure' : 'Fairly sure', strength: 2 },
    basis,
  };
}

/** How long each technique stays good, each by its own curve. */
export function techniquesSentence(lasting: Lasting): Sentence | null {
  const told = lasting.groups.filter(({ median }) => median !== null);
  if (told.length === 0) return null;
  return {
    lead: told.flatMap(({ name, median }, i) => [
      plain(i === 0 ? '' : i === told.length - 1 ? ' and ' : ', '),
      strong(i === 0 ? capitalised(name) : name),
      plain(i === 0 ? ` stay good for ${plural(Math.round(median!), 'day')}` : ` for ${Math.round(median!)}`),
      ...(i === told.length - 1 ? [plain('.')] : []),
    ]),
    sure: { words: 'Each by itself', strength: 1 },
    basis: `${plural(
      told.reduce((sum, { sets }) => sum + sets, 0),
      'set',
    )}, not held against each other`,
  };
}

/** What is missing before two ways may be compared. */
export function lastingQuestion({ label, comparison, groups, grouping }: Lasting): OpenQuestion | null {
  const title = `Does ${label} matter for how long it lasts?`;
  if (!comparison)
    return {
      id: `lasting-${grouping}`,
      title,
      text:
        groups.length === 0
          ? 'No set says so yet.'
          : `Every set so far was ${groups[0]!.name}. A few the other way would tell.`,
      products: null,
    };
  const { missing, a, b } = comparison;
  if (!missing) return null;
  const wants = [
    missing.heads > 0 ? `${plural(missing.heads, 'more head')} that had both` : null,
    missing.endedA > 0 ? `${plural(missing.endedA, 'more set')} ${a.name} that ended by itself` : null,
    missing.endedB > 0 ? `${plural(missing.endedB, 'more set')} ${b.name} that ended by itself` : null,
  ].filter((want) => want !== null);
  return {
    id: `lasting-${grouping}`,
    title,
    text: `Not enough to compare yet: ${listed(wants)} would tell.`,
    products: null,
  };
}

/** "about +22 % (12 to 33)" */
export function effectWords(finding: FactorFinding, outcome: Difference['outcome']): string {
  const { effect, low, high } = finding;
  if (outcome === 'definition') {
    const half = (value: number) =>
      `${value < 0 ? '−' : '+'}${(Math.round(2 * Math.abs(value)) / 2).toString()}`;
    return `about ${half(effect)} points (${half(low)} to ${half(high)})`;
  }
  const percent = (value: number) => `${value < 1 ? '−' : '+'}${Math.abs(Math.round(100 * (value - 1)))}`;
  return `about ${percent(effect)} % (${percent(low)} to ${percent(high)})`;
}

/** A factor named the way round that is better. */
export const betterWay = ({ factor, effect }: FactorFinding, outcome: Difference['outcome']): string =>
  effect >= (outcome === 'days' ? 1 : 0) ? factor.more : factor.less;

const GOES_WITH: Readonly<Record<Difference['outcome'], string>> = {
  days: 'What goes with longer life',
  definition: 'What goes with cleaner curls',
};

/** "What goes with longer life: every night kept." */
export function differenceSentence({ outcome, findings, sets, heads }: Difference): Sentence | null {
  const claimed = findings.filter(({ status }) => status === 'claimed');
  if (claimed.length === 0) return null;
  const also = findings.find(({ status }) => status === 'worth-a-trial');
  const together = findings.find(({ status }) => status === 'always-together');
  const flagged = claimed.some(({ factor }) => factor.isAlsoPlanning);
  return {
    lead: [
      plain(`${GOES_WITH[outcome]}: `),
      ...claimed.flatMap((finding, i) => [
        plain(i === 0 ? '' : i === claimed.length - 1 ? ', and ' : ', '),
        strong(betterWay(finding, outcome)),
      ]),
      plain('.'),
    ],
    sure: {
      words: claimed.length === 1 ? 'Fairly sure of it' : `Fairly sure of these ${claimed.length}`,
      strength: 2,
    },
    basis: [
      `${plural(sets, 'set')} on ${plural(heads, 'head')}, each compared with herself`,
      also && `${also.factor.label} leans that way`,
      together && `${together.factor.label} and ${listed(together.together)} always changed together`,
      flagged && 'dryness could be how you choose, not what it does',
    ]
      .filter(Boolean)
      .join('; '),
  };
}

const MISSING_WORDS: { readonly [K in NotYet['kind']]: (missing: Extract<NotYet, { kind: K }>) => string } = {
  sets: ({ more }) => plural(more, 'more set'),
  heads: ({ more }) => plural(more, 'more head'),
  ended: ({ more }) => `${plural(more, 'more set')} that ended by itself`,
  levels: ({ more }) => `${plural(more, 'more set')} the other way on heads that had both`,
  sign: () => 'a clearer lean',
  small: () => 'a difference worth saying',
  entangled: () => 'choices that change apart',
};

/** What is missing before anything may be said of a factor, in words. */
export const notYetWords = (notYet: readonly NotYet[]): string =>
  listed(notYet.map((missing) => (MISSING_WORDS[missing.kind] as (own: NotYet) => string)(missing)));

/** Questions about what makes the difference: what changed together, and what is worth a trial. */
export function differenceQuestions({ outcome, findings, sets }: Difference): OpenQuestion[] {
  const asked: OpenQuestion[] = [];
  const told = new Set<string>();
  for (const finding of findings) {
    const { id, factor, status, together } = finding;
    if (status === 'always-together' && !told.has(factor.label)) {
      for (const other of together) told.add(other);
      asked.push({
        id: `together-${outcome}-${id}`,
        title: `${capitalised(factor.label)}, or ${listed(together)}?`,
        text: `They always changed together; one set with one but not the other would tell them apart.`,
        products: factor.products,
      });
    }
    if (status === 'worth-a-trial')
      asked.push({
        id: `trial-${outcome}-${id}`,
        title: `Is it ${betterWay(finding, outcome)}?`,
        text: factor.canBeHalved
          ? 'It leans that way and is not sure: worth a half-head trial.'
          : `It leans that way and is not sure: ${notYetWords(finding.notYet.filter(({ kind }) => kind !== 'sign')) || 'a few more sets both ways'} would tell.`,
        products: factor.products,
      });
  }
  if (asked.length === 0 && findings.every(({ status }) => status !== 'claimed') && outcome === 'days') {
    const missing = findings.find(({ notYet }) => notYet.length > 0)?.notYet ?? [];
    const counts = missing.filter(({ kind }) => kind === 'sets' || kind === 'heads' || kind === 'ended');
    asked.push({
      id: 'difference',
      title: 'What makes the difference?',
      text:
        counts.length > 0
          ? `Too little to say yet, from ${plural(sets, 'set')}: ${notYetWords(counts)} would do.`
          : 'No clear effect yet.',
      products: null,
    });
  }
  return asked;
}

/** "On Ife, gel came out better than cream, by about 1.5 points." */
export function trialSentence(trial: Trial, headName: string): Sentence {
  const { verdict, a, b } = trial;
  const { kind, trials, pairDays, side, longerLived } = verdict;
  const isFirm = kind === 'a' || kind === 'b' || kind === 'same';
  const leans = kind === 'leans-a' || kind === 'leans-b';
  const [better, worse] = kind === 'b' || kind === 'leans-b' ? [b, a] : [a, b];
  const lead: Piece[] =
    kind === 'a' || kind === 'b'
      ? [
          plain(`On ${headName}, `),
          strong(better),
          plain(' came out better than '),
          strong(worse),
          plain(`, by about ${points(verdict.difference)}.`),
        ]
      : kind === 'same'
        ? [
            plain(`On ${headName}, no difference you would notice between `),
            strong(a),
            plain(' and '),
            strong(b),
            plain('.'),
          ]
        : [
            plain(`On ${headName}, `),
            strong(a),
            plain(' or '),
            strong(b),
            plain(`? ${trialWords(verdict, a, b)}`),
          ];
  const outlived =
    longerLived.a === longerLived.b
      ? null
      : longerLived.a > longerLived.b
        ? `${a} was given up later ${longerLived.a === 1 ? 'once' : `${longerLived.a} times`}`
        : `${b} was given up later ${longerLived.b === 1 ? 'once' : `${longerLived.b} times`}`;
  return {
    lead,
    sure: isFirm
      ? { words: 'Firm', strength: 2 }
      : leans
        ? { words: 'Leans that way', strength: 1 }
        : { words: 'Not known yet', strength: 0 },
    basis: [
      `${plural(trials, 'half-head set')}, ${verdict.isSwapped ? 'sides swapped' : 'sides not swapped yet'}, ${plural(pairDays, 'day')} rated on both`,
      outlived,
      Math.abs(side) >= SIDE_SHOWN
        ? `the ${side > 0 ? 'left' : 'right'} side comes out ${points(side)} better by itself`
        : null,
    ]
      .filter(Boolean)
      .join('; '),
  };
}

const points = (value: number): string => {
  const half = Math.max(0.5, Math.round(2 * Math.abs(value)) / 2);
  return half === 1 ? 'a point' : half === 0.5 ? 'half a point' : `${half} points`;
};
/** From here on a side of the head is said to come out better (evidence §3). */
const SIDE_SHOWN = 0.5;

/** What each kind of band is called, as it follows "what we said of". */
export const BAND_WORDS: Readonly<Record<BandKind, { readonly name: string; readonly unit: string }>> = {
  days: { name: 'how long it lasts', unit: 'days' },
  definition: { name: 'definition', unit: 'points' },
  stretch: { name: 'how much it shows', unit: '%' },
  pace: { name: 'setting time', unit: 'minutes' },
};

const COVERAGE_WORDS: Readonly<Record<Coverage['verdict'], HowSure>> = {
  few: { words: 'Too few to judge', strength: 0 },
  right: { words: 'As good as promised', strength: 2 },
  unsure: { words: 'Other than promised, from few', strength: 1 },
  narrow: { words: 'Too narrow', strength: 1 },
  wide: { words: 'Wider than need be', strength: 1 },
};

/** "What we said of how long it lasts held 26 times of 33." */
export function bandSentence({ kind, coverage }: BandRightness): Sentence | null {
  const known = coverage.total - coverage.unknown;
  if (known === 0) return null;
  const aimed = Math.round(0.8 * known);
  return {
    lead: [
      plain(`What we said of ${BAND_WORDS[kind].name} held `),
      strong(`${coverage.held} times of ${known}`),
      plain('.'),
    ],
    sure: COVERAGE_WORDS[coverage.verdict],
    basis: `we aim for ${aimed} of ${known}${coverage.unknown > 0 ? `; ${coverage.unknown} cut short or still worn, not counted` : ''}`,
  };
}

/** "When we said surely dry, it was: 17 times of 20." */
export function drySentence({ promised, reliability }: DryRightness): Sentence | null {
  const { sets, was } = promised;
  if (sets === 0) return null;
  const bin = reliability?.bins.at(-1);
  const aimed = Math.round(promised.aimed);
  const isFew = sets < 10;
  const isHeld = bin !== undefined && bin.interval[0] <= bin.meanChance && bin.meanChance <= bin.interval[1];
  return {
    lead: [plain('When we said it was surely dry, it was: '), strong(`${was} times of ${sets}`), plain('.')],
    sure: isFew
      ? { words: 'Too few to judge', strength: 0 }
      : isHeld
        ? { words: 'As good as promised', strength: 2 }
        : { words: was < aimed ? 'Promised too much' : 'Drier than promised', strength: 1 },
    basis: `we aimed for ${aimed} of ${sets}; felt by hand at the takedown`,
  };
}

const SCALE_LABEL = new Map(ratingScales.map(({ id, label }) => [id, label.toLowerCase()]));
/** Less than this between two people nobody would talk about. */
const WORTH_TALKING = 0.5;

/** "Bryn gives definition a point more than Odile." */
export function peopleSentence({ first, second, scales }: TwoPeople): Sentence | null {
  const [most] = scales;
  if (!most) return null;
  const label = SCALE_LABEL.get(most.scale)!;
  const days = Math.max(...scales.map(({ pairs }) => pairs));
  const isApart = Math.abs(most.offset) >= WORTH_TALKING;
  return {
    lead: isApart
      ? [
          strong(most.offset > 0 ? second : first),
          plain(' gives '),
          strong(`${label} ${points(most.offset)} more`),
          plain(` than ${most.offset > 0 ? first : second}.`),
        ]
      : [strong(first), plain(' and '), strong(second), plain(' see alike.')],
    sure: agreementSure(most),
    basis: `${plural(days, 'day')} both rated${isApart ? `; talk about 3 and 5 of ${label} together` : ''}`,
  };
}

/** How well two people agree on a scale, in words. */
export const agreementSure = ({ reading }: ScaleAgreement): HowSure =>
  (
    ({
      few: { words: 'Too few to judge', strength: 0 },
      'no-spread': { words: 'No spread to judge', strength: 0 },
      'not-yet': { words: 'Not yet the same scale: rate three heads together', strength: 0 },
      usable: { words: 'Usable', strength: 1 },
      good: { words: 'Good', strength: 2 },
    }) as const
  )[reading];
