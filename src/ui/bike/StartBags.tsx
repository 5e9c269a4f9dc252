import { Button } from '@mantine/core';
import { useMemo } from 'react';
import { BAG_SETS, bagSet, type BagSet } from '@/core/advice/bagSet';
import { capacityMl } from '@/core/bag/bag';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './Start.module.css';

/** Bags as a set, each chosen so that it hangs free on this bike. */
export function StartBags() {
  const { draft, store, format } = usePlan();
  const { plan } = draft;
  const sets = useMemo(
    () => BAG_SETS.map((set) => ({ set, bags: bagSet(plan, set, () => crypto.randomUUID()) })),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the kit and the load change nothing in it
    [plan.bike, plan.bags, plan.rider],
  );
  const add = (set: BagSet) =>
    store.edit({
      kind: 'several',
      label: `Bags: ${set}`,
      edits: [{ kind: 'put bags', bags: sets.find((one) => one.set === set)!.bags }],
    });
  return (
    <section className={styles.start} aria-label="A set of bags">
      <h2>A set of bags</h2>
      <p>
        Average bags of sizes that hang free on this bike; change each to your own afterwards. Or add yours
        one by one below.
      </p>
      <ul className={styles.sets}>
        {sets.map(({ set, bags }) => (
          <li key={set}>
            <Button variant="default" onClick={() => add(set)} disabled={bags.length === 0}>
              {set}
            </Button>
            <span className="quiet">
              {format.volume(
                bags.reduce(
                  (sum, bag) => sum + bag.compartments.reduce((ml, own) => ml + capacityMl(own), 0),
                  0,
                ),
              )}
              : {bags.map(({ name }) => name.toLowerCase()).join(', ')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
