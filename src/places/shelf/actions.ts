'use server';
import { revalidatePath } from 'next/cache';
import { Temporal } from 'temporal-polyfill';
import { batchParts, mixed, type MixPart } from '@/core/shelf/mix';
import { minorPerG } from '@/core/shelf/stock';
import type { ShelfKindId } from '@/core/products/shelf-kind';
import { action } from '@/server/action';
import {
  findMix,
  listProducts,
  makeBatch as makeBatchRow,
  saveDryer as saveDryerRow,
  saveMix as saveMixRow,
  saveProduct as saveProductRow,
  saveTool as saveToolRow,
  takeOff as takeOffRow,
  weighProduct,
  type Product,
} from '@/server/db/rows/shelf';
import { saveCurrency as saveCurrencyRow } from '@/server/db/rows/studios';
import { AppError } from '@/server/errors';
import {
  batchInput,
  currencyInput,
  saveDryerInput,
  saveMixInput,
  saveProductInput,
  saveToolInput,
  takeOffInput,
  weighInput,
} from './shelf-input';

/** Puts a product on the shelf or changes it. */
export const saveProduct = action(
  'write-shelf',
  saveProductInput,
  async ({ input, actor, database, nowMs }) => {
    const { card, ...saved } = input;
    const id = await database.write((tx) => saveProductRow(tx, actor.studio.id, saved, card, nowMs));
    revalidatePath('/shelf');
    return { id };
  },
);

/** Puts a size of tool in the drawer or changes it. */
export const saveTool = action('write-shelf', saveToolInput, async ({ input, actor, database, nowMs }) => {
  const { card, ...saved } = input;
  const id = await database.write((tx) => saveToolRow(tx, actor.studio.id, saved, card, nowMs));
  revalidatePath('/shelf');
  return { id };
});

/** Keeps a fan, hood or diffuser, or changes it. */
export const saveDryer = action('write-shelf', saveDryerInput, async ({ input, actor, database, nowMs }) => {
  const { card, ...saved } = input;
  const id = await database.write((tx) => saveDryerRow(tx, actor.studio.id, saved, card, nowMs));
  revalidatePath('/shelf');
  return { id };
});

/** What is in a mix, as far as it is still on the shelf. */
const insideOf = (parts: readonly MixPart[], shelf: readonly Product[]) =>
  parts.flatMap(({ productId, parts: share }) => {
    const product = shelf.find(({ id }) => id === productId);
    return product
      ? [
          {
            parts: share,
            of: { ...product, role: product.role as ShelfKindId, minorPerG: minorPerG(product) },
          },
        ]
      : [];
  });

/** Ingredients of a mix in one line. */
const ingredientsOf = (inside: ReturnType<typeof insideOf>) =>
  inside
    .map(({ of }) => of.ingredients)
    .filter(Boolean)
    .join('; ');

/** Keeps a mix. */
export const saveMix = action('write-shelf', saveMixInput, async ({ input, actor, database, nowMs }) => {
  const { card, ...saved } = input;
  const id = await database.write(async (tx) => {
    const inside = insideOf(card.parts, await listProducts(tx, actor.studio.id));
    const { minorPerG: _, ...like } = inside.length > 0 ? mixed(inside) : { minorPerG: null };
    return saveMixRow(
      tx,
      actor.studio.id,
      saved,
      card,
      { ...like, ingredients: ingredientsOf(inside) },
      nowMs,
    );
  });
  revalidatePath('/shelf');
  return { id };
});

/** Takes something off the shelf. */
export const takeOff = action('write-shelf', takeOffInput, async ({ input, actor, database }) => {
  await database.write((tx) => takeOffRow(tx, actor.studio.id, input.kind, input.id));
  revalidatePath('/shelf');
  return {};
});

/** Keeps what a tub weighs now. */
export const weigh = action('write-shelf', weighInput, async ({ input, actor, database, nowMs }) => {
  const leftG = Math.max(0, Math.round((input.grossG - input.emptyG) * 10) / 10);
  await database.write((tx) =>
    weighProduct(tx, actor.studio.id, input.id, { leftG, emptyG: input.emptyG }, nowMs),
  );
  revalidatePath('/shelf');
  return { leftG };
});

/** Makes a batch of a mix: its ingredients get less, and a dated tub of it stands on the shelf. */
export const makeBatch = action('write-shelf', batchInput, async ({ input, actor, database, nowMs }) => {
  const { studio } = actor;
  const id = await database.write(async (tx) => {
    const mix = await findMix(tx, studio.id, input.mixId);
    if (!mix) throw new AppError('not-found');
    const inside = insideOf(mix.parts, await listProducts(tx, studio.id));
    if (inside.length < mix.parts.length) {
      throw new AppError('invalid', [
        { path: 'parts', message: 'an ingredient is no longer on the shelf; change the mix' },
      ]);
    }
    const { minorPerG: perG, ...made } = mixed(inside);
    const today = Temporal.Instant.fromEpochMilliseconds(nowMs)
      .toZonedDateTimeISO(studio.timeZone)
      .toPlainDate();
    return makeBatchRow(
      tx,
      studio.id,
      mix,
      {
        takes: batchParts(mix.parts, input.batchG),
        batchG: input.batchG,
        card: {
          name: mix.name,
          role: mix.role,
          ...made,
          sizeG: input.batchG,
          priceMinor: perG === null ? null : Math.round(perG * input.batchG),
          emptyG: null,
          openedOn: today.toString(),
          useBy: today.add({ days: mix.keepsDays }).toString(),
          notes: mix.notes,
          ingredients: ingredientsOf(inside),
        },
      },
      nowMs,
    );
  });
  revalidatePath('/shelf');
  return { id };
});

/** Keeps which money prices are in. */
export const saveCurrency = action('write-shelf', currencyInput, async ({ input, actor, database }) => {
  await database.write((tx) => saveCurrencyRow(tx, actor.studio.id, input.currency));
  revalidatePath('/shelf');
  return {};
});
