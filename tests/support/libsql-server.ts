import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { createRequire } from 'node:module';
import type { Socket } from 'node:net';
import { z } from 'zod';

/** The engine that a file is opened with: no client of a server has it. */
interface Engine {
  exec(sql: string): void;
  prepare(sql: string): Prepared;
  close(): void;
  readonly inTransaction: boolean;
}
interface Prepared {
  readonly reader: boolean;
  raw(isRaw: boolean): Prepared;
  safeIntegers(isSafe: boolean): Prepared;
  columns(): { name: string; type: string | null }[];
  all(...args: unknown[]): unknown[][];
  run(...args: unknown[]): { changes: number; lastInsertRowid: number | bigint };
}
const Database = createRequire(import.meta.url)('libsql') as new (file: string) => Engine;

const value = z.discriminatedUnion('type', [
  z.object({ type: z.literal('null') }),
  z.object({ type: z.literal('integer'), value: z.string() }),
  z.object({ type: z.literal('float'), value: z.number() }),
  z.object({ type: z.literal('text'), value: z.string() }),
  z.object({ type: z.literal('blob'), base64: z.string() }),
]);
type Value = z.output<typeof value>;
const statement = z.object({
  sql: z.string().optional(),
  sql_id: z.int().optional(),
  args: z.array(value).default([]),
  named_args: z.array(z.object({ name: z.string(), value })).default([]),
});
type Statement = z.output<typeof statement>;
type Condition =
  | { type: 'ok' | 'error'; step: number }
  | { type: 'not'; cond: Condition }
  | { type: 'and' | 'or'; conds: Condition[] }
  | { type: 'is_autocommit' };
const condition: z.ZodType<Condition> = z.lazy(() =>
  z.union([
    z.object({ type: z.enum(['ok', 'error']), step: z.int() }),
    z.object({ type: z.literal('not'), cond: condition }),
    z.object({ type: z.enum(['and', 'or']), conds: z.array(condition) }),
    z.object({ type: z.literal('is_autocommit') }),
  ]),
);
const request = z.discriminatedUnion('type', [
  z.object({ type: z.literal('execute'), stmt: statement }),
  z.object({
    type: z.literal('batch'),
    batch: z.object({ steps: z.array(z.object({ condition: condition.optional(), stmt: statement })) }),
  }),
  z.object({ type: z.literal('store_sql'), sql_id: z.int(), sql: z.string() }),
  z.object({ type: z.literal('close_sql'), sql_id: z.int() }),
  z.object({ type: z.literal('sequence'), sql: z.string() }),
  z.object({ type: z.literal('close') }),
]);
const pipeline = z.object({ baton: z.string().nullish(), requests: z.array(request) });

/** One stream of a client: a connection that a transaction is open on, or not. */
class Stream {
  readonly engine: Engine;
  /** Statements that the client named, to send them once. */
  readonly stored = new Map<number, string>();
  holdsWriter = false;
  idle: ReturnType<typeof setTimeout> | undefined;
  constructor(file: string) {
    this.engine = new Database(file);
    this.engine.exec('pragma foreign_keys = on; pragma busy_timeout = 5000');
  }
}

/** What is done to answers and requests on their way, by their number. */
export interface Weather {
  /** How long each request is on its way, ms. */
  latencyMs: number;
  /** Whether the connection breaks before a request is heard. */
  losesRequest: (number: number) => boolean;
  /** Whether it breaks after the request was carried out, before its answer arrives. */
  losesAnswer: (number: number) => boolean;
}

/** A stand-in for a server of libSQL: Hrana over HTTP, version 2 in JSON, as its protocol is published. */
export interface LibsqlServer {
  readonly url: string;
  readonly weather: Weather;
  readonly requests: () => number;
  readonly close: () => Promise<void>;
}

const fromJs = (one: unknown): Value =>
  one === null || one === undefined
    ? { type: 'null' }
    : typeof one === 'bigint'
      ? { type: 'integer', value: String(one) }
      : typeof one === 'number'
        ? { type: 'float', value: one }
        : typeof one === 'string'
          ? { type: 'text', value: one }
          : { type: 'blob', base64: Buffer.from(one as Uint8Array).toString('base64') };
const toJs = (one: Value): unknown =>
  one.type === 'null'
    ? null
    : one.type === 'integer'
      ? BigInt(one.value)
      : one.type === 'blob'
        ? Buffer.from(one.base64, 'base64')
        : one.value;

const BEGINS_WRITE = /^\s*begin\s+immediate/i;
const WRITES = /^\s*(insert|update|delete|replace|create|drop|alter|vacuum)/i;
/** A transaction that is left alone is rolled back, as by a real server. */
const IDLE_MS = 400;

/**
 * Serves a database file to clients over the network.
 *
 * @param token what a client must know
 */
export async function serveLibsql(file: string, token = 'token'): Promise<LibsqlServer> {
  new Database(file).exec('pragma journal_mode = wal');
  const streams = new Map<string, Stream>();
  const weather: Weather = { latencyMs: 0, losesRequest: () => false, losesAnswer: () => false };
  let count = 0;
  let batons = 0;
  /** Writers in the order in which they came. */
  let turn: Promise<void> = Promise.resolve();
  const giveUp = new Map<Stream, () => void>();

  const takeWriter = async (stream: Stream) => {
    if (stream.holdsWriter) return;
    const before = turn;
    turn = new Promise((done) => giveUp.set(stream, done));
    await before;
    stream.holdsWriter = true;
  };
  const releaseWriter = (stream: Stream) => {
    if (!stream.holdsWriter || stream.engine.inTransaction) return;
    stream.holdsWriter = false;
    giveUp.get(stream)?.();
    giveUp.delete(stream);
  };
  const end = (stream: Stream) => {
    clearTimeout(stream.idle);
    if (stream.engine.inTransaction) stream.engine.exec('rollback');
    releaseWriter(stream);
    stream.engine.close();
  };

  const sqlOf = (stream: Stream, { sql, sql_id }: Statement) => sql ?? stream.stored.get(sql_id ?? -1) ?? '';
  const execute = (stream: Stream, told: Statement) => {
    const { args, named_args } = told;
    const prepared = stream.engine.prepare(sqlOf(stream, told)).safeIntegers(true);
    const given =
      named_args.length > 0
        ? [
            Object.fromEntries(
              named_args.map(({ name, value: one }) => [name.replace(/^[:@$]/, ''), toJs(one)]),
            ),
          ]
        : args.map(toJs);
    if (!prepared.reader) {
      const { changes, lastInsertRowid } = prepared.run(...given);
      return { cols: [], rows: [], affected_row_count: changes, last_insert_rowid: String(lastInsertRowid) };
    }
    const cols = prepared.columns().map(({ name, type }) => ({ name, decltype: type }));
    const rows = prepared
      .raw(true)
      .all(...given)
      .map((row) => row.map(fromJs));
    return { cols, rows, affected_row_count: rows.length, last_insert_rowid: null };
  };
  const failure = (thrown: unknown) => {
    const { message, code } = thrown as { message: string; code?: string };
    return { message, code: code ?? 'SQLITE_ERROR' };
  };
  const wantsWriter = (sql: string) => BEGINS_WRITE.test(sql) || WRITES.test(sql);

  const run = async (stream: Stream, asked: z.output<typeof request>) => {
    if (asked.type === 'execute') {
      if (wantsWriter(sqlOf(stream, asked.stmt))) await takeWriter(stream);
      return { type: 'execute', result: execute(stream, asked.stmt) };
    }
    if (asked.type === 'sequence') {
      await takeWriter(stream);
      stream.engine.exec(asked.sql);
      return { type: 'sequence' };
    }
    if (asked.type === 'store_sql') stream.stored.set(asked.sql_id, asked.sql);
    if (asked.type === 'close_sql') stream.stored.delete(asked.sql_id);
    if (asked.type !== 'batch') return { type: asked.type };
    const { steps } = asked.batch;
    if (steps.some(({ stmt }) => wantsWriter(sqlOf(stream, stmt)))) await takeWriter(stream);
    const results: unknown[] = [];
    const errors: unknown[] = [];
    const holds = (one: Condition): boolean =>
      one.type === 'ok'
        ? results[one.step] !== null && results[one.step] !== undefined
        : one.type === 'error'
          ? errors[one.step] !== null && errors[one.step] !== undefined
          : one.type === 'not'
            ? !holds(one.cond)
            : one.type === 'and'
              ? one.conds.every(holds)
              : one.type === 'or'
                ? one.conds.some(holds)
                : !stream.engine.inTransaction;
    for (const step of steps) {
      const isDone = step.condition === undefined || holds(step.condition);
      try {
        results.push(isDone ? execute(stream, step.stmt) : null);
        errors.push(null);
      } catch (thrown) {
        results.push(null);
        errors.push(failure(thrown));
      }
    }
    return { type: 'batch', result: { step_results: results, step_errors: errors } };
  };

  const answer = async (incoming: IncomingMessage, response: ServerResponse) => {
    if (incoming.headers.authorization !== `Bearer ${token}`) {
      response.writeHead(401).end('{"error":"no such token"}');
      return;
    }
    if (incoming.method === 'GET') {
      // Version 2 in JSON is what is spoken here.
      response.writeHead(incoming.url === '/v2' || incoming.url === '/v3' ? 200 : 404).end();
      return;
    }
    const number = (count += 1);
    let text = '';
    for await (const chunk of incoming.setEncoding('utf8')) text += chunk as string;
    if (weather.latencyMs > 0) await new Promise((wait) => setTimeout(wait, weather.latencyMs));
    if (weather.losesRequest(number)) {
      incoming.socket.destroy();
      return;
    }
    const { baton, requests } = pipeline.parse(JSON.parse(text));
    const stream = baton ? streams.get(baton) : new Stream(file);
    if (baton) streams.delete(baton);
    if (!stream) {
      response.writeHead(400, { 'content-type': 'application/json' });
      response.end(JSON.stringify({ message: 'the stream has expired', code: 'STREAM_EXPIRED' }));
      return;
    }
    clearTimeout(stream.idle);
    const results: unknown[] = [];
    for (const asked of requests) {
      try {
        results.push({ type: 'ok', response: await run(stream, asked) });
      } catch (thrown) {
        results.push({ type: 'error', error: failure(thrown) });
      }
      releaseWriter(stream);
    }
    const isClosed = requests.some(({ type }) => type === 'close');
    const next = isClosed ? null : `baton-${(batons += 1)}`;
    if (next === null) end(stream);
    else {
      streams.set(next, stream);
      stream.idle = setTimeout(() => {
        streams.delete(next);
        end(stream);
      }, IDLE_MS);
    }
    if (weather.losesAnswer(number)) {
      incoming.socket.destroy();
      return;
    }
    response.writeHead(200, { 'content-type': 'application/json' });
    response.end(JSON.stringify({ baton: next, base_url: null, results }));
  };

  const sockets = new Set<Socket>();
  const server = createServer((incoming, response) => {
    answer(incoming, response).catch((thrown: unknown) => {
      response.writeHead(500).end(JSON.stringify({ message: String(thrown) }));
    });
  });
  server.on('connection', (socket) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const { port } = server.address() as { port: number };
  return {
    url: `http://127.0.0.1:${port}`,
    weather,
    requests: () => count,
    close: async () => {
      for (const stream of streams.values()) end(stream);
      for (const socket of sockets) socket.destroy();
      await new Promise((closed) => server.close(closed));
    },
  };
}
