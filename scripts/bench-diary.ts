import Papa from 'papaparse';
import { measureOn, referenceOf } from '@/core/photo/measure';
import { ROWS_AT_ONCE, tables } from '@/core/tables/table';
import { writeWearRow } from '@/core/tables/wear-table';
import { EMPTY_DAY } from '@/core/diary/day-entry';
import { photos } from '@/server/db/schema';
import { cardAndCurlScene } from '../tests/support/photo-scenes';
import { crowd } from '../tests/support/crowd';
import { startServer } from '../tests/support/server';
import { drawnPicture } from './demo/pictures';

const ROWS = 60_000;
const SETS = 3000;
const PHOTOS = 60;
const DAY_MS = 86_400_000;

/** How long something takes, ms. */
async function timed<T>(run: () => Promise<T>): Promise<{ ms: number; value: T }> {
  const start = performance.now();
  const value = await run();
  return { ms: performance.now() - start, value };
}

const summary = (times: readonly number[]) => {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!.toFixed(0);
  return `median ${at(0.5)} ms, p95 ${at(0.95)} ms`;
};

/** Wear: tables in, pages with pictures, and measuring on a picture. */
export async function benchDiary(): Promise<void> {
  const picture = cardAndCurlScene(12, 10, 3);
  const found = await timed(() => Promise.resolve(referenceOf(picture, { by: 'own-card', barMm: 50 }, null)));
  console.log(
    `the printed card found in ${(picture.width * picture.height) / 1e6} MP: ${found.ms.toFixed(0)} ms`,
  );
  if (found.value.ok) {
    const reference = found.value.value;
    const curl = await timed(
      () =>
      Promise.resolve(measureOn(picture, reference, { what: 'curl', ends: [[906, 40], [913, 560]], halfWidthPx: 75 })), // prettier-ignore
    );
    console.log(`one curl measured: ${curl.ms.toFixed(0)} ms`);
  }

  const server = await startServer('demo');
  const { client, db } = server.database;
  const [worn] = (await client.execute('select id, studio_id, taken_down_at_ms from sets where taken_down_at_ms is not null and ended_at_ms is null')).rows; // prettier-ignore
  const setId = String(worn!.id);
  for (let i = 0; i < PHOTOS; i++) {
    const photo = await drawnPicture(i % 15, 'definition', i % 10, '#e9dcc1');
    await db
      .insert(photos)
      .values({ ...photo, id: `bench-${i}`, studioId: String(worn!.studio_id), setId, takenAtMs: i });
  }
  for (const [name, path] of [
    ['Today', '/'],
    [`a set with ${PHOTOS} pictures`, `/sets/${setId}`],
    ['its days of wear', `/wear/${setId}`],
  ] as const) {
    const times: number[] = [];
    for (let i = 0; i < 25; i++)
      times.push((await timed(async () => (await fetch(server.origin + path)).text())).ms);
    console.log(`${name}, on the server: ${summary(times.slice(5))}`);
  }

  await crowd(server.database, 200, SETS);
  // Connections that went to sleep meanwhile are noticed before they are used again.
  await new Promise((later) => setTimeout(later, 1000));
  const sets = (await client.execute('select s.id, h.name, s.taken_down_at_ms as down from sets s join heads h on h.id = s.head_id where s.taken_down_at_ms is not null and s.ended_at_ms is not null')).rows; // prettier-ignore
  const rows: string[][] = [];
  for (let day = 30; rows.length < ROWS; day++) {
    for (const set of sets) {
      if (rows.length >= ROWS) break;
      const down = new Date(Number(set.down)).toISOString().slice(0, 10);
      const date = new Date(Date.parse(down) + (day - 30) * DAY_MS).toISOString().slice(0, 10);
      const entry = { ...EMPTY_DAY, ratings: { definition: (day % 20) / 2, frizz: 3 } };
      rows.push(writeWearRow({ set: String(set.id), head: String(set.name), takenDown: down, date, half: 'whole', ratedBy: '', entry })); // prettier-ignore
    }
  }
  const text = Papa.unparse([[...tables['wear-days'].columns], ...rows]);
  const read = await timed(() => Promise.resolve(Papa.parse<string[]>(text).data));
  const post = async (path: string, body: unknown) =>
    (await (await fetch(server.origin + path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })).json()) as { importId: string; fates: { fate: string }[] }; // prettier-ignore
  const [columns, ...cells] = read.value;
  const send = async (importId: string | null) => {
    const counts: Record<string, number> = {};
    for (let from = 0; from < cells.length; from += ROWS_AT_ONCE) {
      const { fates } = await post('/api/v1/tables/wear-days/rows', {
        columns,
        rows: cells.slice(from, from + ROWS_AT_ONCE),
        importId,
      });
      for (const { fate } of fates) counts[fate] = (counts[fate] ?? 0) + 1;
    }
    return counts;
  };
  const looked = await timed(() => send(null));
  const { importId } = await post('/api/v1/tables/wear-days', { fileName: 'bench.csv' });
  const taken = await timed(() => send(importId));
  const undone = await timed(async () => (await fetch(`${server.origin}/api/v1/imports/${importId}`, { method: 'DELETE' })).json()); // prettier-ignore
  console.log(
    `${ROWS.toLocaleString('en-GB')} rows: read ${(read.ms / 1000).toFixed(1)} s, looked at ${(looked.ms / 1000).toFixed(1)} s, taken in ${(taken.ms / 1000).toFixed(1)} s (${JSON.stringify(taken.value)}), taken back ${(undone.ms / 1000).toFixed(1)} s`,
  );
  await server.stop();
}
