import type { Database } from '@/server/db/client';

/** Moves everything that happened to a set into the past, as if that many hours had gone by since. */
export async function letHoursPass({ client }: Database, setId: string, hours: number): Promise<void> {
  const ms = Math.round(hours * 3_600_000);
  await client.batch(
    [
      {
        sql: 'update set_events set at_ms = at_ms - ?, to_ms = to_ms - ? where set_id = ?',
        args: [ms, ms, setId],
      },
      {
        sql: `update sets set started_at_ms = started_at_ms - ?, installed_at_ms = installed_at_ms - ?,
              taken_down_at_ms = taken_down_at_ms - ? where id = ?`,
        args: [ms, ms, ms, setId],
      },
    ],
    'write',
  );
}
