import { Button, Checkbox } from '@mantine/core';
import { useMemo } from 'react';
import { todoList, type Todo } from '@/core/readiness/todo';
import { usePlan } from '@/ui/plan/PlanProvider';
import { useLearned } from '@/ui/shared/useLearned';
import styles from './PackStage.module.css';

interface Props {
  done: ReadonlySet<string>;
  onTick: (taskId: string, done: boolean) => void;
}

/** Everything to do before leaving, by its latest day. */
export function TodoList({ done, onTick }: Props) {
  const { evaluation, draft, store, format } = usePlan();
  const { lastDone } = useLearned();
  const bikeId = draft.plan.bike?.id;
  const before = new Map(
    lastDone.filter((each) => each.bikeId === bikeId).map(({ taskId, on }) => [taskId, on]),
  );
  const todos = useMemo(() => todoList(evaluation, format), [evaluation, format]);
  const days = [...new Set(todos.map(({ daysBefore }) => daysBefore))];
  const hasDate = todos.some(({ latest }) => latest !== null);
  return (
    <>
      <p className="quiet">
        {todos.filter(({ id }) => done.has(id)).length} of {todos.length} done. What you are unsure of on the
        bike is for a mechanic; makers’ figures come first.{' '}
        {hasDate && (
          <Button size="compact-sm" variant="default" component="a" href={`/api/trips/${store.tripId}/todo`}>
            Save as a calendar
          </Button>
        )}
      </p>
      <div className={styles.bags}>
        {days.map((daysBefore) => {
          const own = todos.filter((todo) => todo.daysBefore === daysBefore);
          return (
            <section key={daysBefore} className={styles.bag} aria-label={headingOf(own[0]!)}>
              <h2>{headingOf(own[0]!)}</h2>
              <ol>
                {own.map(({ id, words, how, isForMechanic }) => (
                  <li key={id} data-kind="put in">
                    <Checkbox
                      label={words}
                      description={`${how}${isForMechanic ? ' For a mechanic, if in doubt.' : ''}${id.startsWith('bike ') && before.has(id) ? ` Last done on ${before.get(id)!}.` : ''}`}
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
    </>
  );
}

/** "By 2027-04-14, 2 days before" */
function headingOf({ latest, daysBefore }: Todo): string {
  const before = daysBefore === 1 ? 'the day before' : `${daysBefore} days before`;
  return latest === null ? `${before[0]!.toUpperCase()}${before.slice(1)}` : `By ${latest}, ${before}`;
}
