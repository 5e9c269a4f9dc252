'use client';

import { Button, PasswordInput, TextInput } from '@mantine/core';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode, type SubmitEvent } from 'react';
import { clearPhone, unsentOnPhone } from '@/ui/phone/phone';
import { ask } from '@/ui/shared/ask';
import styles from './AccountPage.module.css';

interface Props {
  name: string;
  /** Entered with a passphrase. */
  isGuarded: boolean;
  isDemo: boolean;
}

/** Passphrase, sessions, and what to do with all that is kept. */
export function AccountPage({ name, isGuarded, isDemo }: Props) {
  const router = useRouter();
  const leave = async (url: string) => {
    const problem = await ask('DELETE', url);
    if (problem === null) {
      await clearPhone();
      router.push('/welcome');
      router.refresh();
    }
    return problem;
  };
  return (
    <main className={styles.page}>
      <Link href="/" className={styles.back}>
        Trips
      </Link>
      <h1>Your account</h1>
      <p className="quiet">
        {isDemo
          ? 'This is the demo: open to everyone who reaches this server, put back with npm run reset-demo.'
          : isGuarded
            ? `Signed in as ${name}.`
            : 'Your space has no passphrase: whoever uses this computer can open it.'}
      </p>
      {!isDemo && <Passphrase name={isGuarded ? name : ''} isGuarded={isGuarded} />}
      <SignOut isDemo={isDemo} leave={leave} />
      <Part title="Save everything">
        <p className="quiet">
          One JSON file with all trips, set-ups, and all that you own. Each trip in it is a plan file, which
          can be opened as a new trip.
        </p>
        <Button variant="default" component="a" href="/api/account/export">
          Save everything as a file
        </Button>
      </Part>
      {!isDemo && <DeleteEverything isGuarded={isGuarded} />}
    </main>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className={styles.part} aria-label={title}>
      <h2>{title}</h2>
      {children}
    </section>
  );
}

function SignOut({ isDemo, leave }: { isDemo: boolean; leave: (url: string) => Promise<string | null> }) {
  /** What would be lost, and where to go on: asked before anything is deleted. */
  const [asked, setAsked] = useState<{ unsent: number; url: string } | null>(null);
  const begin = async (url: string) => {
    const unsent = await unsentOnPhone().catch(() => 0);
    if (unsent === 0) return leave(url);
    setAsked({ unsent, url });
    return null;
  };
  return (
    <Part title="Sign out">
      <p className="quiet">Signing out also deletes what this browser keeps for use without a network.</p>
      {asked ? (
        <div role="alert">
          <p>
            {asked.unsent === 1 ? 'One thing' : `${asked.unsent} things`} you did here did not reach the
            server yet. Open the trip with a network first, or lose {asked.unsent === 1 ? 'it' : 'them'}.
          </p>
          <Doing words="Sign out and lose what was not sent" onDo={() => leave(asked.url)} />
        </div>
      ) : (
        <>
          <Doing words="Sign out here" onDo={() => begin('/api/session')} />
          {!isDemo && <Doing words="Sign out everywhere" onDo={() => begin('/api/session?everywhere')} />}
        </>
      )}
    </Part>
  );
}

/** A button that says so where what it did went wrong. */
function Doing({ words, onDo }: { words: string; onDo: () => Promise<string | null> }) {
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <Button variant="default" onClick={() => void onDo().then(setProblem)}>
        {words}
      </Button>
      {problem && <p role="alert">{problem}</p>}
    </>
  );
}

/** The state of a form: what the server said to it last. */
function useForm(send: () => Promise<string | null>) {
  const [problem, setProblem] = useState<string | null>(null);
  const [isDone, setDone] = useState(false);
  const [busy, setBusy] = useState(false);
  const onSubmit = (event: SubmitEvent) => {
    event.preventDefault();
    setBusy(true);
    void send().then((failed) => {
      setProblem(failed);
      setDone(failed === null);
      setBusy(false);
    });
  };
  return { problem, isDone, busy, onSubmit };
}

function Passphrase({ name: known, isGuarded }: { name: string; isGuarded: boolean }) {
  const router = useRouter();
  const [name, setName] = useState(known);
  const [current, setCurrent] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const { problem, isDone, busy, onSubmit } = useForm(async () => {
    const failed = await ask('PUT', '/api/account/passphrase', { name, passphrase, current });
    if (failed === null) {
      setCurrent('');
      setPassphrase('');
      router.refresh();
    }
    return failed;
  });
  return (
    <Part title={isGuarded ? 'Change the passphrase' : 'Set a passphrase'}>
      <form className={styles.form} onSubmit={onSubmit}>
        <TextInput
          label="Name to sign in with"
          autoComplete="username"
          maxLength={120}
          required
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        {isGuarded && (
          <PasswordInput
            label="Current passphrase"
            autoComplete="current-password"
            required
            value={current}
            onChange={(event) => setCurrent(event.currentTarget.value)}
          />
        )}
        <PasswordInput
          label="New passphrase"
          description="At least ten characters; a few words that do not belong together are easy to keep in mind. It cannot be looked up: write it down where you keep such things."
          autoComplete="new-password"
          required
          value={passphrase}
          onChange={(event) => setPassphrase(event.currentTarget.value)}
        />
        <Button type="submit" loading={busy}>
          {isGuarded ? 'Change it' : 'Set it'}
        </Button>
        {problem && (
          <p role="alert" className={styles.problem}>
            {problem}
          </p>
        )}
        {isDone && <p role="status">The passphrase is set. Other devices were signed out.</p>}
      </form>
    </Part>
  );
}

function DeleteEverything({ isGuarded }: { isGuarded: boolean }) {
  const router = useRouter();
  const [confirm, setConfirm] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const { problem, busy, onSubmit } = useForm(async () => {
    const failed = await ask('DELETE', '/api/account', { confirm, passphrase });
    if (failed === null) {
      await clearPhone();
      router.push('/welcome');
      router.refresh();
    }
    return failed;
  });
  return (
    <Part title="Delete everything">
      <p className="quiet">
        All trips, set-ups, bikes, bags and things of this account are deleted from the server at once, and
        the account with them. This cannot be undone; save everything as a file first.
      </p>
      <form className={styles.form} onSubmit={onSubmit}>
        <TextInput
          label={'Type "delete everything" to confirm'}
          autoComplete="off"
          required
          value={confirm}
          onChange={(event) => setConfirm(event.currentTarget.value)}
        />
        {isGuarded && (
          <PasswordInput
            label="Passphrase"
            autoComplete="current-password"
            required
            value={passphrase}
            onChange={(event) => setPassphrase(event.currentTarget.value)}
          />
        )}
        <Button type="submit" color="brick" loading={busy} disabled={confirm.trim() !== 'delete everything'}>
          Delete everything
        </Button>
        {problem && (
          <p role="alert" className={styles.problem}>
            {problem}
          </p>
        )}
      </form>
    </Part>
  );
}
