import { round } from '../coefficients/round';
import { perZone } from '../hair/zone';
import type { RoundLook, RoundModel, ShownDay } from './model';

/** Which end of what is expected is shown. */
export type RoundReach = 'narrow' | 'likely' | 'wide';

/** What of a head is wanted: her own hair before anything is done, in the set, or worn on a day. */
export type RoundState =
  | { readonly kind: 'own'; readonly isWet: boolean }
  | { readonly kind: 'set' }
  | { readonly kind: 'worn'; readonly day: number; readonly reach: RoundReach };

/** A look at one end of what is expected. */
function reached(look: RoundLook, model: RoundModel, reach: RoundReach): RoundLook {
  if (reach === 'likely') return look;
  const end = model.ends[reach];
  const times = (values: RoundLook['visibleCm'], factor: number) =>
    Object.fromEntries(Object.entries(values).map(([zone, value]) => [zone, value * factor]));
  return {
    ...look,
    volume: Math.min(10, Math.max(0, look.volume + end.volume)),
    visibleCm: times(look.visibleCm, end.stretch),
    curlMm: times(look.curlMm, end.curl),
  };
}

/** Hair as it grows: its own coil and its own shrinkage, of which it shows less while it is wet. */
function ownLook(model: RoundModel, isWet: boolean): RoundLook {
  const c = round.value;
  const shows = 1 - (isWet ? c.wetShrinkage : 1) * model.shrinkage;
  return {
    definition: isWet ? c.wetDefinition : c.ownDefinition,
    frizz: isWet ? 0 : c.ownFrizz,
    volume: isWet ? c.wetVolume : c.ownVolume,
    visibleCm: perZone((zone) => model.lengthCm[zone] * shows),
    curlMm: model.coilMm,
  };
}

/** Hair as it grows, dry. */
export const ownDay = (model: RoundModel, isWet = false): ShownDay => {
  const own = ownLook(model, isWet);
  return { day: 0, isRated: false, left: own, right: own, own };
};

/** The looks that a state shows; null in the set. */
export function lookIn(model: RoundModel, state: RoundState): ShownDay | null {
  if (state.kind === 'set') return null;
  if (state.kind === 'own') return ownDay(model, state.isWet);
  const { left, right, ...day } = model.days[state.day] ?? model.days.at(-1)!;
  return {
    ...day,
    left: reached(left, model, state.reach),
    right: reached(right, model, state.reach),
    own: ownLook(model, false),
  };
}

/** A model as it is worn in a state, all of its hair: her own has no set to shape it. */
export const modelIn = (model: RoundModel, state: RoundState): RoundModel => ({
  ...model,
  sections: [
    ...(state.kind === 'own'
      ? model.sections.map((section) => ({ ...section, isOwn: true, flatRootCm: 0 }))
      : model.sections),
    ...model.leftOut,
  ],
});
