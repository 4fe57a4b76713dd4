'use client';
import { useEffect } from 'react';
import { forgetChairs } from '../../chair/outbox/forget-chairs';

/** Nobody is signed in: what this device keeps of the chair to look at goes. Taps that wait to be sent stay. */
export function ForgetHere() {
  useEffect(() => {
    void forgetChairs();
  }, []);
  return null;
}
