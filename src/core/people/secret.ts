import { z } from 'zod';

/** Numerals of a PIN. */
const PIN = { low: 4, high: 10 } as const;
/** Letters of a passphrase: four words (NIST SP 800-63B-4 asks for 15 where nothing else is asked for). */
const PASSPHRASE = { low: 15, high: 200 } as const;

/** Whether every numeral follows from the one before in the same way: 1234, 8642, 0000. */
const isRun = (pin: string): boolean => {
  const steps = [...pin].slice(1).map((numeral, i) => (Number(numeral) - Number(pin[i]) + 10) % 10);
  return steps.every((step) => step === steps[0]);
};

/** A PIN that somebody chooses. */
export const newPin = z
  .string()
  .regex(/^\d*$/, 'a PIN is of numerals only')
  .min(PIN.low, `a PIN has at least ${PIN.low} numerals`)
  .max(PIN.high, `a PIN has at most ${PIN.high} numerals`)
  .refine((pin) => !isRun(pin), 'this PIN is among the first that anybody tries; choose another');

/** A passphrase that an owner chooses. */
export const newPassphrase = z
  .string()
  .min(
    PASSPHRASE.low,
    `a passphrase has at least ${PASSPHRASE.low} letters; four words that do not belong together are good`,
  )
  .max(PASSPHRASE.high, `a passphrase has at most ${PASSPHRASE.high} letters`)
  .refine((words) => new Set(words.toLowerCase()).size >= 6, 'use more different letters');

/** A secret as it is tried. */
export const triedSecret = z
  .string()
  .min(1, 'write it in')
  .max(PASSPHRASE.high, `at most ${PASSPHRASE.high} letters`);
