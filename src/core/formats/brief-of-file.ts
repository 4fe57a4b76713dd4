import { briefInput, type BriefInput } from './brief';
import { fieldErrors, type Checked } from './field-error';
import { upgradedBrief } from './older-parting';
import { readBrief } from './read-brief';

const wrong = (message: string) => ({ ok: false, errors: [{ path: '', message }] }) as const;

/**
 * The brief in a file: a brief, or a plan that carries the brief it was worked out from.
 *
 * @param text what the file holds
 * @returns the brief as it is written, checked; or what is wrong with the file
 */
export function briefOfFile(text: string): Checked<BriefInput> {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return wrong('this file is not JSON; open a brief or a plan that was exported here');
  }
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return wrong('this file holds no brief; open a brief or a plan that was exported here');
  }
  const { format, brief } = raw as { format?: unknown; brief?: unknown };
  if (format === 'keen-spiral/plan' && brief === undefined) {
    return wrong('this plan does not carry its brief; export it again from the plan, or open the brief');
  }
  const told = upgradedBrief(format === 'keen-spiral/plan' ? brief : raw);
  const parsed = briefInput.safeParse(told, { reportInput: true });
  if (!parsed.success) return { ok: false, errors: fieldErrors(parsed.error) };
  const read = readBrief(told);
  return read.ok ? { ok: true, value: told as BriefInput } : read;
}
