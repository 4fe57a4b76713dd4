'use client';
import { gramsFromOunces } from '@/core/units/mass';
import { useUnits } from '@/ui/units-context';

/** Prices are told for so much, in the studio's own weight. */
export const PRICED = {
  g: { grams: 100, words: '100 g' },
  oz: { grams: gramsFromOunces(1), words: '1 oz' },
} as const;

/** The weight that prices are told for. */
export const PricedWeight = () => PRICED[useUnits().units.mass].words;
