import { asking } from './asking';
import { doors } from './doors/network';

/**
 * The address by which a phone opens the program: that of whoever asks from the network already, or else of this
 * studio's network. Null where no phone can come in.
 */
export function phoneOrigin(): string | null {
  const { door, origin } = asking();
  return door === 'network' ? origin : (doors()?.state().origin ?? null);
}
