'use client';

import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { signIn } from '@/ui/shell/signIn';
import styles from './Welcome.module.css';

/** The first page of someone who is not signed in. */
export function Welcome() {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const enter = async (space: 'own' | 'demo') => {
    setBusy(true);
    const failed = await signIn(space);
    if (failed) {
      setProblem(failed);
      setBusy(false);
    } else {
      router.push('/');
      router.refresh();
    }
  };
  return (
    <main className={styles.page}>
      <h1>Gorvin</h1>
      <p className={styles.lead}>
        Lay out your kit, hang the bags you own on your bike, and see before you pack whether it fits, what is
        over, how the bike is balanced, and what to leave at home.
      </p>
      <div className={styles.actions}>
        <Button size="md" loading={busy} onClick={() => void enter('own')}>
          Start with my own bike
        </Button>
        <Button size="md" variant="default" disabled={busy} onClick={() => void enter('demo')}>
          Open the demo trip
        </Button>
      </div>
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
      <p className="quiet">
        Your own space is kept on this computer, for whoever uses it. The demo is a made-up rider with a
        hardtail, eleven bags, seventy-odd things, and one thing too many.
      </p>
    </main>
  );
}
