import { afterEach, describe, expect, it } from 'vitest';
import { fromNetwork } from '../../tests/support/people';
import { asked } from './asking';
import { doors, setDoors, type Doors, type NetworkState } from './doors/network';
import { phoneOrigin } from './phone-origin';

const before = doors();
afterEach(() => {
  setDoors(before as Doors);
});

const doorsAt = (origin: string | null) => {
  const state = () => ({ origin }) as NetworkState;
  setDoors({ state, turn: () => Promise.resolve(state()), renew: () => Promise.resolve(state()) });
};
const atComputer = { ...fromNetwork(), door: 'computer', origin: 'http://127.0.0.1:3000' } as const;

describe('the address in a code that a phone reads', () => {
  it('is that of the studio’s network for who sits at the computer; none while no phone can come in', () => {
    doorsAt('https://studio.local:3443');
    expect(asked(atComputer, phoneOrigin)).toBe('https://studio.local:3443');
    doorsAt(null);
    expect(asked(atComputer, phoneOrigin)).toBeNull();
  });

  it('is never that of this computer for itself, which no phone can open', () => {
    setDoors(before as Doors);
    expect(asked(atComputer, phoneOrigin)).not.toBe(atComputer.origin);
  });

  it('is that by which whoever asks came in from the network, by name or by address', () => {
    doorsAt('https://studio.local:3443');
    const byAddress = { ...fromNetwork(), origin: 'https://192.168.1.4:3443' };
    expect(asked(byAddress, phoneOrigin)).toBe('https://192.168.1.4:3443');
  });
});
