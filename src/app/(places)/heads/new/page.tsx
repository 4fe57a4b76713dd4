import type { Metadata } from 'next';
import { HeadForm } from '@/places/heads/head-form';
import { EMPTY_HEAD } from '@/places/heads/head-form-values';
import { Page as Sheet } from '@/ui/shell/page';

export const metadata: Metadata = { title: 'New head' };

export default function Page() {
  return (
    <Sheet title="New head" lead="Six lengths with a tape, then what the hair is like.">
      <HeadForm id={null} revision={0} values={EMPTY_HEAD} />
    </Sheet>
  );
}
