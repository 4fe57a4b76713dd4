import 'server-only';
import { halfOutcome } from '@/core/diary/outcome';
import { MODEL_VERSION } from '@/core/plan/forecast';
import { runEvent, type RunEventDetail, type RunEventKind } from '@/core/run/run-event';
import { localMs } from '@/core/schedule/local-time';
import type { TechniqueId } from '@/core/techniques';
import type { EndReasonId } from '@/core/wear/end-reasons';
import { wearDayNumber } from '@/core/wear/wear-day-number';
import type { Call } from '@/server/action';
import type { Tx } from '@/server/db/client';
import { newId } from '@/server/db/id';
import { findHead } from '@/server/db/rows/heads';
import { startSet } from '@/server/db/rows/set-commands';
import { addEvents } from '@/server/db/rows/set-log';
import { endSet } from '@/server/db/rows/wear';
import { AppError, invalid } from '@/server/errors';
import { inPool } from '@/server/pool';
import { usualPlan } from '../../plan/usual-plan';

/** A time on the studio's clock as a moment. */
export function momentOf(call: Call, local: string, path: string): number {
  const ms = localMs(local, call.actor.studio.timeZone);
  if (ms === null) throw invalid(path, `“${local}” is not a time that exists`);
  return ms;
}

/** Writes one event of the server's own into the log of a set, and answers its id. */
export async function tell(
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

/** A set that was done elsewhere, as it is told. Times are of the studio's clock. */
export interface ToldSet {
  readonly headId: string;
  readonly technique: TechniqueId;
  readonly sections: number;
  readonly title: string;
  readonly begun: string;
  readonly installed: string;
  readonly dried: string | null;
  readonly takenDown: string;
  readonly note: string;
  readonly ended: {
    readonly date: string;
    readonly reason: EndReasonId;
    readonly wouldHaveGoneOn?: boolean | null;
  } | null;
}

/**
 * Writes a set down that was done elsewhere. It counts for the days it lasted; what nobody saw here, such as pace and
 * definition, stays unknown.
 *
 * @param then what is written with it, all or nothing
 * @returns its id
 * @throws AppError not-found for a head that is not here, or invalid for times that cannot be
 */
export async function enterTold(
  call: Call,
  input: ToldSet,
  then?: (tx: Tx, setId: string) => Promise<void>,
): Promise<string> {
  const { actor, database, nowMs } = call;
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
  return database.write(async (tx) => {
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
      const { reason, wouldHaveGoneOn = null } = input.ended;
      const ended = { half: 'whole', lastGoodDay, reason, wouldHaveGoneOn, note: input.note } as const;
      await endSet(tx, studioId, id, halfOutcome.parse(ended), nowMs);
    }
    await then?.(tx, id);
    return id;
  });
}
