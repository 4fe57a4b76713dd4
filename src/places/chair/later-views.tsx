'use client';
import dynamic from 'next/dynamic';
import { fetchDialogs } from './later';

/** What a set comes to later: fetched once the chair stands, and kept for when the server is away. */
const load = {
  drying: () => import('./drying-view').then((module) => module.DryingView),
  finish: () => import('./finish-view').then((module) => module.FinishView),
};

export const DryingView = dynamic(load.drying);
export const FinishView = dynamic(load.finish);

/** Fetches all that comes later; what cannot be fetched now is fetched when it is needed. */
export const fetchLater = (): Promise<unknown> =>
  Promise.allSettled([
    ...Object.values(load).map((one) => one()),
    fetchDialogs(),
    // What waits on this device is read with these, also without the server.
    import('@/core/run/run-event-input'),
    import('@/core/run/set-events'),
    import('@/ui/how-we-know/how-we-know'),
  ]);
