import { z } from 'zod';
import { ROLES, type Role } from '@/core/people/permission';
import { newPassphrase, newPin } from '@/core/people/secret';

/** Marks that a hand at a head can have. */
const COLOURS = 4;

const id = z.string().min(1).max(60);
export const personName = z.string().trim().min(1, 'give a name').max(40, 'a name of at most 40 letters');
const role = z.enum(ROLES);

/** An owner has a passphrase, everybody else a PIN. */
const secretFits = ({ role, secret }: { role: Role; secret: string | null }, context: z.RefinementCtx) => {
  if (secret === null) return;
  const read = (role === 'owner' ? newPassphrase : newPin).safeParse(secret);
  if (!read.success)
    context.addIssue({ code: 'custom', path: ['secret'], message: read.error.issues[0]!.message });
};
const card = {
  name: personName,
  role,
  colour: z
    .int()
    .min(0)
    .max(COLOURS - 1),
};

export const ownerInput = z
  .strictObject({ name: personName, secret: z.string() })
  .superRefine(({ secret }, context) => secretFits({ role: 'owner', secret }, context));
export const newPersonInput = z.strictObject({ ...card, secret: z.string() }).superRefine(secretFits);
export const personInput = z
  .strictObject({
    personId: id,
    /** As she stood where she was opened. */
    before: z.strictObject(card),
    ...card,
    secret: z.string().nullable(),
  })
  .superRefine(secretFits);
export const personIdInput = z.strictObject({ personId: id });
export const deviceIdInput = z.strictObject({ deviceId: id });
export const codeInput = z.strictObject({ role });
export const networkInput = z.strictObject({ isOn: z.boolean() });
