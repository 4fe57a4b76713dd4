import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import type * as schema from './schema';

/** Reads, outside a transaction. */
export type Db = LibSQLDatabase<typeof schema>;
/** Inside one write transaction. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];
/** Anything that can read. */
export type Reader = Db | Tx;
