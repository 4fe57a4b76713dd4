import { fieldErrors } from '@/core/formats/field-error';
import { z } from 'zod';
import { setEventsInput, type SetEventsAnswer, type SetEventsPage } from '@/core/run/set-events';
import { query } from '@/server/action';
import { addEvents, eventsAfter } from '@/server/db/rows/set-log';
import { AppError } from '@/server/errors';
import { concernsTakedown, keepTakenDown } from '@/server/taken-down';
import { readJson, route } from '@/server/route';

/** Taps of the chair. A plain address whose shape outlives builds, with a verdict for each event. */
export const POST = route<{ id: string }>(async (request, { id }) => {
  const sent = setEventsInput.safeParse(await readJson(request), { reportInput: true });
  if (!sent.success) throw new AppError('invalid', fieldErrors(sent.error));
  const { deviceId, offsetMs, events } = sent.data;
  const answer = await query(async ({ actor, database, nowMs }): Promise<SetEventsAnswer> => {
    const { id: studioId, timeZone } = actor.studio;
    const verdicts = await database.write((tx) =>
      addEvents(tx, studioId, id, events, { deviceId, offsetMs, nowMs, timeZone }),
    );
    if (concernsTakedown(events)) await keepTakenDown(database, studioId, id);
    return { format: 1, serverMs: Date.now(), verdicts };
  });
  return Response.json(answer);
});

const after = z.coerce
  .number({ error: 'after must be a place in the log, such as 12' })
  .int('after must be a whole number')
  .min(0, 'after must be 0 or more')
  .default(0);

/** The log of a set after a place in it: for a page that may have missed something while it was loaded or away. */
export const GET = route<{ id: string }>(async (request, { id }) => {
  const asked = z
    .object({ after })
    .safeParse({ after: new URL(request.url).searchParams.get('after') ?? undefined });
  if (!asked.success) throw new AppError('invalid', fieldErrors(asked.error));
  const events = await query(({ actor, database }) =>
    eventsAfter(database.db, actor.studio.id, id, asked.data.after),
  );
  const page: SetEventsPage = {
    format: 1,
    events: events.map(({ sequence, ...event }) => ({
      sequence: sequence ?? 0,
      event: { ...event, of: event.of && [...event.of] },
    })),
  };
  return Response.json(page);
});
