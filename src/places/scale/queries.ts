import 'server-only';
import { leftNowG } from '@/core/shelf/stock';
import { query } from '@/server/action';
import { listProducts } from '@/server/db/rows/shelf';

/** A tub is about this heavy when nobody weighed it empty, g. */
const USUAL_TUB_G = 40;

/** Every tub that can be put on the scale, with what it is thought to weigh. */
export const loadTubs = () =>
  query('chair', async ({ actor, database, nowMs }) => ({
    seed: nowMs % 4294967296,
    tubs: (await listProducts(database.db, actor.studio.id)).map((product) => ({
      id: product.id,
      name: product.name,
      emptyG: product.emptyG ?? USUAL_TUB_G,
      leftG: leftNowG(product) ?? 0,
    })),
  }));
