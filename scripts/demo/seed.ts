import { Temporal } from 'temporal-polyfill';
import type { BriefInput, HeadInput } from '@/core/formats/brief';
import { readBrief } from '@/core/formats/read-brief';
import { answerDraft, answerView, drawTo } from '@/core/plan/answer-view';
import { halfOutcome } from '@/core/diary/outcome';
import { EMPTY_DAY } from '@/core/diary/day-entry';
import { asTakenDown } from '@/core/plan/as-taken-down';
import { layoutFor } from '@/core/plan/layout-for';
import { MODEL_VERSION } from '@/core/plan/forecast';
import { runEvent, type RunEvent, type RunEventDetail } from '@/core/run/run-event';
import { clamp } from '@/core/units/clamp';
import type { DraftBrief } from '@/core/draft/draft-brief';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { USUAL_PREP, USUAL_SLEEP } from '@/places/plan/usual-plan';
import type { Database, Tx } from '@/server/db/client';
import { newId } from '@/server/db/id';
import { chooseSchool, createHead, findHead, updateHead, type HeadCard } from '@/server/db/rows/heads';
import { perZone } from '@/core/hair/zone';
import { addCare } from '@/server/db/rows/care';
import { addPhoto } from '@/server/db/rows/photos';
import { listSets } from '@/server/db/rows/set-lists';
import { saveMix } from '@/server/db/rows/shelf';
import { createPlan } from '@/server/db/rows/plans';
import { addEvents } from '@/server/db/rows/set-log';
import { saveTakenDown, startSet } from '@/server/db/rows/set-commands';
import { findSet } from '@/server/db/rows/sets';
import { takedownOf } from '@/server/taken-down';
import { endSet, saveWearDay } from '@/server/db/rows/wear';
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
import { DRYERS, HEADS, MIX, PRODUCTS, STUDIO, TOOLS, type DemoHeadId, type DemoProduct } from './world';

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

/** Heads drawn for a demo forecast: plenty for its band. */
const DEMO_DRAWS = 200;

type HeadIds = Readonly<Record<DemoHeadId, string>>;
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

function layersOf(keys: readonly DemoProduct[]): NonNullable<DraftBrief['set']['layers']> {
  return keys.map((key) => {
    const product = PRODUCTS.find((own) => own.key === key)!;
    return {
      role: product.role,
      waterShare: product.waterShare,
      weight: product.weight,
      ...(product.hold === null ? {} : { hold: product.hold }),
    };
  });
}

function briefOf(head: DemoHeadId, told: Omit<DemoSet, 'daysAgo'>, wearBy: string | undefined): BriefInput {
  return {
    format: 'keen-spiral/brief',
    version: 1,
    head: HEADS[head].measured,
    set: { ...told.set, layers: layersOf(told.products) },
    drying: told.drying,
    room: { temperatureC: 22, relativeHumidity: 0.5, dewPointOutsideC: 11, ...told.room },
    wear: { night: 'gather-and-bonnet', separations: 2, fluffing: 1, hands: 'oiled', ...told.wear },
    ...(wearBy ? { wearBy } : {}),
    timeZone: STUDIO.timeZone,
  };
}

/** What the products of a told set cost, minor units. */
const costOf = (keys: readonly DemoProduct[], doses: readonly { grams: number }[]): number =>
  Math.round(
    keys.reduce((sum, key, i) => {
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

/** Puts one told set into the database: events at the chair, checks, takedown, diary and outcome. */
async function tellSet(
  tx: Tx,
  studioId: string,
  told: Omit<DemoSet, 'daysAgo'>,
  headIds: HeadIds,
  productIds: ProductIds,
  startedAtMs: number,
  wearByMs: number | undefined,
  toldAtMs: number,
): Promise<void> {
  const brief = briefOf(told.head, told, wearByMs === undefined ? undefined : localTime(wearByMs));
  const draft = answerDraft(brief, null);
  if (!draft.ok)
    throw new Error(`demo set “${told.title}”: ${draft.errors.map((e) => e.message).join('; ')}`);
  drawTo(draft.value, DEMO_DRAWS);
  const { view } = draft.value.view(DEMO_DRAWS);
  const head = await findHead(tx, studioId, headIds[told.head]);
  const setId = await startSet(
    tx,
    studioId,
    {
      headId: headIds[told.head],
      planId: null,
      measurementId: head!.measurement.id,
      title: told.title,
      brief,
      forecast: view.plan,
      layerProductIds: told.products.map((key) => productIds[key]),
      modelVersion: MODEL_VERSION,
      dryingBelief: view.dryTimes.belief,
      costMinor: costOf(told.products, view.plan.doses),
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
    events.push(event('section-done', at, { sectionNumber: i + 1 }));
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
  for (const [day, [definition, frizz, note]] of told.diary.entries()) {
    const expected = view.plan.result.byDay[Math.min(day, view.plan.result.byDay.length - 1)]!;
    await saveWearDay(
      tx,
      studioId,
      setId,
      {
        ...EMPTY_DAY,
        day,
        half: 'whole',
        ratings: {
          definition: toHalf(expected.definition + definition),
          frizz: toHalf(expected.frizz + frizz),
          volume: toHalf(expected.volume),
          moisture: toHalf(7.5 - 0.6 * day),
          shine: toHalf(7 - 0.7 * day),
          hold: toHalf(8 - 0.6 * day),
        },
        night: brief.wear?.night ?? 'gather-and-bonnet',
        visibleCm:
          day === 0 ? { crown: Math.round((view.plan.result.visibleLengthCm.crown ?? 10) * 2) / 2 } : {},
        note: note ?? '',
        ratedBy: null,
        source: 'studio',
        revision: 0,
      },
      Math.round(takenDownAtMs + day * DAY_MS),
    );
  }
  if (told.outcome) {
    const endedAtMs = Math.round(takenDownAtMs + (told.outcome.lastGoodDay + 0.5) * DAY_MS);
    await endSet(tx, studioId, setId, halfOutcome.parse({ half: 'whole', ...told.outcome }), endedAtMs);
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
    const headIds = {} as Record<DemoHeadId, string>;
    for (const [key, head] of Object.entries(HEADS) as [DemoHeadId, (typeof HEADS)[DemoHeadId]][]) {
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
    const pictured = (await listSets(tx, studioId, 'ended', headIds.amara))[0];
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
  const head = await findHead(tx, studioId, headIds.amara);
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
    { ...content, headId: headIds.amara, measurementId: head!.measurement.id, status: 'chosen' },
    nowMs,
  );
}
