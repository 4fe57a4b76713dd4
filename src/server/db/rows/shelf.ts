import { asc, eq } from 'drizzle-orm';
import type { Reader } from '../client';
import { products, tools } from '../schema';

export type Product = Omit<typeof products.$inferSelect, 'studioId'>;
export type Tool = Omit<typeof tools.$inferSelect, 'studioId'>;

/** Products of a studio, by role and name. */
export const listProducts = (reader: Reader, studioId: string): Promise<Product[]> =>
  reader
    .select({
      id: products.id,
      name: products.name,
      role: products.role,
      waterShare: products.waterShare,
      hold: products.hold,
      weight: products.weight,
      hasProtein: products.hasProtein,
      leftG: products.leftG,
    })
    .from(products)
    .where(eq(products.studioId, studioId))
    .orderBy(asc(products.role), asc(products.name));

/** Tools of a studio, by kind, smallest first. */
export const listTools = (reader: Reader, studioId: string): Promise<Tool[]> =>
  reader
    .select({
      id: tools.id,
      kind: tools.kind,
      diameterMm: tools.diameterMm,
      workingLengthMm: tools.workingLengthMm,
      owned: tools.owned,
      swatch: tools.swatch,
    })
    .from(tools)
    .where(eq(tools.studioId, studioId))
    .orderBy(asc(tools.kind), asc(tools.diameterMm));
