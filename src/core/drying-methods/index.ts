import { air } from './air';
import { bonnet } from './bonnet';
import { diffuser } from './diffuser';
import { fan } from './fan';
import { hoodCool } from './hood-cool';
import { hoodHot } from './hood-hot';
import { hoodWarm } from './hood-warm';
import type { DryingMethod } from './method';

/** Every way of drying, by id, in the order shown. */
export const dryingMethods = {
  [air.id]: air,
  [fan.id]: fan,
  [bonnet.id]: bonnet,
  [hoodHot.id]: hoodHot,
  [hoodWarm.id]: hoodWarm,
  [hoodCool.id]: hoodCool,
  [diffuser.id]: diffuser,
} as const satisfies Record<string, DryingMethod>;

export type DryingMethodId = keyof typeof dryingMethods;
/** Their ids; the first is taken where a brief names none. */
export const DRYING_METHOD_IDS = Object.keys(dryingMethods) as DryingMethodId[];
