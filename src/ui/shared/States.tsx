import { Button, Progress } from '@mantine/core';
import type { ReactNode } from 'react';
import styles from './States.module.css';

/** What a view shows when there is nothing in it yet: why, and the next step. */
export function Empty({
  title,
  children,
  actions,
}: {
  title: string;
  children: ReactNode;
  actions?: ReactNode;
}) {
  return (
    <section className={styles.state}>
      <h2>{title}</h2>
      <p>{children}</p>
      {actions && <div className={styles.actions}>{actions}</div>}
    </section>
  );
}

/** What happened, that nothing is lost, and what to do. */
export function Failed({
  title,
  children,
  onRetry,
}: {
  title: string;
  children: ReactNode;
  onRetry?: () => void;
}) {
  return (
    <section className={styles.state} role="alert" data-kind="failed">
      <h2>{title}</h2>
      <p>{children}</p>
      {onRetry && (
        <div className={styles.actions}>
          <Button variant="default" onClick={onRetry}>
            Try again
          </Button>
        </div>
      )}
    </section>
  );
}

/** Long work: how far, what so far, and a way to stop it. */
export function Working({ label, done, onCancel }: { label: string; done: number; onCancel: () => void }) {
  return (
    <div className={styles.working} role="status">
      <span className={styles.workingLabel}>{label}</span>
      <Progress value={done * 100} aria-label={label} className={styles.bar} />
      <Button size="compact-sm" variant="default" onClick={onCancel}>
        Cancel
      </Button>
    </div>
  );
}
