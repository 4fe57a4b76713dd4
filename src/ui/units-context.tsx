'use client';
import { createContext, useContext, useState, type ReactNode } from 'react';
import type { UnitSystem } from './format';

const COOKIE_AGE_S = 60 * 60 * 24 * 365;

const UnitsContext = createContext<{ units: UnitSystem; setUnits: (units: UnitSystem) => void }>({
  units: 'metric',
  setUnits: () => undefined,
});

/** Holds the chosen units and remembers them on this device, so that they switch at once everywhere. */
export function UnitsRoot({ initial, children }: { initial: UnitSystem; children: ReactNode }) {
  const [units, set] = useState(initial);
  const setUnits = (next: UnitSystem) => {
    document.cookie = `units=${next}; path=/; max-age=${COOKIE_AGE_S}; samesite=lax`;
    set(next);
  };
  return <UnitsContext value={{ units, setUnits }}>{children}</UnitsContext>;
}

/** The chosen units and how to change them. */
export const useUnits = () => useContext(UnitsContext);
