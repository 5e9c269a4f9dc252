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
  const enter = async () => {
    setBusy(true);
    const failed = await signIn();
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
      <Button size="md" loading={busy} onClick={() => void enter()}>
        Open the demo trip
      </Button>
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
      <p className="quiet">
        A made-up rider with a hardtail, eleven bags, seventy-odd things, and one thing too many. What you
        change stays on this computer.
      </p>
    </main>
  );
}
