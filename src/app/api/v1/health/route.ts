import { database } from '@/server/db/client';
import { databaseAnswers } from '@/server/db/rows/studios';
import { route } from '@/server/route';
import { version } from '@/server/version';

export const dynamic = 'force-dynamic';

export const GET = route('public', async () =>
  Response.json({ ok: await databaseAnswers(database().db), version }),
);
