import type { Checked } from '../formats/field-error';
import { readBrief } from '../formats/read-brief';
import { forecast } from '../plan/forecast';
import { layoutFor } from '../plan/layout-for';
import { asRated, type CameOut } from './came-out';
import type { RoundModel } from './model';
import { roundOf } from './round-of';

/**
 * From a raw brief to all that is drawn of it.
 *
 * @param cameOut how its set came out; null for what is still forecast
 */
export function openedRound(raw: unknown, cameOut: CameOut | null): Checked<RoundModel> {
  const brief = readBrief(raw);
  if (!brief.ok) return brief;
  const given = forecast(brief.value, layoutFor(brief.value), 0);
  const came = { ...given, plan: { ...given.plan, ...cameOut?.takenDown } };
  return { ok: true, value: asRated(roundOf(brief.value, came), cameOut?.rated ?? []) };
}
