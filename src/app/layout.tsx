import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import '@fontsource/bricolage-grotesque/600.css';
import '@fontsource/bricolage-grotesque/700.css';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { OutboxSender } from '@/places/chair/outbox/outbox-sender';
import { keepUnits } from '@/places/studio/actions';
import { env } from '@/server/env';
import { loadShown } from '@/places/studio/queries';
import { FreshOnReturn } from '@/ui/shell/fresh-on-return';
import { SCHEME_SCRIPT } from '@/ui/theme/scheme-script';
import { WorksOffline } from '@/ui/shell/works-offline';
import { UnitsRoot } from '@/ui/units-context';

/** Every page is of one studio and of now: none is tried while the app is built. */
export const dynamic = 'force-dynamic';

export const metadata: Metadata = {
  title: { default: 'Keen Spiral', template: '%s · Keen Spiral' },
  description: 'Plan a natural-hair set, run it at the chair, and know when it is dry.',
};

export const viewport: Viewport = { themeColor: '#2b1a14' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  const { timeZone, display } = await loadShown();
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: SCHEME_SCRIPT }} />
        <UnitsRoot timeZone={timeZone} display={display} onUnits={keepUnits}>
          <OutboxSender />
          <FreshOnReturn />
          {/* While the program is being written its files change under their names. */}
          {env.isProduction && <WorksOffline />}
          {children}
        </UnitsRoot>
      </body>
    </html>
  );
}
