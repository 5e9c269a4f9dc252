'use client';

import { Button } from '@mantine/core';
import { useState } from 'react';
import { usePlanContext, useSaving } from '@/ui/plan/PlanProvider';
import { signIn } from '@/ui/shell/signIn';
import styles from './SaveNotice.module.css';

const changes = (n: number): string => (n === 1 ? '1 change' : `${n} changes`);

/** Whether what was done is on the server, in a few words; always in the same place. */
export function SaveState() {
  const { save, unsaved } = useSaving();
  const text =
    save.kind === 'saved'
      ? 'Saved'
      : save.kind === 'saving'
        ? 'Saving …'
        : `Not saved yet: ${changes(unsaved)}`;
  return (
    <span className={styles.state} data-kind={save.kind} role="status">
      {text}
    </span>
  );
}

/** What stands between the rider's changes and the server, and what to do about it. */
export function SaveNotice() {
  const { store } = usePlanContext();
  const { save, unsaved, problem } = useSaving();
  const [busy, setBusy] = useState(false);
  const during = async (work: () => Promise<unknown>) => {
    setBusy(true);
    await work();
    setBusy(false);
  };
  return (
    <>
      {save.kind === 'waiting' && (
        <div className={styles.notice} role="alert">
          <span>
            {save.reason} {changes(unsaved)} not saved yet; kept in this tab and tried again by itself.
          </span>
          <Button size="compact-sm" variant="default" onClick={() => void store.flush()}>
            Try now
          </Button>
        </div>
      )}
      {save.kind === 'signed out' && (
        <div className={styles.notice} role="alert">
          <span>You are signed out. {changes(unsaved)} not saved yet; kept in this tab.</span>
          <Button
            size="compact-sm"
            loading={busy}
            onClick={() => void during(async () => (await signIn()) === null && store.flush())}
          >
            Sign in again
          </Button>
        </div>
      )}
      {save.kind === 'stale' && (
        <div className={styles.notice} role="alert">
          <span>
            This plan was changed in another tab
            {save.since.length > 0 && <> ({save.since.join(' · ')})</>}. {changes(unsaved)} from here not
            saved yet.
          </span>
          <Button size="compact-sm" loading={busy} onClick={() => void during(() => store.reload(true))}>
            Load it and reapply mine
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            disabled={busy}
            onClick={() => void during(() => store.reload(false))}
          >
            Load it and discard mine
          </Button>
        </div>
      )}
      {problem && (
        <div className={styles.notice} role="alert" data-kind="problem">
          <span>{problem}</span>
        </div>
      )}
    </>
  );
}
