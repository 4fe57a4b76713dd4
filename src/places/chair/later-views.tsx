'use client';
import { loadHowWeKnow } from '@/ui/how-we-know/ask';
import dynamic from 'next/dynamic';
import { orNotHere } from './not-here';
import { fetchDialogs } from './later';
import { loadWire } from './outbox/wire';

/** What a set comes to later: fetched once the chair stands, and kept for when the server is away. */
const load = {
  drying: () => import('./drying-view').then((module) => module.DryingView),
  finish: () => import('./finish-view').then((module) => module.FinishView),
};

export const DryingView = dynamic(orNotHere(load.drying));
export const FinishView = dynamic(orNotHere(load.finish));

/** Fetches all that comes later; what cannot be fetched now is fetched when it is needed. */
export const fetchLater = (): Promise<unknown> =>
  Promise.allSettled([load.drying(), load.finish(), fetchDialogs(), loadWire(), loadHowWeKnow()]);
