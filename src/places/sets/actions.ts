'use server';
import { revalidatePath } from 'next/cache';
import { MODEL_VERSION } from '@/core/plan/forecast';
import { runEvent, type RunEventDetail, type RunEventKind } from '@/core/run/run-event';
import { localMs } from '@/core/schedule/local-time';
import { wearDayNumber } from '@/core/wear/wear-day-number';
import { action, type Call } from '@/server/action';
import type { Tx } from '@/server/db/client';
import { newId } from '@/server/db/id';
import { findHead } from '@/server/db/rows/heads';
import { addEvents, correctStart as correctStartRow } from '@/server/db/rows/set-log';
import { tellSet } from '@/server/live';
import {
  cancelSet as cancelSetRow,
  restoreSet as restoreSetRow,
  startSet,
} from '@/server/db/rows/set-commands';
import { halfOutcome } from '@/core/diary/outcome';
import { endSet, reopenSet } from '@/server/db/rows/wear';
import { keepTakenDown } from '@/server/taken-down';
import { AppError, invalid } from '@/server/errors';
import { inPool } from '@/server/pool';
import { usualPlan } from '../plan/usual-plan';
import {
  enterSetInput,
  eventInput,
  moveEventInput,
  moveStartInput,
  outcomesInput,
  setIdInput,
} from './sets-input';

/** A time on the studio's clock as a moment. */
function momentOf(call: Call, local: string, path: string): number {
  const ms = localMs(local, call.actor.studio.timeZone);
  if (ms === null) throw invalid(path, `“${local}” is not a time that exists`);
  return ms;
}

/** Writes one event of the server's own into the log of a set, and answers its id. */
async function tell(
  tx: Tx,
  { actor, nowMs }: Call,
  setId: string,
  kind: RunEventKind,
  atMs: number,
  detail: RunEventDetail = {},
): Promise<string> {
  const { sequence: _, ...event } = runEvent(newId(nowMs), kind, atMs, detail);
  const { id: studioId, timeZone } = actor.studio;
  const [verdict] = await addEvents(tx, studioId, setId, [event], {
    deviceId: 'server',
    offsetMs: 0,
    nowMs,
    timeZone,
  });
  if (!verdict?.kept) throw invalid('at', verdict?.message ?? 'this cannot have happened');
  return event.id;
}

const changed = (setId: string) => {
  tellSet(setId);
  revalidatePath(`/sets/${setId}`);
  revalidatePath('/');
};

/** Takes back a set that was begun by mistake. */
export const cancelSet = action(setIdInput, async ({ input, actor, database, nowMs }) => {
  await database.write((tx) => cancelSetRow(tx, actor.studio.id, input.setId, nowMs));
  changed(input.setId);
  return {};
});

/** Brings a cancelled set back. */
export const bringBackSet = action(setIdInput, async ({ input, actor, database }) => {
  await database.write((tx) => restoreSetRow(tx, actor.studio.id, input.setId));
  changed(input.setId);
  return {};
});

/** Gives something that happened its right time; answers the correction, by which it can be undone. */
export const moveEvent = action(moveEventInput, async (call) => {
  const { setId, eventId, at } = call.input;
  const toMs = momentOf(call, at, 'at');
  const id = await call.database.write((tx) =>
    tell(tx, call, setId, 'moved', call.nowMs, { of: [eventId], toMs }),
  );
  await keepTakenDown(call.database, call.actor.studio.id, setId);
  changed(setId);
  return { eventId: id };
});

/** Takes something back that did not happen; answers the correction, by which it can be undone. */
export const takeBackEvent = action(eventInput, async (call) => {
  const { setId, eventId } = call.input;
  const id = await call.database.write((tx) =>
    tell(tx, call, setId, 'taken-back', call.nowMs, { of: [eventId] }),
  );
  await keepTakenDown(call.database, call.actor.studio.id, setId);
  changed(setId);
  return { eventId: id };
});

/** Corrects when a set was begun. */
export const moveStart = action(moveStartInput, async (call) => {
  const { setId, at } = call.input;
  const atMs = momentOf(call, at, 'at');
  await call.database.write((tx) => correctStartRow(tx, call.actor.studio.id, setId, atMs, call.nowMs));
  changed(setId);
  return {};
});

/** Takes a giving up back; answers what was recorded, so that it can be put back. */
export const takeBackGivingUp = action(setIdInput, async ({ input, actor, database }) => {
  const outcomes = await database.write((tx) => reopenSet(tx, actor.studio.id, input.setId));
  changed(input.setId);
  return { outcomes };
});

/** Puts a giving up back as it was. */
export const putGivingUpBack = action(outcomesInput, async ({ input, actor, database, nowMs }) => {
  const { setId, outcomes } = input;
  await database.write(async (tx) => {
    for (const ended of outcomes) await endSet(tx, actor.studio.id, setId, ended, nowMs);
  });
  changed(setId);
  return {};
});

/**
 * Writes a set down that was done elsewhere. It counts for the days it lasted; what nobody saw here, such as pace and
 * definition, stays unknown.
 */
export const enterSet = action(enterSetInput, async (call) => {
  const { actor, database, nowMs } = call;
  const input = call.input.form;
  const { id: studioId, timeZone } = actor.studio;
  const head = await findHead(database.db, studioId, input.headId);
  if (!head) throw new AppError('not-found');
  const times = (
    [
      ['begun', input.begun],
      ['installed', input.installed],
      ['dried', input.dried],
      ['takenDown', input.takenDown],
    ] as const
  ).flatMap(([path, local]) => (local === null ? [] : [{ path, ms: momentOf(call, local, path) }]));
  times.forEach(({ path, ms }, i) => {
    if (ms > nowMs) throw invalid(path, 'that has not come yet');
    if (i > 0 && ms < times[i - 1]!.ms) throw invalid(path, 'this is before what comes before it');
  });
  const at = Object.fromEntries(times.map(({ path, ms }) => [path, ms])) as Record<string, number>;
  const { brief } = usualPlan(head.name, head.measurement.head, head.schools, actor.studio, at.begun!);
  const { prep: _, sleep: __, wearBy: ___, ...plain } = brief;
  const told = {
    ...plain,
    set: { technique: input.technique, sections: input.sections, layers: [] },
    drying: [{ method: 'air' as const, hours: 8 }],
  };
  const given = await inPool('begin', told);
  if (!given.ok) throw new AppError('invalid', given.errors);
  const setId = await database.write(async (tx) => {
    const id = await startSet(
      tx,
      studioId,
      {
        headId: head.id,
        planId: null,
        measurementId: head.measurement.id,
        title: input.title || 'Done elsewhere',
        brief: told,
        forecast: given.value.plan,
        layerProductIds: [],
        modelVersion: MODEL_VERSION,
        dryingBelief: null,
        costMinor: null,
        isEnteredLater: true,
        sections: given.value.sections,
      },
      at.begun!,
    );
    await tell(tx, call, id, 'installed', at.installed!);
    if (at.dried !== undefined) await tell(tx, call, id, 'dried', at.dried);
    await tell(tx, call, id, 'taken-down', at.takenDown!);
    if (input.note) await tell(tx, call, id, 'note', at.takenDown!, { note: input.note });
    if (input.ended) {
      const lastGoodDay = wearDayNumber(input.ended.date, at.takenDown!, timeZone);
      if (lastGoodDay === null || lastGoodDay < 0)
        throw invalid('lastGoodDate', 'the last good day cannot be before the takedown');
      const { reason } = input.ended;
      const ended = { half: 'whole', lastGoodDay, reason, note: input.note } as const;
      await endSet(tx, studioId, id, halfOutcome.parse(ended), nowMs);
    }
    return id;
  });
  changed(setId);
  return { id: setId };
});
