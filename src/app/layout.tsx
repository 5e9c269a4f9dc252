import '@fontsource-variable/source-sans-3/wght.css';
import '@mantine/core/styles.css';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core';
import type { ReactNode } from 'react';
import { Look } from '@/ui/shell/Look';

export const metadata: Metadata = {
  title: { default: 'Gorvin', template: '%s · Gorvin' },
  description:
    'Fits your bikepacking kit to the bags of the bike you already own, and explains every verdict.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" nonce={nonce} />
      </head>
      <body>
        <Look nonce={nonce}>{children}</Look>
      </body>
    </html>
  );
}
