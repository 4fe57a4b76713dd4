import { productRoles, type RoleId } from '.';

/**
 * What stays of a product after washing, g.
 *
 * @param washes how often it was washed since
 * @source set-geometry §10 (assumed)
 * @example washOffResidueG('butter', 5, 1) // => 1.75
 */
export function washOffResidueG(role: RoleId, grams: number, washes: number): number {
  const { stays, leftPerWash } = productRoles[role].residue;
  return grams * stays * leftPerWash ** washes;
}
