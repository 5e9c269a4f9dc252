'use client';

import { Button } from '@mantine/core';
import { useCallback, useEffect, useState } from 'react';
import { withFreshIds, emptyPlan } from '@/core/plan/plan';
import { putOnTrip, type Setup } from '@/core/commands/putOnTrip';
import { withSetup } from '@/core/evaluation/compare';
import { cutTo } from '@/core/units/text';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Failed } from '@/ui/shared/States';
import { needsName, TextField } from '@/ui/shared/TextField';
import { SetupComparison } from './SetupComparison';
import { deleteSetup, fetchSetups, keepSetup } from './setups';
import styles from './Panels.module.css';

/** Bikes with their bags, owned once: use one on this trip, copy it, or hold two against each other. */
export function SetupsPanel() {
  const { store, draft, format } = usePlan();
  const [setups, setSetups] = useState<Setup[] | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [forgetting, setForgetting] = useState<string | null>(null);
  const [compared, setCompared] = useState<string | null>(null);
  const { plan } = draft;

  const load = useCallback(
    () =>
      fetchSetups().then(
        (found) => {
          setSetups(found);
          setFailed(null);
        },
        (error: Error) => setFailed(error.message),
      ),
    [],
  );
  useEffect(() => void load(), [load]);
  const doing = (work: Promise<unknown>) => void work.then(load, (error: Error) => setFailed(error.message));

  // As it is now: its bike and bags may have been changed on another trip since the list was read.
  const use = (id: string) =>
    doing(
      fetchSetups().then((found) => {
        const setup = found.find((candidate) => candidate.id === id);
        if (!setup) throw new Error('This set-up is no longer there.');
        store.edit(putOnTrip(store.getShown().draft.plan, setup));
      }),
    );
  const copy = (setup: Setup) => {
    const fresh = withFreshIds(withSetup(emptyPlan('Copy'), setup), () => crypto.randomUUID());
    const bike = { ...fresh.bike!, name: cutTo(`${setup.bike.name}, copy`, 120) };
    doing(
      keepSetup({
        id: crypto.randomUUID(),
        name: cutTo(`${setup.name}, copy`, 120),
        bike,
        bags: fresh.bags,
      }),
    );
  };

  if (failed)
    return (
      <Failed
        title="The set-ups could not be reached"
        onRetry={() => void load()}
      >{`${failed} Your trip is as it was.`}</Failed>
    );
  if (!setups) return <p role="status">Loading your set-ups …</p>;
  const other = setups.find(({ id }) => id === compared);
  return (
    <section aria-label="Set-ups">
      <h2 className={styles.heading}>Set-ups</h2>
      <p className="quiet">
        A bike or a bag is owned once: a change here shows on every trip and set-up that uses it. Using
        another set-up puts what was in bags that go back on the floor; one undo brings it all back.
      </p>
      {plan.bike && (
        <div className={styles.keep}>
          <TextField
            label="Save this trip's bike and bags as"
            value=""
            placeholder={plan.bike.name}
            maxLength={120}
            check={needsName}
            onCommit={(name) =>
              doing(keepSetup({ id: crypto.randomUUID(), name, bike: plan.bike!, bags: plan.bags }))
            }
          />
          <span className="quiet">Press Enter to save</span>
        </div>
      )}
      {setups.length === 0 ? (
        <p className="quiet">None saved yet.</p>
      ) : (
        <table className={styles.table} aria-label="Kept set-ups">
          <thead>
            <tr>
              <th scope="col">Set-up</th>
              <th scope="col" className={styles.words}>
                Bike
              </th>
              <th scope="col">Bags</th>
              <th scope="col">Bags weigh</th>
              <th scope="col">
                <span className="visually-hidden">What to do</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {setups.map((setup) => (
              <tr key={setup.id}>
                <th scope="row">{setup.name}</th>
                <td className={styles.words}>{setup.bike.name}</td>
                <td>{setup.bags.length}</td>
                <td>{format.mass(setup.bags.reduce((sum, { massG }) => sum + massG, 0))}</td>
                <td>
                  <div className={styles.buttons}>
                    <Named words="Use" name={setup.name} onClick={() => use(setup.id)} />
                    <Named
                      words={compared === setup.id ? 'Close' : 'Compare'}
                      name={setup.name}
                      onClick={() => setCompared(compared === setup.id ? null : setup.id)}
                    />
                    <Named words="Copy" name={setup.name} onClick={() => copy(setup)} />
                    {forgetting === setup.id ? (
                      <>
                        <Named
                          words="Yes, forget"
                          name={setup.name}
                          onClick={() => {
                            setForgetting(null);
                            doing(deleteSetup(setup.id));
                          }}
                        />
                        <Named words="Keep" name={setup.name} onClick={() => setForgetting(null)} />
                      </>
                    ) : (
                      <Named words="Forget" name={setup.name} onClick={() => setForgetting(setup.id)} />
                    )}
                  </div>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {other && plan.bike && (
        <SetupComparison
          plan={plan}
          a={{ id: 'now', name: 'On this trip now', bike: plan.bike, bags: plan.bags }}
          b={other}
        />
      )}
    </section>
  );
}

function Named({ words, name, onClick }: { words: string; name: string; onClick: () => void }) {
  return (
    <Button size="compact-sm" variant="default" onClick={onClick}>
      {words}
      <span className="visually-hidden"> {name}</span>
    </Button>
  );
}
