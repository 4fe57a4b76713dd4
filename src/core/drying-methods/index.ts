import { air } from './air';
import { bonnet } from './bonnet';
import { diffuser } from './diffuser';
import { diffuserRoots } from './diffuser-roots';
import { fan } from './fan';
import { hoodCool } from './hood-cool';
import { hoodHot } from './hood-hot';
import { hoodWarm } from './hood-warm';
import type { DryingMethod } from './method';
import { scarf } from './scarf';

/** Every way of drying, by id, in the order shown. */
export const dryingMethods = {
  [air.id]: air,
  [fan.id]: fan,
  [bonnet.id]: bonnet,
  [scarf.id]: scarf,
  [hoodHot.id]: hoodHot,
  [hoodWarm.id]: hoodWarm,
  [hoodCool.id]: hoodCool,
  [diffuser.id]: diffuser,
  [diffuserRoots.id]: diffuserRoots,
} as const satisfies Record<string, DryingMethod>;

export type DryingMethodId = keyof typeof dryingMethods;
/** Their ids; the first is taken where a brief names none. */
export const DRYING_METHOD_IDS = Object.keys(dryingMethods) as DryingMethodId[];
