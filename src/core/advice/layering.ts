import { thresholds } from '../coefficients/thresholds';
import { productRoles, type RoleId } from '../products';
import type { DoseVerdict } from '../products/dose';
import { layerLists } from '../products/layer';
import { listed } from '../words/words';
import { hasCondition, rolesOf, type Caution, type CautionContext, type Severity } from './caution';

type Layers = CautionContext['brief']['set']['layers'];

const weightOf = (layer: Layers[number]) => layer.weight ?? productRoles[layer.role].weight;
const isHold = (role: RoleId) => productRoles[role].isHold;
const isFine = (c: CautionContext) => c.brief.head.strandDiameterUm <= thresholds.value.fineUm;

/** The first heavy layer that a light foam goes over. */
const heavyUnderFoam = (layers: Layers) => {
  const foam = layers.findIndex((layer) => layer.role === 'mousse' || layer.role === 'setting-lotion');
  return layers.find((layer, i) => i < foam && weightOf(layer) >= thresholds.value.heavyWeight);
};

const dosed = (c: CautionContext, verdict: DoseVerdict) =>
  c.facts?.doses.filter((dose) => dose.verdict === verdict) ?? [];
const named = (doses: ReturnType<typeof dosed>) =>
  listed(doses.map(({ layer }) => productRoles[layer.role].label.toLowerCase()));

/** Something wrong with an order of layers, told from the layers alone: it can be checked while one is moved. */
export interface OrderRule {
  readonly code: string;
  readonly severity: Severity;
  readonly when: (layers: Layers) => boolean;
  readonly text: (layers: Layers) => string;
}

/** Both schools of leave-in, cream and oil pass; a sealant first does not. */
export const ORDER_RULES: readonly OrderRule[] = [
  {
    code: 'sealant-first',
    severity: 'warn',
    when: ([first, ...rest]) => first !== undefined && productRoles[first.role].isSealant && rest.length > 0,
    text: ([first]) =>
      `${productRoles[first!.role].label} first seals in whatever is, or is not, under it, and keeps the rest out. Leave-in goes on first; cream and oil may follow in either order.`,
  },
  {
    code: 'water-over-sealant',
    severity: 'note',
    when: (layers) => {
      const sealed = layers.findIndex(
        ({ role }, i) => i > 0 && productRoles[role].isSealant && !isHold(role),
      );
      return (
        sealed > 0 && layers.slice(sealed + 1).some(({ role }) => role === 'leave-in' || role === 'water')
      );
    },
    text: () => 'Leave-in or water over a sealant beads up and does not sink in: put it under.',
  },
  {
    code: 'heavy-under-foam',
    severity: 'note',
    when: (layers) => heavyUnderFoam(layers) !== undefined,
    text: (layers) =>
      `${productRoles[heavyUnderFoam(layers)!.role].label} under a light foam: the foam cannot grip and the set stays limp. Take one of them, or a gel on top.`,
  },
];

/** What is wrong with layers in this order, in words; nothing where it is fine. */
export const orderProblems = (layers: Layers): string[] =>
  ORDER_RULES.flatMap(({ when, text }) => {
    const wrong = layerLists(layers).find(when);
    return wrong ? [text(wrong)] : [];
  });

/** Order, stacks and amounts of product. */
export const LAYERING: readonly Caution[] = [
  ...ORDER_RULES.map(
    ({ code, severity, when, text }): Caution => ({
      code,
      severity,
      shows: ['plan'],
      when: ({ brief }) => layerLists(brief.set.layers).some(when),
      text: ({ brief }) => text(layerLists(brief.set.layers).find(when)!),
    }),
  ),
  {
    code: 'hold-and-butter-on-fine',
    severity: 'warn',
    shows: ['plan'],
    when: (c) =>
      isFine(c) &&
      c.brief.set.layers.some((layer) => weightOf(layer) >= thresholds.value.heavyWeight && !isHold(layer.role)) &&
      rolesOf(c).some(isHold),
    text: () => 'Hold over a butter or oil on fine strands clumps and goes limp within a day. A leave-in and a foam hold better.',
  },
  {
    code: 'heavy-on-fine',
    severity: 'note',
    shows: ['plan'],
    when: (c) => isFine(c) && c.brief.set.layers.some((layer) => weightOf(layer) >= thresholds.value.heavyWeight) && !rolesOf(c).some(isHold),
    text: () => 'Fine strands go limp under heavy products. A leave-in and a foam may hold better.',
  },
  {
    code: 'protein',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => hasCondition(c, 'protein-sensitive') && c.brief.set.layers.some((layer) => layer.protein),
    text: () => 'This head goes stiff and brittle with protein, and a layer here holds some. Choose one without, or put moisture under it.',
  },
  {
    code: 'more-product-than-hair',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => (c.facts?.productPerG ?? 0) > 1,
    text: () => 'More product than hair by weight: expect a white cast and very slow drying.',
  },
  {
    code: 'too-much-product',
    severity: 'note',
    shows: ['plan'],
    when: (c) => dosed(c, 'much').length > 0,
    text: (c) => `Much ${named(dosed(c, 'much'))} for this hair: limp, greasy, a white cast, slow to dry.`,
  },
  {
    code: 'too-little-product',
    severity: 'note',
    shows: ['plan'],
    when: (c) => dosed(c, 'little').length > 0,
    text: (c) => `Little ${named(dosed(c, 'little'))} for this hair: no slip, a dry feel, frizz.`,
  },
]; // prettier-ignore
