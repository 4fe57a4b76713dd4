import type { Units } from '@/core/formats/display';
import type { LookFacts, Reach, RoundFacts } from '@/core/round/facts';
import type { RoundState } from '@/core/round/state';
import { formatDiameter, formatLength } from '../format';

/** "8 mm", or "8 mm to 10 mm" where it differs over the head. */
function over({ low, high }: Reach, words: (value: number) => string): string {
  const [a, b] = [words(low), words(high)];
  return a === b ? a : `${a} to ${b}`;
}
const whole = (value: number) => String(Math.round(value));

/** "18 twists (two-strand twist)", technique by technique. */
const setWords = ({ sets }: RoundFacts): string =>
  sets
    .map(
      ({ label, noun, count }) =>
        `${count === 1 ? `1 ${noun[0]}` : `${count} ${noun[1]}`} (${label.toLowerCase()})`,
    )
    .join(', ');

const leftOutWords = ({ leftOut }: RoundFacts): string =>
  leftOut === 0 ? '' : leftOut === 1 ? ' One patch is left out.' : ` ${leftOut} patches are left out.`;

/** What a state is called; days are counted from the day of takedown, as everywhere. */
function stateName(state: RoundState): string {
  if (state.kind === 'own') return state.isWet ? 'Her own hair, wet.' : 'Her own hair, dry.';
  if (state.kind === 'set') return 'In the set.';
  const end = { narrow: ', at its narrowest', likely: '', wide: ', at its widest' }[state.reach];
  return `${state.day === 0 ? 'First day' : `Day ${state.day}`}${end}.`;
}

/** What is told under a picture of a head, in a sentence or two. */
export function stateWords(
  facts: RoundFacts,
  state: RoundState,
  look: LookFacts | null,
  widthCm: number | null,
  units: Units,
): string {
  if (!look)
    return `${stateName(state)} ${setWords(facts)}, each rope ${over(facts.ropeMm, (mm) => formatDiameter(mm, units))} thick.${leftOutWords(facts)}`;
  const wide = widthCm === null ? '' : ` About ${formatLength(widthCm, units)} wide over all.`;
  const curls = `Curls ${over(look.curlMm, (mm) => formatDiameter(mm, units))} wide; hair shows ${over(look.visibleCm, (cm) => formatLength(cm, units))} of ${over(facts.hairCm, (cm) => formatLength(cm, units))}.`;
  // How her own hair falls is for the eye alone: nothing of it was forecast.
  const marks =
    state.kind === 'worn'
      ? ` Definition ${over(look.definition, whole)}, frizz ${over(look.frizz, whole)}, volume ${over(look.volume, whole)} of 10${look.isRated ? ', as it was rated' : ''}.`
      : '';
  return `${stateName(state)} ${curls}${wide}${marks}`;
}
