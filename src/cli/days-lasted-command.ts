import { readFile } from 'node:fs/promises';
import { text } from 'node:stream/consumers';
import Papa from 'papaparse';
import { z } from 'zod';
import { bounded } from '@/core/formats/field';
import { fieldErrors, type Checked, type FieldError } from '@/core/formats/field-error';
import { logRank, medianDays, productLimit, type Lasted } from '@/core/stats/survival';
import type { Command } from './command';
import { refuse, refuseAll } from './refuse';

const HELP = `keen days-lasted ROWS.csv   how long styles last, by group
keen days-lasted -          read the rows from standard input

The first row names the columns group, days and given_up. given_up is 1 when the style ended by itself, 0 when it
was still worn or taken down for another reason. Prints the product-limit estimate of each group with 95 % limits,
its median, and the log-rank test between groups.`;

const COLUMNS = ['group', 'days', 'given_up'] as const;
const row = z.object({
  group: z.string().min(1, 'name the group'),
  days: z
    .string()
    .regex(/^\d+(\.\d+)?$/, 'days must be a number')
    .transform(Number)
    .pipe(bounded('days', 0, 365)),
  given_up: z.enum(['0', '1'], 'given_up must be 0 or 1').transform((value) => value === '1'),
});

interface NamedStyle extends Lasted {
  readonly group: string;
}

function readRows(source: string): Checked<NamedStyle[]> {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(source.trim(), {
    header: true,
    skipEmptyLines: true,
  });
  const missing = COLUMNS.filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0) {
    return { ok: false, errors: [{ path: '', message: `the column ${missing.join(', ')} is missing` }] };
  }
  const wrong: FieldError[] = errors.map((error) => ({
    path: `row ${(error.row ?? 0) + 2}`,
    message: error.message,
  }));
  const styles = data.flatMap((raw, i): NamedStyle[] => {
    const read = row.safeParse(raw, { reportInput: true });
    if (read.success) return [{ group: read.data.group, days: read.data.days, ended: read.data.given_up }];
    wrong.push(
      ...fieldErrors(read.error).map(({ path, message }) => ({ path: `row ${i + 2}.${path}`, message })),
    );
    return [];
  });
  if (styles.length === 0 && wrong.length === 0) wrong.push({ path: '', message: 'there is no row' });
  return wrong.length > 0 ? { ok: false, errors: wrong } : { ok: true, value: styles };
}

/** `keen days-lasted`: product-limit curves and the log-rank test of a list of styles. */
export const daysLastedCommand: Command = {
  help: HELP,
  run: async (args) => {
    if (args.length !== 1) return refuse('name one file of rows, or - for standard input');
    const [file] = args as [string];
    let source: string;
    try {
      source = file === '-' ? await text(process.stdin) : await readFile(file, 'utf8');
    } catch {
      return refuse(`“${file}” cannot be read`);
    }
    const read = readRows(source);
    if (!read.ok) return refuseAll(read.errors);
    const names = [...new Set(read.value.map((style) => style.group))];
    const groups = names.map((name) => read.value.filter((style) => style.group === name));
    console.log(
      JSON.stringify({
        groups: groups.map((styles, i) => {
          const steps = productLimit(styles);
          return {
            group: names[i],
            table: steps.map(({ days, atRisk, ended, survival, low, high }) => ({
              days,
              atRisk,
              ended,
              survival,
              low95: low,
              high95: high,
            })),
            medianDays: medianDays(steps),
          };
        }),
        logRank: logRank(groups),
      }),
    );
    return 0;
  },
};
