import { migrateDatabase, openDatabase, type Database } from '@/server/db/client';
import { createHead, findHead, type HeadRecord } from '@/server/db/rows/heads';
import { runEvent, type RunEventDetail, type RunEventKind } from '@/core/run/run-event';
import { addEvents } from '@/server/db/rows/set-log';
import { startSet } from '@/server/db/rows/set-commands';
import type { ProductCard } from '@/server/db/rows/shelf';
import type { WearDayToKeep } from '@/server/db/rows/wear';
import type { HalfOutcome } from '@/core/diary/outcome';
import { EMPTY_DAY } from '@/core/diary/day-entry';
import { createStudio } from '@/server/db/rows/studios';
import { answerBrief } from '@/core/plan/answer-brief';
import type { BriefInput, HeadInput } from '@/core/formats/brief';
import { MINUTE_MS } from '@/core/units/time';
import { aBrief } from './briefs';

export const NOON = Date.UTC(2027, 2, 13, 12);
/** A tub of foam with everything known of it. */
export const PRODUCT: ProductCard = {
  name: 'Foam',
  role: 'mousse',
  waterShare: 0.9,
  hold: 3,
  weight: 1,
  hasProtein: false,
  sizeG: 200,
  priceMinor: 1200,
  emptyG: 50,
  openedOn: null,
  useBy: null,
  notes: '',
  ingredients: '',
};
export const CARD = {
  name: 'Wren',
  description: 'medium coils',
  notes: '',
  allergies: '',
  skinTone: 'mahogany',
  hairTone: 'black',
  likes: [],
};

/** A fresh database with one studio: in memory, where nothing is read while something is written. */
export async function aStudio(url = ':memory:'): Promise<{ database: Database; studioId: string }> {
  const database = openDatabase(url);
  await migrateDatabase(database, url, NOON);
  const studio = await database.write((tx) => createStudio(tx, { name: 'Test', timeZone: 'UTC' }, NOON));
  return { database, studioId: studio.id };
}

/** A head in a studio. */
export async function aHead(database: Database, studioId: string, measured?: HeadInput): Promise<HeadRecord> {
  const id = await database.write((tx) => createHead(tx, studioId, CARD, measured ?? aBrief().head, NOON));
  return (await findHead(database.db, studioId, id))!;
}

/** A set begun at noon. */
export async function aSet(
  database: Database,
  studioId: string,
  head: HeadRecord,
  brief: BriefInput = aBrief({ set: { sections: 4 } }),
): Promise<string> {
  const answer = answerBrief(brief);
  if (!answer.ok) throw new Error('the brief of the test set is refused');
  const forecast = answer.value;
  return database.write((tx) =>
    startSet(
      tx,
      studioId,
      {
        headId: head.id,
        planId: null,
        layerProductIds: [],
        costMinor: null,
        measurementId: head.measurement.id,
        title: 'A set',
        brief,
        forecast,
        modelVersion: 'test',
        dryingBelief: null,
        sections: forecast.sections.map(({ number, zone, side, areaCm2, hairCount }) => ({
          number,
          zone,
          side,
          areaCm2,
          hairCount,
          plannedMin: 2,
        })),
      },
      NOON,
    ),
  );
}

/** An event as a device sends it, `atMin` minutes after noon. */
export function sent(id: string, kind: RunEventKind, atMin: number, detail: RunEventDetail | number = {}) {
  const { sequence: _, ...event } = runEvent(
    id,
    kind,
    NOON + atMin * MINUTE_MS,
    typeof detail === 'number' ? { sectionNumber: detail } : detail,
  );
  return event;
}

/** A day of wear with every scale rated, and none entered before. */
export const aDay = (over: Partial<WearDayToKeep> = {}): WearDayToKeep => ({
  ...EMPTY_DAY,
  ratings: { definition: 6, frizz: 3, volume: 5, moisture: 7, shine: 6, hold: 6 },
  night: 'scarf',
  day: 0,
  half: 'whole',
  ratedBy: null,
  source: 'studio',
  revision: 0,
  ...over,
});

/** A giving up of a whole head on its third day. */
export const anEnd = (over: Partial<HalfOutcome> = {}): HalfOutcome => ({
  half: 'whole',
  lastGoodDay: 3,
  reason: 'frizz',
  wouldHaveGoneOn: null,
  note: '',
  recalled: null,
  ...over,
});

/** Every section of a set of four, a minute each. */
export const ALL_DONE = [1, 2, 3, 4].map((n) => sent(`d${n}`, 'section-done', n, n));

/** Sends events of a device whose clock is right, three days after noon. */
export const tap = (database: Database, studioId: string, setId: string, events: readonly unknown[]) =>
  database.write((tx) =>
    addEvents(tx, studioId, setId, events, {
      deviceId: 'a-device',
      offsetMs: 0,
      nowMs: NOON + 3 * 86_400_000,
      timeZone: 'UTC',
    }),
  );
