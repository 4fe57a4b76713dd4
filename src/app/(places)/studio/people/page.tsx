import type { Metadata } from 'next';
import { PeoplePage } from '@/places/people/people-page';
import { loadPeople } from '@/places/people/queries';

export const metadata: Metadata = { title: 'Phones and people' };

export default async function Page() {
  return <PeoplePage {...await loadPeople()} />;
}
