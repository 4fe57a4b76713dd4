import { backUp, restore } from '@/server/db/backup';
import { env } from '@/server/env';
import { AppError } from '@/server/errors';
import type { Command } from './command';
import { refuse, refuseAll } from './refuse';

/** Runs something that may refuse, with one file named. */
const withFile = (help: string, run: (file: string) => Promise<string>): Command => ({
  help,
  run: async (args) => {
    if (args.length !== 1) return refuse('name one file');
    try {
      console.log(await run(args[0]!));
      return 0;
    } catch (thrown) {
      if (thrown instanceof AppError) return refuseAll(thrown.errors);
      throw thrown;
    }
  },
});

/** `keen backup`: the whole database into a new file, also while the server runs. */
export const backupCommand = withFile(
  `keen backup FILE   copy the whole database into a new file, also while the server runs`,
  async (file) => {
    await backUp(env.databaseUrl, file);
    return JSON.stringify({ kept: file });
  },
);

/** `keen restore`: a copy back in its place. */
export const restoreCommand = withFile(
  `keen restore FILE   put a copy in the place of the database; stop the server first

What was there is kept beside it, byte for byte, whatever state it is in.`,
  async (file) =>
    JSON.stringify({ restored: file, before: await restore(env.databaseUrl, file, Date.now()) }),
);
