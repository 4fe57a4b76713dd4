import { rmSync } from 'node:fs';
import { fittedSpreads } from '@/core/evidence/fitted-studio';
import { learntOfHead } from '@/core/evidence/learning';
import { EMPTY_DAY } from '@/core/diary/day-entry';
import { createStudio } from '@/server/db/rows/studios';
import { saveWearDay } from '@/server/db/rows/wear';
import { forgetLearning, studioKnowledge, wholeKnowledge } from '@/server/learning';
import { aDatabase, freePort, serve } from '../tests/support/server';
import { generateLog } from './generate-log';

const ROUNDS = 12;
const WARM = 3;
const IDLE_MS = 1000;
const PAUSE_MS = 100;

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};

async function summary(work: () => Promise<unknown>, rounds = ROUNDS): Promise<string> {
  for (let i = 0; i < WARM; i++) await work();
  const times: number[] = [];
  for (let i = 0; i < rounds; i++) times.push(await timed(work));
  times.sort((a, b) => a - b);
  return `median ${times[Math.floor(rounds / 2)]!.toFixed(0)} ms, most ${times.at(-1)!.toFixed(0)} ms`;
}

/** Findings and learning over logs of a thousand, three thousand and ten thousand sets. */
export async function benchFindings(): Promise<void> {
  for (const sets of [1000, 3000, 10_000]) {
    const nowMs = Date.now();
    const { folder, url, database } = await aDatabase('empty', nowMs);
    const studio = await database.write((tx) =>
      createStudio(tx, { name: 'Bench', timeZone: 'Europe/Lisbon' }, nowMs),
    );
    await generateLog(database, studio.id, { sets, heads: 100, seed: 1 }, nowMs);
    const { rows } = await database.client.execute('select count(*) as n from wear_days');
    console.log(`${sets} sets, ${String(rows[0]!.n)} days`);

    forgetLearning();
    const whole = () => wholeKnowledge(database, studio);
    console.log(`  all learnt from nothing: ${(await timed(whole)).toFixed(0)} ms`);
    const knowledge = await studioKnowledge(database, studio);
    const last = knowledge.sets.at(-1)!;
    let revision = 1;
    const save = async () => {
      const day = {
        ...EMPTY_DAY,
        day: 0,
        half: 'whole',
        ratings: { definition: revision % 10 },
        ratedBy: null,
        source: 'studio',
        revision,
      } as const;
      await database.write((tx) => saveWearDay(tx, studio.id, last.id, day, nowMs));
      revision += 1;
      learntOfHead((await studioKnowledge(database, studio)).learning, last.headId);
    };
    console.log(`  a day saved to the head learnt anew: ${await summary(save)}`);
    console.log(
      `  spreads fitted anew: ${(await timed(() => Promise.resolve(fittedSpreads(knowledge.sets)))).toFixed(0)} ms`,
    );

    const { origin, end } = await serve(url, await freePort());
    const get = async (path: string) => {
      const answer = await fetch(origin + path);
      if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
      return answer.text();
    };
    const first = await timed(() => get('/findings'));
    await new Promise((wait) => setTimeout(wait, IDLE_MS));
    console.log(`  Findings, the first time: ${first.toFixed(0)} ms`);
    for (const [name, path] of [
      ['Findings', '/findings'],
      ['Findings of a head', `/findings?head=${last.headId}`],
      ['a head', `/heads/${last.headId}`],
      ['Today', '/'],
    ] as const)
      console.log(`  ${name}: ${await summary(() => get(path))}`);
    await save();
    console.log(
      `  Findings, just after a day was saved: ${(await timed(() => get('/findings'))).toFixed(0)} ms`,
    );
    const isNew = async () => {
      while ((await get('/findings')).includes('The log has changed since'))
        await new Promise((wait) => setTimeout(wait, PAUSE_MS));
    };
    console.log(`  and what they say then, from: ${(await timed(isNew)).toFixed(0)} ms`);
    await end('SIGTERM');
    database.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
