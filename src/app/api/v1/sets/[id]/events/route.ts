import { fieldErrors } from '@/core/formats/field-error';
import { z } from 'zod';
import type { RunEvent } from '@/core/run/run-event';
import {
  setEventsInput,
  type HeardEvent,
  type SetEventsAnswer,
  type SetEventsPage,
} from '@/core/run/set-events';
import { query } from '@/server/action';
import { actorWho } from '@/server/actor-who';
import { database } from '@/server/db/client';
import { env } from '@/server/env';
import { addEvents, eventsAfter, lastPlace } from '@/server/db/rows/set-log';
import { areStreamsFull, eventStream } from '@/server/event-stream';
import { followSet, readOnce, tellSet } from '@/server/live';
import { AppError } from '@/server/errors';
import { concernsShelf, concernsTakedown, keepTakenDown, keepUsed } from '@/server/taken-down';
import { readJson, route } from '@/server/route';
import { isStopping } from '@/server/stopping';

/** Taps of the chair. A plain address whose shape outlives builds, with a verdict for each event. */
export const POST = route<{ id: string }>('chair', async (request, { id }) => {
  const sent = setEventsInput.safeParse(await readJson(request), { reportInput: true });
  if (!sent.success) throw new AppError('invalid', fieldErrors(sent.error));
  const { deviceId, offsetMs, events } = sent.data;
  const answer = await query('chair', async ({ actor, database, nowMs }): Promise<SetEventsAnswer> => {
    const { id: studioId, timeZone } = actor.studio;
    const verdicts = await database.write((tx) =>
      addEvents(tx, studioId, id, events, {
        ...{ deviceId, offsetMs, nowMs, timeZone },
        by: actor.person?.name,
      }),
    );
    tellSet(id);
    if (concernsTakedown(events)) await keepTakenDown(database, studioId, id);
    if (concernsShelf(events)) await keepUsed(database, actor.studio, id);
    return { format: 1, serverMs: Date.now(), verdicts };
  });
  return Response.json(answer);
});

const after = z.coerce
  .number({ error: 'after must be a place in the log, such as 12' })
  .int('after must be a whole number')
  .min(0, 'after must be 0 or more')
  .default(0);

const asWire = ({ sequence, ...event }: RunEvent): SetEventsPage['events'][number] => ({
  sequence: sequence ?? 0,
  event: { ...event, of: event.of && [...event.of] },
});

/**
 * The log of a set after a place in it. Once, or, for who accepts Server-Sent Events, on and on; a browser that was
 * cut off says itself what it heard last.
 */
export const GET = route<{ id: string }>('chair', async (request, { id }) => {
  const asked = z.object({ after }).safeParse({
    after:
      request.headers.get('last-event-id') ?? new URL(request.url).searchParams.get('after') ?? undefined,
  });
  if (!asked.success) throw new AppError('invalid', fieldErrors(asked.error));
  const readAfter = async (place: number) =>
    (
      await query('chair', ({ actor, database: { db } }) =>
        readOnce(id, `${actor.studio.id}/${place}`, () => eventsAfter(db, actor.studio.id, id, place)),
      )
    ).map(asWire);
  const first = await readAfter(asked.data.after);
  if (request.headers.get('accept')?.includes('text/event-stream')) {
    if (isStopping()) throw new AppError('closing');
    if (areStreamsFull()) throw new AppError('busy');
    // Asked for all who follow this set here, whoever of them may come in a moment later.
    const { id: studioId } = (await actorWho('chair')).studio;
    const place = () => lastPlace(database().db, studioId, id);
    return eventStream(
      asked.data.after,
      async (place) =>
        (await readAfter(place)).map((one) => ({ sequence: one.sequence, data: one satisfies HeardEvent })),
      (hear) => followSet(id, hear, env.isShared ? place : null),
      request.signal,
    );
  }
  return Response.json({ format: 1, events: first } satisfies SetEventsPage);
});
