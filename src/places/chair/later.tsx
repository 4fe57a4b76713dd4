'use client';
import type { ComponentType } from 'react';
import dynamic from 'next/dynamic';
import { orNotHere } from './not-here';

/**
 * Dialogs, which the chair does not need to stand: they are fetched once it does, and kept for when the server is away.
 * With their fields they weigh as much as the rest of it.
 */
const load = {
  check: () => import('./check-dialog').then((module) => module.CheckDialog),
  takedown: () => import('./takedown-dialog').then((module) => module.TakedownDialog),
  dry: () => import('./dry-dialog').then((module) => module.DryDialog),
  measure: () => import('./measure-form').then((module) => module.MeasureForm),
  fault: () => import('./fault-dialog').then((module) => module.FaultDialog),
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

const loadLook = () => import('@/ui/theme/late-look').then((module) => module.LateLook);

/** A late part with the look of its fields and dialogs, which comes along with it. */
const dressed = <P extends object>(part: () => Promise<ComponentType<P>>) =>
  dynamic(
    orNotHere(async () => {
      const [Part, LateLook] = await Promise.all([part(), loadLook()]);
      return function Dressed(props: P) {
        return (
          <LateLook>
            <Part {...props} />
          </LateLook>
        );
      };
    }),
    { ssr: false },
  );

export const CheckDialog = dressed(load.check);
export const TakedownDialog = dressed(load.takedown);
export const DryDialog = dressed(load.dry);
export const MeasureForm = dressed(load.measure);
export const FaultDialog = dressed(load.fault);
export const CardsDialog = dressed(load.cards);
export const PartingDialog = dressed(load.parting);
export const RescueDialog = dressed(load.rescue);
export const ProductDialog = dressed(load.product);
export const PrepDialog = dressed(load.prep);
export const HandsDialog = dressed(load.hands);
export const LayoutDialog = dressed(load.layout);
export const NoteDialog = dressed(load.note);
export const KeysDialog = dressed(load.keys);
export const MoreDialog = dressed(load.more);
export const SeveralDialog = dressed(load.several);
export const RefusedTaps = dressed(load.refused);

/** Fetches all of them. */
export const fetchDialogs = (): Promise<unknown> =>
  Promise.allSettled([...Object.values(load).map((one) => one()), loadLook()]);
