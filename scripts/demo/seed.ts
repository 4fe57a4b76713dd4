import { Temporal } from 'temporal-polyfill';
import type { BriefInput, HeadInput } from '@/core/formats/brief';
import { readBrief } from '@/core/formats/read-brief';
import { answerDraft, answerView, drawTo, type AnsweredView } from '@/core/plan/answer-view';
import { halfOutcome } from '@/core/diary/outcome';
import { EMPTY_DAY, type DayEntry } from '@/core/diary/day-entry';
import type { CheckFeel } from '@/core/drying/dryness-checks';
import { dryness } from '@/core/coefficients/drying';
import { SIDES, type Side } from '@/core/hair/half';
import { asTakenDown } from '@/core/plan/as-taken-down';
import { layoutFor } from '@/core/plan/layout-for';
import { sectionsToFeel } from '@/core/plan/sections-to-feel';
import type { TimesByRate } from '@/core/drying/rate-belief';
import { hoursAtRate } from '@/core/drying/rate-table';
import { MODEL_VERSION } from '@/core/plan/forecast';
import { runEvent, type RunEvent, type RunEventDetail } from '@/core/run/run-event';
import { clamp } from '@/core/units/clamp';
import type { DraftBrief } from '@/core/draft/draft-brief';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { USUAL_PREP, USUAL_SLEEP } from '@/places/plan/usual-plan';
import type { Database, Tx } from '@/server/db/client';
import { newId } from '@/server/db/id';
import {
  chooseSchool,
  createHead,
  findHead,
  listHeadNames,
  updateHead,
  type HeadCard,
} from '@/server/db/rows/heads';
import { perZone } from '@/core/hair/zone';
import { addCare } from '@/server/db/rows/care';
import { addPhoto } from '@/server/db/rows/photos';
import { listSets } from '@/server/db/rows/set-lists';
import { listProducts, saveMix } from '@/server/db/rows/shelf';
import { createPlan } from '@/server/db/rows/plans';
import { addEvents } from '@/server/db/rows/set-log';
import { saveTakenDown, startSet } from '@/server/db/rows/set-commands';
import { findSet } from '@/server/db/rows/sets';
import { takedownOf } from '@/server/taken-down';
import { endSet, saveEarlierDay, saveWearDay } from '@/server/db/rows/wear';
import { createStudio, currentStudio, type Studio } from '@/server/db/rows/studios';
import {
  dryers as dryersTable,
  products as productsTable,
  studios,
  tools as toolsTable,
} from '@/server/db/schema';
import { eq } from 'drizzle-orm';
import { drawnPicture } from './pictures';
import { DEMO_SETS, DRYING_NOW, type DemoSet } from './past-sets';
import { GROWN_SETS, TRIAL_ROWS, type Lived } from './grown-sets';
import {
  demoHead,
  DRYERS,
  HEADS,
  LATER_HEADS,
  MIX,
  PRODUCTS,
  STUDIO,
  TOOLS,
  type DemoHeadId,
  type DemoProduct,
} from './world';

/** Days ago that the heads came, that Amara was measured again, and how fast it grew. */
const LONG_AGO_DAYS = 200;
const MEASURED_DAYS_AGO = [150, 118, 84, 52, 20, 1];
const GROWN_CM_A_DAY = 0.031;
/** What was done between sets. */
const DEMO_CARE = [
  { head: 'amara', kind: 'trim', daysAgo: 97, cutMm: 20 },
  { head: 'amara', kind: 'wash', daysAgo: 9, cutMm: null },
  { head: 'keziah', kind: 'deep-condition', daysAgo: 3, cutMm: null },
] as const;
/** Amara’s last style as it wore. */
const DEMO_PICTURES = [
  [0, 'definition', 8.5, '#e9dcc1'],
  [2, 'definition', 6, '#e1e3f0'],
  [4, 'frizz', 5, '#e3e0d4'],
] as const;

/** Heads drawn for a demo forecast: plenty for its band; fewer for those long over. */
const DEMO_DRAWS = 200;
const FEW_DRAWS = 48;

type HeadIds = Readonly<Partial<Record<DemoHeadId, string>>>;
type ProductIds = Readonly<Record<DemoProduct, string>>;

const localTime = (ms: number) =>
  Temporal.Instant.fromEpochMilliseconds(ms)
    .toZonedDateTimeISO(STUDIO.timeZone)
    .toPlainDateTime()
    .toString({ smallestUnit: 'minute' });

const dayAt = (ms: number) => localTime(ms).slice(0, 10);

/** An hour of the clock on the day that a moment falls on. */
const atHour = (ms: number, hour: number) =>
  Temporal.Instant.fromEpochMilliseconds(ms).toZonedDateTimeISO(STUDIO.timeZone).withPlainTime({ hour })
    .epochMilliseconds;

const toHalf = (value: number) => Math.round(clamp(value, 0, 10) * 2) / 2;

/** What goes on one half only. */
type Sides = Readonly<Record<Side, readonly DemoProduct[]>>;

/** Products in the order they go on, with the half they go on. */
const onHalves = (told: Pick<DemoSet, 'products'>, sides: Sides | null) => [
  ...told.products.map((key) => ({ key, half: null })),
  ...(sides ? SIDES.flatMap((half) => sides[half].map((key) => ({ key, half }))) : []),
];

function layersOf(on: ReturnType<typeof onHalves>): NonNullable<DraftBrief['set']['layers']> {
  return on.map(({ key, half }) => {
    const product = PRODUCTS.find((own) => own.key === key)!;
    return {
      ...(half ? { half } : {}),
      role: product.role,
      waterShare: product.waterShare,
      weight: product.weight,
      ...(product.hold === null ? {} : { hold: product.hold }),
    };
  });
}

function briefOf(
  head: DemoHeadId,
  told: Omit<DemoSet, 'daysAgo'>,
  wearBy: string | undefined,
  sides: Sides | null = null,
): BriefInput {
  return {
    format: 'keen-spiral/brief',
    version: 1,
    head: demoHead(head).measured,
    set: { ...told.set, layers: layersOf(onHalves(told, sides)) },
    ...(sides ? { parting: { part: 'centre', trial: true, namesHidden: true } } : {}),
    drying: told.drying,
    room: { temperatureC: 22, relativeHumidity: 0.5, dewPointOutsideC: 11, ...told.room },
    wear: { night: 'gather-and-bonnet', separations: 2, fluffing: 1, hands: 'oiled', ...told.wear },
    ...(wearBy ? { wearBy } : {}),
    timeZone: STUDIO.timeZone,
  };
}

/** What the products of a told set cost, minor units. */
const costOf = (on: ReturnType<typeof onHalves>, doses: readonly { grams: number }[]): number =>
  Math.round(
    on.reduce((sum, { key }, i) => {
      const { priceMinor, sizeG } = PRODUCTS.find((own) => own.key === key)!;
      return sum + (doses[i]!.grams * priceMinor) / sizeG;
    }, 0),
  );

/** Keeps what comes of a set as it was taken down, as the server does when the tap arrives. */
async function rememberTakedown(tx: Tx, studioId: string, setId: string): Promise<void> {
  const set = await findSet(tx, studioId, setId);
  const takedown = set && takedownOf(set);
  const brief = set && readBrief(set.brief);
  if (!takedown || !brief?.ok) return;
  const layout = layoutFor(brief.value);
  const zoneOf = (number: number) => layout.sections[number - 1]!.zone;
  await saveTakenDown(tx, studioId, setId, asTakenDown(brief.value, layout, takedown, zoneOf));
}

/** Two ways side by side: what goes on which half, and how much better the left holds. */
interface Trial {
  readonly sides: Sides;
  readonly betterLeft: number;
}

/** Hands that rate, and the first days that both look at. */
const HAND_NAMES = ['Odile', 'Bryn'] as const;
const SECOND_LOOKS = 2;

/** A set that is told in one line, as it went against its forecast: felt while still damp, felt dry, worn, given up. */
function livedOut(
  told: Omit<DemoSet, 'daysAgo'>,
  lived: Lived,
  { plan, dryTimes }: AnsweredView['view'],
): Omit<DemoSet, 'daysAgo'> {
  const at = ({ lnRates, hours }: TimesByRate) => hoursAtRate(lnRates, hours, lived.rate);
  const feltAt = sectionsToFeel(dryTimes, plan.sections)[0]!;
  const { zone } = plan.sections[feltAt - 1]!;
  const rootH = Math.exp(dryness.value.placeShift) * at(dryTimes.zones[zone].root);
  const dryH = Math.max(at(dryTimes.whole), rootH);
  const downH = lived.isRushed ? 0.8 * rootH : Math.max(1.15 * rootH, 1.05 * dryH) + 0.3;
  const check = (afterH: number, feel: CheckFeel) =>
    ({ afterH, section: feltAt, level: 'root', feel }) as const;
  const rushed = lived.isRushed ? -0.7 : 0;
  const lasted = plan.daysPresentable.p50 * Math.exp(lived.days + rushed);
  const lastGoodDay = Math.max(1, Math.round(lived.isCutShort ? 0.6 * lasted : lasted));
  return {
    ...told,
    checks: lived.isRushed
      ? [check(downH - 0.2, 'damp')]
      : [check(0.9 * rootH, 'damp'), check(1.1 * rootH, 'dry'), check(downH - 0.2, 'dry')],
    takenDownAfterH: downH,
    ...(lived.isRushed ? { takedownReason: 'the bus would not wait' } : {}),
    diary: Array.from({ length: lastGoodDay + 1 }, (_, day): DemoSet['diary'][number] => {
      const definition = lived.definition - (day === lastGoodDay ? 0.6 : 0);
      const frizz = -0.5 * lived.definition;
      return day === 0 && lived.note ? [definition, frizz, lived.note] : [definition, frizz];
    }),
    outcome: { lastGoodDay, reason: lived.reason, note: lived.note },
  };
}

/** Puts one told set into the database: events at the chair, checks, takedown, diary and outcome. */
async function tellSet(
  tx: Tx,
  studioId: string,
  plan: Omit<DemoSet, 'daysAgo'> & { readonly lived?: Lived },
  headIds: HeadIds,
  productIds: ProductIds,
  startedAtMs: number,
  wearByMs: number | undefined,
  toldAtMs: number,
  trial: Trial | null = null,
): Promise<void> {
  const sides = trial?.sides ?? null;
  const brief = briefOf(plan.head, plan, wearByMs === undefined ? undefined : localTime(wearByMs), sides);
  const draft = answerDraft(brief, null);
  if (!draft.ok)
    throw new Error(`demo set “${plan.title}”: ${draft.errors.map((e) => e.message).join('; ')}`);
  const draws = plan.lived ? FEW_DRAWS : DEMO_DRAWS;
  drawTo(draft.value, draws);
  const { view } = draft.value.view(draws);
  const told = plan.lived ? livedOut(plan, plan.lived, view) : plan;
  const headId = headIds[told.head]!;
  const head = await findHead(tx, studioId, headId);
  const setId = await startSet(
    tx,
    studioId,
    {
      headId,
      planId: null,
      measurementId: head!.measurement.id,
      title: told.title,
      brief,
      forecast: view.plan,
      layerProductIds: onHalves(told, sides).map(({ key }) => productIds[key]),
      modelVersion: MODEL_VERSION,
      dryingBelief: view.dryTimes.belief,
      costMinor: costOf(onHalves(told, sides), view.plan.doses),
      sections: view.plan.sections.map(({ number, zone, side, areaCm2, hairCount }, i) => ({
        number,
        zone,
        side,
        areaCm2,
        hairCount,
        plannedMin: view.sectionMin[i]!,
      })),
    },
    startedAtMs,
  );
  const event = (kind: RunEvent['kind'], atMs: number, detail: RunEventDetail = {}) => {
    const { sequence: _, ...sent } = runEvent(newId(atMs), kind, Math.round(atMs), detail);
    return sent;
  };
  const tell = async (events: readonly ReturnType<typeof event>[]) => {
    const arrival = { deviceId: 'demo', offsetMs: 0, nowMs: toldAtMs, timeZone: STUDIO.timeZone };
    for (const verdict of await addEvents(tx, studioId, setId, events, arrival))
      if (!verdict.kept) throw new Error(`demo set “${told.title}”: ${verdict.message}`);
  };
  const events = (told.notes ?? []).map((note, i) =>
    event('note', startedAtMs + (20 + i) * MINUTE_MS, { note }),
  );
  let at = startedAtMs;
  view.sectionMin.forEach((min, i) => {
    // A hand is never even: every third section takes a little longer, made up for after.
    at += min * told.pace * (1 + [0, 0.18, -0.18][i % 3]!) * MINUTE_MS;
    events.push(event('section-done', at, { sectionNumber: i + 1, by: plan.lived?.by ?? null }));
  });
  const installedAtMs = Math.round(at);
  const takenDownAtMs = told.takenDownAfterH === null ? null : installedAtMs + told.takenDownAfterH * HOUR_MS;
  await tell(events);
  for (const check of told.checks) {
    const atMs = Math.round(installedAtMs + check.afterH * HOUR_MS);
    await tell([event('felt', atMs, { sectionNumber: check.section, level: check.level, feel: check.feel })]);
  }
  if (takenDownAtMs === null) return;
  await tell([event('taken-down', takenDownAtMs, { note: told.takedownReason ?? null })]);
  await rememberTakedown(tx, studioId, setId);
  const { lived } = plan;
  for (const [day, [definition, frizz, note]] of told.diary.entries()) {
    const atMs = Math.round(takenDownAtMs + day * DAY_MS);
    const expected = view.plan.result.byDay[Math.min(day, view.plan.result.byDay.length - 1)]!;
    const seen = (more: number): DayEntry => ({
      ...EMPTY_DAY,
      ratings: {
        definition: toHalf(expected.definition + definition + more),
        frizz: toHalf(expected.frizz + frizz),
        volume: toHalf(expected.volume),
        moisture: toHalf(7.5 - 0.6 * day),
        shine: toHalf(7 - 0.7 * day),
        hold: toHalf(8 - 0.6 * day),
      },
      night: brief.wear?.night ?? 'gather-and-bonnet',
      visibleCm:
        day === 0
          ? {
              crown: Math.round((view.plan.result.visibleLengthCm.crown ?? 10) * (lived?.shows ?? 1) * 2) / 2,
            }
          : {},
      note: note ?? '',
    });
    const row = { day, ratedBy: lived?.by ?? null, source: 'studio', revision: 0 } as const;
    if (trial)
      for (const half of SIDES)
        await saveWearDay(
          tx,
          studioId,
          setId,
          { ...seen(half === 'left' ? trial.betterLeft / 2 : -trial.betterLeft / 2), ...row, half },
          atMs,
        );
    else {
      await saveWearDay(tx, studioId, setId, { ...seen(0), ...row, half: 'whole' }, atMs);
      const other = HAND_NAMES.find((name) => name !== lived?.by);
      if (lived?.second && other && day < SECOND_LOOKS)
        await saveEarlierDay(
          tx,
          studioId,
          setId,
          { ...seen(lived.second), day, half: 'whole', ratedBy: other, source: 'studio' },
          atMs,
        );
    }
  }
  if (told.outcome) {
    const { lastGoodDay } = told.outcome;
    const endedAtMs = Math.round(takenDownAtMs + (lastGoodDay + 0.5) * DAY_MS);
    const shorter = trial ? (trial.betterLeft > 0 ? 'right' : 'left') : null;
    for (const half of shorter ? SIDES : (['whole'] as const))
      await endSet(
        tx,
        studioId,
        setId,
        halfOutcome.parse({
          half,
          ...told.outcome,
          lastGoodDay: half === shorter ? Math.max(0, lastGoodDay - 1) : lastGoodDay,
        }),
        endedAtMs,
      );
  }
}

async function demoStudio(tx: Tx, nowMs: number): Promise<Studio> {
  const existing = await currentStudio(tx);
  if (!existing) return createStudio(tx, { ...STUDIO, isDemo: true }, nowMs);
  await tx
    .update(studios)
    .set({ ...STUDIO, isDemo: true })
    .where(eq(studios.id, existing.id));
  return { ...existing, ...STUDIO };
}

/** Fills an empty database with the demo studio. Times are counted from `nowMs`. */
export async function seedDemo({ write }: Database, nowMs: number): Promise<void> {
  const pictures = await Promise.all(
    DEMO_PICTURES.map(([day, scale, rating, wall]) => drawnPicture(day, scale, rating, wall)),
  );
  await write(async (tx) => {
    const { id: studioId } = await demoStudio(tx, nowMs);
    const longAgo = nowMs - LONG_AGO_DAYS * DAY_MS;
    const headIds = {} as Record<keyof typeof HEADS, string>;
    for (const [key, head] of Object.entries(HEADS) as [
      keyof typeof HEADS,
      (typeof HEADS)[keyof typeof HEADS],
    ][]) {
      const isFollowed = key === 'amara';
      headIds[key] = await createHead(
        tx,
        studioId,
        head.card,
        isFollowed ? asLongAgo(head.measured, LONG_AGO_DAYS) : head.measured,
        longAgo,
      );
    }
    await tellGrowth(tx, studioId, headIds.amara, nowMs);
    const productIds = {} as Record<DemoProduct, string>;
    for (const { key, openedDaysAgo, goodForDays, ...product } of PRODUCTS) {
      productIds[key] = newId(longAgo);
      await tx.insert(productsTable).values({
        id: productIds[key],
        studioId,
        ...product,
        openedOn: dayAt(nowMs - openedDaysAgo * DAY_MS),
        useBy: goodForDays === null ? null : dayAt(nowMs + (goodForDays - openedDaysAgo) * DAY_MS),
        weighedAtMs: nowMs - 9 * DAY_MS,
      });
    }
    const { parts, ...mix } = MIX;
    await saveMix(
      tx,
      studioId,
      { id: null, revision: 0 },
      {
        ...mix,
        parts: Object.entries(parts).map(([key, own]) => ({
          productId: productIds[key as DemoProduct],
          parts: own,
        })),
      },
      {},
      longAgo,
    );
    for (const dryer of DRYERS) {
      await tx.insert(dryersTable).values({ id: newId(longAgo), studioId, ...dryer });
    }
    for (const tool of TOOLS) {
      await tx.insert(toolsTable).values({ id: newId(longAgo), studioId, ...tool });
    }
    for (const told of DEMO_SETS) {
      const startedAtMs = atHour(nowMs - told.daysAgo * DAY_MS, 18);
      await tellSet(
        tx,
        studioId,
        told,
        headIds,
        productIds,
        startedAtMs,
        atHour(startedAtMs + DAY_MS, 9),
        nowMs,
      );
    }
    for (const { head, kind, daysAgo, cutMm } of DEMO_CARE)
      await addCare(
        tx,
        studioId,
        { headId: headIds[head], kind, date: dayAt(nowMs - daysAgo * DAY_MS), cutMm, note: '' },
        nowMs,
      );
    const pictured = (await listSets(tx, studioId, 'ended', headIds.amara!))[0];
    for (const picture of pictures)
      if (pictured)
        await addPhoto(tx, studioId, pictured.id, picture, pictured.takenDownAtMs! + picture.day * DAY_MS);
    await chooseSchool(tx, studioId, headIds.amara, 'order', 'cream-first');
    await chooseSchool(tx, studioId, headIds.amara, 'fluffing', 'roots-first');
    await chooseSchool(tx, studioId, headIds.keziah, 'start', 'wet');
    await tellDryingNow(tx, studioId, headIds, productIds, nowMs);
    await bookPlan(tx, studioId, headIds, productIds, nowMs);
  });
}

/**
 * Tells the rest of the demo world: two more heads, the sets of the nine months before, and half-head trials. What is
 * seeded first stays as it is.
 */
export async function growDemo({ write }: Database, nowMs: number): Promise<void> {
  await write(async (tx) => {
    const { id: studioId } = (await currentStudio(tx))!;
    const longAgo = nowMs - LONG_AGO_DAYS * DAY_MS;
    for (const { card, measured } of Object.values(LATER_HEADS))
      await createHead(tx, studioId, card, measured, longAgo);
    const names = await listHeadNames(tx, studioId);
    const keys = Object.keys({ ...HEADS, ...LATER_HEADS }) as DemoHeadId[];
    const headIds = Object.fromEntries(
      keys.map((key) => [key, names.find(({ name }) => name === demoHead(key).card.name)!.id]),
    ) as HeadIds;
    const shelf = await listProducts(tx, studioId);
    const productIds = Object.fromEntries(
      PRODUCTS.map(({ key, name }) => [key, shelf.find((product) => product.name === name)!.id]),
    ) as ProductIds;
    const begin = (daysAgo: number) => atHour(nowMs - daysAgo * DAY_MS, 18);
    for (const told of GROWN_SETS) {
      const startedAtMs = begin(told.daysAgo);
      const readyMs = atHour(startedAtMs + DAY_MS, 9);
      await tellSet(tx, studioId, told, headIds, productIds, startedAtMs, readyMs, nowMs);
    }
    for (const [head, daysAgo, left, right, betterLeft] of TRIAL_ROWS) {
      const startedAtMs = begin(daysAgo);
      const told = { ...GROWN_SETS[0]!, head, title: 'Half and half', products: ['leave'] as const };
      await tellSet(
        tx,
        studioId,
        { ...told, lived: { ...told.lived, rate: 0, days: 0.1, definition: 0.2, shows: 1, second: null } },
        headIds,
        productIds,
        startedAtMs,
        atHour(startedAtMs + DAY_MS, 9),
        nowMs,
        { sides: { left, right }, betterLeft },
      );
    }
  });
}

/** A head as it was days ago: what it has now, less what grew since, and with what came off. */
function asLongAgo(head: HeadInput, daysAgo: number): HeadInput {
  const cut = DEMO_CARE.find(({ cutMm }) => cutMm !== null)!;
  const { stretchedLengthCm: length } = head;
  const grownCm = daysAgo * GROWN_CM_A_DAY - (daysAgo > cut.daysAgo ? cut.cutMm! / 10 : 0);
  return {
    ...head,
    stretchedLengthCm: perZone(
      (zone) => Math.round(2 * ((typeof length === 'number' ? length : length[zone]) - grownCm)) / 2,
    ),
  };
}

/** Amara measured again and again. */
async function tellGrowth(tx: Tx, studioId: string, headId: string, nowMs: number) {
  for (const daysAgo of MEASURED_DAYS_AGO) {
    const { revision, ...card } = (await findHead(tx, studioId, headId))!;
    const measured = asLongAgo(HEADS.amara.measured, daysAgo);
    await updateHead(tx, studioId, headId, revision, cardOf(card), measured, nowMs - daysAgo * DAY_MS);
  }
}

const cardOf = ({ name, description, notes, allergies, skinTone, hairTone, likes }: HeadCard): HeadCard => ({
  name,
  description,
  notes,
  allergies,
  skinTone,
  hairTone,
  likes,
});

async function tellDryingNow(
  tx: Tx,
  studioId: string,
  headIds: HeadIds,
  productIds: ProductIds,
  nowMs: number,
) {
  const answer = answerView(briefOf(DRYING_NOW.head, DRYING_NOW, undefined));
  if (!answer.ok) throw new Error('the drying demo set does not add up');
  const installMin = answer.value.view.sectionMin.reduce((sum, min) => sum + min, 0) * DRYING_NOW.pace;
  const installedAtMs = nowMs - DRYING_NOW.finishedHoursAgo * HOUR_MS;
  const startedAtMs = Math.round(installedAtMs - installMin * MINUTE_MS);
  await tellSet(tx, studioId, DRYING_NOW, headIds, productIds, startedAtMs, atHour(nowMs + DAY_MS, 9), nowMs);
}

async function bookPlan(tx: Tx, studioId: string, headIds: HeadIds, productIds: ProductIds, nowMs: number) {
  const products = ['leave', 'cream', 'gel'] as const;
  const head = await findHead(tx, studioId, headIds.amara!);
  const brief = briefOf(
    'amara',
    {
      head: 'amara',
      title: '',
      set: {
        technique: 'two-strand-twist',
        sections: 18,
        rootMethod: 'braided',
        endsMethod: 'finger-coiled',
        startState: 'damp',
      },
      products,
      drying: [
        { method: 'hood-warm', hours: 2.5 },
        { method: 'bonnet', hours: 9 },
      ],
      pace: 1,
      checks: [],
      takenDownAfterH: null,
      diary: [],
    },
    localTime(atHour(nowMs + 3 * DAY_MS, 9)),
  );
  const content = {
    title: 'Amara’s birthday set',
    brief: { ...brief, prep: [...USUAL_PREP], sleep: USUAL_SLEEP },
    layerProductIds: products.map((key) => productIds[key]),
  };
  // What the desk would refuse must not get in by the back door either.
  const read = readBrief(brief);
  if (!read.ok) throw new Error('the booked demo plan does not add up');
  await createPlan(
    tx,
    studioId,
    { ...content, headId: headIds.amara!, measurementId: head!.measurement.id, status: 'chosen' },
    nowMs,
  );
}
