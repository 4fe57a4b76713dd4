import next from 'next';
import { dirname, join } from 'node:path';
import { fileOf } from '../db/backup';
import { closeWell } from '../db/client';
import { env } from '../env';
import { AppError } from '../errors';
import { setDoors } from './network';
import { openDoors } from './open-doors';

/** Longest that requests are waited for once the program is asked to stop, ms. */
const PATIENCE_MS = 10_000;

/** Words for whoever sits at the terminal; the log of the program is for codes. */
function giveUp(thrown: unknown): never {
  const { code, port } = (thrown ?? {}) as { code?: string; port?: number };
  const words =
    code === 'EADDRINUSE'
      ? `Port ${port} is taken by another program; stop it, or name another port in PORT, HTTPS_PORT or OFFER_PORT`
      : thrown instanceof AppError
        ? thrown.errors.map(({ message }) => message).join('\n')
        : String(thrown);
  // eslint-disable-next-line no-console
  console.error(words);
  process.exit(1);
}

/** Where what belongs to this computer is kept: beside its database, or under `data` where that is elsewhere. */
const folder = join(dirname(fileOf(env.databaseUrl) ?? './data/x'), 'network');

let end = () => Promise.resolve();
let isAsked = false;
/** Heard from the first moment on: whoever stops a program that is only starting means it too. */
const stop = () => {
  if (isAsked) return;
  isAsked = true;
  setTimeout(() => process.exit(1), PATIENCE_MS).unref();
  void end()
    .then(closeWell)
    .then(() => process.exit(0));
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);

try {
  const app = next({ dev: false, dir: process.cwd() });
  await app.prepare();
  const answer = app.getRequestHandler();
  const doors = await openDoors((request, response) => void answer(request, response), folder);
  end = doors.close;
  setDoors(doors);
  const { origin, offer } = doors.state();
  // eslint-disable-next-line no-console
  console.log(
    `Keen Spiral is at http://${env.host}:${env.port}${origin ? `, for phones at ${origin}; trust at ${offer}` : ''}`,
  );
} catch (thrown) {
  giveUp(thrown);
}
