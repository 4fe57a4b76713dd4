/** Next calls this once before it serves. */
export async function register() {
  // Next defines this at build time; the edge build must not see the database.
  // eslint-disable-next-line no-restricted-properties
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { prepareDatabase } = await import('./server/start');
  await prepareDatabase();
}
