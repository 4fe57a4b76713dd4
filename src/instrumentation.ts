/** Next calls this once before it serves. */
export async function register() {
  // Next defines this at build time; the edge build must not see the database.
  // eslint-disable-next-line no-restricted-properties
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { startServer } = await import('./server/start');
  const { AppError } = await import('./server/errors');
  try {
    await startServer();
  } catch (thrown) {
    if (!(thrown instanceof AppError)) throw thrown;
    // Words for whoever sits at the terminal; the log of the program is for codes.
    // eslint-disable-next-line no-console
    console.error(thrown.errors.map(({ message }) => message).join('\n'));
    process.exit(1);
  }
}
