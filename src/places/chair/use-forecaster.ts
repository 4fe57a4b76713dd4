'use client';
import { useEffect, useRef, type RefObject } from 'react';
import { startForecaster, type Forecaster } from '@/workers/client';

/** The one forecaster of the chair, beside the page; null until it has started. */
export function useForecaster(): RefObject<Forecaster | null> {
  const forecaster = useRef<Forecaster | null>(null);
  useEffect(() => {
    const started = startForecaster(false);
    forecaster.current = started;
    return () => {
      forecaster.current = null;
      started.end();
    };
  }, []);
  return forecaster;
}
