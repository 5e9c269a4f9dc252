'use client';

import { Button, CopyButton } from '@mantine/core';
import { useState, useSyncExternalStore } from 'react';
import { planFileText } from '@/core/formats/planFile';
import type { Plan } from '@/core/plan/plan';
import { usePlanContext, useSaving } from '@/ui/plan/PlanProvider';
import { ask } from '@/ui/shared/ask';
import { saveFile } from '@/ui/shared/saveFile';
import styles from './SaveNotice.module.css';

/** Gives a plan as a file that can be opened as a new trip. */
const savePlanFile = (plan: Plan): void => saveFile('plan.json', planFileText(plan));

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
  const { save, unsaved, problem, refused, departedAt } = useSaving();
  const [busy, setBusy] = useState(false);
  const during = async (work: () => Promise<unknown>) => {
    setBusy(true);
    await work();
    setBusy(false);
  };
  return (
    <>
      {departedAt !== null && <Departed at={departedAt} />}
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
          <span>
            You are signed out. {changes(unsaved)} not saved yet; kept in this tab. Sign in again beside it,
            then save.
          </span>
          <Button size="compact-sm" component="a" href="/welcome" target="_blank">
            Sign in again
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            loading={busy}
            onClick={() => void during(() => store.flush())}
          >
            Save now
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
      {save.kind === 'gone' && (
        <div className={styles.notice} role="alert">
          <span>
            This trip is not there any more: it was deleted elsewhere, or somebody else is signed in.
            {unsaved > 0 && ` ${changes(unsaved)} from here cannot be saved in it.`}
          </span>
          <Button size="compact-sm" onClick={() => savePlanFile(store.getShown().draft.plan)}>
            Save this plan as a file
          </Button>
          <Button size="compact-sm" variant="default" component="a" href="/">
            To your trips
          </Button>
        </div>
      )}
      {problem && (
        <div className={styles.notice} role="alert" data-kind="problem">
          <span>{problem}</span>
          {refused && (
            <CopyButton value={refused}>
              {({ copied, copy }) => (
                <Button size="compact-sm" variant="default" onClick={copy}>
                  {copied ? 'Copied' : 'Copy what was refused'}
                </Button>
              )}
            </CopyButton>
          )}
        </div>
      )}
    </>
  );
}

const never = () => () => undefined;
const A_DAY_MS = 86_400_000;

/** That the trip has set out, and within a day of it the way back. */
function Departed({ at }: { at: string }) {
  const { store } = usePlanContext();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  // By this computer's clock and time zone, which the server does not know.
  const isInBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const [now] = useState(() => Date.now());
  if (!isInBrowser) return null;
  const back = async () => {
    setBusy(true);
    const failed = await ask('DELETE', `/api/trips/${store.tripId}/departure`);
    setProblem(failed);
    if (failed === null) await store.reload(true);
    setBusy(false);
  };
  return (
    <div className={styles.notice} role="note" aria-label="Departure">
      <span>
        This trip set out on{' '}
        {new Date(at).toLocaleString('en-GB', {
          day: 'numeric',
          month: 'long',
          hour: '2-digit',
          minute: '2-digit',
        })}
        . Its plan stays as it was then. {problem}
      </span>
      {now - Date.parse(at) < A_DAY_MS && (
        <Button size="compact-sm" variant="default" loading={busy} onClick={() => void back()}>
          Back to planning
        </Button>
      )}
    </div>
  );
}
