import fc from 'fast-check';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { fromNetwork, signedInAs, type Signed } from '../../tests/support/people';
import { aStudio, NOON } from '../../tests/support/studio';
import { waitAfterMs, waitWords } from '@/core/people/guessing';
import { CODE_LASTS_MS, readCode, shownCode, typedCode } from '@/core/people/pairing-code';
import { lowerRole, may, permissions, ROLES, type Permission } from '@/core/people/permission';
import { newPassphrase, newPin } from '@/core/people/secret';
import { DAY_MS, HOUR_MS } from '@/core/units/time';
import { deviceName } from '@/core/people/device-name';
import { ownPath } from '@/core/people/own-path';
import { currentActor } from './actor';
import { asked } from './asking';
import { servedFrom, type Database, type Tx } from './db/client';
import {
  beginSession,
  countGuess,
  deviceBy,
  forgetGuesses,
  letGuessAgain,
  makeCode,
  pairDevice,
  revokeDevice,
  SESSION_LASTS_MS,
  signedInBy,
  wrongSecret,
} from './db/rows/devices';
import { linkBy, linksOf, makeLink, revokeLink } from './db/rows/client-links';
import { addPerson, changePerson, findOwner, namesNow, revokePerson, saveOwnWays } from './db/rows/people';
import { changeStudio } from './db/rows/studios';
import { aPlan } from '../../tests/support/people';
import { guessed } from './guess';
import { log } from './log';
import { digestOf, hashSecret, isSecret, newCodeToken, newToken } from './secrets';

let database: Database;
let studioId: string;
let stopServing: () => void;
const write = <T>(work: (tx: Tx) => Promise<T>) => database.write(work);
const actorOf = ({ asking }: Signed) => asked(asking, currentActor);

beforeAll(async () => {
  ({ database, studioId } = await aStudio());
  stopServing = servedFrom(database);
});
afterAll(() => {
  stopServing();
  database.close();
});

let count = 0;
/** Somebody of a name of her own. */
const somebody = (role: (typeof ROLES)[number], options: Parameters<typeof signedInAs>[3] = {}) =>
  signedInAs(database, studioId, role, { name: `Somebody ${(count += 1)}`, ...options });

describe('a code that pairs', () => {
  const code = { role: 'assistant', tokenHash: 't', typedHash: 'y' } as const;
  const phone = (name: string) => ({ name, tokenHash: newToken() });
  beforeEach(() => write((tx) => makeCode(tx, studioId, code, NOON)));

  it('pairs one device: of two that come at once, one is let in', async () => {
    const both = await Promise.all(
      ['t', 'y'].map((hash) => write((tx) => pairDevice(tx, hash, phone(hash), NOON + 1))),
    );
    expect(both.filter((device) => device !== null)).toHaveLength(1);
    expect(await write((tx) => pairDevice(tx, 't', phone('late'), NOON + 2))).toBeNull();
  });

  it('pairs for two minutes, and no more once another was made', async () => {
    expect(await write((tx) => pairDevice(tx, 't', phone('late'), NOON + CODE_LASTS_MS))).toBeNull();
    await write((tx) => makeCode(tx, studioId, { ...code, tokenHash: 'u', typedHash: 'z' }, NOON));
    expect(await write((tx) => pairDevice(tx, 't', phone('old'), NOON + 1))).toBeNull();
    expect(await write((tx) => pairDevice(tx, 'z', phone('new'), NOON + 1))).toMatchObject({
      role: 'assistant',
      studioId,
    });
  });

  it('is typed however it is read, and has 144 bits where a camera reads it', () => {
    fc.assert(
      fc.property(fc.uint32Array({ minLength: 8, maxLength: 8 }), (chance) => {
        const typed = typedCode(chance);
        expect(typed).toMatch(/^[2-9A-HJKMNP-TW-Z]{8}$/);
        expect(readCode(` ${shownCode(typed).toLowerCase()} `)).toBe(typed);
      }),
    );
    for (const none of ['', 'ABCD-234', 'ABCD-23451', 'ABCD-234O', 'ABCD-234!'])
      expect(readCode(none)).toBeNull();
    expect(Buffer.from(newCodeToken(), 'base64url')).toHaveLength(18);
    expect(Buffer.from(newToken(), 'base64url')).toHaveLength(32);
  });
});

describe('who is signed in', () => {
  it('is who she is on the device that she signed in on, and nobody on another', async () => {
    const [ann, bea] = [await somebody('stylist'), await somebody('owner')];
    expect(await actorOf(ann)).toMatchObject({ role: 'stylist', person: { id: ann.personId } });
    const mixed = fromNetwork({
      '__Host-device': ann.asking.cookies['__Host-device'],
      '__Host-session': bea.asking.cookies['__Host-session'],
    });
    await expect(asked(mixed, currentActor)).rejects.toMatchObject({ code: 'sign-in' });
    for (const lacking of ['__Host-device', '__Host-session']) {
      const cookies = { ...ann.asking.cookies, [lacking]: undefined };
      await expect(asked(fromNetwork(cookies), currentActor)).rejects.toMatchObject({ code: 'sign-in' });
    }
  });

  it('may do on a device at most what it may', async () => {
    expect((await actorOf(await somebody('owner', { deviceRole: 'assistant' }))).role).toBe('assistant');
    expect((await actorOf(await somebody('assistant', { deviceRole: 'owner' }))).role).toBe('assistant');
    fc.assert(
      fc.property(
        fc.constantFrom(...ROLES),
        fc.constantFrom(...ROLES),
        fc.constantFrom(...(Object.keys(permissions) as Permission[])),
        (one, other, permission) =>
          may(lowerRole(one, other), permission) === (may(one, permission) && may(other, permission)),
      ),
    );
  });

  it('is signed out by revoking her, her device, or by half a day, at once', async () => {
    const out = async (one: Signed) => expect(actorOf(one)).rejects.toMatchObject({ code: 'sign-in' });
    const [ann, bea, old] = [
      await somebody('stylist'),
      await somebody('stylist'),
      await somebody('stylist', { nowMs: Date.now() - SESSION_LASTS_MS - 1 }),
    ];
    await write((tx) => revokePerson(tx, studioId, ann.personId, Date.now()));
    await out(ann);
    await write((tx) => revokeDevice(tx, studioId, bea.deviceId, Date.now()));
    await out(bea);
    await out(old);
    await expect(write((tx) => revokeDevice(tx, studioId, bea.deviceId, NOON))).rejects.toMatchObject({
      code: 'not-found',
    });
  });

  it('is signed out everywhere by another PIN or role, and stays in for another name', async () => {
    const ann = await somebody('stylist');
    const card = { name: 'Ann', role: 'stylist', colour: 2, secretHash: null } as const;
    await write((tx) => changePerson(tx, studioId, ann.personId, card, NOON));
    expect((await actorOf(ann)).person).toMatchObject({ name: 'Ann', colour: 2 });
    await write((tx) => changePerson(tx, studioId, ann.personId, { ...card, role: 'assistant' }, NOON));
    await expect(actorOf(ann)).rejects.toMatchObject({ code: 'sign-in' });
  });

  it('is one at a time on a device', async () => {
    const ann = await somebody('stylist');
    const bea = await somebody('assistant');
    const session = { personId: bea.personId, deviceId: ann.deviceId, tokenHash: digestOf('other') };
    await write((tx) => beginSession(tx, studioId, session, Date.now()));
    await expect(actorOf(ann)).rejects.toMatchObject({ code: 'sign-in' });
    const person = await signedInBy(database.db, ann.deviceId, digestOf('other'), Date.now());
    expect(person?.id).toBe(bea.personId);
    expect(await signedInBy(database.db, bea.deviceId, digestOf('other'), Date.now())).toBeNull();
  });

  it('has her own units, hand and weights in the place of the studio’s, which stay', async () => {
    const ann = await somebody('stylist', { name: 'Ann the quick' });
    const own = { display: { length: 'in' }, hand: 'firm', handUnits: { pump: 1.7 } } as const;
    await write((tx) => saveOwnWays(tx, studioId, ann.personId, own));
    expect((await actorOf(ann)).studio).toMatchObject({
      display: { length: 'in' },
      hand: 'firm',
      handUnits: { pump: 1.7 },
      // Her own pace, too, is known by her name.
      setBy: 'Ann the quick',
    });
    expect((await actorOf(await somebody('stylist'))).studio).toMatchObject({
      display: {},
      hand: 'usual',
      handUnits: {},
    });
  });

  it('waits while her studio is put aside', async () => {
    const ann = await somebody('stylist');
    const other = await write((tx) =>
      changeStudio(tx, studioId, { name: 'Own', timeZone: 'UTC', display: {}, currency: 'EUR' }, NOON),
    );
    await expect(actorOf(ann)).rejects.toThrow('put aside');
    await write((tx) => changeStudio(tx, other, { id: studioId }, NOON));
    expect((await actorOf(ann)).studio.id).toBe(studioId);
  });
});

describe('an owner', () => {
  it('is always left: the last one cannot be let in no more, or become another', async () => {
    const own = await aStudio();
    const owner = { name: 'Maren', role: 'owner', colour: 0, secretHash: 'x' } as const;
    const id = await own.database.write((tx) => addPerson(tx, own.studioId, owner, NOON));
    const change = (work: (tx: Tx) => Promise<void>) =>
      expect(own.database.write(work)).rejects.toThrow('has an owner');
    await change((tx) => revokePerson(tx, own.studioId, id, NOON));
    await change((tx) => changePerson(tx, own.studioId, id, { ...owner, role: 'stylist' }, NOON));
    await own.database.write((tx) => addPerson(tx, own.studioId, { ...owner, name: 'Second' }, NOON));
    await own.database.write((tx) => revokePerson(tx, own.studioId, id, NOON));
    expect((await findOwner(own.database.db, own.studioId))?.name).toBe('Second');
    await expect(
      own.database.write((tx) => addPerson(tx, own.studioId, { ...owner, name: 'SECOND' }, NOON)),
    ).rejects.toThrow('has this name');
    own.database.close();
  });
});

describe('names of before', () => {
  it('lead to the one that somebody has now, whoever is renamed or let out; a name in use leads nowhere', async () => {
    const card = { role: 'assistant', colour: 0, secretHash: null } as const;
    const ids = await Promise.all(
      ['Aba', 'Bisi', 'Chioma'].map((name) =>
        write((tx) => addPerson(tx, studioId, { ...card, name, secretHash: 'none' }, NOON)),
      ),
    );
    // What each was ever called, the present last.
    const had = new Map(ids.map((id, i) => [id, [['Aba', 'Bisi', 'Chioma'][i]!]]));
    const names = ['Aba', 'Bisi', 'Chioma', 'Dupe', 'Efua'];
    const step = fc.record({ who: fc.constantFrom(...ids), name: fc.constantFrom(...names) });
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 8 }), async (steps) => {
        for (const { who, name } of steps)
          await write((tx) => changePerson(tx, studioId, who, { ...card, name }, NOON)).then(
            () => had.get(who)!.push(name),
            // Another is called so.
            (thrown: unknown) => expect(thrown).toMatchObject({ code: 'invalid' }),
          );
        const now = await namesNow(database.db, studioId);
        const inUse = [...had.values()].map((own) => own.at(-1)!);
        for (const name of inUse) expect(now.has(name)).toBe(false);
        for (const own of had.values())
          for (const former of own) {
            const others = [...had.values()].filter((other) => other !== own);
            // Where two were called so, either may have it.
            if (inUse.includes(former) || others.some((other) => other.includes(former))) continue;
            expect(now.get(former)).toBe(own.at(-1));
          }
        for (const [former, name] of now) if (names.includes(former)) expect(inUse).toContain(name);
      }),
      { numRuns: 20 },
    );
    for (const name of ['Aba before', 'Aba the last'])
      await write((tx) => changePerson(tx, studioId, ids[0]!, { ...card, name }, NOON));
    await write((tx) => revokePerson(tx, studioId, ids[0]!, NOON));
    expect((await namesNow(database.db, studioId)).get('Aba before')).toBe('Aba the last');
  });
});

describe('guessing', () => {
  it('is free five times, then waits 15 s, doubling to a quarter of an hour', () => {
    expect([0, 4, 5, 6, 7, 10, 11, 12, 500].map((wrong) => waitAfterMs(wrong) / 1000)).toEqual([
      0, 0, 15, 30, 60, 480, 900, 900, 900,
    ]);
    expect([1, 15_000, 89_000, 90_000, 900_000].map(waitWords)).toEqual([
      '1 second',
      '15 seconds',
      '89 seconds',
      '2 minutes',
      '15 minutes',
    ]);
  });

  it('is counted before it is looked at: of twenty at once, five are looked at', async () => {
    const guesses = await Promise.all(
      Array.from({ length: 20 }, () =>
        write((tx) => countGuess(tx, 'phone/ann', NOON)).then(
          () => true,
          () => false,
        ),
      ),
    );
    expect(guesses.filter(Boolean)).toHaveLength(5);
    await expect(write((tx) => countGuess(tx, 'phone/ann', NOON + 1000))).rejects.toThrow('wait 14 seconds');
  });

  it('on one device locks that device only, and never the owner at the computer', async () => {
    await expect(write((tx) => countGuess(tx, 'phone/ann', NOON))).rejects.toMatchObject({
      code: 'too-often',
    });
    await write((tx) => countGuess(tx, 'tablet/ann', NOON));
    await write((tx) => letGuessAgain(tx, 'ann'));
    await write((tx) => countGuess(tx, 'phone/ann', NOON));
    // Whoever sits there signs in to nothing.
    expect(await currentActor()).toMatchObject({ role: 'owner', person: null });
  });

  it('never goes faster than its waits allow, however it is spread', async () => {
    const key = 'phone/patient';
    let looked = 0;
    for (let at = NOON; at < NOON + HOUR_MS; at += 5000)
      await write((tx) => countGuess(tx, key, at)).then(
        () => (looked += 1),
        () => undefined,
      );
    // Ten thousand PINs at four an hour take months.
    expect(looked).toBeLessThanOrEqual(15);
    await write((tx) => forgetGuesses(tx, key));
    await write((tx) => countGuess(tx, key, NOON));
  });
});

describe('a guess', () => {
  it('is in the log by ids and how it ended, never what was typed; a right one forgets those before', async () => {
    const warn = vi.spyOn(log, 'warn').mockImplementation(() => undefined);
    const looked = vi.fn((right: boolean) => Promise.resolve(right ? 'hers' : null));
    const guess = (isRight: boolean, at = 'zuri') =>
      guessed(database, { by: 'phone', at }, NOON, () => looked(isRight), wrongSecret('PIN')).catch(
        (thrown: { code: string }) => thrown.code,
      );
    for (let n = 0; n < 4; n++) expect(await guess(false)).toBe('invalid');
    expect(await guess(true)).toBe('hers');
    expect(warn.mock.calls).toEqual(
      Array.from({ length: 4 }, () => [{ by: 'phone', at: 'zuri', code: 'wrong' }, 'a guess was refused']),
    );
    for (let n = 0; n < 5; n++) await guess(false);
    expect(looked).toHaveBeenCalledTimes(10);
    // From here on not even a right one is looked at, nor does somebody else wait for it.
    expect(await guess(true)).toBe('too-often');
    expect(looked).toHaveBeenCalledTimes(10);
    expect(warn).toHaveBeenLastCalledWith(
      { by: 'phone', at: 'zuri', code: 'too-often' },
      'a guess was refused',
    );
    expect(await guess(true, 'nia')).toBe('hers');
    warn.mockRestore();
  });
});

describe('secrets', () => {
  it('are kept salted and slow, and are told apart', async () => {
    const [one, two] = [await hashSecret('7391'), await hashSecret('7391')];
    expect(one).not.toBe(two);
    expect(one).toMatch(/^scrypt\$16384\$8\$1\$/);
    expect(one).not.toContain('7391');
    expect(await isSecret('7391', one)).toBe(true);
    expect(await isSecret('7392', one)).toBe(false);
    expect(await isSecret('7391', 'none')).toBe(false);
    // The same letter, written in two ways by two keyboards.
    expect(await isSecret('cafe\u0301 orchard violin', await hashSecret('caf\u00e9 orchard violin'))).toBe(
      true,
    );
  });

  it('that anybody tries first are not taken', () => {
    for (const weak of ['1234', '0000', '9876', '2468', '123', 'abcd', '12345678901'])
      expect(newPin.safeParse(weak).success, weak).toBe(false);
    for (const fine of ['7391', '0420', '1213']) expect(newPin.safeParse(fine).success, fine).toBe(true);
    expect(newPassphrase.safeParse('kettle orchard violin').success).toBe(true);
    for (const weak of ['short', 'aaaaaaaaaaaaaaaaaaaa'])
      expect(newPassphrase.safeParse(weak).success).toBe(false);
  });
});

describe('a link of a client', () => {
  it('opens one plan with its secret, until it ends or is taken back', async () => {
    const planId = await aPlan(database, studioId);
    const link = await write((tx) => makeLink(tx, studioId, planId, digestOf('secret'), NOON));
    const open = (id: string, secret: string, atMs = NOON + 1) =>
      linkBy(database.db, id, digestOf(secret), atMs);
    expect((await open(link.id, 'secret'))?.link.planId).toBe(planId);
    expect(await open(link.id, 'other')).toBeNull();
    expect(await open('other', 'secret')).toBeNull();
    expect(await open(link.id, 'secret', NOON + 61 * DAY_MS)).toBeNull();
    await write((tx) => revokeLink(tx, studioId, link.id, NOON + 2));
    expect(await open(link.id, 'secret')).toBeNull();
    expect(await linksOf(database.db, studioId, planId, NOON + 3)).toEqual([]);
  });
});

describe('after signing in', () => {
  it('goes on to a page of this program, wherever the address points', () => {
    expect(ownPath('/chair/abc?x=1')).toBe('/chair/abc?x=1');
    for (const away of [
      undefined,
      '',
      'https://evil.example',
      '//evil.example',
      '/\\evil.example',
      '/sign-in?to=/',
      'javascript:1',
    ])
      expect(ownPath(away)).toBe('/');
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.webUrl(),
          fc.string().map((text) => `/${text}`),
        ),
        (to) => {
          expect(new URL(ownPath(to), 'https://studio.local').origin).toBe('https://studio.local');
        },
      ),
    );
  });

  it('a device is called by what it is', () => {
    expect(deviceName('Mozilla/5.0 (Linux; Android 15; Pixel) Mobile Safari')).toBe('Android phone');
    expect(deviceName('Mozilla/5.0 (Linux; Android 15; SM-X)')).toBe('Android tablet');
    expect(deviceName('')).toBe('Computer');
  });
});

describe('a device by its secret', () => {
  it('is found with its studio, and not by what is kept of the secret', async () => {
    const ann = await somebody('assistant');
    const token = ann.asking.cookies['__Host-device']!;
    expect((await deviceBy(database.db, digestOf(token)))?.studio.id).toBe(studioId);
    expect(await deviceBy(database.db, token)).toBeNull();
  });
});
