/** What there is to know of the studio's network, for the screens. */
export interface NetworkState {
  /** Whether phones can come in. */
  readonly isOn: boolean;
  /** Whether the environment says so, so that no switch can change it. */
  readonly isFixed: boolean;
  /** Name of this computer on the network. */
  readonly name: string;
  /** Name that the authority vouches for where it is another: the computer was renamed since. */
  readonly formerName: string | null;
  readonly addresses: readonly string[];
  /** What the codes carry: by name where this network knows it, else by address. Null where no phone can come in. */
  readonly origin: string | null;
  /** The same by address, for phones that do not know names of this network. */
  readonly byAddress: string | null;
  /** Where the authority is offered. */
  readonly offer: string | null;
  /** What the authority is recognised by. */
  readonly fingerprint: string | null;
  /** When the address of this computer last changed while phones were let in; null where it never did. */
  readonly movedAtMs: number | null;
}

/** The doors of this process. */
export interface Doors {
  readonly state: () => NetworkState;
  /** Lets phones in, or no more; kept for the next start. */
  readonly turn: (isOn: boolean) => Promise<NetworkState>;
  /** Makes another authority, for the name that the computer has now: every phone has to be told of it again. */
  readonly renew: () => Promise<NetworkState>;
}

const holder = globalThis as { keenSpiralDoors?: Doors };

/** Says which doors this process has. */
export const setDoors = (doors: Doors): void => {
  holder.keenSpiralDoors = doors;
};

/** The doors of this process; null where the pages are served without ours, as while the program is being written. */
export const doors = (): Doors | null => holder.keenSpiralDoors ?? null;
