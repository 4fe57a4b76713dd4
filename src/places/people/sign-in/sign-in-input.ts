import { z } from 'zod';
import { HAND_IDS } from '@/core/coefficients/hands';
import { readCode } from '@/core/people/pairing-code';
import { newPassphrase, newPin, triedSecret } from '@/core/people/secret';
import { personName } from '../people-input';

/** Letters of what a picture of squares carries. */
const TOKEN = /^[\w-]{24}$/;

/** What pairs: what a picture carried, or what was typed. */
const code = z.string().transform((text, context) => {
  const typed = TOKEN.test(text) ? text : readCode(text);
  if (typed === null)
    context.addIssue({ code: 'custom', message: 'a code has eight letters and numerals, such as ABCD-2345' });
  return typed ?? '';
});

export const pairInput = z.strictObject({
  code,
  name: z.string().trim().min(1, 'say which device this is').max(40, 'a name of at most 40 letters'),
});
export const signInInput = z.strictObject({ personId: z.string().min(1).max(60), secret: triedSecret });
export const becomeOwnerInput = z.strictObject({ name: personName, secret: newPassphrase });
export const ownSecretInput = z.strictObject({
  before: triedSecret,
  secret: z.union([newPin, newPassphrase]),
});
export const ownHandInput = z.strictObject({ hand: z.enum(HAND_IDS) });

/** What a phone answers: its shape is the standard's (W3C WebAuthn, 5.1), and is checked where it is verified. */
const answered = z.looseObject({ id: z.string().min(1).max(1024) });
export const passkeyInput = z.strictObject({ response: answered });
export const passkeyPersonInput = z.strictObject({ personId: z.string().min(1).max(60) });
export const signedInput = z.strictObject({ personId: z.string().min(1).max(60), response: answered });
