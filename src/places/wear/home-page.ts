import { NIGHT_CARE_IDS } from '@/core/coefficients/night-care';
import { wholeSetLabel } from '@/core/draft/labels';
import type { DayEntry } from '@/core/diary/day-entry';
import { saidOfDay } from '@/core/diary/said-of-day';
import type { Clock } from '@/core/formats/display';
import type { PlanFile } from '@/core/formats/plan-file';
import type { BriefInput } from '@/core/formats/brief';
import type { Half } from '@/core/hair/half';
import { careLines, tonightWords } from '@/core/take-home/care-lines';
import type { HomeDay } from '@/core/take-home/diary-code';
import type { DiaryPage, SaidAtHome } from '@/core/take-home/diary-page';
import type { HomePaper } from '@/core/take-home/paper';
import { RATING_IDS } from '@/core/wear/rating-scales';
import { hairTone, skinTone } from '@/ui/crown-map/tones';
import { formatLocalDay } from '@/ui/format';
import { halvesOf } from './known-day';
import { dateOfDay } from './worn-day';

/** A set as a diary is made of it. */
export interface HomeSet {
  readonly headName: string;
  readonly skinTone: string;
  readonly hairTone: string;
  readonly takenDownAtMs: number;
  readonly brief: BriefInput;
  readonly forecast: Pick<PlanFile, 'result' | 'halves' | 'daysPresentable'>;
  readonly wearDays: readonly (DayEntry & {
    readonly day: number;
    readonly half: Half;
    readonly atMs: number;
  })[];
}

/** What else it says. */
export interface HomeWords {
  readonly studioName: string;
  readonly clock: Clock;
  /** When it is to be washed, as a date; null where no wash is known. */
  readonly washOn: string | null;
}

const caredFor = ({ brief }: HomeSet) => ({
  technique: brief.set.technique,
  night: NIGHT_CARE_IDS.find((id) => id === brief.wear?.night) ?? ('gather-and-bonnet' as const),
  conditions: brief.head.conditions ?? [],
});

const washWords = ({ washOn, clock }: HomeWords): string =>
  washOn === null ? 'Wash it when you would anyway.' : `Next wash about ${formatLocalDay(washOn, clock)}.`;

/** Days that a diary says a forecast of. */
const MOST_SAID_DAYS = 21;

/** Forecasts of a half, day by day. Where names are kept from who rates, no half is told from the other. */
function saidBy(set: HomeSet, half: Half): Partial<Record<(typeof RATING_IDS)[number], SaidAtHome>>[] {
  const of = set.brief.parting?.namesHidden ? 'whole' : half;
  const last = Math.min(MOST_SAID_DAYS, set.forecast.result.byDay.length);
  const tenth = (value: number) => Math.round(10 * value) / 10;
  return Array.from({ length: last }, (_, day) =>
    Object.fromEntries(
      Object.entries(saidOfDay(set.forecast, day, of)).map(([scale, { low, middle, high }]) => [
        scale,
        [tenth(low), tenth(middle), tenth(high)] as const,
      ]),
    ),
  );
}

/** All that the file is made of. */
export function diaryPage(
  set: HomeSet,
  { id, signingKey }: { readonly id: string; readonly signingKey: string },
  words: HomeWords,
): DiaryPage {
  const { timeZone } = words.clock;
  const halves = halvesOf(set.brief.parting?.trial === true);
  return {
    id,
    key: signingKey,
    studio: words.studioName,
    head: set.headName,
    style: wholeSetLabel(set.brief.set),
    takenDownOn: dateOfDay(set.takenDownAtMs, 0, timeZone),
    halves,
    said: Object.fromEntries(halves.map((half) => [half, saidBy(set, half)])),
    tonight: tonightWords(caredFor(set)),
    care: careLines(caredFor(set)),
    wash: washWords(words),
    skin: skinTone(set.skinTone).fill,
    hair: hairTone(set.hairTone).stroke,
    known: set.wearDays.map(({ day, half, atMs, ratings, night, done, note }): HomeDay => ({
      date: dateOfDay(set.takenDownAtMs, day, timeZone),
      half,
      atMs,
      ratings,
      night,
      deeds: done.deeds,
      redone: done.redone,
      worn: done.worn,
      note,
    })),
  };
}

/** Fewest and most rows that a paper diary has. */
const PAPER_DAYS = { least: 5, most: 10 } as const;

/** The same on paper. */
export function homePaper(set: HomeSet, words: HomeWords): HomePaper {
  const { clock } = words;
  const days = Math.min(
    PAPER_DAYS.most,
    Math.max(PAPER_DAYS.least, Math.ceil(set.forecast.daysPresentable.p90) + 1),
  );
  return {
    head: set.headName,
    style: wholeSetLabel(set.brief.set),
    studio: words.studioName,
    days: Array.from({ length: days }, (_, day) =>
      formatLocalDay(dateOfDay(set.takenDownAtMs, day, clock.timeZone), clock),
    ),
    tonight: tonightWords(caredFor(set)),
    wash: washWords(words),
    care: careLines(caredFor(set)),
  };
}
