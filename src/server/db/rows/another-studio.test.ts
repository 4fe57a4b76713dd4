import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aBrief } from '../../../../tests/support/briefs';
import {
  aDay,
  aHead,
  anEnd,
  ALL_DONE,
  aSet,
  aStudio,
  CARD,
  NOON,
  sent,
  tap,
  PRODUCT,
} from '../../../../tests/support/studio';
import { signedInAs, type Signed } from '../../../../tests/support/people';
import { BLANK } from '../../../../tests/support/simulated-studio';
import { USUAL_DISPLAY } from '@/core/formats/display';
import type { PhotoMeasure } from '@/core/diary/photo-measure';
import type { TakenDown } from '@/core/plan/as-taken-down';
import type { Database, Tx } from '../client';
import * as care from './care';
import * as clientLinks from './client-links';
import * as deeds from './deeds';
import * as devices from './devices';
import * as diaries from './diaries';
import * as evidence from './evidence';
import * as heads from './heads';
import * as imports from './imports';
import * as passkeys from './passkeys';
import * as people from './people';
import * as photos from './photos';
import * as plans from './plans';
import * as setLog from './set-log';
import * as setCommands from './set-commands';
import * as setLists from './set-lists';
import * as setRecords from './sets';
import * as shelf from './shelf';
import * as studios from './studios';
import * as wear from './wear';

/** The rows of a studio that somebody in another studio tries to read and to change, by the ids that are there. */
interface Theirs {
  readonly headId: string;
  readonly secondHeadId: string;
  readonly planId: string;
  readonly setId: string;
  readonly photoId: string;
  readonly measureId: string;
  readonly careId: string;
  readonly diaryId: string;
  readonly importId: string;
  readonly cancelledId: string;
  readonly mergeId: string;
  readonly productId: string;
  readonly toolId: string;
  readonly dryerId: string;
  readonly signed: Signed;
  readonly linkId: string;
  readonly mix: NonNullable<Awaited<ReturnType<typeof shelf.findMix>>>;
}

const sets = { ...setCommands, ...setLists, ...setRecords };

let database: Database;
let studioId: string;
let otherId: string;
let theirs: Theirs;

const DRYER: shelf.DryerCard = { kind: 'hood', name: 'Tall hood', airSpeedMS: 2, airC: 56, count: 1 };
const TAKEN_DOWN = { takenDownAtMs: NOON + 5, chanceDry: 0.5 } as unknown as TakenDown;
const TOOL: shelf.ToolCard = {
  kind: 'rod',
  diameterMm: 16,
  workingLengthMm: 80,
  owned: 30,
  swatch: '#888888',
};
const NEW = { id: null, revision: 0 };
const SEEN = { ...BLANK, modelVersion: 'theirs' };
const FAULT: evidence.FaultRecord = {
  symptoms: { limp: 'present' },
  told: { tension: 2 },
  answers: { 'too-much': true },
  revision: 0,
};
const DAY = aDay();
const OUTCOME = anEnd();
const PHOTO = {
  day: 0,
  view: 'front',
  width: 2,
  height: 2,
  focal35Mm: 26,
  jpeg: Buffer.from('pixels'),
  thumb: Buffer.from('few'),
} as const;
const CARE = { kind: 'trim', date: '2027-03-13', cutMm: 10, note: '' } as const;
const PASSKEY = { id: 'key', publicKey: 'k', counter: 1, transports: [], rpId: 'studio.local' };
const MEASURE: PhotoMeasure = { measure: 'length', zone: 'crown', value: 16, sigma: 0.3, worse: ['depth'] };

beforeAll(async () => {
  ({ database, studioId } = await aStudio());
  const write = <T>(run: (tx: Tx) => Promise<T>) => database.write(run);
  otherId = (await write((tx) => studios.createStudio(tx, { name: 'Other', timeZone: 'UTC' }, NOON))).id;
  const head = await aHead(database, studioId);
  const second = await aHead(database, studioId);
  const third = await aHead(database, studioId);
  const mergeId = await write((tx) => heads.mergeHeads(tx, studioId, head.id, third.id, NOON));
  const content = { title: 'A plan', brief: aBrief(), layerProductIds: [] };
  const planId = await write((tx) =>
    plans.createPlan(
      tx,
      studioId,
      { ...content, headId: head.id, measurementId: head.measurement.id, status: 'draft' },
      NOON,
    ),
  );
  const setId = await aSet(database, studioId, head);
  await tap(database, studioId, setId, [...ALL_DONE, sent('down', 'taken-down', 9)]);
  await write((tx) => wear.saveWearDay(tx, studioId, setId, DAY, NOON));
  await write((tx) => wear.endSet(tx, studioId, setId, OUTCOME, NOON));
  const photoId = await write((tx) => photos.addPhoto(tx, studioId, setId, PHOTO, NOON));
  const [measure] = await write((tx) => photos.keepMeasures(tx, studioId, photoId, [MEASURE], NOON));
  const careId = await write((tx) => care.addCare(tx, studioId, { ...CARE, headId: head.id }, NOON));
  const importId = await write((tx) => imports.beginImport(tx, studioId, 'wear-days', 'x.csv', NOON));
  await write((tx) => imports.noteImported(tx, studioId, importId, [{ rowId: 'x', setId }]));
  await write((tx) => evidence.keepEvidence(tx, studioId, [{ setId, seen: BLANK }]));
  await write((tx) => evidence.saveFault(tx, studioId, setId, FAULT, NOON));
  await write((tx) => evidence.keepLearningSettings(tx, studioId, { noticeable: 1.5 }));
  const diaryId = (await write((tx) => diaries.diaryOfSet(tx, studioId, setId, NOON))).id;
  await write((tx) =>
    care.syncCalendar(tx, studioId, [{ uid: 'wash-1', date: '2027-03-20', summary: 'Wash' }], NOON),
  );
  const cancelledId = await aSet(database, studioId, head);
  await write((tx) => sets.cancelSet(tx, studioId, cancelledId, NOON));
  const productId = await write((tx) => shelf.saveProduct(tx, studioId, NEW, PRODUCT, NOON));
  const toolId = await write((tx) => shelf.saveTool(tx, studioId, NEW, TOOL, NOON));
  const dryerId = await write((tx) => shelf.saveDryer(tx, studioId, NEW, DRYER, NOON));
  const mixId = await write((tx) =>
    shelf.saveMix(
      tx,
      studioId,
      NEW,
      {
        name: 'Own gel',
        role: 'gel',
        parts: [{ productId, parts: 1 }],
        notes: '',
        keepsDays: 7,
        batchG: 100,
      },
      {},
      NOON,
    ),
  );
  const signed = await signedInAs(database, studioId, 'stylist', { nowMs: NOON });
  const renamed = { name: 'Theirs by now', role: 'stylist', colour: 0, secretHash: null } as const;
  await write((tx) => people.changePerson(tx, studioId, signed.personId, renamed, NOON));
  await signedInAs(database, studioId, 'owner', { nowMs: NOON });
  await write((tx) => deeds.noteDeed(tx, studioId, { person: null, device: null }, 'studio', null, NOON));
  await write((tx) => passkeys.addPasskey(tx, studioId, { ...PASSKEY, personId: signed.personId }, NOON));
  await write((tx) => passkeys.setChallenge(tx, studioId, signed.deviceId, 'theirs', NOON));
  const linkId = (await write((tx) => clientLinks.makeLink(tx, studioId, planId, 'hash', NOON))).id;
  theirs = {
    signed, linkId,
    headId: head.id, secondHeadId: second.id, planId, setId, photoId, measureId: measure!.id, careId, diaryId, importId, cancelledId, mergeId, productId, toolId, dryerId,
    mix: (await shelf.findMix(database.db, studioId, mixId))!,
  }; // prettier-ignore
});
afterAll(() => database.close());

/** Every row of every table that belongs to the first studio. */
async function everythingOf(id: string): Promise<string> {
  const tables = await database.db.all<{ name: string }>(
    sql`select name from sqlite_master where type = 'table' and sql like '%studio_id%' order by name`,
  );
  const rows = await Promise.all(
    tables.map(({ name }) =>
      database.db.all(sql`select * from ${sql.identifier(name)} where studio_id = ${id}`),
    ),
  );
  const card = await database.db.all(sql`select * from studios where id = ${id}`);
  return JSON.stringify([card, tables, rows]);
}

const asked = { search: '', page: 1 } as const;
const card = { title: 'Mine now', brief: aBrief(), layerProductIds: [] };

/** What must come of each reading: nothing. */
const READS: Record<string, () => Promise<unknown>> = {
  findDiary: () => diaries.findDiary(database.db, otherId, theirs.diaryId),
  ratedDays: async () => [...(await wear.ratedDays(database.db, otherId, [theirs.setId]))],
  photosOfHead: async () => (await photos.photosOfHead(database.db, otherId, theirs.headId, 9)).photos,
  everySet: () => setLists.everySet(database.db, otherId),
  listImports: () => imports.listImports(database.db, otherId, 9),
  tableSets: () => imports.tableSets(database.db, otherId, [theirs.setId], [CARD.name]),
  enteredOf: async () => [...(await imports.enteredOf(database.db, otherId, [theirs.setId]))],
  importedOf: () => Promise.resolve(imports.importedOf(database.db, otherId, theirs.importId)),
  driedWith: async () => Object.keys(await setLists.driedWith(database.db, otherId, theirs.headId)),
  careOf: () => care.careOf(database.db, otherId, theirs.headId),
  careSets: () => care.careSets(database.db, otherId, 0, theirs.headId),
  careHeads: () => Promise.resolve(care.careHeads(database.db, otherId, theirs.headId)),
  lengthsOf: () => Promise.resolve(care.lengthsOf(database.db, otherId, theirs.headId)),
  conditionsOf: async () => [...(await care.conditionsOf(database.db, otherId, theirs.headId))],
  listMeasurements: () => heads.listMeasurements(database.db, otherId, theirs.headId),
  listHeadNames: () => Promise.resolve(heads.listHeadNames(database.db, otherId)),
  pageOfHeads: async () =>
    (await heads.pageOfHeads(database.db, otherId, { ...asked, order: 'name', isArchived: false })).rows,
  countHeads: async () => Object.values(await heads.countHeads(database.db, otherId)).filter((n) => n > 0),
  findHead: () => heads.findHead(database.db, otherId, theirs.headId),
  listMerges: () => Promise.resolve(heads.listMerges(database.db, otherId, theirs.headId)),
  listOpenPlans: () => plans.listOpenPlans(database.db, otherId, theirs.headId),
  pageOfPlans: async () =>
    (await plans.pageOfPlans(database.db, otherId, { ...asked, list: 'open', order: 'changed' })).rows,
  countPlans: async () => Object.values(await plans.countPlans(database.db, otherId)).filter((n) => n > 0),
  findPlan: () => plans.findPlan(database.db, otherId, theirs.planId),
  eventsOf: () => setLog.eventsOf(database.db, otherId, theirs.setId),
  eventsAfter: () => setLog.eventsAfter(database.db, otherId, theirs.setId, 0).catch(() => null),
  lastPlace: async () =>
    [await setLog.lastPlace(database.db, otherId, theirs.setId)].filter((last) => last > 0),
  listSets: () => sets.listSets(database.db, otherId, 'all', theirs.headId),
  pageOfSets: async () =>
    (await sets.pageOfSets(database.db, otherId, { ...asked, stage: 'all', order: 'newest' })).rows,
  countSets: async () => Object.values(await sets.countSets(database.db, otherId)).filter((n) => n > 0),
  setOfPlan: () => sets.setOfPlan(database.db, otherId, theirs.planId),
  listPricedSets: () => sets.listPricedSets(database.db, otherId, 10),
  findSet: () => sets.findSet(database.db, otherId, theirs.setId),
  listProducts: () => shelf.listProducts(database.db, otherId),
  listTools: () => shelf.listTools(database.db, otherId),
  listDryers: () => shelf.listDryers(database.db, otherId),
  listMixes: () => shelf.listMixes(database.db, otherId),
  findProduct: () => shelf.findProduct(database.db, otherId, theirs.productId),
  findTool: () => shelf.findTool(database.db, otherId, theirs.toolId),
  findDryer: () => shelf.findDryer(database.db, otherId, theirs.dryerId),
  findMix: () => shelf.findMix(database.db, otherId, theirs.mix.id),
  touchedSince: () => evidence.touchedSince(database.db, otherId, 0),
  faultsOf: async () => [...(await evidence.faultsOf(database.db, otherId))],
  ratedTwice: () => evidence.ratedTwice(database.db, otherId),
  listPeople: () => people.listPeople(database.db, otherId),
  findPerson: async () => (await people.findPerson(database.db, otherId, theirs.signed.personId)) ?? null,
  namesNow: async () => [...(await people.namesNow(database.db, otherId))],
  findOwner: async () => (await people.findOwner(database.db, otherId)) ?? null,
  listDevices: () => devices.listDevices(database.db, otherId),
  signedIn: async () => [...(await devices.signedIn(database.db, otherId, NOON))],
  passkeysOf: () => passkeys.passkeysOf(database.db, otherId, theirs.signed.personId, 'studio.local'),
  withPasskey: async () => [...(await passkeys.withPasskey(database.db, otherId, 'studio.local'))],
  listDeeds: () => deeds.listDeeds(database.db, otherId, 9),
  linksOf: () => clientLinks.linksOf(database.db, otherId, theirs.planId, NOON),
  enteredDays: async () => [...(await wear.enteredDays(database.db, otherId, [theirs.setId]))],
};

/** Writes by the ids of the first studio, in the name of the other. */
const WRITES: Record<string, (tx: Tx) => Promise<unknown>> = {
  createHead: (tx) => heads.createHead(tx, otherId, CARD, aBrief().head, NOON),
  updateHead: (tx) =>
    heads.updateHead(tx, otherId, theirs.headId, 1, { ...CARD, notes: 'x' }, aBrief().head, NOON),
  chooseSchool: (tx) => heads.chooseSchool(tx, otherId, theirs.headId, 'order', 'x'),
  archiveHead: (tx) => heads.archiveHead(tx, otherId, theirs.headId, NOON),
  mergeHeads: (tx) => heads.mergeHeads(tx, otherId, theirs.headId, theirs.secondHeadId, NOON),
  undoMerge: (tx) => heads.undoMerge(tx, otherId, theirs.mergeId),
  deleteHead: (tx) => heads.deleteHead(tx, otherId, theirs.headId),
  createPlan: async (tx) => {
    const headId = await heads.createHead(tx, otherId, CARD, aBrief().head, NOON);
    const { measurement } = (await heads.findHead(tx, otherId, headId))!;
    return plans.createPlan(
      tx,
      otherId,
      { ...card, headId, measurementId: measurement.id, status: 'draft' },
      NOON,
    );
  },
  savePlan: (tx) => plans.savePlan(tx, otherId, theirs.planId, 1, { ...card, measurementId: 'x' }, NOON),
  keepPlan: (tx) => plans.keepPlan(tx, otherId, theirs.planId, 1, card, NOON),
  renamePlan: (tx) => plans.renamePlan(tx, otherId, theirs.planId, 'Mine now', NOON),
  carryPlans: (tx) => plans.carryPlans(tx, otherId, 'UTC', 'Asia/Kolkata', NOON),
  setPlanStatus: (tx) => plans.setPlanStatus(tx, otherId, theirs.planId, 'aside'),
  addEvents: (tx) =>
    setLog.addEvents(tx, otherId, theirs.setId, [sent('x', 'note', 1, { note: 'x' })], {
      deviceId: 'd', offsetMs: 0, nowMs: NOON, timeZone: 'UTC',
    }), // prettier-ignore
  correctStart: (tx) => setLog.correctStart(tx, otherId, theirs.setId, NOON - 1, NOON),
  startSet: async (tx) => {
    const headId = await heads.createHead(tx, otherId, CARD, aBrief().head, NOON);
    const { measurement } = (await heads.findHead(tx, otherId, headId))!;
    const { forecast, brief } = (await sets.findSet(tx, studioId, theirs.setId))!;
    return sets.startSet(tx, otherId, {
      headId, planId: null, layerProductIds: [], costMinor: null, measurementId: measurement.id, title: 'x', brief,
      forecast, modelVersion: 'x', dryingBelief: null, sections: [{ number: 1, zone: 'nape', side: 'left', areaCm2: 9, hairCount: 900, plannedMin: 2 }],
    }, NOON); // prettier-ignore
  },
  cancelSet: (tx) => sets.cancelSet(tx, otherId, theirs.setId, NOON),
  restoreSet: (tx) => sets.restoreSet(tx, otherId, theirs.cancelledId),
  saveProduct: (tx) => shelf.saveProduct(tx, otherId, { id: theirs.productId, revision: 1 }, PRODUCT, NOON),
  saveTool: (tx) => shelf.saveTool(tx, otherId, { id: theirs.toolId, revision: 1 }, TOOL, NOON),
  saveDryer: (tx) => shelf.saveDryer(tx, otherId, { id: theirs.dryerId, revision: 1 }, DRYER, NOON),
  saveMix: (tx) => shelf.saveMix(tx, otherId, { id: theirs.mix.id, revision: 1 }, theirs.mix, {}, NOON),
  takeOff: async (tx) => {
    await shelf.takeOff(tx, otherId, 'product', theirs.productId);
    await shelf.takeOff(tx, otherId, 'tool', theirs.toolId);
    await shelf.takeOff(tx, otherId, 'dryer', theirs.dryerId);
    await shelf.takeOff(tx, otherId, 'mix', theirs.mix.id);
  },
  weighProduct: (tx) => shelf.weighProduct(tx, otherId, theirs.productId, { leftG: 1, emptyG: null }, NOON),
  countAsUsed: (tx) => shelf.countAsUsed(tx, otherId, new Map([[theirs.productId, 50]])),
  makeBatch: (tx) =>
    shelf.makeBatch(
      tx,
      otherId,
      theirs.mix,
      { takes: [{ productId: theirs.productId, grams: 1 }], card: PRODUCT, batchG: 1 },
      NOON,
    ),
  countWhatWasUsed: (tx) => setCommands.countWhatWasUsed(tx, otherId, theirs.setId, {}),
  saveTakenDown: (tx) => setCommands.saveTakenDown(tx, otherId, theirs.setId, TAKEN_DOWN),
  saveStudio: (tx) =>
    studios.saveStudio(tx, otherId, {
      name: 'x',
      timeZone: 'UTC',
      currency: 'EUR',
      display: USUAL_DISPLAY,
      hand: 'firm',
      trimWeeks: 12,
    }),
  saveDisplay: (tx) => studios.saveDisplay(tx, otherId, { length: 'in' }),
  saveHandUnits: (tx) => studios.saveHandUnits(tx, otherId, {}),
  saveCurrency: (tx) => studios.saveCurrency(tx, otherId, 'USD'),
  saveWearDay: (tx) => wear.saveWearDay(tx, otherId, theirs.setId, { ...DAY, day: 2 }, NOON),
  endSet: (tx) => wear.endSet(tx, otherId, theirs.setId, { ...OUTCOME, note: 'x' }, NOON),
  reopenSet: (tx) => wear.reopenSet(tx, otherId, theirs.setId),
  wearDaysOf: (tx) => wear.wearDaysOf(tx, otherId, theirs.setId),
  photosOf: (tx) => photos.photosOf(tx, otherId, theirs.setId),
  photoBytes: (tx) => photos.photoBytes(tx, otherId, theirs.photoId, 'jpeg'),
  addPhoto: (tx) => photos.addPhoto(tx, otherId, theirs.setId, PHOTO, NOON),
  deletePhoto: (tx) => photos.deletePhoto(tx, otherId, theirs.photoId),
  measuresOf: (tx) => photos.measuresOf(tx, otherId, theirs.setId),
  keepMeasures: (tx) => photos.keepMeasures(tx, otherId, theirs.photoId, [MEASURE], NOON),
  keepMarks: (tx) =>
    photos.keepMarks(tx, otherId, theirs.photoId, [
      [1, 1],
      [2, 1],
      [1, 2],
      [1, 3],
    ]),
  deleteMeasure: (tx) => photos.deleteMeasure(tx, otherId, theirs.measureId),
  diaryOfSet: (tx) => diaries.diaryOfSet(tx, otherId, theirs.setId, NOON),
  standingImport: (tx) => imports.standingImport(tx, otherId, theirs.importId),
  takeDaysIn: (tx) => imports.takeDaysIn(tx, otherId, theirs.importId, [], NOON),
  noteImported: (tx) =>
    imports.noteImported(tx, otherId, theirs.importId, [{ rowId: 'x', setId: theirs.setId }]),
  undoDays: (tx) => imports.undoDays(tx, otherId, theirs.importId, NOON),
  undoSets: (tx) => imports.undoSets(tx, otherId, theirs.importId),
  endImport: (tx) => imports.endImport(tx, otherId, theirs.importId, NOON),
  saveEarlierDay: (tx) => wear.saveEarlierDay(tx, otherId, theirs.setId, DAY, NOON),
  addCare: (tx) => care.addCare(tx, otherId, { ...CARE, headId: theirs.headId }, NOON),
  deleteCare: (tx) => care.deleteCare(tx, otherId, theirs.careId),
  syncCalendar: (tx) => care.syncCalendar(tx, otherId, [], NOON),
  outcomesOf: (tx) => wear.outcomesOf(tx, otherId, theirs.setId),
  keepEvidence: (tx) => evidence.keepEvidence(tx, otherId, [{ setId: theirs.setId, seen: SEEN }]),
  saveFault: (tx) => evidence.saveFault(tx, otherId, theirs.setId, { ...FAULT, revision: 1 }, NOON),
  faultOf: (tx) => evidence.faultOf(tx, otherId, theirs.setId),
  lastTouched: (tx) => evidence.lastTouched(tx, otherId),
  learningSettings: (tx) => evidence.learningSettings(tx, otherId),
  keepLearningSettings: (tx) => evidence.keepLearningSettings(tx, otherId, { noticeable: 2 }),
  addPerson: (tx) =>
    people.addPerson(tx, otherId, { name: 'X', role: 'owner', colour: 0, secretHash: 'x' }, NOON),
  changePerson: (tx) =>
    people.changePerson(
      tx,
      otherId,
      theirs.signed.personId,
      { name: 'Mine now', role: 'owner', colour: 1, secretHash: 'x' },
      NOON,
    ),
  revokePerson: (tx) => people.revokePerson(tx, otherId, theirs.signed.personId, NOON),
  setSecret: (tx) => people.setSecret(tx, otherId, theirs.signed.personId, 'x', NOON),
  saveOwnWays: (tx) => people.saveOwnWays(tx, otherId, theirs.signed.personId, { hand: 'firm' }),
  saveHand: (tx) => studios.saveHand(tx, otherId, 'firm'),
  makeCode: (tx) => devices.makeCode(tx, otherId, { role: 'owner', tokenHash: 'x', typedHash: 'y' }, NOON),
  revokeDevice: (tx) => devices.revokeDevice(tx, otherId, theirs.signed.deviceId, NOON),
  beginSession: (tx) => {
    const { personId, deviceId } = theirs.signed;
    return devices.beginSession(tx, otherId, { personId, deviceId, tokenHash: 'z' }, NOON);
  },
  endSessionsOn: (tx) => devices.endSessionsOn(tx, otherId, theirs.signed.deviceId, NOON),
  noteSeen: (tx) => devices.noteSeen(tx, otherId, theirs.signed.deviceId, NOON + 9),
  addPasskey: (tx) =>
    passkeys.addPasskey(tx, otherId, { ...PASSKEY, id: 'x', personId: theirs.signed.personId }, NOON),
  noteSigned: (tx) => passkeys.noteSigned(tx, otherId, PASSKEY.id, 99),
  removePasskeys: (tx) => passkeys.removePasskeys(tx, otherId, theirs.signed.personId),
  setChallenge: (tx) => passkeys.setChallenge(tx, otherId, theirs.signed.deviceId, 'x', NOON),
  takeChallenge: (tx) => passkeys.takeChallenge(tx, otherId, theirs.signed.deviceId, NOON),
  noteDeed: (tx) => deeds.noteDeed(tx, otherId, { person: null, device: null }, 'studio', null, NOON + 1),
  makeLink: (tx) => clientLinks.makeLink(tx, otherId, theirs.planId, 'x', NOON),
  revokeLink: (tx) => clientLinks.revokeLink(tx, otherId, theirs.linkId, NOON),
  noteOpened: async (tx) => {
    const [link] = await clientLinks.linksOf(tx, studioId, theirs.planId, NOON);
    await clientLinks.noteOpened(tx, otherId, link!, NOON + 9);
  },
  findWearDay: (tx) => wear.findWearDay(tx, otherId, theirs.setId, 0, 'whole'),
  moveWearDays: (tx) => wear.moveWearDays(tx, otherId, theirs.setId, NOON, NOON - 86_400_000, 'UTC'),
};

/** Not about the rows of one studio. */
const OF_NO_STUDIO = [
  // By a secret, which is of one studio.
  'pairDevice',
  'deviceBy',
  'signedInBy',
  'linkBy',
  'isSeenLater',
  'countGuess',
  'forgetGuesses',
  'letGuessAgain',
  'wrongSecret',
  'findStudio',
  'calendarKeyOf',
  'beginImport',
  'columnsOf',
  'readWearDay',
  'sameMeasure',
  'currentStudio',
  'asideStudio',
  'createStudio',
  'changeStudio',
  'databaseAnswers',
];

describe('in another studio', () => {
  it('every row function is tried', () => {
    const all = [
      care,
      clientLinks,
      deeds,
      devices,
      diaries,
      evidence,
      heads,
      imports,
      passkeys,
      people,
      photos,
      plans,
      setLog,
      sets,
      shelf,
      studios,
      wear,
    ].flatMap((module) =>
      Object.entries(module).flatMap(([name, value]) => (typeof value === 'function' ? [name] : [])),
    );
    const tried = [...Object.keys(READS), ...Object.keys(WRITES), ...OF_NO_STUDIO];
    expect([...all].sort()).toEqual([...tried].sort());
  });

  it.each(Object.keys(READS))('%s finds nothing', async (name) => {
    const found = await READS[name]!();
    expect(found === null || (Array.isArray(found) && found.length === 0)).toBe(true);
  });

  it.each(Object.keys(WRITES))('%s changes nothing there', async (name) => {
    const before = await everythingOf(studioId);
    await database.write(WRITES[name]!).catch((thrown: unknown) => {
      expect(thrown).toMatchObject({ code: expect.stringMatching(/not-found|invalid|conflict/) as string });
    });
    expect(await everythingOf(studioId)).toBe(before);
  });
});
