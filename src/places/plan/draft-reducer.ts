import type { PlanContent } from '@/core/draft/draft-brief';

/** A draft with its history. `revision` is the saved one it grew from. */
export interface DraftState {
  readonly past: readonly PlanContent[];
  readonly present: PlanContent;
  readonly future: readonly PlanContent[];
  readonly saved: PlanContent;
  readonly revision: number;
  /** Another tab saved first: nothing is saved until the stylist chooses. */
  readonly conflict: boolean;
}

export type DraftAction =
  | { readonly type: 'edited'; readonly content: PlanContent }
  | { readonly type: 'undone' }
  | { readonly type: 'redone' }
  | { readonly type: 'kept'; readonly content: PlanContent; readonly revision: number }
  | { readonly type: 'conflicted' }
  | { readonly type: 'kept-mine'; readonly revision: number }
  /** The server has a newer revision than the page was opened with, and nothing is unsaved here. */
  | { readonly type: 'renewed'; readonly content: PlanContent; readonly revision: number }
  | { readonly type: 'took-theirs'; readonly content: PlanContent; readonly revision: number };

const LONGEST_PAST = 100;

export const startDraft = (content: PlanContent, revision: number): DraftState => ({
  past: [],
  present: content,
  future: [],
  saved: content,
  revision,
  conflict: false,
});

/** What one action makes of a draft. */
export function draftReducer(state: DraftState, action: DraftAction): DraftState {
  switch (action.type) {
    case 'edited':
      if (action.content === state.present) return state;
      return {
        ...state,
        past: [...state.past, state.present].slice(-LONGEST_PAST),
        present: action.content,
        future: [],
      };
    case 'undone': {
      const present = state.past.at(-1);
      if (!present) return state;
      return { ...state, past: state.past.slice(0, -1), present, future: [state.present, ...state.future] };
    }
    case 'redone': {
      const [present, ...future] = state.future;
      if (!present) return state;
      return { ...state, past: [...state.past, state.present], present, future };
    }
    case 'kept':
      return { ...state, saved: action.content, revision: action.revision };
    case 'renewed':
      return state.present === state.saved && !state.conflict && action.revision > state.revision
        ? startDraft(action.content, action.revision)
        : state;
    case 'conflicted':
      return { ...state, conflict: true };
    case 'kept-mine':
      return { ...state, conflict: false, revision: action.revision };
    case 'took-theirs':
      return {
        ...state,
        past: [...state.past, state.present].slice(-LONGEST_PAST),
        present: action.content,
        saved: action.content,
        revision: action.revision,
        future: [],
        conflict: false,
      };
  }
}
