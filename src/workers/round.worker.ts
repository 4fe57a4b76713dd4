import { expose, transfer } from 'comlink';
import type { Checked } from '@/core/formats/field-error';
import { readBrief } from '@/core/formats/read-brief';
import { forecast } from '@/core/plan/forecast';
import { layoutFor } from '@/core/plan/layout-for';
import { buildRound, type RoundDetail, type RoundPicture } from '@/core/round/build';
import { flatPicture, type FlatPicture } from '@/core/round/flat-picture';
import { asRated, type CameOut } from '@/core/round/came-out';
import { coarseHeadSurface, headSurface, type HeadSurface } from '@/core/round/head/surface';
import type { RoundModel } from '@/core/round/model';
import { lookFacts, roundFacts, type LookFacts, type RoundFacts } from '@/core/round/facts';
import { roundOf } from '@/core/round/round-of';
import type { RoundState } from '@/core/round/state';

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

/** What the worker does: makes heads of briefs, one state at a time. It is stopped by ending it. */
const endpoint = {
  /**
   * Reads a brief under a name; what is told of it beside its picture.
   *
   * @param cameOut how its set came out; null for what is still forecast
   */
  open(name: string, raw: unknown, cameOut: CameOut | null): Checked<RoundFacts> {
    const brief = readBrief(raw);
    if (!brief.ok) return brief;
    const given = forecast(brief.value, layoutFor(brief.value), 0);
    const came = { ...given, plan: { ...given.plan, ...cameOut?.takenDown } };
    const model = asRated(roundOf(brief.value, came), cameOut?.rated ?? []);
    models.set(name, model);
    return { ok: true, value: roundFacts(model) };
  },
  /** A head that was opened, in one state. */
  build(name: string, state: RoundState, detail: RoundDetail): Told<RoundPicture> {
    const model = models.get(name)!;
    const picture = buildRound(model, state, detail);
    return transfer({ ...picture, look: lookFacts(model, state) }, buffersOf(picture));
  },
  /** The same flat, from one side. */
  flat(name: string, state: RoundState, azimuthRad: number, mostLines: number): Told<FlatPicture> {
    const model = models.get(name)!;
    return { ...flatPicture(model, state, azimuthRad, mostLines), look: lookFacts(model, state) };
  },
  /** The head without hair. The worker keeps its own. */
  surface: (detail: RoundDetail): HeadSurface => (detail === 'full' ? headSurface() : coarseHeadSurface()),
};

export type RoundEndpoint = typeof endpoint;

expose(endpoint);
