import { randomBytes } from 'node:crypto';
import { CODE_LASTS_MS, shownCode, typedCode } from '@/core/people/pairing-code';
import { openDatabase } from '@/server/db/client';
import { makeCode } from '@/server/db/rows/devices';
import { currentStudio } from '@/server/db/rows/studios';
import { env } from '@/server/env';
import { digestOf, newCodeToken } from '@/server/secrets';
import type { Command } from './command';
import { refuse } from './refuse';

/** `keen pair`: a code for an owner's device, also while the server runs. The way in where nobody sits at the computer. */
export const pairCommand: Command = {
  help: `keen pair   print a code that pairs one device, once, within two minutes, for an owner

For a studio whose computer nobody sits at, or where everybody signs in: open /pair there and type it. Where there is no
owner yet, that device writes down who she is. Whoever can run this can read the database anyway.`,
  run: async (args) => {
    if (args.length > 0) return refuse('this takes nothing more');
    const database = openDatabase(env.databaseUrl);
    try {
      const studio = await currentStudio(database.db);
      if (!studio) return refuse('there is no studio yet; start the program once');
      const typed = typedCode(new Uint32Array(Uint8Array.from(randomBytes(32)).buffer));
      await database.write((tx) =>
        makeCode(
          tx,
          studio.id,
          { role: 'owner', tokenHash: digestOf(newCodeToken()), typedHash: digestOf(typed) },
          Date.now(),
        ),
      );
      console.log(
        JSON.stringify({ code: shownCode(typed), studio: studio.name, seconds: CODE_LASTS_MS / 1000 }),
      );
      return 0;
    } finally {
      database.close();
    }
  },
};
