import type { Checked } from '../formats/field-error';
import type { PlanFile } from '../formats/plan-file';
import { readBrief } from '../formats/read-brief';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';

/** From raw input to the plan file, or to what to change: what the command line and HTTP answer. */
export function answerBrief(raw: unknown): Checked<PlanFile> {
  const brief = readBrief(raw);
  if (!brief.ok) return brief;
  return { ok: true, value: forecast(brief.value, layoutFor(brief.value)).plan };
}
