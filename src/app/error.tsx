'use client';

import { Failed } from '@/ui/shared/States';

/** What a rider sees when a page itself breaks. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <main style={{ padding: '12vh 1.25rem', display: 'grid', placeItems: 'center' }}>
      <Failed title="This page could not be shown" onRetry={reset}>
        Nothing that was saved is lost, and changes not yet saved are kept in this tab. Try again; if it fails
        once more, check whether Gorvin is still running.
      </Failed>
    </main>
  );
}
