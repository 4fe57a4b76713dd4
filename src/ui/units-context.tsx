'use client';
import { createContext, useContext, useState, type ReactNode } from 'react';
import {
  IMPERIAL,
  METRIC,
  clockIn,
  UTC_CLOCK,
  type Clock,
  type DisplaySettings,
  type Units,
} from '@/core/formats/display';

interface Shown {
  readonly units: Units;
  readonly clock: Clock;
  readonly setUnits: (units: Units) => void;
}

const ShownContext = createContext<Shown>({
  units: METRIC,
  clock: UTC_CLOCK,
  setUnits: () => undefined,
});

/** Holds how the studio shows lengths, weights, warmth and time; units switch at once everywhere and are kept. */
export function UnitsRoot({
  timeZone,
  display,
  onUnits,
  children,
}: {
  timeZone: string;
  display: DisplaySettings;
  /** Keeps another choice of units. */
  onUnits: (units: Units) => Promise<unknown>;
  children: ReactNode;
}) {
  const { length, mass, temperature } = display;
  const [chosen, setChosen] = useState<Units | null>(null);
  const [seen, setSeen] = useState(display);
  // What the studio page kept since overrides what was chosen here before.
  if (seen.length !== length || seen.mass !== mass || seen.temperature !== temperature) {
    setSeen(display);
    setChosen(null);
  }
  const setUnits = (next: Units) => {
    setChosen(next);
    onUnits(next).catch(() => undefined);
  };
  const clock = clockIn(timeZone, display);
  return (
    <ShownContext value={{ units: chosen ?? { length, mass, temperature }, clock, setUnits }}>
      {children}
    </ShownContext>
  );
}

/** The units and the clock of the studio, and how to change the units. */
export const useUnits = () => useContext(ShownContext);

/** The other of the two usual sets of units. */
export const otherUnits = (units: Units): Units => (units.length === 'cm' ? IMPERIAL : METRIC);
