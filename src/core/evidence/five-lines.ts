import { pooling, type LearntOutcome } from '../coefficients/evidence';
import { DAY_MS } from '../units/time';
import { WANT_LABEL, type Want } from '../coefficients/wants';
import { techniqueOf } from '../techniques';
import { listed, plural } from '../words/words';
import {
  isOtherThanUsual,
  knownOf,
  leaningWords,
  tellingSets,
  type Known,
  type Learning,
  type LearntSet,
} from './learning';

/** One line of what is known of a head. */
export interface HeadLine {
  readonly id: 'dries' | 'holds' | 'stretches' | 'lasts' | 'likes';
  readonly label: string;
  readonly text: string;
  /** How sure, in words; null where nothing is known. */
  readonly sureness: string | null;
  /** What it rests on, or what would tell. */
  readonly from: string;
  /** 0 nothing, 1 a start, 2 mostly her own. */
  readonly strength: 0 | 1 | 2;
}

const times = (factor: number) => `${factor.toFixed(1)}×`;
const between = (low: number, high: number, show: (value: number) => string): string =>
  show(low) === show(high) ? show(low) : `${show(low)} to ${show(high)}`;

/** How much slower or faster it dries, with its range. */
function dryingLine(known: Known): string {
  if (!isOtherThanUsual(known)) return 'as most heads do';
  const isSlower = known.shift < 0;
  const factor = (shift: number) => Math.exp(isSlower ? -shift : shift);
  const ends = [factor(known.low), factor(known.high)].sort((a, b) => a - b) as [number, number];
  return `${times(factor(known.shift))} ${isSlower ? 'slower' : 'faster'} than most (${between(...ends, times)})`;
}

/** How much longer or shorter styles last, with the range. */
const lastingLine = (known: Known): string =>
  isOtherThanUsual(known)
    ? `${times(Math.exp(known.shift))} as long as on most (${between(Math.exp(known.low), Math.exp(known.high), times)})`
    : 'as long as on most heads';

const points = (value: number) => (Math.round(Math.abs(value) * 2) / 2).toString();
const hundredths = (value: number) => `${Math.round(Math.abs(value))} %`;

function amountLine(
  known: Known,
  show: (value: number) => string,
  [more, less, usual]: readonly [more: string, less: string, usual: string],
): string {
  if (!isOtherThanUsual(known)) return usual;
  const [low, high] = [
    Math.min(Math.abs(known.low), Math.abs(known.high)),
    Math.max(Math.abs(known.low), Math.abs(known.high)),
  ];
  return `${(known.shift > 0 ? more : less).replace('#', show(known.shift))} (${between(low, high, show)})`;
}

const strengthOf = ({ worth }: Known): 1 | 2 => (worth >= pooling.value.mostlyHers ? 2 : 1);

/** "from 7 of her sets, 2 of them over a year and a half ago": hair drifts with the years. */
function fromWords(sets: readonly LearntSet[], nowMs: number): string {
  const old = sets.filter(
    ({ startedAtMs }) => nowMs - startedAtMs > pooling.value.oldAfterDays * DAY_MS,
  ).length;
  const drifts =
    old === 0 ? '' : `, ${old === sets.length ? 'all' : `${old} of them`} over a year and a half ago`;
  return `from ${plural(sets.length, 'of her sets', 'of her sets')}${drifts}`;
}

/** What is known of a head in five lines, each with how sure and from what. */
export function fiveLines(
  learning: Learning,
  headId: string,
  likes: readonly Want[],
  nowMs: number,
): readonly HeadLine[] {
  const line = (
    id: HeadLine['id'],
    label: string,
    outcome: LearntOutcome,
    textOf: (known: Known) => string,
    tells: string,
  ): HeadLine => {
    const known = knownOf(learning, outcome, headId, null);
    return known.sets === 0
      ? { id, label, text: 'not known yet', sureness: null, from: tells, strength: 0 }
      : {
          id,
          label,
          text: textOf(known),
          sureness: leaningWords(known),
          from: fromWords(tellingSets(learning, outcome, headId, null), nowMs),
          strength: strengthOf(known),
        };
  };
  return [
    line(
      'dries',
      'Dries',
      'dryingRate',
      dryingLine,
      'feel for dryness at the chair once or twice, and it will be',
    ),
    line(
      'holds',
      'Holds',
      'definition',
      (known) =>
        amountLine(known, points, [
          '# points more defined than most',
          '# points less defined than most',
          'as defined as most',
        ]),
      'rate definition on the first day',
    ),
    line(
      'stretches',
      'Stretches',
      'stretch',
      (known) =>
        amountLine(known, hundredths, [
          'shows # more of its length than most',
          'shows # less of its length than most',
          'shows as much of its length as most',
        ]),
      'measure the visible length on the first day',
    ),
    line('lasts', 'Lasts', 'days', lastingLine, 'say when a style is given up, and why'),
    likesLine(learning, headId, likes),
  ];
}

/** What she likes: as she said, and what she comes back for. */
function likesLine(learning: Learning, headId: string, likes: readonly Want[]): HeadLine {
  const own = learning.sets.get(headId) ?? [];
  const counts = new Map<string, number>();
  for (const { seen } of own) counts.set(seen.technique, (counts.get(seen.technique) ?? 0) + 1);
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  const disliked = own.filter(({ seen }) => seen.days?.reason === 'disliked').length;
  const said = likes.length > 0 ? `it ${listed(likes.map((want) => WANT_LABEL[want]))}` : null;
  const often =
    most && own.length > 1
      ? `${techniqueOf(most[0] as Parameters<typeof techniqueOf>[0]).noun[1]} most often, ${most[1]} of ${own.length}`
      : null;
  const gone = disliked > 0 ? `${plural(disliked, 'set')} given up as not liked` : null;
  const text = [said, often, gone].filter(Boolean).join('; ');
  return {
    id: 'likes',
    label: 'Likes',
    text: text || 'not known yet',
    sureness: text ? (said ? 'as she says' : 'by what she comes back for') : null,
    from: text
      ? own.length > 0
        ? `from ${plural(own.length, 'of her sets', 'of her sets')}`
        : 'from her card'
      : 'say on her card what matters to her',
    strength: text ? (said ? 2 : 1) : 0,
  };
}
