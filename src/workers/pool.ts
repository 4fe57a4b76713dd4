import type { BriefInput } from '../core/formats/brief';
import type { Checked } from '../core/formats/field-error';
import type { PlanFile } from '../core/formats/plan-file';
import type { Spreads } from '../core/coefficients/evidence';
import type { Difference, DifferenceOutcome } from '../core/evidence/difference';
import { fittedSpreads } from '../core/evidence/fitted-studio';
import type { FittedSpreads, LearntSet } from '../core/evidence/learning';
import {
  asShown,
  differencesOf,
  studioFindings,
  type FindingsSource,
  type StudioFindings,
} from '../core/evidence/studio-findings';
import { readBrief } from '../core/formats/read-brief';
import { answerBrief } from '../core/plan/answer-brief';
import { answerDraft, drawTo, type AnsweredView } from '../core/plan/answer-view';
import { asTakenDown, type Takedown, type TakenDown } from '../core/plan/as-taken-down';
import { SETTLED_DRAWS } from '../core/plan/draw-counts';
import { forecast } from '../core/plan/forecast';
import { layoutFor } from '../core/plan/layout-for';
import { partedView, type PartedView } from '../core/plan/chair-parting';
import type { PartingEdit } from '../core/run/parting-edit';
import type { SuggestionsFile } from '../core/formats/suggestions-file';
import { answerWish } from '../core/suggest/suggest';
import type { Zone } from '../core/hair/zone';
import type { RateBelief } from '../core/drying/rate-belief';
import type { CameOut } from '../core/round/came-out';
import { flatPicture, type FlatPicture } from '../core/round/flat-picture';
import { openedRound } from '../core/round/opened';
import type { RoundState } from '../core/round/state';
import { ran } from '../core/work';

/** What a set keeps of its forecast when it is begun. */
export interface BegunForecast {
  readonly plan: PlanFile;
  readonly belief: RateBelief;
  readonly sections: readonly {
    readonly number: number;
    readonly zone: Zone;
    readonly side: 'left' | 'middle' | 'right';
    readonly areaCm2: number;
    readonly hairCount: number;
    readonly plannedMin: number;
  }[];
}

/** Tasks of the pool beside the server, by name. Arguments and answers are plain data. */
export const tasks = {
  /** What the command line and HTTP answer. */
  answer: (raw: unknown): Checked<PlanFile> => answerBrief(raw),
  /** What the command line and HTTP answer to a wish. */
  suggest: (raw: unknown): Checked<SuggestionsFile> => answerWish(raw),
  /** What the screens show; `draws` 0 is the quick estimate. */
  view: ({ brief, draws }: { brief: unknown; draws: number }): Checked<AnsweredView> => {
    const draft = answerDraft(brief, null);
    if (!draft.ok) return draft;
    drawTo(draft.value, draws);
    return { ok: true, value: draft.value.view(draws) };
  },
  /** A set as its parting is now, not drawn. */
  parted: ({ brief, edits }: { brief: BriefInput; edits: readonly PartingEdit[] }): Checked<PartedView> =>
    partedView(brief, edits),
  /** What a set is begun with, drawn as often as the desk draws. */
  begin: (raw: BriefInput): Checked<BegunForecast> => {
    const brief = readBrief(raw);
    if (!brief.ok) return brief;
    const given = forecast(brief.value, layoutFor(brief.value), SETTLED_DRAWS);
    return {
      ok: true,
      value: {
        plan: given.plan,
        belief: given.drying.belief,
        sections: given.sections.map(({ number, zone, side, areaCm2, hairCount, installMin }) => ({
          number,
          zone,
          side,
          areaCm2,
          hairCount,
          plannedMin: installMin,
        })),
      },
    };
  },
  /** What comes of a set that was taken down; null where its brief cannot be read. */
  takenDown: ({
    brief: raw,
    edits,
    takedown,
  }: {
    brief: BriefInput;
    edits: readonly PartingEdit[];
    takedown: Takedown;
  }): TakenDown | null => {
    const parted = partedView(raw, edits);
    const brief = parted.ok ? readBrief(parted.value.brief) : null;
    if (!parted.ok || !brief?.ok) return null;
    const zones = new Map(parted.value.drawn.map(({ number, zone }) => [number, zone]));
    return asTakenDown(
      brief.value,
      layoutFor(brief.value),
      takedown,
      (number) => zones.get(number) ?? 'crown',
    );
  },
  /** A head drawn flat in states of it, from a raw brief or a set that was worn; null where it cannot be read. */
  flatHead: ({
    brief,
    cameOut,
    states,
    azimuthRad,
  }: {
    brief: unknown;
    cameOut: CameOut | null;
    states: readonly RoundState[];
    azimuthRad: number;
  }): FlatPicture[] | null => {
    const model = openedRound(brief, cameOut);
    if (!model.ok) return null;
    return states.map((state) => ran(flatPicture(model.value, state, azimuthRad, 'small')));
  },
  /** Spreads of a studio's own log, on its newest sets. */
  fit: (sets: readonly LearntSet[]): FittedSpreads => fittedSpreads(sets),
  /** What a log says and what made the difference, over all sets or those of one head. */
  findings: ({
    sets: text,
    spreads,
    names,
    mostDrawn,
    ...log
  }: Omit<FindingsSource, 'productName' | 'sets'> & {
    /** Written as JSON: thousands of sets cross to the thread three times as fast. */
    sets: string;
    spreads: Readonly<Record<DifferenceOutcome, Spreads>>;
    names: readonly (readonly [id: string, name: string])[];
    mostDrawn: number;
  }): { findings: StudioFindings; differences: Difference[] } => {
    const sets = JSON.parse(text) as LearntSet[];
    const productNames = new Map(names);
    const productName = (id: string) => productNames.get(id) ?? null;
    return {
      findings: asShown(studioFindings({ ...log, sets, productName }), mostDrawn),
      differences: differencesOf(sets, spreads, productName),
    };
  },
} as const;

export type PoolTask = keyof typeof tasks;

/** The one function that the pool calls. */
export default function run<T extends PoolTask>({
  task,
  input,
}: {
  task: T;
  input: Parameters<(typeof tasks)[T]>[0];
}): ReturnType<(typeof tasks)[T]> {
  return (tasks[task] as (input: unknown) => ReturnType<(typeof tasks)[T]>)(input);
}
