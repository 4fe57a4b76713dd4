import { result } from '../coefficients/result';
import { clamp } from '../units/clamp';
import { learntPoints } from '../brief/learnt';
import { mergeReasons } from './merge';
import type { Reason } from './reason';
import {
  afterOf,
  detangling,
  dewOver,
  endsOf,
  handsOf,
  rootOf,
  startOf,
  unevenPart,
  type SetFacts,
} from './set-facts';

/** A 0–10 figure with the signed reasons behind it, largest first. */
export interface Look {
  readonly value: number;
  readonly why: readonly Reason[];
}

/** What adds up to a figure, before the ends of the scale. */
export interface LookTerms {
  readonly base: number;
  readonly terms: readonly Reason[];
}

/** Reasons smaller than this say nothing to a stylist. */
const SMALLEST_SHOWN = 0.05;

/** A figure of a whole head from the parts of it that are set alike, with every reason worth saying. */
export function lookOf(parts: readonly { readonly share: number; readonly look: LookTerms }[]): Look {
  const base = parts.reduce((sum, { share, look }) => sum + share * look.base, 0);
  const terms = mergeReasons(parts.map(({ share, look }) => ({ share, why: look.terms })));
  const sum = terms.reduce((total, term) => total + term.effect, base);
  const value = clamp(sum, 0, 10);
  const clamped: Reason[] =
    value === sum
      ? []
      : [{ factor: 'end-of-scale', effect: value - sum, text: 'held at the end of the scale' }];
  return { value, why: [...terms, ...clamped].filter((term) => Math.abs(term.effect) >= SMALLEST_SHOWN) };
}

const pieces = (facts: SetFacts) => `each ${facts.technique.noun[0]} split into ${facts.separations}`;

function sizeText(facts: SetFacts): string {
  const { noun } = facts.technique;
  if (facts.sizeDoublings > 0) return `${noun[1]} large for a coil this size`;
  return `${noun[1]} small for a coil this size`;
}

function holdText(facts: SetFacts): string {
  if (!facts.holdName) return 'no hold product';
  const { hold } = facts;
  return `${hold >= 0.7 ? 'strong' : hold > 0.45 ? 'soft' : 'light'} hold from the ${facts.holdName}`;
}

/** Definition at takedown, 0–10 (set-geometry §9). */
export function definitionTerms(facts: SetFacts): LookTerms {
  const c = result.value;
  const t = facts.technique.coefficients.value;
  const ends = endsOf(facts);
  const learnt = facts.learnt.definition;
  return {
    base: c.baseDefinition,
    terms: [
      {
        factor: 'technique',
        effect: t.definition,
        text: `${facts.technique.label.toLowerCase()}, as it usually turns out`,
      },
      { factor: 'section-size', effect: c.sizeDefinition * facts.sizeDoublings, text: sizeText(facts) },
      {
        factor: 'evenness',
        effect: c.evennessDefinition * unevenPart(facts),
        text: 'sections uneven in size',
      },
      { factor: 'hold', effect: c.holdDefinition * (facts.hold - c.usualHold), text: holdText(facts) },
      { factor: 'damp', effect: c.dampDefinition * facts.damp, text: 'still damp inside at takedown' },
      {
        factor: 'detangling',
        effect: c.detanglingDefinition * (detangling(facts) - 0.8),
        text: 'brushed through after product',
      },
      ...(t.ropes > 1
        ? [{ factor: 'strands', effect: c.strandsApartDefinition, text: 'ropes kept apart and equal' }]
        : []),
      ...(t.ropes === 1
        ? [{ factor: 'strands', effect: c.strandsApartDefinition, text: 'wound smooth, nothing mixed' }]
        : []),
      {
        factor: 'separating',
        effect: c.separatingDefinition * Math.log2(facts.separations),
        text: pieces(facts),
      },
      {
        factor: 'ends',
        effect: ends.definition * (facts.weakEnds ? c.weakEnds : 1),
        text: facts.weakEnds ? `${ends.phrase}; ends this worn need it more` : ends.phrase,
      },
      { factor: 'start-state', effect: startOf(facts).definition, text: startOf(facts).phrase },
      {
        factor: 'hands',
        effect: handsOf(facts).definition,
        text: handsOf(facts).phrase,
      },
      ...afterOf(facts).map(({ definition, phrase }) => ({
        factor: 'afterwards',
        effect: definition,
        text: phrase,
      })),
      {
        factor: 'overlap',
        effect: c.overlapDefinition * Math.max(0, Math.min(facts.fill, 4) - 1),
        text: 'hair wound over hair on the tool',
      },
      ...(learnt
        ? [
            {
              factor: 'learnt',
              effect: learnt.shift,
              text: learntPoints(learnt, ['more defined', 'less defined']),
            },
          ]
        : []),
    ],
  };
}

/** Frizz at takedown, 0–10, high is bad (set-geometry §9). */
export function frizzTerms(facts: SetFacts): LookTerms {
  const c = result.value;
  const t = facts.technique.coefficients.value;
  return {
    base: c.baseFrizz,
    terms: [
      {
        factor: 'technique',
        effect: t.frizz,
        text: `${facts.technique.label.toLowerCase()}, as it usually turns out`,
      },
      { factor: 'section-size', effect: c.sizeFrizz * facts.sizeDoublings, text: sizeText(facts) },
      { factor: 'evenness', effect: c.evennessFrizz * unevenPart(facts), text: 'sections uneven in size' },
      { factor: 'hold', effect: c.holdFrizz * (facts.hold - c.usualHold), text: holdText(facts) },
      { factor: 'damp', effect: c.dampFrizz * facts.damp, text: 'still damp inside at takedown' },
      {
        factor: 'detangling',
        effect: c.detanglingFrizz * (detangling(facts) - 0.8),
        text: 'brushed through after product',
      },
      { factor: 'strands', effect: c.strandsApartFrizz, text: 'strands kept unmixed' },
      { factor: 'separating', effect: c.separatingFrizz * Math.log2(facts.separations), text: pieces(facts) },
      { factor: 'start-state', effect: startOf(facts).frizz, text: startOf(facts).phrase },
      { factor: 'fluffing', effect: c.fluffingFrizz * facts.fluffing, text: 'roots fluffed' },
      { factor: 'dew-point', effect: c.dewFrizz * dewOver(facts), text: 'damp air outdoors' },
      {
        factor: 'dry-air',
        effect: c.dryAirFrizz * Math.max(0, -facts.dewPointOutsideC),
        text: 'very dry air outdoors',
      },
      {
        factor: 'hands',
        effect: handsOf(facts).frizz,
        text: handsOf(facts).phrase,
      },
      ...afterOf(facts).map(({ frizz, phrase }) => ({ factor: 'afterwards', effect: frizz, text: phrase })),
    ],
  };
}

/** Volume at takedown, 0–10, an amount and not praise (set-geometry §9). */
export function volumeTerms(facts: SetFacts): LookTerms {
  const c = result.value;
  return {
    base: c.baseVolume,
    terms: [
      {
        factor: 'technique',
        effect: facts.technique.coefficients.value.volume,
        text: `${facts.technique.label.toLowerCase()}, as it usually turns out`,
      },
      { factor: 'hold', effect: c.holdVolume * (facts.hold - c.usualHold), text: holdText(facts) },
      {
        factor: 'separating',
        effect: c.separatingVolume * Math.log2(facts.separations),
        text: pieces(facts),
      },
      { factor: 'start-state', effect: startOf(facts).volume, text: startOf(facts).phrase },
      { factor: 'fluffing', effect: c.fluffingVolume * facts.fluffing, text: 'roots fluffed' },
      { factor: 'dew-point', effect: c.dewVolume * dewOver(facts), text: 'damp air outdoors' },
      {
        factor: 'hair-count',
        effect: c.hairCountVolume * Math.log2(facts.hairCount / 100_000),
        text: 'how much hair there is',
      },
      { factor: 'root-method', effect: rootOf(facts).volume, text: rootOf(facts).phrase },
    ],
  };
}
