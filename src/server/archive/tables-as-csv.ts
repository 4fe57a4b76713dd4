import Papa from 'papaparse';
import { writeCheckRow } from '@/core/tables/checks-table';
import { guarded } from '@/core/tables/cells';
import { writeSetRow } from '@/core/tables/sets-table';
import { tables, type TableId } from '@/core/tables/table';
import { writeWearRow } from '@/core/tables/wear-table';
import { runState } from '@/core/run/run-state';
import { localTimeOf } from '@/core/schedule/local-time';
import { DAY_MS } from '@/core/units/time';
import type { Reader } from '../db/client';
import { enteredOf } from '../db/rows/imports';
import { everySet } from '../db/rows/set-lists';
import { eventsOf } from '../db/rows/set-log';
import type { WearDay } from '../db/rows/wear';

/** A file of rows: comma-separated (RFC 4180), a byte order mark for spreadsheets, no cell that they would run. */
const csvOf = (columns: readonly string[], rows: readonly (readonly string[])[]): string =>
  `\uFEFF${Papa.unparse([[...columns], ...rows.map((row) => row.map(guarded))], { newline: '\r\n' })}\r\n`;

/** A table of a studio as CSV, to be opened in a spreadsheet and read back here. */
export async function tableAsCsv(
  db: Reader,
  studio: { readonly id: string; readonly timeZone: string },
  table: TableId,
): Promise<string> {
  const all = await everySet(db, studio.id);
  const days =
    table === 'wear-days'
      ? await enteredOf(
          db,
          studio.id,
          all.map(({ id }) => id),
        )
      : null;
  const bySet = new Map<string, WearDay[]>();
  for (const [key, day] of days ?? []) {
    const id = key.slice(0, key.indexOf('/'));
    bySet.set(id, [...(bySet.get(id) ?? []), day]);
  }
  const local = (ms: number | null) => (ms === null ? '' : localTimeOf(ms, studio.timeZone));
  const rows: string[][] = [];
  for (const set of all) {
    const head = { set: set.id, head: set.headName };
    if (table === 'sets') {
      if (set.set === null) continue;
      rows.push(
        writeSetRow({
          ...head,
          title: set.title,
          technique: set.set.technique,
          sections: set.set.sections ?? 1,
          begun: local(set.startedAtMs),
          allIn: local(set.installedAtMs),
          takenDown: local(set.takenDownAtMs),
          lastGoodDay: set.lastGoodDay,
          reason: set.lastGoodDay === null ? null : ((set.reason ?? 'unknown') as never),
          wouldHaveGoneOn: set.wouldHaveGoneOn,
          note: '',
        }),
      );
    } else if (table === 'wear-days') {
      const takenDown = local(set.takenDownAtMs).slice(0, 10);
      for (const day of bySet.get(set.id) ?? [])
        rows.push(
          writeWearRow({
            ...head,
            takenDown,
            date: new Date(Date.parse(takenDown) + day.day * DAY_MS).toISOString().slice(0, 10),
            half: day.half,
            ratedBy: day.ratedBy ?? '',
            entry: day,
          }),
        );
    } else {
      const { checks } = runState(await eventsOf(db, studio.id, set.id), 1);
      for (const { atMs, sectionNumber, level, feel } of checks)
        rows.push(writeCheckRow({ ...head, at: local(atMs), section: sectionNumber, level, feel }));
    }
  }
  return csvOf(tables[table].columns, rows);
}
