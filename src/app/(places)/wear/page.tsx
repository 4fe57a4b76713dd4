import type { Metadata } from 'next';
import { loadWorn } from '@/places/wear/queries';
import { WornPage } from '@/places/wear/worn-page';

export const metadata: Metadata = { title: 'Wear' };

export default async function Page() {
  return <WornPage {...await loadWorn()} />;
}
