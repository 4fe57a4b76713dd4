import type { BriefInput } from '../formats/brief';
import { readBrief } from '../formats/read-brief';
import { chanceDry, drySpread } from '../drying/rate-belief';
import type { DryingStep } from '../drying/dry-run-input';
import type { DryingMethodId } from '../drying-methods';
import { bearableHood } from '../drying-methods/bearable-hood';
import { dryingMethods } from '../drying-methods';
import type { Zone } from '../hair/zone';
import { joinable } from '../parting/edits/sections';
import type { DryingStretch } from '../run/dry-log';
import type { PartingEdit } from '../run/parting-edit';
import { asAsked } from '../schedule/drying-day';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import { editParting, partedBy, type ChairParting } from './chair-parting';
import { dosesOf } from './dosing';
import { dryingBasis, dryingForecast, readyToDry } from './drying-forecast';
import { DRY_ENOUGH } from './drying-now';
import type { SectionPlan } from './section-forecasts';
import { partingEffect, weighParting, type PartingEffect, type WeighedParting } from './parting-effect';

/** A set that runs late, as far as getting it back in time goes. */
export interface LateSet {
  /** The brief it was begun with, and what was changed of its parting since. */
  readonly brief: BriefInput;
  readonly edits: readonly PartingEdit[];
  readonly done: readonly number[];
  /** Actual over planned time. */
  readonly pace: number;
  /** How long it runs behind, min. */
  readonly lateMin: number;
  readonly nowMs: number;
  /** When it is to be taken down; null without a time. */
  readonly takedownMs: number | null;
  /** Its drying as planned, from the planned end of the set on; empty where it has no day. */
  readonly planned: readonly DryingStretch[];
  /** Larger sizes of its tool that there are, with how many of each are free. */
  readonly larger: readonly { readonly diameterMm: number; readonly free: number }[];
  /** Ways of drying that there is what it takes for. */
  readonly ways: readonly DryingMethodId[];
}

/** How a late set stands, or would stand. */
export interface LateOutlook {
  readonly finishMs: number;
  readonly dryMs: number;
  /** Chance that it is dry when it is to be taken down; null without a time. */
  readonly chance: number | null;
}

/** The parting of what is left, changed. */
interface PartingRescue<K extends 'join' | 'larger'> {
  readonly kind: K;
  readonly edits: readonly PartingEdit[];
  readonly effect: PartingEffect;
}

/** Time under a hood. */
interface HoodRescue {
  readonly kind: 'hood';
  readonly method: DryingMethodId;
  readonly minutes: number;
  readonly beginMs: number;
  /** What is still open when it begins; null once all is in. */
  readonly openZone: Zone | null;
}

/** One way to get a late set back in time, as the forecast has it. */
export type Rescue = { readonly before: LateOutlook; readonly after: LateOutlook } & (
  PartingRescue<'join'> | PartingRescue<'larger'> | HoodRescue
);

/** At most so many pairs are joined: more is another set. */
const MOST_PAIRS = 6;
/** Less than this is no help, min. */
const WORTH_MIN = 3;
/** Until anything is dry, h. */
const UNTIL_DRY_H = 96;
/** Time under a hood that is tried, min. */
const TRIED_HOOD_MIN = [20, 30, 45, 60, 90] as const;

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

/** What is left of the planned drying once a set is in. */
function stepsFrom(planned: readonly DryingStretch[], finishMs: number): DryingStep[] {
  let cursor = finishMs;
  const steps: DryingStep[] = [];
  const until = (untilMs: number, method: DryingMethodId) => {
    if (untilMs <= cursor) return;
    steps.push({ method: dryingMethods[method], hours: (untilMs - cursor) / HOUR_MS });
    cursor = untilMs;
  };
  for (const { fromMs, untilMs, method } of planned) {
    until(fromMs, 'air');
    until(untilMs, method);
  }
  return steps;
}

/** Some sections of a head as they dry by these steps, from when the last of them is in. */
function dryBy(
  { basis: { brief, sections } }: WeighedParting,
  steps: readonly DryingStep[],
  isIn: (section: SectionPlan) => boolean = () => true,
) {
  const own = sections.filter(isIn);
  const layers = dosesOf(brief, own).map(({ layer }) => layer);
  return dryingBasis(readyToDry(brief, own, layers), steps, true);
}

/** How a set stands with a parting, dried as was planned. */
function outlookOf(late: LateSet, weighed: WeighedParting): LateOutlook {
  const { minutes, basis, parting } = weighed;
  const open = [...parting.keys.keys()].filter((number) => !late.done.includes(number));
  const finishMs = late.nowMs + late.pace * sum(open.map((number) => minutes.get(number)!)) * MINUTE_MS;
  const steps = late.planned.length > 0 ? stepsFrom(late.planned, finishMs) : asAsked(basis.brief.drying);
  const { all } = dryBy(weighed, steps);
  const { belief } = dryingForecast(basis.drying, []);
  return {
    finishMs,
    dryMs: finishMs + drySpread(belief, all).p50 * HOUR_MS,
    chance: late.takedownMs === null ? null : chanceDry(belief, all, (late.takedownMs - finishMs) / HOUR_MS),
  };
}

/** Pairs of open sections that touch, from the last on; the one in hand is left alone. */
function pairsFromLast(
  { layout, keys }: ChairParting,
  open: readonly number[],
): (readonly [number, number])[] {
  const pairs: (readonly [number, number])[] = [];
  const taken = new Set(open.slice(0, 1));
  for (const number of [...open].reverse()) {
    if (taken.has(number)) continue;
    const near = new Set(joinable(layout, keys.get(number)!).map(({ key }) => key));
    const other = open.findLast(
      (candidate) => candidate !== number && !taken.has(candidate) && near.has(keys.get(candidate)!),
    );
    if (other === undefined) continue;
    for (const one of [number, other]) taken.add(one);
    pairs.push(open.indexOf(other) < open.indexOf(number) ? [other, number] : [number, other]);
  }
  return pairs;
}

/** The parting after some changes; null where one of them cannot be made. */
function changed(late: LateSet, from: ChairParting, edits: readonly PartingEdit[]): WeighedParting | null {
  const brief = readBrief(late.brief);
  if (!brief.ok) return null;
  let so = from;
  for (const edit of edits) {
    const next = editParting(so, edit, brief.value);
    if (!next.ok) return null;
    so = next.parting;
  }
  return weighParting(late.brief, so);
}

/** The last sections joined in pairs: as few of them as make up for what is lost, or as many as there are. */
function joinRescue(
  late: LateSet,
  now: WeighedParting,
  before: LateOutlook,
  open: readonly number[],
): Rescue | null {
  const pairs = pairsFromLast(now.parting, open).slice(0, MOST_PAIRS);
  let best: Rescue | null = null;
  for (let count = 1; count <= pairs.length; count++) {
    const edits = pairs
      .slice(0, count)
      .map(([section, beside]): PartingEdit => ({ edit: 'join', section, beside }));
    const weighed = changed(late, now.parting, edits);
    if (!weighed) continue;
    const after = outlookOf(late, weighed);
    best = { kind: 'join', edits, effect: partingEffect(now, weighed, edits), before, after };
    if (before.finishMs - after.finishMs >= late.lateMin * MINUTE_MS) return best;
  }
  return best && before.finishMs - best.after.finishMs >= WORTH_MIN * MINUTE_MS ? best : null;
}

/** Larger rods on what is left, as far as there are any: quicker to dry, larger to look at. */
function largerRescue(
  late: LateSet,
  now: WeighedParting,
  before: LateOutlook,
  open: readonly number[],
): Rescue | null {
  for (const { diameterMm, free } of late.larger) {
    const rest = open.slice(1);
    if (free < rest.length || rest.length === 0) continue;
    const edits: PartingEdit[] = [{ edit: 'size', sections: [...rest], diameterMm }];
    const weighed = changed(late, now.parting, edits);
    if (!weighed) continue;
    const after = outlookOf(late, weighed);
    if (before.dryMs - after.dryMs < WORTH_MIN * MINUTE_MS) continue;
    return { kind: 'larger', edits, effect: partingEffect(now, weighed, edits), before, after };
  }
  return null;
}

/** Open sections of the last zone, where none of that zone is in yet: the hood can begin without it. */
function lastZoneOpen({ parting, basis }: WeighedParting, open: readonly number[]) {
  const numbers = [...parting.keys.keys()];
  const zoneOf = (number: number) => basis.sections[numbers.indexOf(number)]!.zone;
  const zone = zoneOf(open.at(-1)!);
  const own = open.filter((number) => zoneOf(number) === zone);
  const isWhole = numbers.every((number) => zoneOf(number) !== zone || own.includes(number));
  const isLast = open.slice(open.length - own.length).every((number) => own.includes(number));
  return isWhole && isLast && own.length < open.length ? { zone, own } : null;
}

/** Time under a hood that makes up for what was lost: from the end on, or with the last zone still open. */
function hoodRescue(
  late: LateSet,
  now: WeighedParting,
  before: LateOutlook,
  open: readonly number[],
): Rescue | null {
  const method = bearableHood(now.basis.brief.head.conditions);
  const { takedownMs } = late;
  if (!late.ways.includes(method) || takedownMs === null) return null;
  const left = lastZoneOpen(now, open);
  const early = open.filter((number) => !left?.own.includes(number));
  const workMs = late.pace * sum(early.map((number) => now.minutes.get(number)!)) * MINUTE_MS;
  const beginMs = late.nowMs + workMs;
  const { belief } = dryingForecast(now.basis.drying, []);
  const under = (minutes: number): DryingStep[] => [
    { method: dryingMethods[method], hours: minutes / 60 },
    { method: dryingMethods.air, hours: UNTIL_DRY_H },
  ];
  let best: Rescue | null = null;
  for (const minutes of TRIED_HOOD_MIN) {
    // What is still open goes under the hood for the time that is left of it.
    const parts = [
      { fromMs: beginMs, dried: dryBy(now, under(minutes), ({ zone }) => zone !== left?.zone) },
      ...(left
        ? [
            {
              fromMs: before.finishMs,
              dried: dryBy(
                now,
                under(Math.max(1, minutes - (before.finishMs - beginMs) / MINUTE_MS)),
                ({ zone }) => zone === left.zone,
              ),
            },
          ]
        : []),
    ];
    const dryMs = Math.max(
      ...parts.map(({ fromMs, dried }) => fromMs + drySpread(belief, dried.all).p50 * HOUR_MS),
    );
    const chance = Math.min(
      ...parts.map(({ fromMs, dried }) => chanceDry(belief, dried.all, (takedownMs - fromMs) / HOUR_MS)),
    );
    const after = { finishMs: before.finishMs, dryMs, chance };
    best = { kind: 'hood', method, minutes, beginMs, openZone: left?.zone ?? null, before, after };
    if (chance >= DRY_ENOUGH) break;
  }
  return best && best.after.dryMs < before.dryMs - WORTH_MIN * MINUTE_MS ? best : null;
}

/**
 * How a set that runs late can be in time all the same: one way of each kind at most, worked out by the forecast, the
 * one that makes it surest first.
 */
export function rescues(late: LateSet): Rescue[] {
  const brief = readBrief(late.brief);
  const so = brief.ok && partedBy(brief.value, late.edits);
  const now = so && so.ok ? weighParting(late.brief, so.parting) : null;
  if (!now) return [];
  const open = [...now.parting.keys.keys()].filter((number) => !late.done.includes(number));
  if (open.length < 2) return [];
  const before = outlookOf(late, now);
  return [
    joinRescue(late, now, before, open),
    hoodRescue(late, now, before, open),
    largerRescue(late, now, before, open),
  ]
    .filter((rescue) => rescue !== null)
    .sort((a, b) => (b.after.chance ?? 0) - (a.after.chance ?? 0) || a.after.dryMs - b.after.dryMs);
}
