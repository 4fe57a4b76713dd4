import type { DraftBrief, PlanContent } from '@/core/draft/draft-brief';
import { upgradedBrief } from '@/core/formats/older-parting';

/** A draft that is not kept by the server yet, and the revision it grew from. */
export interface DraftCopy {
  readonly revision: number;
  readonly content: PlanContent;
  /** What was sent over that revision without an answer so far, newest first: it may have arrived. */
  readonly sent: readonly PlanContent[];
}

const keyOf = (id: string) => `keen.draft.${id}`;

/** A browser sends at most so much after a page is gone, bytes. */
const MOST_AFTER = 60_000;

const upgraded = (content: PlanContent): PlanContent => ({
  ...content,
  brief: upgradedBrief(content.brief) as DraftBrief,
});

/**
 * The copy of a draft on this device: written with every change, removed when the server has it. It outlives a crash,
 * a closed tab and a server that is away.
 */
export function readDraftCopy(id: string): DraftCopy | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null');
    if (kept === null || typeof kept !== 'object' || !('revision' in kept) || !('content' in kept))
      return null;
    const { revision, content, sent } = kept as DraftCopy;
    return { revision, content: upgraded(content), sent: (sent ?? []).map(upgraded) };
  } catch {
    return null;
  }
}

export function writeDraftCopy(id: string, copy: DraftCopy): void {
  try {
    localStorage.setItem(keyOf(id), JSON.stringify(copy));
  } catch {
    // A full device: the change is still sent, and the page says when it is kept.
  }
}

export const dropDraftCopy = (id: string): void => localStorage.removeItem(keyOf(id));

const keptKeyOf = (id: string) => `keen.kept.${id}`;

/** Remembers in this tab which revision the server answered with. */
export function rememberKept(id: string, revision: number): void {
  try {
    sessionStorage.setItem(keptKeyOf(id), String(revision));
  } catch {
    // Without it a page may show once more what it showed before.
  }
}

/** Whether this tab was answered with a later revision: a page asked for while a change was being kept may be older. */
export function wasKeptLater(id: string, revision: number): boolean {
  try {
    return Number(sessionStorage.getItem(keptKeyOf(id))) > revision;
  } catch {
    return false;
  }
}

/** Sends the last change of a page that is being left; the answer is not waited for. */
export function sendOnLeaving(
  id: string,
  revision: number,
  { title, brief, layerProductIds }: PlanContent,
): void {
  const body = JSON.stringify({ revision, title, brief, layerProductIds });
  fetch(`/api/v1/plans/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body,
    keepalive: body.length < MOST_AFTER,
  }).catch(() => undefined);
}
