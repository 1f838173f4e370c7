import type { Metadata, Viewport } from 'next';
import localFont from 'next/font/local';
import { cookies } from 'next/headers';
import { connection } from 'next/server';
import type { ReactNode } from 'react';
import { getDb } from '@/server/db/client';
import { cursorOf, lastSeq } from '@/server/events';
import { readInOf } from '@/server/readIn';
import { whoAtPage } from '@/server/topBar';
import { COLOURS } from '@/ui/colours';
import { AppTheme } from '@/ui/AppTheme.client';
import { ROOM_COOKIE } from '@/ui/roomCookie';
import { WhoHere } from '@/ui/Who.client';
import '../../generated/colours.css';
import '../../generated/antd.css';
import './globals.css';

const text = localFont({
  src: '../../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
  variable: '--font-text',
  display: 'swap',
  weight: '200 800',
});
const heading = localFont({
  src: '../../node_modules/@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2',
  variable: '--font-heading',
  display: 'swap',
  weight: '200 800',
});

export const metadata: Metadata = {
  title: { default: 'Strickle', template: '%s · Strickle' },
  description: 'Plans, guides and remembers wax and sugar hair removal.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: COLOURS.muslin };

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  // every page is made for its request: its scripts carry the nonce of that request (src/proxy.ts)
  await connection();
  // before anything is read: what is told after this may not be in the page
  const told = cursorOf(lastSeq());
  const { heatUnit, lengthUnit, weightUnit } = readInOf(getDb());
  const who = await whoAtPage(getDb());
  const isEvening = (await cookies()).get(ROOM_COOKIE)?.value === 'evening';
  return (
    // the button changes it without the server
    <html
      lang="en"
      data-told={told}
      data-heat={heatUnit}
      data-long={lengthUnit}
      data-weight={weightUnit}
      data-theme={isEvening ? 'evening' : undefined}
      suppressHydrationWarning
      className={`${text.variable} ${heading.variable}`}
    >
      <body>
        <WhoHere who={who}>
          <AppTheme>{children}</AppTheme>
        </WhoHere>
      </body>
    </html>
  );
}
