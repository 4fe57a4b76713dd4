import 'server-only';
import { clockOf, readDisplay } from '@/core/formats/read-display';
import { standingForecast } from '@/core/plan/as-taken-down';
import { halvesOf, saidOfHalves } from './known-day';
import { query } from '@/server/action';
import type { Reader } from '@/server/db/client';
import { findSet } from '@/server/db/rows/sets';
import { listSets } from '@/server/db/rows/set-lists';
import { cameOutOf } from '@/server/came-out';
import { careOfHeads } from '@/server/care';
import { diaryOfSet } from '@/server/db/rows/diaries';
import { AppError, invalid } from '@/server/errors';
import { diaryPage, homePaper, type HomeSet, type HomeWords } from './home-page';

/** Styles being worn. */
export const loadWorn = () =>
  query('read', async ({ actor, database, nowMs }) => ({
    sets: await listSets(database.db, actor.studio.id, 'worn'),
    clock: clockOf(actor.studio),
    nowMs,
  }));

/** What today's entry of a style that is worn opens with; null where the set is gone. */
export async function tonightOf(reader: Reader, studioId: string, setId: string, day: number) {
  const set = await findSet(reader, studioId, setId);
  if (!set) return null;
  const halves = halvesOf(set.brief.parting?.trial === true);
  const standing = standingForecast(set.forecast, set.asTakenDown);
  return {
    setId,
    day,
    halves,
    days: set.wearDays.filter((one) => one.day === day || one.day === day - 1),
    measured: day === 0 ? set.run.measured : null,
    said: saidOfHalves(standing, day, halves, set.brief.parting?.namesHidden === true),
    skin: set.skinTone,
    hair: set.hairTone,
  };
}
export type Tonight = NonNullable<Awaited<ReturnType<typeof tonightOf>>>;

/** What goes home with a set: the diary as a file and on paper. Made where there is none yet. */
export const loadTakenHome = (setId: string) =>
  query('read', async ({ actor: { studio }, database, nowMs }) => {
    const set = await findSet(database.db, studio.id, setId);
    if (!set) throw new AppError('not-found');
    const { takenDownAtMs } = set;
    if (takenDownAtMs === null)
      throw invalid('setId', 'this set has not been taken down yet; its diary begins with the takedown');
    const diary = await database.write((tx) => diaryOfSet(tx, studio.id, setId, nowMs));
    const [care] = await careOfHeads(database.db, studio, nowMs, set.headId);
    const wash = care?.due.find(({ kind }) => kind === 'wash');
    const home: HomeSet = {
      ...set,
      takenDownAtMs,
      forecast: standingForecast(set.forecast, set.asTakenDown),
    };
    const words: HomeWords = {
      studioName: studio.name,
      clock: clockOf(studio),
      washOn: wash?.date ?? null,
    };
    return {
      page: diaryPage(home, diary, words),
      paper: homePaper(home, words),
      brief: set.brief,
      cameOut: cameOutOf(set),
      units: readDisplay(studio.display),
      madeAtMs: nowMs,
    };
  });
