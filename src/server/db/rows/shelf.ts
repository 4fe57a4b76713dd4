import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import { leftNowG } from '@/core/shelf/stock';
import { AppError } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { dryers, mixes, products, tools } from '../schema';
import { readJson } from './json';

export type Product = Omit<typeof products.$inferSelect, 'studioId'>;
export type Tool = Omit<typeof tools.$inferSelect, 'studioId'>;
export type Dryer = Omit<typeof dryers.$inferSelect, 'studioId'>;
export type Mix = Omit<typeof mixes.$inferSelect, 'studioId'>;

/** What a stylist writes of a product; what it weighs is kept by weighing. */
export type ProductCard = Pick<
  Product,
  | 'name'
  | 'role'
  | 'waterShare'
  | 'hold'
  | 'weight'
  | 'hasProtein'
  | 'sizeG'
  | 'priceMinor'
  | 'emptyG'
  | 'openedOn'
  | 'useBy'
  | 'notes'
  | 'ingredients'
>;
export type ToolCard = Omit<Tool, 'id' | 'revision'>;
export type DryerCard = Omit<Dryer, 'id' | 'revision'>;
export type MixCard = Omit<Mix, 'id' | 'revision'>;

/** Products of a studio, by role and name. */
export const listProducts = (reader: Reader, studioId: string): Promise<Product[]> =>
  reader
    .select()
    .from(products)
    .where(eq(products.studioId, studioId))
    .orderBy(asc(products.role), asc(products.name));

/** Tools of a studio, by kind, smallest first. */
export const listTools = (reader: Reader, studioId: string): Promise<Tool[]> =>
  reader
    .select()
    .from(tools)
    .where(eq(tools.studioId, studioId))
    .orderBy(asc(tools.kind), asc(tools.diameterMm));

/** Fans, hoods and diffusers of a studio, by kind and name. */
export const listDryers = (reader: Reader, studioId: string): Promise<Dryer[]> =>
  reader
    .select()
    .from(dryers)
    .where(eq(dryers.studioId, studioId))
    .orderBy(asc(dryers.kind), asc(dryers.name));

/** Mixes of a studio, by name. */
export const listMixes = async (reader: Reader, studioId: string): Promise<Mix[]> =>
  (await reader.select().from(mixes).where(eq(mixes.studioId, studioId)).orderBy(asc(mixes.name))).map(
    readMix,
  );

const mixParts = z.array(z.object({ productId: z.string(), parts: z.number() }));
const readMix = (row: Mix): Mix => ({ ...row, parts: readJson(mixParts, row.parts) ?? [] });

type ShelfTable = typeof products | typeof tools | typeof dryers | typeof mixes;

const rowOf = (table: ShelfTable, studioId: string, id: string) =>
  and(eq(table.studioId, studioId), eq(table.id, id));

async function revisionOf(reader: Reader, table: ShelfTable, studioId: string, id: string): Promise<number> {
  const [row] = await reader
    .select({ revision: table.revision })
    .from(table)
    .where(rowOf(table, studioId, id));
  if (!row) throw new AppError('not-found');
  return row.revision;
}

/** @throws AppError conflict when another tab saved since; not-found */
async function nextRevision(tx: Tx, table: ShelfTable, studioId: string, id: string, revision: number) {
  if ((await revisionOf(tx, table, studioId, id)) !== revision) throw new AppError('conflict');
  return revision + 1;
}

/** One product, or null. */
export const findProduct = async (reader: Reader, studioId: string, id: string): Promise<Product | null> =>
  (
    await reader
      .select()
      .from(products)
      .where(rowOf(products, studioId, id))
  )[0] ?? null;

/** One tool, or null. */
export const findTool = async (reader: Reader, studioId: string, id: string): Promise<Tool | null> =>
  (
    await reader
      .select()
      .from(tools)
      .where(rowOf(tools, studioId, id))
  )[0] ?? null;

/** One dryer, or null. */
export const findDryer = async (reader: Reader, studioId: string, id: string): Promise<Dryer | null> =>
  (
    await reader
      .select()
      .from(dryers)
      .where(rowOf(dryers, studioId, id))
  )[0] ?? null;

/** One mix, or null. */
export const findMix = async (reader: Reader, studioId: string, id: string): Promise<Mix | null> =>
  (
    await reader
      .select()
      .from(mixes)
      .where(rowOf(mixes, studioId, id))
  )[0] ?? null;

/** A row to save: null makes a new one, an id changes the revision the writer saw. */
export interface Saved {
  readonly id: string | null;
  readonly revision: number;
}

/** Puts a product on the shelf or changes what is written of it. */
export async function saveProduct(
  tx: Tx,
  studioId: string,
  { id, revision }: Saved,
  card: ProductCard,
  nowMs: number,
): Promise<string> {
  if (id === null) {
    const made = newId(nowMs);
    await tx.insert(products).values({ id: made, studioId, ...card });
    return made;
  }
  const next = await nextRevision(tx, products, studioId, id, revision);
  await tx
    .update(products)
    .set({ ...card, revision: next })
    .where(rowOf(products, studioId, id));
  return id;
}

/** Puts a size of tool in the drawer or changes it. */
export async function saveTool(
  tx: Tx,
  studioId: string,
  { id, revision }: Saved,
  card: ToolCard,
  nowMs: number,
): Promise<string> {
  if (id === null) {
    const made = newId(nowMs);
    await tx.insert(tools).values({ id: made, studioId, ...card });
    return made;
  }
  const next = await nextRevision(tx, tools, studioId, id, revision);
  await tx
    .update(tools)
    .set({ ...card, revision: next })
    .where(rowOf(tools, studioId, id));
  return id;
}

/** Keeps a fan, hood or diffuser, or changes it. */
export async function saveDryer(
  tx: Tx,
  studioId: string,
  { id, revision }: Saved,
  card: DryerCard,
  nowMs: number,
): Promise<string> {
  if (id === null) {
    const made = newId(nowMs);
    await tx.insert(dryers).values({ id: made, studioId, ...card });
    return made;
  }
  const next = await nextRevision(tx, dryers, studioId, id, revision);
  await tx
    .update(dryers)
    .set({ ...card, revision: next })
    .where(rowOf(dryers, studioId, id));
  return id;
}

/**
 * Keeps a mix. Its tub stands on the shelf from then on, empty until a batch is made, so that it can be planned.
 *
 * @param like what the mix is like, from what is in it
 */
export async function saveMix(
  tx: Tx,
  studioId: string,
  { id, revision }: Saved,
  card: MixCard,
  like: Partial<Pick<Product, 'waterShare' | 'hold' | 'weight' | 'hasProtein' | 'ingredients'>>,
  nowMs: number,
): Promise<string> {
  const tub = { name: card.name, role: card.role, ...like };
  if (id === null) {
    const made = newId(nowMs);
    await tx.insert(mixes).values({ id: made, studioId, ...card, revision: 1 });
    await tx.insert(products).values({ id: newId(nowMs), studioId, mixId: made, leftG: 0, ...tub });
    return made;
  }
  const next = await nextRevision(tx, mixes, studioId, id, revision);
  await tx
    .update(mixes)
    .set({ ...card, revision: next })
    .where(rowOf(mixes, studioId, id));
  // A batch that was made is what it is; only a tub that waits for one follows the mix.
  await tx
    .update(products)
    .set(tub)
    .where(and(eq(products.studioId, studioId), eq(products.mixId, id), isNull(products.openedOn)));
  return id;
}

const TABLES = { product: products, tool: tools, dryer: dryers, mix: mixes } as const;
export type ShelfKind = keyof typeof TABLES;

/** Takes something off the shelf. Plans that named it keep its role. */
export const takeOff = async (tx: Tx, studioId: string, kind: ShelfKind, id: string): Promise<void> => {
  // The empty tub of a mix goes with it; a batch stays.
  if (kind === 'mix')
    await tx
      .delete(products)
      .where(and(eq(products.studioId, studioId), eq(products.mixId, id), isNull(products.openedOn)));
  await tx.delete(TABLES[kind]).where(rowOf(TABLES[kind], studioId, id));
};

/**
 * Keeps a weighing: what is left, from now on.
 *
 * @throws AppError not-found
 */
export async function weighProduct(
  tx: Tx,
  studioId: string,
  id: string,
  weighed: { readonly leftG: number; readonly emptyG: number | null },
  nowMs: number,
): Promise<void> {
  const revision = await revisionOf(tx, products, studioId, id);
  await tx
    .update(products)
    .set({
      leftG: weighed.leftG,
      ...(weighed.emptyG === null ? {} : { emptyG: weighed.emptyG }),
      usedSinceG: 0,
      weighedAtMs: nowMs,
      revision: revision + 1,
    })
    .where(rowOf(products, studioId, id));
}

/** Counts grams as taken out of products, by id; negative ones go back. What is no longer on the shelf is passed over. */
export async function countAsUsed(
  tx: Tx,
  studioId: string,
  grams: ReadonlyMap<string, number>,
): Promise<void> {
  for (const [id, usedG] of grams) {
    await tx
      .update(products)
      .set({ usedSinceG: sql`max(0, ${products.usedSinceG} + ${usedG})` })
      .where(rowOf(products, studioId, id));
  }
}

/**
 * Puts a freshly made batch on the shelf and counts its ingredients as used. What was left of an older batch
 * of the same mix is gone with it.
 *
 * @throws AppError invalid when an ingredient is not there, or too little of it
 */
export async function makeBatch(
  tx: Tx,
  studioId: string,
  mix: Mix,
  batch: {
    readonly takes: readonly { readonly productId: string; readonly grams: number }[];
    readonly card: ProductCard;
    readonly batchG: number;
  },
  nowMs: number,
): Promise<string> {
  const shelf = await listProducts(tx, studioId);
  const errors = batch.takes.flatMap(({ productId, grams }) => {
    const product = shelf.find((one) => one.id === productId);
    if (!product)
      return [{ path: 'parts', message: 'an ingredient is no longer on the shelf; change the mix' }];
    const left = leftNowG(product);
    return left !== null && left < grams
      ? [
          {
            path: 'batchG',
            message: `${product.name}: ${Math.round(grams)} g are needed and about ${Math.round(left)} g are left; make a smaller batch`,
          },
        ]
      : [];
  });
  if (errors.length > 0) throw new AppError('invalid', errors);
  await countAsUsed(tx, studioId, new Map(batch.takes.map(({ productId, grams }) => [productId, grams])));
  const before = shelf.find((product) => product.mixId === mix.id);
  const id = before?.id ?? newId(nowMs);
  const row = {
    ...batch.card,
    mixId: mix.id,
    leftG: batch.batchG,
    usedSinceG: 0,
    weighedAtMs: nowMs,
    revision: (before?.revision ?? 0) + 1,
  };
  if (before)
    await tx
      .update(products)
      .set(row)
      .where(rowOf(products, studioId, id));
  else await tx.insert(products).values({ id, studioId, ...row });
  return id;
}
