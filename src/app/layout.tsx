import type { Metadata, Viewport } from 'next';
import localFont from 'next/font/local';
import type { ReactNode } from 'react';
import { Navigation } from '@/features/frame/Navigation';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { Providers } from '@/ui/Providers';
import { StyleRegistry } from '@/ui/StyleRegistry';
import { currentRole } from './role';
import './globals.css';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  title: { default: 'Turnspit', template: '%s · Turnspit' },
  description:
    'Plans a garden trial, does its arithmetic, takes its harvests and judges it honestly.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

// Names of places and plants need the extended letters, which come as a second file of the same family.
const text = localFont({
  src: '../../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
  weight: '200 800',
  variable: '--font-text',
  adjustFontFallback: false,
});
const textExtended = localFont({
  src: '../../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-wght-normal.woff2',
  weight: '200 800',
  variable: '--font-text-extended',
  adjustFontFallback: false,
  preload: false,
});
const heading = localFont({
  src: '../../node_modules/@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-standard-normal.woff2',
  weight: '200 800',
  variable: '--font-heading',
  adjustFontFallback: false,
});
const headingExtended = localFont({
  src: '../../node_modules/@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-ext-standard-normal.woff2',
  weight: '200 800',
  variable: '--font-heading-extended',
  adjustFontFallback: false,
  preload: false,
});
const FONTS = [text, textExtended, heading, headingExtended].map(font => font.variable).join(' ');

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const garden = await currentGarden();
  const isIn = (await currentRole()) !== undefined;
  return (
    <html
      lang={garden.system === 'us' ? 'en-US' : 'en-GB'}
      className={FONTS}
      data-demo-day={garden.demoDay || undefined}
      suppressHydrationWarning
    >
      <body>
        <StyleRegistry>
          <Providers locale={garden.system === 'us' ? 'en-US' : 'en-GB'}>
            {isIn && (
              <a href="#page" data-skip>
                Skip to the page
              </a>
            )}
            {/* Who is still at the door is not told whose garden it is. */}
            {isIn && (
              <Navigation garden={garden.name} today={today()} isDemo={garden.demoDay !== ''} />
            )}
            {children}
          </Providers>
        </StyleRegistry>
      </body>
    </html>
  );
}
