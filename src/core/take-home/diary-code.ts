import { hmac } from '@noble/hashes/hmac';
import { sha256 } from '@noble/hashes/sha2';
import type { DayDeedId, WornWayId } from '../diary/day-words';
import type { NightCareId } from '../coefficients/night-care';
import type { Half } from '../hair/half';
import { RATING_IDS, type Ratings } from '../wear/rating-scales';
import type { EndReasonId } from '../wear/end-reasons';

/**
 * What a take-home diary gives back, as letters that fit into a code to be read by a camera, a message or a file. It is
 * written on a phone and read here: nothing in this file may need more than a browser of years ago, and no letter ever
 * changes its meaning.
 */

/** One day of one half, as somebody at home saw it. */
export interface HomeDay {
  /** YYYY-MM-DD on the calendar of the phone. */
  readonly date: string;
  readonly half: Half;
  /** When it was entered by the clock of the phone, epoch ms. */
  readonly atMs: number;
  readonly ratings: Ratings;
  readonly night: NightCareId | null;
  readonly deeds: readonly DayDeedId[];
  readonly redone: { readonly as: 'twists' | 'knots'; readonly count: number } | null;
  readonly worn: WornWayId | null;
  readonly note: string;
}

/** How it ended, as far as that is known at home. */
export interface HomeEnd {
  readonly half: Half;
  /** The last day on which it was good. */
  readonly date: string;
  readonly reason: EndReasonId;
  readonly wouldHaveGoneOn: boolean | null;
}

/** All that a diary gives back. */
export interface HomeDiary {
  /** Which diary it is. */
  readonly id: string;
  /** Who rated. */
  readonly by: string;
  readonly days: readonly HomeDay[];
  readonly ends: readonly HomeEnd[];
}

const HALF_LETTERS = { whole: 'w', left: 'l', right: 'r' } as const satisfies Record<Half, string>;
const NIGHT_LETTERS = {
  nothing: 'n',
  'gather-and-bonnet': 'g',
  scarf: 's',
  're-twists': 't',
  're-knots': 'k',
  're-knots-larger': 'l',
} as const satisfies Record<NightCareId, string>;
const DEED_LETTERS = {
  misted: 'm',
  product: 'p',
  steamed: 's',
  'got-wet': 'w',
  sweated: 'h',
} as const satisfies Record<DayDeedId, string>;
const WORN_LETTERS = { loose: 'l', 'half-up': 'h', 'pulled-back': 'p' } as const satisfies Record<
  WornWayId,
  string
>;
const REASON_LETTERS = {
  frizz: 'f',
  'lost-shape': 's',
  limp: 'l',
  dull: 'd',
  disliked: 'n',
  sore: 'i',
  'got-wet': 'w',
  booking: 'b',
  'wash-day': 'a',
  'change-of-mind': 'c',
  unknown: 'u',
} as const satisfies Record<EndReasonId, string>;
const YES_NO = { yes: 'y', no: 'n' } as const;

const keyOf = <K extends string>(
  letters: Readonly<Record<K, string>>,
  letter: string | undefined,
): K | null => (Object.keys(letters) as K[]).find((key) => letters[key] === letter) ?? null;

/** Half points 0 to 10 as one letter each; a dash where nothing was rated. */
const RATING_LETTERS = '0123456789abcdefghijk';
const ratingLetters = (ratings: Ratings) =>
  RATING_IDS.map((scale) => {
    const value = ratings[scale];
    return value === undefined ? '-' : RATING_LETTERS[Math.round(2 * value)]!;
  }).join('');

/** Minutes since the first of 2020, UTC, on the calendar: a moment in few digits. */
const EPOCH_MS = 1_577_836_800_000;
const MINUTE_MS = 60_000;

type Line = readonly [date: string, half: string, minutes: number, ratings: string, night: string, deeds: string, redone: string, worn: string, note: string]; // prettier-ignore

const lineOf = ({ date, half, atMs, ratings, night, deeds, redone, worn, note }: HomeDay): Line => [
  date.replaceAll('-', ''),
  HALF_LETTERS[half],
  Math.round((atMs - EPOCH_MS) / MINUTE_MS),
  ratingLetters(ratings),
  night ? NIGHT_LETTERS[night] : '',
  deeds.map((deed) => DEED_LETTERS[deed]).join(''),
  redone ? `${redone.as === 'twists' ? 't' : 'k'}${redone.count}` : '',
  worn ? WORN_LETTERS[worn] : '',
  note,
];

/** UTF-8 as letters that survive every message: base64url. */
function lettersOf(bytes: Uint8Array): string {
  let binary = '';
  bytes.forEach((byte) => (binary += String.fromCharCode(byte)));
  return btoa(binary).replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '');
}
function bytesOf(letters: string): Uint8Array {
  const binary = atob(letters.replaceAll('-', '+').replaceAll('_', '/'));
  return Uint8Array.from(binary, (letter) => letter.charCodeAt(0));
}

const SUM_LETTERS = 12;
/** What only the diary and its studio can make of a text. */
const sumOf = (key: string, text: string): string =>
  lettersOf(hmac(sha256, new TextEncoder().encode(key), new TextEncoder().encode(text))).slice(
    0,
    SUM_LETTERS,
  );

const MARK = 'KSD1';
/** Letters that one code for a camera holds and is still read at once from a screen. */
const LETTERS_A_PART = 900;

/** A diary as one word of letters. */
export function diaryCode({ id, by, days, ends }: HomeDiary, key: string): string {
  const told = [
    by,
    days.map(lineOf),
    ends.map(({ half, date, reason, wouldHaveGoneOn }) => [
      HALF_LETTERS[half],
      date.replaceAll('-', ''),
      REASON_LETTERS[reason],
      wouldHaveGoneOn === null ? '' : wouldHaveGoneOn ? YES_NO.yes : YES_NO.no,
    ]),
  ];
  const body = `${id}.${lettersOf(new TextEncoder().encode(JSON.stringify(told)))}`;
  return `${MARK}.${body}.${sumOf(key, body)}`;
}

/** A code in as many parts as cameras can read: each says which it is, of how many, of which diary. */
export function codeParts(code: string): string[] {
  if (code.length <= LETTERS_A_PART) return [code];
  const count = Math.ceil(code.length / LETTERS_A_PART);
  const size = Math.ceil(code.length / count);
  const sum = code.slice(-SUM_LETTERS);
  return Array.from(
    { length: count },
    (_, i) => `${MARK}p.${sum}.${i + 1}.${count}.${code.slice(i * size, (i + 1) * size)}`,
  );
}

/** A part of a code that a camera read. */
export interface CodePart {
  readonly of: string;
  readonly number: number;
  readonly count: number;
  readonly letters: string;
}

/** What was read as a part of a code; a whole code is its own only part; null for anything else. */
export function readPart(text: string): CodePart | null {
  const whole = codeIn(text);
  if (whole) return { of: whole.slice(-SUM_LETTERS), number: 1, count: 1, letters: whole };
  const part = /KSD1p\.([\w-]{12})\.(\d{1,2})\.(\d{1,2})\.([\w.-]+)/.exec(text);
  if (!part) return null;
  const [, of, number, count, letters] = part as unknown as [string, string, string, string, string];
  return { of, number: Number(number), count: Number(count), letters };
}

/** The code that parts make together, once all are there; null before that. */
export function joinedParts(parts: readonly CodePart[]): string | null {
  const first = parts[0];
  if (!first) return null;
  const own = parts.filter(({ of, count }) => of === first.of && count === first.count);
  const letters = Array.from(
    { length: first.count },
    (_, i) => own.find(({ number }) => number === i + 1)?.letters,
  );
  return letters.every((piece) => piece !== undefined) ? letters.join('') : null;
}

/** The code in a text that was sent along with other words, broken over lines or not; null where there is none. */
export function codeIn(text: string): string | null {
  const from = text.indexOf(`${MARK}.`);
  if (from < 0) return null;
  const letters = text.slice(from).replace(/\s+/g, '');
  return /^KSD1\.[\w-]+\.[\w-]+\.[\w-]{12}/.exec(letters)?.[0] ?? null;
}

/** Which diary a code is of; null where it is none. */
export const diaryIdOf = (code: string): string | null => /^KSD1\.([\w-]+)\./.exec(code)?.[1] ?? null;

const dated = (digits: string): string => `${digits.slice(0, 4)}-${digits.slice(4, 6)}-${digits.slice(6)}`;

function ratingsOf(letters: string): Ratings {
  const ratings: Ratings = {};
  RATING_IDS.forEach((scale, i) => {
    const at = RATING_LETTERS.indexOf(letters[i] ?? '-');
    if (at >= 0) ratings[scale] = at / 2;
  });
  return ratings;
}

/** What came of reading a code. */
export type ReadDiary =
  | { readonly ok: true; readonly diary: HomeDiary }
  | { readonly ok: false; readonly problem: 'damaged' | 'changed' };

/**
 * Reads a code.
 *
 * @param key of the diary that it says it is of
 * @returns what it says; or that letters are missing, or that it was changed outside the diary
 */
export function readDiaryCode(code: string, key: string): ReadDiary {
  const [mark, id, payload, sum] = code.split('.');
  if (mark !== MARK || !id || !payload || sum?.length !== SUM_LETTERS)
    return { ok: false, problem: 'damaged' };
  if (sumOf(key, `${id}.${payload}`) !== sum) return { ok: false, problem: 'changed' };
  try {
    const [by, lines, ends] = JSON.parse(new TextDecoder().decode(bytesOf(payload))) as [
      string,
      Line[],
      [string, string, string, string][],
    ];
    return {
      ok: true,
      diary: {
        id,
        by: String(by),
        days: lines.map(([date, half, minutes, ratings, night, deeds, redone, worn, note]) => ({
          date: dated(String(date)),
          half: keyOf(HALF_LETTERS, half) ?? 'whole',
          atMs: EPOCH_MS + Number(minutes) * MINUTE_MS,
          ratings: ratingsOf(String(ratings)),
          night: keyOf(NIGHT_LETTERS, night),
          deeds: [...String(deeds)].flatMap((letter) => keyOf(DEED_LETTERS, letter) ?? []),
          redone: /^[tk]\d+$/.test(redone)
            ? {
                as: redone.startsWith('t') ? ('twists' as const) : ('knots' as const),
                count: Number(redone.slice(1)),
              }
            : null,
          worn: keyOf(WORN_LETTERS, worn),
          note: String(note),
        })),
        ends: ends.map(([half, date, reason, goesOn]) => ({
          half: keyOf(HALF_LETTERS, half) ?? 'whole',
          date: dated(String(date)),
          reason: keyOf(REASON_LETTERS, reason) ?? 'unknown',
          wouldHaveGoneOn: goesOn === YES_NO.yes ? true : goesOn === YES_NO.no ? false : null,
        })),
      },
    };
  } catch {
    return { ok: false, problem: 'damaged' };
  }
}
