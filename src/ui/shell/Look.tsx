'use client';

import { MantineProvider } from '@mantine/core';
import { setNonce } from 'get-nonce';
import { useEffect, useState, type ReactNode } from 'react';
import { theme } from '@/ui/theme';

/**
 * The look of every page. The nonce lets the style elements of Mantine, and of the scroll lock below its dialogs,
 * past the content security policy.
 */
export function Look({ nonce, children }: { nonce: string | undefined; children: ReactNode }) {
  useState(() => nonce && setNonce(nonce));
  // Says that the page answers: before this, what is pressed in the page the server sent goes nowhere.
  useEffect(() => document.documentElement.setAttribute('data-live', ''), []);
  useEffect(() => keepForOffline(), []);
  return (
    <MantineProvider theme={theme} defaultColorScheme="auto" getStyleNonce={() => nonce ?? ''}>
      {children}
    </MantineProvider>
  );
}

/** Lets this browser keep the scripts of Gorvin; when the page is done with the network, since nothing of it is wanted now. */
function keepForOffline(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  const register = () => void navigator.serviceWorker.register('/sw.js').catch(() => undefined);
  if (document.readyState === 'complete') register();
  else window.addEventListener('load', register, { once: true });
}
