import type { ReactNode } from 'react';
import { Look } from '@/ui/theme/look';

export default function Layout({ children }: { children: ReactNode }) {
  return <Look>{children}</Look>;
}
