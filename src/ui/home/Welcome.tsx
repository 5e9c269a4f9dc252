'use client';

import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, type SubmitEvent } from 'react';
import { ask } from '@/ui/shared/ask';
import styles from './Welcome.module.css';

interface Props {
  /** What can be opened here without a passphrase. */
  spaces: { own: boolean; demo: boolean };
}

/** The first page of someone who is not signed in. */
export function Welcome({ spaces }: Props) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  /** Gives null, or a sentence on what went wrong. */
  const enter = async (url: string, body: unknown) => {
    setBusy(true);
    setProblem(null);
    const failed = await ask('POST', url, body);
    if (failed) setBusy(false);
    else {
      router.push('/');
      router.refresh();
    }
    return failed;
  };
  const open = (space: 'own' | 'demo') => void enter('/api/session', { space }).then(setProblem);
  return (
    <main className={styles.page}>
      <h1>Gorvin</h1>
      <p className={styles.lead}>
        Lay out your kit, hang the bags you own on your bike, and see before you pack whether it fits, what is
        over, how the bike is balanced, and what to leave at home.
      </p>
      <div className={styles.actions}>
        {spaces.own && (
          <Button size="md" loading={busy} onClick={() => open('own')}>
            Start with my own bike
          </Button>
        )}
        {spaces.demo && (
          <Button size="md" variant="default" disabled={busy} onClick={() => open('demo')}>
            Open the demo trip
          </Button>
        )}
      </div>
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
      <p className="quiet">
        {spaces.own && 'Your own space is kept on this computer, for whoever uses it. '}
        {spaces.demo &&
          'The demo is a made-up rider with a hardtail, eleven bags, seventy-odd things, and one thing too many.'}
      </p>
      <details className={styles.account} open={!spaces.own}>
        <summary>Sign in, or make an account with a passphrase</summary>
        <SignIn busy={busy} onEnter={enter} />
      </details>
    </main>
  );
}

function SignIn({
  busy,
  onEnter,
}: {
  busy: boolean;
  onEnter: (url: string, body: unknown) => Promise<string | null>;
}) {
  const [problem, setProblem] = useState<string | null>(null);
  const [name, setName] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const incomplete = busy || name.trim() === '' || passphrase === '';
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    if (!incomplete) void onEnter('/api/session', { name, passphrase }).then(setProblem);
  };
  return (
    <form className={styles.form} onSubmit={submit}>
      <TextInput
        label="Name"
        autoComplete="username"
        maxLength={120}
        value={name}
        onChange={(event) => setName(event.currentTarget.value)}
      />
      <PasswordInput
        label="Passphrase"
        description="At least ten characters; a few words that do not belong together are easy to keep in mind."
        autoComplete="current-password"
        value={passphrase}
        onChange={(event) => setPassphrase(event.currentTarget.value)}
      />
      <div className={styles.actions}>
        <Button type="submit" disabled={incomplete}>
          Sign in
        </Button>
        <Button
          variant="default"
          disabled={incomplete}
          onClick={() => void onEnter('/api/accounts', { name, passphrase }).then(setProblem)}
        >
          Make a new account
        </Button>
      </div>
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
    </form>
  );
}
