'use client';

import { MantineProvider } from '@mantine/core';
import type { ReactNode } from 'react';
import { theme } from '@/ui/theme';

/** The look of every page. The nonce lets Mantine's style elements past the content security policy. */
export function Look({ nonce, children }: { nonce: string | undefined; children: ReactNode }) {
  return (
    <MantineProvider theme={theme} defaultColorScheme="auto" getStyleNonce={() => nonce ?? ''}>
      {children}
    </MantineProvider>
  );
}
