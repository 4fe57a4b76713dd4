import { rootMethods } from '../coefficients/root-and-ends';
import { startStates } from '../coefficients/start-states';
import { productRoles, type RoleId } from '../products';
import type { RodFit } from '../techniques/rod-fit';
import type { Brief } from '../plan/brief';

/** What a caution may look at: the brief and what came of it. */
export interface CautionContext {
  readonly brief: Brief;
  readonly roomStaysDamp: boolean;
  /** Chance that everything is dry when it is taken down; null without a time. */
  readonly chanceDryAtTakedown: number | null;
  /** Hours the schedule leaves for drying; null without a time. */
  readonly dryingWindowH: number | null;
  readonly fullestFit: RodFit | null;
  readonly rodsNeeded: number;
  /** Product, g per g of dry hair. */
  readonly productPerG: number;
  readonly shortestTurns: number | null;
}

export type Severity = 'note' | 'warn' | 'stop';

/** One caution: when it is due and what it says. `stop` asks not to set at all. */
export interface Caution {
  readonly code: string;
  readonly severity: Severity;
  readonly when: (context: CautionContext) => boolean;
  readonly text: (context: CautionContext) => string;
}

const has = ({ brief }: CautionContext, condition: string) => brief.head.conditions.includes(condition);
const isHot = ({ brief }: CautionContext) => brief.drying.some((step) => step.method.isHot);
const roles = ({ brief }: CautionContext): RoleId[] => brief.set.layers.map((layer) => layer.role);
const percent = (share: number) => `${Math.round(share * 100)} %`;

/** Every caution, in the order shown. Common practice unless a line says otherwise; add one by adding a row. */
export const CAUTIONS: readonly Caution[] = [
  {
    code: 'sore-scalp',
    severity: 'stop',
    when: (c) => has(c, 'sore-scalp'),
    text: () =>
      'A sore, broken or flaring scalp is not set today. Leave it loose and gentle, and see a dermatologist; sudden or patchy loss the same.',
  },
  {
    code: 'no-time',
    severity: 'warn',
    when: (c) => c.dryingWindowH !== null && c.dryingWindowH <= 0,
    text: () => 'There is no time left to dry between the end of the set and takedown. Start earlier, or be ready later.',
  },
  {
    code: 'damp-takedown',
    severity: 'warn',
    when: (c) => c.chanceDryAtTakedown !== null && c.chanceDryAtTakedown < 0.8,
    text: (c) =>
      `Only ${percent(c.chanceDryAtTakedown ?? 0)} sure to be dry at takedown. Taken down damp, it frizzes and goes sooner. Feel the roots and the thickest section first.`,
  },
  {
    code: 'will-not-stay-dry',
    severity: 'warn',
    when: (c) => c.roomStaysDamp,
    text: () => 'Air this damp never lets hair stay dry. Use a hood or dry the room, and keep the style indoors until it has set.',
  },
  {
    code: 'damp-wrapped',
    severity: 'warn',
    when: (c) => c.brief.drying.some((step) => step.method.cover) && (c.chanceDryAtTakedown ?? 1) < 0.5,
    text: () => 'Hair wrapped damp for more than one night can sour and irritate the scalp. Add a hood before or after the night.',
  },
  {
    code: 'hot-on-weak-hair',
    severity: 'warn',
    when: (c) => isHot(c) && (has(c, 'bleached') || has(c, 'heat-damaged')),
    text: () => 'Bleached or heat-worn hair: keep hot air low and moving, with a cream or heat protectant under the hold.',
  },
  {
    code: 'heat-without-protectant',
    severity: 'note',
    when: (c) =>
      c.brief.drying.some((step) => (step.method.airC ?? 0) >= 50) && !roles(c).includes('heat-protectant'),
    text: () => 'Hot air ahead: a heat protectant costs nothing here. Test the heat on your wrist and keep it off the scalp.',
  },
  {
    code: 'rod-impossible',
    severity: 'warn',
    when: (c) => c.fullestFit?.impossible ?? false,
    text: () => 'Too much hair for this rod: one turn cannot close edge to edge. Use a larger rod or more sections.',
  },
  {
    code: 'rod-overlaps',
    severity: 'warn',
    when: (c) => c.fullestFit !== null && !c.fullestFit.impossible && c.fullestFit.fill > 1,
    text: (c) =>
      `The wraps overlap on this rod. Go up to ${Math.ceil(c.fullestFit?.smallestFittingMm ?? 0)} mm, or take more sections.`,
  },
  {
    code: 'rod-band-wide',
    severity: 'note',
    when: (c) => c.fullestFit !== null && !c.fullestFit.impossible && c.fullestFit.bandTooWide,
    text: () => 'The band of hair is wider than the rod, so your own pattern will show at the root.',
  },
  {
    code: 'rods-short',
    severity: 'warn',
    when: (c) => c.brief.set.tool !== null && c.brief.set.tool.owned > 0 && c.rodsNeeded > c.brief.set.tool.owned,
    text: (c) => `${c.rodsNeeded} rods wanted, ${c.brief.set.tool?.owned ?? 0} owned.`,
  },
  {
    code: 'less-than-a-turn',
    severity: 'note',
    when: (c) => c.shortestTurns !== null && c.shortestTurns < 1,
    text: () => 'The shortest hair does not go once round the rod: it will bend there, not curl.',
  },
  {
    code: 'sealant-first',
    severity: 'warn',
    when: (c) => {
      const first = roles(c)[0];
      return first !== undefined && productRoles[first].isSealant && roles(c).length > 1;
    },
    text: (c) =>
      `${productRoles[roles(c)[0]!].label} first seals in whatever is under it, and keeps the rest out. Leave-in goes on first.`,
  },
  {
    code: 'heavy-on-fine',
    severity: 'note',
    when: (c) =>
      c.brief.head.strandDiameterUm <= 60 &&
      c.brief.set.layers.some((layer) => (layer.weight ?? productRoles[layer.role].weight) >= 4),
    text: () => 'Fine strands go limp under heavy products. A leave-in and a foam may hold better.',
  },
  {
    code: 'more-product-than-hair',
    severity: 'warn',
    when: (c) => c.productPerG > 1,
    text: () => 'More product than hair by weight: expect a white cast and very slow drying.',
  },
  {
    code: 'little-stretch',
    severity: 'note',
    when: (c) =>
      startStates[c.brief.set.startState].straightened === 0 && c.brief.set.layers.every((l) => !productRoles[l.role].isHold),
    text: () => 'Set wet with no hold product, the set rests on the dry shape alone: wait until it is surely dry.',
  },
  {
    code: 'tension',
    severity: 'note',
    when: (c) => rootMethods[c.brief.set.rootMethod].pulls,
    text: () => 'Start roots loose at the hairline, temples and nape. Bumps, soreness or a headache: undo that section.',
  },
  {
    code: 'child',
    severity: 'warn',
    when: (c) => has(c, 'child'),
    text: () => 'A child: lighter hands, shorter sittings with breaks, no hot hood, a parent present.',
  },
  {
    code: 'flaking',
    severity: 'note',
    when: (c) => has(c, 'flaking-scalp'),
    text: () => 'Flaking scalp: clarify first and keep products off the skin. If it is red or sore, do not set it.',
  },
  {
    code: 'patch-test',
    severity: 'note',
    when: (c) => c.brief.set.layers.length > 0,
    text: () => 'Anything new on this skin: patch-test it first, and keep noted allergies in view.',
  },
  {
    code: 'hygiene',
    severity: 'note',
    when: () => true,
    text: () =>
      'Clean and disinfect combs, clips and rods between clients as your local board requires. This plan replaces no licence, local code or medical advice.',
  },
]; // prettier-ignore

/** The cautions due, in table order. */
export const dueCautions = (context: CautionContext) =>
  CAUTIONS.filter((caution) => caution.when(context)).map(({ code, severity, text }) => ({
    code,
    severity,
    text: text(context),
  }));
