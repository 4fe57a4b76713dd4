/** What makes heat do harm. */
const TENDER: readonly string[] = ['bleached', 'heat-damaged', 'child'];

/**
 * The hood that this hair bears: on cool for a child and for hair that heat harms.
 *
 * @param conditions of the head, by id
 */
export const bearableHood = (conditions: readonly string[]): 'hood-cool' | 'hood-warm' =>
  TENDER.some((id) => conditions.includes(id)) ? 'hood-cool' : 'hood-warm';
