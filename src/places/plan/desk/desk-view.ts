/** What lies over the desk. */
export type DeskSheet = 'fit' | 'round' | 'print';

/** How the desk is looked at: nothing of it is part of the plan. */
export interface DeskView {
  readonly sheet: DeskSheet | null;
  /** The map seen facing the client instead of from behind the chair. */
  readonly isTurned: boolean;
  readonly isByHand: boolean;
  /** A patch is being drawn round. */
  readonly isDrawing: boolean;
}

export type DeskAct =
  | { readonly kind: 'open'; readonly sheet: DeskSheet }
  | { readonly kind: 'close' }
  | { readonly kind: 'turn' }
  | { readonly kind: 'by-hand' }
  | { readonly kind: 'draw'; readonly isDrawing: boolean };

export const FIRST_VIEW: DeskView = { sheet: null, isTurned: false, isByHand: false, isDrawing: false };

/** The view after an act. Who stops parting by hand stops drawing too. */
export function deskView(view: DeskView, act: DeskAct): DeskView {
  switch (act.kind) {
    case 'open':
      return { ...view, sheet: act.sheet };
    case 'close':
      return { ...view, sheet: null };
    case 'turn':
      return { ...view, isTurned: !view.isTurned };
    case 'by-hand':
      return { ...view, isByHand: !view.isByHand, isDrawing: false };
    case 'draw':
      return { ...view, isDrawing: view.isByHand && act.isDrawing };
  }
}
