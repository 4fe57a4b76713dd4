import { expose } from 'comlink';
import { drawnHeads, type DrawnTimes, type UncertainDrying } from '@/core/drying/draws';

/** A second pair of hands: draws a share of the heads for whoever is at the other end of a port. */
const drawer = {
  heads: (what: UncertainDrying, seed: number, from: number, to: number): DrawnTimes[] =>
    drawnHeads(what, seed, from, to),
};

export type Drawer = typeof drawer;

const endpoint = {
  serve(port: MessagePort): void {
    expose(drawer, port);
  },
};

export type DrawEndpoint = typeof endpoint;

expose(endpoint);
