import type { Caution, CautionContext, CautionMoment, CautionPhase, Severity } from './caution';
import { DRYING_CAUTIONS } from './drying-cautions';
import { LAYERING } from './layering';
import { SCALP_AND_PEOPLE } from './scalp-and-people';
import { TOOL_CAUTIONS } from './tool-cautions';

const SEVEREST_FIRST: readonly Severity[] = ['stop', 'warn', 'note'];

/** Every caution. Common practice unless a line says otherwise; add one by adding a row. */
export const CAUTIONS: readonly Caution[] = [
  ...SCALP_AND_PEOPLE,
  ...DRYING_CAUTIONS,
  ...TOOL_CAUTIONS,
  ...LAYERING,
];

/** When at the chair a caution matters, by its code; null where always. */
export const momentOf = (code: string): CautionMoment | null =>
  CAUTIONS.find((caution) => caution.code === code)?.moment ?? null;

/** A caution that is due, in words. */
export interface DueCaution {
  readonly code: string;
  readonly severity: Severity;
  readonly shows: CautionPhase[];
  readonly text: string;
  readonly turnTo?: string;
}

/** The cautions due, severest first. */
export const dueCautions = (context: CautionContext): DueCaution[] =>
  CAUTIONS.filter((caution) => caution.when(context))
    .sort((a, b) => SEVEREST_FIRST.indexOf(a.severity) - SEVEREST_FIRST.indexOf(b.severity))
    .map(({ code, severity, shows, text, turnTo }) => ({
      code,
      severity,
      shows: [...shows],
      text: text(context),
      ...(turnTo ? { turnTo } : {}),
    }));
