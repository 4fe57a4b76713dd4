import type { Metadata } from 'next';
import { loadYours } from '@/places/yours/queries';
import { YoursPage } from '@/places/yours/yours-page';

export const metadata: Metadata = { title: 'Your set', robots: { index: false } };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <YoursPage id={id} loaded={await loadYours(id)} />;
}
