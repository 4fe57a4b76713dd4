import { butter } from './butter';
import { cream } from './cream';
import { gel } from './gel';
import { heatProtectant } from './heat-protectant';
import { humidityShield } from './humidity-shield';
import { leaveIn } from './leave-in';
import { mousse } from './mousse';
import { oil } from './oil';
import { pomade } from './pomade';
import type { ProductRole } from './role';
import { settingLotion } from './setting-lotion';
import { water } from './water';
import { wax } from './wax';

/** Every product role, by id, in the order they are usually layered. */
export const productRoles = {
  [water.id]: water,
  [leaveIn.id]: leaveIn,
  [heatProtectant.id]: heatProtectant,
  [cream.id]: cream,
  [oil.id]: oil,
  [butter.id]: butter,
  [pomade.id]: pomade,
  [wax.id]: wax,
  [settingLotion.id]: settingLotion,
  [mousse.id]: mousse,
  [gel.id]: gel,
  [humidityShield.id]: humidityShield,
} as const satisfies Record<string, ProductRole>;

export type RoleId = keyof typeof productRoles;
/** Their ids, as they are offered. */
export const ROLE_IDS = Object.keys(productRoles) as RoleId[];
