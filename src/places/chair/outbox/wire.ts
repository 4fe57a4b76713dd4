/**
 * Shapes of what is heard, sent and kept. They weigh much, and come once something is. Asked for in this one place, for
 * each place that asks has files of its own, and those that were fetched beforehand have to be the very same.
 */
export const loadWire = () => import('@/core/run/set-events');
