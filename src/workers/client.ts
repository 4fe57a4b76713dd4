import { proxy, transfer, wrap, type Remote } from 'comlink';
import type { Checked, FieldError } from '@/core/formats/field-error';
import type { AnsweredView } from '@/core/plan/answer-view';
import type { DryingWay } from '@/core/plan/drying-ways';
import type { PartedView } from '@/core/plan/chair-parting';
import type { MachineBy } from '@/core/plan/make-dry-by';
import type { PartingChoice } from '@/core/plan/parting-effect';
import type { LateSet, Rescue } from '@/core/plan/rescues';
import type { Porosity } from '@/core/coefficients/hair';
import type { GuideRow } from '@/core/suggest/set-guide';
import type { GuideEndpoint } from './guide.worker';
import type { AskedFit, FitEndpoint, FitProgress } from './fit.worker';
import type { PhotoMeasure } from '@/core/diary/photo-measure';
import type { AskedMeasure, ScaleBy } from '@/core/photo/measure';
import type { FittedSpreads, LearntSet } from '@/core/evidence/learning';
import type { LearnEndpoint } from './learn.worker';
import type { Picture } from '@/core/photo/picture';
import type { Measuring } from '@/core/photo/refusal';
import type { ScaleReading } from '@/core/scale/scale';
import type { DrawEndpoint } from './draw.worker';
import type { ForecastEndpoint, Refinement } from './forecast.worker';
import type { PhotoEndpoint, ScaleSeen } from './photo.worker';
import type { RoundEndpoint } from './round.worker';
import type { ScaleEndpoint } from './scale.worker';
import type { SuggestEndpoint, SuggestProgress } from './suggest.worker';

/** A forecaster that runs beside the page and only ever answers the newest question. */
export interface Forecaster {
  /** The quick answer; null when a newer question overtook this one. */
  readonly ask: (brief: unknown) => Promise<Checked<AnsweredView> | null>;
  /** Draws heads for the last question and tells how far it is, until it is done, stopped or overtaken. */
  readonly refine: (hear: (refinement: Refinement) => void) => Promise<void>;
  /** How long a brief takes in each of four ways to dry. */
  readonly ways: (brief: unknown) => Promise<readonly DryingWay[]>;
  /** What makes a head that dries dry by a time. */
  readonly dryBy: (...asked: Parameters<ForecastEndpoint['dryBy']>) => Promise<MachineBy | null>;
  /** A set as its parting is now. */
  readonly parted: (...asked: Parameters<ForecastEndpoint['parted']>) => Promise<Checked<PartedView>>;
  /** How a section can be parted otherwise, and what each way brings. */
  readonly partingChoices: (
    ...asked: Parameters<ForecastEndpoint['partingChoices']>
  ) => Promise<readonly PartingChoice[]>;
  /** Why a set cannot be parted so; null where it can. */
  readonly partingProblem: (
    ...asked: Parameters<ForecastEndpoint['partingProblem']>
  ) => Promise<string | null>;
  /** How a set that runs late can be in time. */
  readonly rescues: (late: LateSet) => Promise<readonly Rescue[]>;
  /** Stops drawing heads. */
  readonly rest: () => void;
  readonly end: () => void;
}

/** Gives a forecast worker a second one to draw heads with, where there is a core for it. */
function startHelper(remote: Remote<ForecastEndpoint>): Worker | null {
  if (navigator.hardwareConcurrency < 2) return null;
  const helper = new Worker(new URL('./draw.worker.ts', import.meta.url), { type: 'module' });
  const { port1, port2 } = new MessageChannel();
  void wrap<DrawEndpoint>(helper).serve(transfer(port1, [port1]));
  void remote.takeHelper(transfer(port2, [port2]));
  return helper;
}

/**
 * Starts a forecast worker.
 *
 * @param draws whether heads will be drawn: that wants a second one
 */
export function startForecaster(draws = true): Forecaster {
  const worker = new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' });
  const remote: Remote<ForecastEndpoint> = wrap<ForecastEndpoint>(worker);
  const helper = draws ? startHelper(remote) : null;
  let newest = 0;
  let hearing = 0;
  let running: Promise<unknown> = Promise.resolve();
  return {
    ask: async (brief) => {
      const request = ++newest;
      hearing++;
      await running;
      if (request !== newest) return null;
      const answer = remote.forecast(brief);
      running = answer.catch(() => undefined);
      const result = await answer;
      return request === newest ? result : null;
    },
    refine: async (hear) => {
      const request = ++hearing;
      await remote.refine(
        proxy((refinement: Refinement) => {
          if (request === hearing) hear(refinement);
        }),
      );
    },
    ways: (brief) => remote.ways(brief),
    dryBy: (...asked) => remote.dryBy(...asked),
    parted: (...asked) => remote.parted(...asked),
    partingChoices: (...asked) => remote.partingChoices(...asked),
    partingProblem: (...asked) => remote.partingProblem(...asked),
    rescues: (late) => remote.rescues(late),
    // What was on its way when the stop was pressed is not heard any more.
    rest: () => {
      hearing++;
      void remote.stop();
    },
    end: () => {
      worker.terminate();
      helper?.terminate();
    },
  };
}

/** Something that is worked out beside the page and can be stopped. */
export interface RunningWork {
  /** Settles when it is over; what is wrong with what was asked, if anything. */
  readonly done: Promise<readonly FieldError[]>;
  readonly stop: () => void;
}

/** Starts a search in a worker of its own. */
export function startFit(asked: AskedFit, hear: (progress: FitProgress) => void): RunningWork {
  const worker = new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<FitEndpoint>(worker);
  const done = remote.run(asked, proxy(hear)) as Promise<readonly FieldError[]>;
  return {
    done: done.finally(() => worker.terminate()),
    stop: () => worker.terminate(),
  };
}

/** Spreads that are fitted beside the page. */
export interface RunningFit {
  readonly done: Promise<FittedSpreads>;
  readonly stop: () => void;
}

/** Starts fitting the spreads of a studio's log in a worker of its own. @param hear how far it is, 0 to 1 */
export function startLearning(sets: readonly LearntSet[], hear: (share: number) => void): RunningFit {
  const worker = new Worker(new URL('./learn.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<LearnEndpoint>(worker);
  const done = remote.run(sets, proxy(hear)) as Promise<FittedSpreads>;
  return {
    done: done.finally(() => worker.terminate()),
    stop: () => worker.terminate(),
  };
}

/** Starts working out a set guide in a worker of its own; rows come as they are done. */
export function startGuide(wish: unknown, porosity: Porosity, hear: (row: GuideRow) => void): RunningWork {
  const worker = new Worker(new URL('./guide.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<GuideEndpoint>(worker);
  const done = remote.run(wish, porosity, proxy(hear)) as Promise<readonly FieldError[]>;
  return {
    done: done.finally(() => worker.terminate()),
    stop: () => worker.terminate(),
  };
}

/** A suggester that runs beside the page; a newer wish ends an older one. */
export interface Suggester {
  /** Settles when the search is over or overtaken; what is wrong with the wish, if anything. */
  readonly run: (wish: unknown, hear: (progress: SuggestProgress) => void) => Promise<readonly FieldError[]>;
  readonly ask: Pick<Remote<SuggestEndpoint>, 'view' | 'explain' | 'whyNot' | 'option'>;
  readonly stop: () => void;
  readonly end: () => void;
}

/** Starts a suggest worker. */
export function startSuggester(): Suggester {
  const worker = new Worker(new URL('./suggest.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<SuggestEndpoint>(worker);
  let newest = 0;
  return {
    run: (wish, hear) => {
      const request = ++newest;
      return remote.run(
        wish,
        proxy((progress: SuggestProgress) => {
          if (request === newest) hear(progress);
        }),
      ) as Promise<readonly FieldError[]>;
    },
    ask: remote,
    // What was on its way when the stop was pressed is not heard any more.
    stop: () => {
      newest++;
      void remote.stop();
    },
    end: () => worker.terminate(),
  };
}

/** The simulated scale, switched on. */
export interface RunningScale {
  readonly putOn: (grams: number) => void;
  readonly zero: () => void;
  readonly end: () => void;
}

/** Switches the simulated scale on; every page of this browser hears it. */
export function startScale(seed: number, hear: (reading: ScaleReading) => void): RunningScale {
  const worker = new Worker(new URL('./scale.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<ScaleEndpoint>(worker);
  void remote.switchOn(seed, proxy(hear));
  return {
    putOn: (grams) => void remote.putOn(grams),
    zero: () => void remote.zero(),
    end: () => worker.terminate(),
  };
}

/** A picture that is measured beside the page. */
export interface Measurer {
  readonly scale: (by: ScaleBy, focal35Mm: number | null) => Promise<Measuring<ScaleSeen>>;
  readonly measure: (asked: AskedMeasure) => Promise<Measuring<readonly PhotoMeasure[]>>;
  readonly end: () => void;
}

/** Opens a picture for measuring; its pixels are handed over. */
export function startMeasurer(picture: Picture): Measurer {
  const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<PhotoEndpoint>(worker);
  void remote.open(transfer(picture, [picture.data.buffer as ArrayBuffer]));
  return {
    scale: (by, focal35Mm) => remote.scale(by, focal35Mm),
    measure: (asked) => remote.measure(asked),
    end: () => worker.terminate(),
  };
}

/** Heads that are built beside the page. */
export interface RoundMaker {
  readonly ask: Pick<Remote<RoundEndpoint>, 'open' | 'build' | 'flat' | 'surface' | 'stop'>;
  readonly end: () => void;
}

/** Starts a worker that builds heads in the round. */
export function startRound(): RoundMaker {
  const worker = new Worker(new URL('./round.worker.ts', import.meta.url), { type: 'module' });
  return { ask: wrap<RoundEndpoint>(worker), end: () => worker.terminate() };
}
