import { readFile } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { text } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import type { Checked } from '@/core/formats/field-error';
import type { Command } from './command';
import { refuse, refuseAll } from './refuse';

/** From raw JSON to what is printed, or what is wrong with it. */
export type Answer = (raw: unknown) => Checked<unknown>;

function answerText(source: string, answer: Answer): Checked<unknown> {
  let raw: unknown;
  try {
    raw = JSON.parse(source);
  } catch (cause) {
    const why = cause instanceof Error ? cause.message : '';
    return { ok: false, errors: [{ path: '', message: `this is not JSON: ${why}` }] };
  }
  return answer(raw);
}

async function eachLine(input: Readable, answer: Answer): Promise<number> {
  let code = 0;
  for await (const line of createInterface({ input })) {
    if (line.trim() === '') continue;
    const answered = answerText(line, answer);
    console.log(JSON.stringify(answered.ok ? answered.value : { errors: answered.errors }));
    if (!answered.ok) code = 2;
  }
  return code;
}

/**
 * A command that answers a JSON file, or standard input, with JSON.
 *
 * @param what the file, as a stylist would call it: "brief"
 */
export const answerCommand = (what: string, help: string, answer: Answer): Command => ({
  help: `${help}

  --pretty   indent what is printed
  --lines    one ${what} a line; print one answer, or one errors object, a line, in order

Exit code 0; 2 for bad input, with the errors on standard error; 1 for a fault of ours.`,
  run: async (args) => {
    const flags = args.filter((arg) => arg.startsWith('--'));
    const files = args.filter((arg) => !arg.startsWith('--'));
    const unknown = flags.find((flag) => flag !== '--pretty' && flag !== '--lines');
    if (unknown) return refuse(`there is no option “${unknown}”; use --pretty or --lines`);
    if (files.length !== 1) return refuse(`name one ${what} file, or - for standard input`);
    const [file] = files as [string];
    let source: string;
    try {
      source = file === '-' ? await text(process.stdin) : await readFile(file, 'utf8');
    } catch {
      return refuse(`“${file}” cannot be read`);
    }
    if (flags.includes('--lines')) return eachLine(Readable.from(source), answer);
    const answered = answerText(source, answer);
    if (!answered.ok) return refuseAll(answered.errors);
    console.log(JSON.stringify(answered.value, null, flags.includes('--pretty') ? 2 : undefined));
    return 0;
  },
});
