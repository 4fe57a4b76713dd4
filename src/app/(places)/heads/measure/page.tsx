import type { Metadata } from 'next';
import { UNKNOWN_HEAD } from '@/places/heads/head-form-values';
import { Measure } from '@/places/heads/measure/measure';

export const metadata: Metadata = { title: 'Look and measure, a new head' };

export default function Page() {
  return <Measure id={null} revision={0} values={UNKNOWN_HEAD} at={null} />;
}
