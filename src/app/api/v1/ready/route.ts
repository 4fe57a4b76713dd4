import { setTimeout as sleep } from 'node:timers/promises';
import { database } from '@/server/db/client';
import { databaseAnswers } from '@/server/db/rows/studios';
import { AppError } from '@/server/errors';
import { route } from '@/server/route';
import { isStopping } from '@/server/stopping';

export const dynamic = 'force-dynamic';

/** Longest that the database is waited for, ms. */
const PATIENCE_MS = 1000;

/** Whether work can be sent here: the database answers, and the program is not being stopped. */
export const GET = route('public', async () => {
  if (isStopping()) throw new AppError('closing');
  const isReady = await Promise.race([
    databaseAnswers(database().db).catch(() => false),
    sleep(PATIENCE_MS, false, { ref: false }),
  ]);
  if (!isReady) throw new AppError('closing');
  return Response.json({ ready: true });
});
