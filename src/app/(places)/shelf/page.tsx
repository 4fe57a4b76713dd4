import type { Metadata } from 'next';
import { loadShelf } from '@/places/shelf/queries';
import { ShelfPage } from '@/places/shelf/shelf-page';

export const metadata: Metadata = { title: 'Shelf' };

export default async function Page() {
  return <ShelfPage {...await loadShelf()} />;
}
