import type { Metadata } from 'next';
import { DoorPage } from '@/places/people/sign-in/door-page';
import { PairForm } from '@/places/people/sign-in/pair-form';

export const metadata: Metadata = { title: 'Pair this device' };

export default function Page() {
  return (
    <DoorPage title="Pair this device">
      <PairForm />
    </DoorPage>
  );
}
