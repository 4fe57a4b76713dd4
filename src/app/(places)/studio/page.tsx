import type { Metadata } from 'next';
import { loadStudio } from '@/places/studio/queries';
import { StudioPage } from '@/places/studio/studio-page';

export const metadata: Metadata = { title: 'Studio' };

export default async function Page() {
  return <StudioPage {...await loadStudio()} />;
}
