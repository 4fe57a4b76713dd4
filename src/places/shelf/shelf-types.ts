import type { loadShelf } from './queries';

export type Shelf = Awaited<ReturnType<typeof loadShelf>>;
export type Product = Shelf['products'][number];
export type Tool = Shelf['tools'][number];
export type Dryer = Shelf['dryers'][number];
export type Mix = Shelf['mixes'][number];
