'use client';
import Button from '@mui/material/Button';
import Link from '@/ui/shell/link';
import type { ReactNode } from 'react';

/** A link that looks like a button. */
export function LinkButton({
  href,
  variant = 'text',
  children,
}: {
  href: string;
  variant?: 'text' | 'outlined' | 'contained';
  children: ReactNode;
}) {
  return (
    <Button component={Link} href={href} variant={variant}>
      {children}
    </Button>
  );
}
