'use server';
import { join } from 'node:path';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { USUAL_DISPLAY } from '@/core/formats/display';
import { readDisplay } from '@/core/formats/read-display';
import { action } from '@/server/action';
import { requireComputer } from '@/server/actor-who';
import { restore } from '@/server/db/backup';
import { whileClosed } from '@/server/db/client';
import { saveOwnWays } from '@/server/db/rows/people';
import { carryPlans } from '@/server/db/rows/plans';
import {
  asideStudio,
  calendarKeyOf,
  changeStudio,
  findStudio,
  saveDisplay,
  saveStudio as saveStudioRow,
} from '@/server/db/rows/studios';
import { copiesFolder, listCopies, takeCopy as takeCopyNow } from '@/server/db/scheduled-backups';
import { env } from '@/server/env';
import { AppError, invalid } from '@/server/errors';
import { forgetForecasts } from '@/server/forecast-cache';
import { forgetLearning } from '@/server/learning';
import { prepareDatabase } from '@/server/start';
import { copyInput, ownStudioInput, saveStudioInput, unitsInput } from './studio-input';

/** Keeps the card of the studio, unless another tab kept another one meanwhile. */
export const saveStudio = action('studio', saveStudioInput, async ({ input, actor, database, nowMs }) => {
  await database.write(async (tx) => {
    const studio = await findStudio(tx, actor.studio.id);
    if (!studio) throw new AppError('not-found');
    const { name, timeZone, currency, display, hand, trimWeeks } = studio;
    const now = { name, timeZone, currency, display: readDisplay(display), hand, trimWeeks };
    if (JSON.stringify(now) !== JSON.stringify(input.before)) throw new AppError('conflict');
    await saveStudioRow(tx, actor.studio.id, input.card);
    if (input.card.timeZone !== timeZone)
      await carryPlans(tx, actor.studio.id, timeZone, input.card.timeZone, nowMs);
  });
  revalidatePath('/', 'layout');
  return input.card;
});

/** Keeps which units lengths, weights and warmth are shown in: to whoever signed in, or in the studio. */
export const keepUnits = action('own', unitsInput, async ({ input, actor, database }) => {
  const { studio, person } = actor;
  await database.write((tx) =>
    person ? saveOwnWays(tx, studio.id, person.id, { display: input }) : saveDisplay(tx, studio.id, input),
  );
  return input;
});

/** Takes a copy of everything now. */
export const takeCopy = action('studio', z.strictObject({}), async ({ nowMs }) => {
  requireComputer();
  return takeCopyNow(nowMs);
});

/** Puts a copy back in the place of the database; what was there is kept beside it. */
export const restoreCopy = action('studio', copyInput, async ({ input, nowMs }) => {
  requireComputer();
  const copy = listCopies().find(({ name }) => name === input.name);
  if (!copy) throw invalid('name', 'this copy is not there any more');
  const aside = await whileClosed(() =>
    restore(env.databaseUrl, join(copiesFolder()!, copy.name), nowMs, true),
  );
  forgetForecasts();
  forgetLearning();
  await prepareDatabase();
  revalidatePath('/', 'layout');
  return { aside };
});

/** Puts the demo aside and starts a studio of one's own. */
export const startOwnStudio = action('studio', ownStudioInput, async ({ input, actor, database, nowMs }) => {
  requireComputer();
  await database.write((tx) =>
    changeStudio(
      tx,
      actor.studio.id,
      { ...input, display: USUAL_DISPLAY, currency: actor.studio.currency },
      nowMs,
    ),
  );
  revalidatePath('/', 'layout');
  return {};
});

/** Goes back to the studio that was put aside; the present one is put aside in its turn. */
export const bringBackStudio = action('studio', z.strictObject({}), async ({ actor, database, nowMs }) => {
  requireComputer();
  await database.write(async (tx) => {
    const aside = await asideStudio(tx);
    if (!aside) throw invalid('', 'no studio is put aside');
    await changeStudio(tx, actor.studio.id, { id: aside.id }, nowMs);
  });
  revalidatePath('/', 'layout');
  return {};
});

/** Makes the address that calendars read, where there is none yet. */
export const makeCalendarAddress = action('studio', z.object({}), async ({ actor, database }) => {
  const key = await database.write((tx) => calendarKeyOf(tx, actor.studio.id));
  revalidatePath('/studio');
  return { key };
});
