import { bonnet } from './bonnet';
import { defineDryingMethod } from './method';

/** The air and the warmth of a night under satin, as the bonnet's; only the cover differs. */
export const scarf = defineDryingMethod({
  ...bonnet,
  id: 'scarf',
  label: 'Scarf, free at the back, asleep',
  phrase: 'under a scarf, free at the back',
  // The same satin in one layer, the back of the head left free to the room (assumed).
  cover: { resistanceSM: 120, share: 0.15, areaRatio: 2.4 },
});
