import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { seedDemo } from '../../scripts/demo/seed';
import { everyDoor, type Door } from '../../tests/support/every-door';
import { signedInAs, type Signed } from '../../tests/support/people';
import { NOON } from '../../tests/support/studio';
import { asked } from './asking';
import { migrateDatabase, openDatabase, servedFrom, type Database } from './db/client';
import { makeLink } from './db/rows/client-links';
import { createStudio, currentStudio } from './db/rows/studios';
import { log } from './log';

let database: Database;
let theirs: string;
let ours: Signed;
let stopServing: () => void;
/** Numbers of rows of the other studio, by what they are of. */
let ids: Readonly<Record<string, string>>;
let names: readonly string[];
const said = vi.spyOn(log, 'error').mockImplementation(() => undefined);

beforeAll(async () => {
  database = openDatabase(':memory:');
  await migrateDatabase(database, ':memory:', NOON);
  await seedDemo(database, NOON);
  theirs = (await currentStudio(database.db))!.id;
  const signed = await signedInAs(database, theirs, 'stylist', { name: 'Theirs alone' });
  const other = await database.write((tx) => createStudio(tx, { name: 'Ours', timeZone: 'UTC' }, NOON));
  ours = await signedInAs(database, other.id, 'owner');
  const first = async (table: string) =>
    String(
      (
        await database.db.all<{ id: string }>(
          sql`select id from ${sql.identifier(table)} where studio_id = ${theirs} order by id limit 1`,
        )
      )[0]?.id,
    );
  const planId = await first('plans');
  const link = await database.write((tx) => makeLink(tx, theirs, planId, 'hash', NOON));
  ids = {
    planId,
    headId: await first('heads'),
    setId: await first('sets'),
    productId: await first('products'),
    toolId: await first('tools'),
    dryerId: await first('dryers'),
    mixId: await first('mixes'),
    measurementId: await first('head_measurements'),
    personId: signed.personId,
    deviceId: signed.deviceId,
    linkId: link.id,
  };
  const heads = await database.db.all<{ name: string }>(
    sql`select name from heads where studio_id = ${theirs}`,
  );
  names = [...heads.map(({ name }) => name), 'Theirs alone'];
  stopServing = servedFrom(database);
});
afterAll(() => {
  stopServing();
  database.close();
  said.mockRestore();
});

/** Every row of the other studio, and the studio itself. */
async function everything(): Promise<string> {
  const tables = await database.db.all<{ name: string }>(
    sql`select name from sqlite_master where type = 'table' and sql like '%studio_id%' order by name`,
  );
  const rows = await Promise.all(
    tables.map(({ name }) =>
      database.db.all(sql`select * from ${sql.identifier(name)} where studio_id = ${theirs}`),
    ),
  );
  return JSON.stringify([rows, await database.db.all(sql`select * from studios where id = ${theirs}`)]);
}

type Schema = z.core.JSONSchema.BaseSchema;

/**
 * Something that a schema takes, as far as it can be told from it.
 *
 * @param name of the field it is for
 * @param number what goes for a number that has no name of its own
 */
function sample(schema: Schema, name: string, number: string): unknown {
  const one = (schema.anyOf ?? schema.oneOf ?? []).find(({ type }) => type !== 'null');
  if (one) return sample(one as Schema, name, number);
  if (schema.allOf) return sample(Object.assign({}, ...schema.allOf) as Schema, name, number);
  if (schema.const !== undefined) return schema.const;
  if (schema.default !== undefined) return schema.default;
  if (schema.enum) return schema.enum[0];
  if (schema.type === 'object')
    return Object.fromEntries(
      Object.entries(schema.properties ?? {})
        .filter(([key]) => schema.required?.includes(key) || key in ids || key === 'id')
        .map(([key, part]) => [key, sample(part as Schema, key, number)]),
    );
  if (schema.type === 'array')
    return Array.from({ length: Math.max(1, schema.minItems ?? 0) }, () =>
      sample((schema.items ?? {}) as Schema, name.replace(/s$/, ''), number),
    ).slice(0, schema.maxItems);
  if (schema.type === 'number' || schema.type === 'integer') return Math.max(1, schema.minimum ?? 1);
  if (schema.type === 'boolean') return true;
  if (name in ids) return ids[name];
  if (/id$/i.test(name)) return number;
  if (/date|on$/i.test(name)) return '2027-03-13';
  return 'kettle orchard violin'.slice(0, schema.maxLength);
}

const wordsOf = async (answer: unknown): Promise<string> =>
  answer instanceof Response ? answer.text() : JSON.stringify(answer ?? null);

describe('signed in to another studio', () => {
  it('no action changes or tells anything of this one, by whatever number it is asked', async () => {
    const actions = (await everyDoor()).filter(({ name }) => name.startsWith('places/'));
    const before = await everything();
    let understood = 0;
    for (const { name, ask } of actions) {
      const schema = z.toJSONSchema(ask.input!, { io: 'input', unrepresentable: 'any' }) as Schema;
      let isUnderstood = false;
      for (const number of new Set(Object.values(ids))) {
        const answer = await asked(ours.asking, () => ask(sample(schema, '', number)));
        const { ok, code } = answer as { ok: boolean; code?: string };
        isUnderstood ||= ok || code !== 'invalid';
        const words = await wordsOf(answer);
        for (const told of names) expect(words, `${name} tells of ${told}`).not.toContain(told);
      }
      understood += Number(isUnderstood);
    }
    expect(await everything()).toBe(before);
    // What is made from a schema alone is refused where fields must fit each other; most is not.
    expect(understood / actions.length).toBeGreaterThan(0.5);
  });

  it('no address tells or changes anything of this one', async () => {
    const routes = (await everyDoor()).filter(({ name }) => name.startsWith('app/'));
    const before = await everything();
    for (const { name, ask } of routes) {
      const method = name.split(' ').at(-1)!;
      for (const number of new Set(Object.values(ids))) {
        const answer = await asked(ours.asking, () => askAddress(ask, method, number));
        const words = await wordsOf(answer);
        for (const told of names) expect(words, `${name} tells of ${told}`).not.toContain(told);
      }
    }
    expect(await everything()).toBe(before);
  });
});

const askAddress = (ask: Door, method: string, number: string): Promise<unknown> =>
  ask(
    new Request(`https://studio.local:3443/x/${number}?after=0`, {
      method,
      ...(method === 'GET'
        ? {}
        : { body: JSON.stringify({ format: 1, deviceId: 'd', offsetMs: 0, events: [] }) }),
    }),
    {
      params: Promise.resolve({
        ...{ id: number, table: 'sets', key: number },
        file: 'plan.json',
        rest: [number],
      }),
    },
  );
