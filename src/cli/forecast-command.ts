import { readFile } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { text } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import type { Checked } from '@/core/formats/field-error';
import type { PlanFile } from '@/core/formats/plan-file';
import { answerBrief } from '@/core/plan/answer-brief';
import type { Command } from './command';
import { refuse, refuseAll } from './refuse';

const HELP = `keen forecast BRIEF.json   print the plan of a brief
keen forecast -            read the brief from standard input

  --pretty   indent the plan
  --lines    one brief a line; print one plan, or one errors object, a line, in order

Exit code 0; 2 for bad input, with the errors on standard error; 1 for a fault of ours.`;

function answerText(source: string): Checked<PlanFile> {
  let raw: unknown;
  try {
    raw = JSON.parse(source);
  } catch (cause) {
    const why = cause instanceof Error ? cause.message : '';
    return { ok: false, errors: [{ path: '', message: `this is not JSON: ${why}` }] };
  }
  return answerBrief(raw);
}

async function eachLine(input: Readable): Promise<number> {
  let code = 0;
  for await (const line of createInterface({ input })) {
    if (line.trim() === '') continue;
    const answer = answerText(line);
    console.log(JSON.stringify(answer.ok ? answer.value : { errors: answer.errors }));
    if (!answer.ok) code = 2;
  }
  return code;
}

/** `keen forecast`: from a brief to its plan. */
export const forecastCommand: Command = {
  help: HELP,
  run: async (args) => {
    const flags = args.filter((arg) => arg.startsWith('--'));
    const files = args.filter((arg) => !arg.startsWith('--'));
    const unknown = flags.find((flag) => flag !== '--pretty' && flag !== '--lines');
    if (unknown) return refuse(`there is no option “${unknown}”; use --pretty or --lines`);
    if (files.length !== 1) return refuse('name one brief file, or - for standard input');
    const [file] = files as [string];
    let source: string;
    try {
      source = file === '-' ? await text(process.stdin) : await readFile(file, 'utf8');
    } catch {
      return refuse(`“${file}” cannot be read`);
    }
    if (flags.includes('--lines')) return eachLine(Readable.from(source));
    const answer = answerText(source);
    if (!answer.ok) return refuseAll(answer.errors);
    console.log(JSON.stringify(answer.value, null, flags.includes('--pretty') ? 2 : undefined));
    return 0;
  },
};
