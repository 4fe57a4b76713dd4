import type { Metadata } from 'next';
import { loadTubs } from '@/places/scale/queries';
import { ScaleDevice } from '@/places/scale/scale-device';

export const metadata: Metadata = { title: 'Scale' };

export default async function Page() {
  return (
    <main>
      <ScaleDevice {...await loadTubs()} />
    </main>
  );
}
