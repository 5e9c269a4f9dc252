import { Checkbox } from '@mantine/core';
import { useMemo } from 'react';
import { LAST_MINUTE, LAST_MINUTE_WORDS, lastMinuteTasks } from '@/core/instructions/lastMinute';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Empty } from '@/ui/shared/States';
import styles from './PackStage.module.css';

interface Props {
  done: ReadonlySet<string>;
  onTick: (taskId: string, done: boolean) => void;
}

/** What is left for the evening before and the morning of departure. */
export function LastMinute({ done, onTick }: Props) {
  const { evaluation, format } = usePlan();
  const tasks = useMemo(() => lastMinuteTasks(evaluation, format), [evaluation, format]);
  if (tasks.length === 0)
    return (
      <Empty title="Nothing is left for the last minute">
        Devices to charge, bottles to fill, food from the fridge and what you wear are listed here once they
        are in your kit.
      </Empty>
    );
  return (
    <div className={styles.bags}>
      {LAST_MINUTE.map((kind) => {
        const own = tasks.filter((task) => task.kind === kind);
        if (own.length === 0) return null;
        return (
          <section key={kind} className={styles.bag} aria-label={LAST_MINUTE_WORDS[kind]}>
            <h2>
              {LAST_MINUTE_WORDS[kind]}{' '}
              <span className="quiet">
                {own.filter(({ id }) => done.has(id)).length}/{own.length}
              </span>
            </h2>
            <ol>
              {own.map(({ id, words }) => (
                <li key={id} data-kind="put in">
                  <Checkbox
                    label={words}
                    checked={done.has(id)}
                    onChange={(event) => onTick(id, event.currentTarget.checked)}
                  />
                </li>
              ))}
            </ol>
          </section>
        );
      })}
    </div>
  );
}
