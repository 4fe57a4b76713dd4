import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { HandId } from '@/core/coefficients/hands';
import type { DisplaySettings } from '@/core/formats/display';
import type { WeighedUnits } from '@/core/products/hand-units';
import { ROLES } from '@/core/people/permission';
import { json, timeMs } from './columns';
import { plans } from './plans';
import { ofStudio } from './studios';

/** Who works in a studio. */
export const people = sqliteTable(
  'people',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    name: text('name').notNull(),
    /** Names she had before: sets that she timed under them are hers. */
    formerNames: json<string[]>('former_names').notNull().default([]),
    role: text('role', { enum: ROLES }).notNull(),
    /** Colour of her taps on a map, one of those of the hands. */
    colour: integer('colour').notNull().default(0),
    /** PIN, or the passphrase of an owner, salted and hashed; null until there is one. */
    secretHash: text('secret_hash'),
    /** How she has things shown; what is left out is as in the studio. */
    display: json<Partial<DisplaySettings>>('display').notNull().default({}),
    /** How tightly she works; null: as in the studio. */
    hand: text('hand').$type<HandId>(),
    /** What her own pump, dime or teaspoon weighs; null: as in the studio. */
    handUnits: json<WeighedUnits>('hand_units'),
    createdAtMs: timeMs('created_at_ms').notNull(),
    /** Since when she may not come in; null while she may. */
    revokedAtMs: timeMs('revoked_at_ms'),
  },
  (table) => [index('people_by_studio').on(table.studioId, table.createdAtMs)],
);

/** A phone, tablet or computer that was paired. */
export const devices = sqliteTable(
  'devices',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    name: text('name').notNull(),
    /** The most that anybody may do on it. */
    role: text('role', { enum: ROLES }).notNull(),
    /** Of the secret it keeps. */
    tokenHash: text('token_hash').notNull(),
    pairedAtMs: timeMs('paired_at_ms').notNull(),
    lastSeenMs: timeMs('last_seen_ms').notNull(),
    /** What a passkey is asked to sign, once; null where none is asked. */
    challenge: text('challenge'),
    challengeUntilMs: timeMs('challenge_until_ms'),
    revokedAtMs: timeMs('revoked_at_ms'),
  },
  (table) => [
    uniqueIndex('devices_by_token').on(table.tokenHash),
    index('devices_by_studio').on(table.studioId, table.pairedAtMs),
  ],
);

/** A key that a phone keeps for somebody, in the place of her PIN. */
export const passkeys = sqliteTable(
  'passkeys',
  {
    /** As the phone names it. */
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    /** Its public half, as COSE has it. */
    publicKey: text('public_key').notNull(),
    /** How often it has signed, as far as it says so. */
    counter: integer('counter').notNull(),
    transports: json<string[]>('transports').notNull().default([]),
    /** The name of the network that it was made for, and holds for alone. */
    rpId: text('rp_id').notNull(),
    createdAtMs: timeMs('created_at_ms').notNull(),
  },
  (table) => [index('passkeys_by_person').on(table.personId)],
);

/** Somebody signed in on a device. */
export const sessions = sqliteTable(
  'sessions',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    deviceId: text('device_id')
      .notNull()
      .references(() => devices.id, { onDelete: 'cascade' }),
    tokenHash: text('token_hash').notNull(),
    createdAtMs: timeMs('created_at_ms').notNull(),
    expiresAtMs: timeMs('expires_at_ms').notNull(),
    endedAtMs: timeMs('ended_at_ms'),
  },
  (table) => [uniqueIndex('sessions_by_token').on(table.tokenHash)],
);

/** A code that pairs one device, once. */
export const pairingCodes = sqliteTable(
  'pairing_codes',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    role: text('role', { enum: ROLES }).notNull(),
    /** Of what a picture of squares carries, and of what is typed. */
    tokenHash: text('token_hash').notNull(),
    typedHash: text('typed_hash').notNull(),
    expiresAtMs: timeMs('expires_at_ms').notNull(),
    usedAtMs: timeMs('used_at_ms'),
  },
  (table) => [index('codes_by_token').on(table.tokenHash), index('codes_by_typed').on(table.typedHash)],
);

/** Guesses at a secret that were wrong so far, by who guesses at what; a right one takes the row away. */
export const guesses = sqliteTable('guesses', {
  key: text('key').primaryKey(),
  count: integer('count').notNull(),
  untilMs: timeMs('until_ms').notNull(),
});

/** A link by which a client reads one plan, and how it wears. */
export const clientLinks = sqliteTable(
  'client_links',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    planId: text('plan_id')
      .notNull()
      .references(() => plans.id, { onDelete: 'cascade' }),
    tokenHash: text('token_hash').notNull(),
    createdAtMs: timeMs('created_at_ms').notNull(),
    expiresAtMs: timeMs('expires_at_ms').notNull(),
    lastSeenMs: timeMs('last_seen_ms'),
    revokedAtMs: timeMs('revoked_at_ms'),
  },
  (table) => [uniqueIndex('links_by_token').on(table.tokenHash), index('links_by_plan').on(table.planId)],
);

/** What was done, when, and by whom. */
export const deeds = sqliteTable(
  'deeds',
  {
    id: text('id').primaryKey(),
    studioId: ofStudio(),
    atMs: timeMs('at_ms').notNull(),
    /** Null for whoever sat at the computer without signing in. */
    personId: text('person_id'),
    personName: text('person_name'),
    deviceId: text('device_id'),
    deviceName: text('device_name'),
    /** The permission it was done by. */
    permission: text('permission').notNull(),
    /** What it was done to, and the id of that; null for the studio itself. */
    kind: text('kind'),
    subjectId: text('subject_id'),
  },
  (table) => [
    index('deeds_by_studio').on(table.studioId, table.atMs),
    index('deeds_by_subject').on(table.subjectId, table.atMs),
  ],
);
