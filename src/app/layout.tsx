import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import '@fontsource/bricolage-grotesque/600.css';
import '@fontsource/bricolage-grotesque/700.css';
import './globals.css';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { ThemeRoot } from '@/ui/theme/theme-root';
import { UnitsRoot } from '@/ui/units-context';

export const metadata: Metadata = {
  title: { default: 'Keen Spiral', template: '%s · Keen Spiral' },
  description: 'Plan a natural-hair set, run it at the chair, and know when it is dry.',
};

export const viewport: Viewport = { themeColor: '#2b1a14' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  const units = (await cookies()).get('units')?.value === 'imperial' ? 'imperial' : 'metric';
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="[data-scheme='%s']" defaultMode="system" nonce={nonce} />
        <AppRouterCacheProvider options={{ key: 'mui', ...(nonce ? { nonce } : {}) }}>
          <ThemeRoot>
            <UnitsRoot initial={units}>{children}</UnitsRoot>
          </ThemeRoot>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
