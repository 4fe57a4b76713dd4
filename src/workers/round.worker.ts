import { expose, transfer } from 'comlink';
import type { Checked } from '@/core/formats/field-error';
import { buildRound, type RoundDetail, type RoundPicture } from '@/core/round/build';
import { flatPicture, type FlatPicture, type FlatSize } from '@/core/round/flat-picture';
import type { CameOut } from '@/core/round/came-out';
import { headSurface, type HeadSurface } from '@/core/round/head/surface';
import type { RoundModel } from '@/core/round/model';
import { lookFacts, roundFacts, type LookFacts, type RoundFacts } from '@/core/round/facts';
import { openedRound } from '@/core/round/opened';
import type { RoundState } from '@/core/round/state';
import type { Work } from '@/core/work';

/** A picture, and what is told of what it shows; nothing of how hair looks in the set. */
export type Told<P> = P & { readonly look: LookFacts | null };

const models = new Map<string, RoundModel>();

/** Everything of a picture that can be handed over. */
const buffersOf = (value: object): ArrayBuffer[] =>
  Object.values(value).flatMap((part: unknown) =>
    ArrayBuffer.isView(part)
      ? [part.buffer as ArrayBuffer]
      : part && typeof part === 'object' && !Array.isArray(part)
        ? buffersOf(part)
        : [],
  );

/** Longest that messages wait while something is built, ms. */
const BREATH_MS = 30;
/** Counts what was asked for: an older wish is left when a newer one comes. */
let wish = 0;

/** Runs work to its end, letting messages in; null when a newer wish came. */
async function newest<T>(work: Work<T>, hear: (share: number) => void): Promise<T | null> {
  const mine = ++wish;
  let breathed = performance.now();
  let step = work.next();
  while (!step.done) {
    if (performance.now() - breathed > BREATH_MS) {
      hear(step.value);
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (mine !== wish) return null;
      breathed = performance.now();
    }
    step = work.next();
  }
  return step.value;
}

/** What the worker does: makes heads of briefs, one state at a time; a newer wish ends an older one. */
const endpoint = {
  /**
   * Reads a brief under a name; what is told of it beside its picture.
   *
   * @param cameOut how its set came out; null for what is still forecast
   */
  open(name: string, raw: unknown, cameOut: CameOut | null): Checked<RoundFacts> {
    const model = openedRound(raw, cameOut);
    if (!model.ok) return model;
    models.set(name, model.value);
    return { ok: true, value: roundFacts(model.value) };
  },
  /** A head that was opened, in one state; null when a newer wish overtook it. @param hear share of it that is done */
  async build(
    name: string,
    state: RoundState,
    detail: RoundDetail,
    hear: (share: number) => void,
  ): Promise<Told<RoundPicture> | null> {
    const model = models.get(name)!;
    const picture = await newest(buildRound(model, state, detail), hear);
    return picture && transfer({ ...picture, look: lookFacts(model, state) }, buffersOf(picture));
  },
  /** The same flat, from one side. */
  async flat(
    name: string,
    state: RoundState,
    azimuthRad: number,
    size: FlatSize,
    hear: (share: number) => void,
  ): Promise<Told<FlatPicture> | null> {
    const model = models.get(name)!;
    const picture = await newest(flatPicture(model, state, azimuthRad, size), hear);
    return picture && { ...picture, look: lookFacts(model, state) };
  },
  /** Leaves what is being built. */
  stop(): void {
    wish++;
  },
  /** The head without hair. The worker keeps its own. */
  surface: (): HeadSurface => headSurface(),
};

export type RoundEndpoint = typeof endpoint;

expose(endpoint);
