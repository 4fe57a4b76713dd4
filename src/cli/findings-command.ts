import { differencesOf, studioFindings } from '@/core/evidence/studio-findings';
import { migrateDatabase, openDatabase } from '@/server/db/client';
import { ratedTwice } from '@/server/db/rows/evidence';
import { listHeadNames } from '@/server/db/rows/heads';
import { listProducts } from '@/server/db/rows/shelf';
import { currentStudio } from '@/server/db/rows/studios';
import { env } from '@/server/env';
import { wholeKnowledge } from '@/server/learning';
import type { Command } from './command';
import { refuse } from './refuse';

/** `keen findings --json`: everything that a studio's log says, with the sets it rests on. */
export const findingsCommand: Command = {
  help: `keen findings --json   write all findings, each with the ids of the sets it rests on`,
  run: async (args) => {
    if (args.length !== 1 || args[0] !== '--json') return refuse('findings are written as JSON: add --json');
    const database = openDatabase(env.databaseUrl);
    try {
      await migrateDatabase(database, env.databaseUrl, Date.now());
      const studio = await currentStudio(database.db);
      if (!studio) return refuse('there is no studio yet: nothing was found');
      const { learning, sets, settings } = await wholeKnowledge(database, studio);
      const products = new Map(
        (await listProducts(database.db, studio.id)).map(({ id, name }) => [id, name]),
      );
      const productName = (id: string) => products.get(id) ?? null;
      const rated = await ratedTwice(database.db, studio.id);
      console.log(
        JSON.stringify({
          format: 'keen-spiral/findings',
          version: 1,
          studio: studio.name,
          setIds: sets.map(({ id }) => id),
          headNames: await listHeadNames(database.db, studio.id),
          ...studioFindings({ sets, noticeable: settings.noticeable, productName, rated }),
          differences: differencesOf(sets, learning.spreads, productName),
          stylists: learning.paces.stylists,
          spreads: { used: learning.spreads, fitted: settings.fitted, sets: settings.fittedSets },
          corrections: settings.corrections,
        }),
      );
      return 0;
    } finally {
      database.close();
    }
  },
};
