import type { Metadata } from 'next';
import { HelpPage } from '@/places/help/help-page';

export const metadata: Metadata = { title: 'Help' };

export default function Page() {
  return <HelpPage />;
}
