'use client';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { HasLook } from './has-look';
import { theme } from './theme';

/** Gives every screen the theme; the scheme follows the device until it is chosen. */
export function ThemeRoot({ children }: { children: ReactNode }) {
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <HasLook value={true}>{children}</HasLook>
    </ThemeProvider>
  );
}
