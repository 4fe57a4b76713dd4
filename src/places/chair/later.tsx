'use client';
import dynamic from 'next/dynamic';

/**
 * What the chair does not need to stand: it is fetched once it does, and kept for when the server is away. Fields and
 * dialogs weigh as much as the rest of it.
 */
const load = {
  drying: () => import('./drying-view').then((module) => module.DryingView),
  finish: () => import('./finish-view').then((module) => module.FinishView),
  cards: () => import('./cards-dialog').then((module) => module.CardsDialog),
  parting: () => import('./parting-dialog').then((module) => module.PartingDialog),
  rescue: () => import('./rescue-dialog').then((module) => module.RescueDialog),
  product: () => import('./product-dialog').then((module) => module.ProductDialog),
  prep: () => import('./prep-dialog').then((module) => module.PrepDialog),
  hands: () => import('./hands-dialog').then((module) => module.HandsDialog),
  layout: () => import('./layout-dialog').then((module) => module.LayoutDialog),
  note: () => import('./chair-dialogs').then((module) => module.NoteDialog),
  keys: () => import('./chair-dialogs').then((module) => module.KeysDialog),
  more: () => import('./more-dialog').then((module) => module.MoreDialog),
  several: () => import('./several-dialog').then((module) => module.SeveralDialog),
  refused: () => import('./refused-taps').then((module) => module.RefusedTaps),
};

export const DryingView = dynamic(load.drying);
export const FinishView = dynamic(load.finish);
export const CardsDialog = dynamic(load.cards);
export const PartingDialog = dynamic(load.parting);
export const RescueDialog = dynamic(load.rescue);
export const ProductDialog = dynamic(load.product);
export const PrepDialog = dynamic(load.prep);
export const HandsDialog = dynamic(load.hands);
export const LayoutDialog = dynamic(load.layout);
export const NoteDialog = dynamic(load.note);
export const KeysDialog = dynamic(load.keys);
export const MoreDialog = dynamic(load.more);
export const SeveralDialog = dynamic(load.several);
export const RefusedTaps = dynamic(load.refused);

/** Fetches all of it; what cannot be fetched now is fetched when it is needed. */
export const fetchLater = (): void => {
  for (const one of Object.values(load)) void one().catch(() => undefined);
};
