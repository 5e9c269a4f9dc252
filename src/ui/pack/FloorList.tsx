import { Checkbox } from '@mantine/core';
import type { BagSteps } from '@/core/instructions/steps';
import { SYSTEMS } from '@/core/kit/thing';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './PackStage.module.css';

interface Props {
  bags: readonly BagSteps[];
  packed: ReadonlySet<string>;
  onTick: (thingId: string, packed: boolean) => void;
}

/** Everything to pack as it is laid out on the floor, by system, each with the bag it goes in. */
export function FloorList({ bags, packed, onTick }: Props) {
  const { evaluation } = usePlan();
  const bagOf = new Map<string, BagSteps>();
  for (const bag of bags)
    for (const { thingId } of bag.steps) if (thingId !== null && !bagOf.has(thingId)) bagOf.set(thingId, bag);
  const things = [...bagOf.keys()].map((id) => evaluation.thingById.get(id)!);
  return (
    <div className={styles.bags}>
      {SYSTEMS.map((system) => {
        const own = things.filter((thing) => thing.system === system);
        if (own.length === 0) return null;
        return (
          <section key={system} className={styles.bag} aria-label={system}>
            <h2>
              {system}{' '}
              <span className="quiet">
                {own.filter(({ id }) => packed.has(id)).length}/{own.length}
              </span>
            </h2>
            <ol>
              {own.map(({ id, name, quantity }) => {
                const bag = bagOf.get(id)!;
                return (
                  <li key={id} data-kind="put in">
                    <Checkbox
                      label={
                        <>
                          {quantity === 1 ? name : `${quantity} × ${name}`}{' '}
                          <span className="quiet">
                            {bag.letter} {bag.name}
                          </span>
                        </>
                      }
                      checked={packed.has(id)}
                      onChange={(event) => onTick(id, event.currentTarget.checked)}
                    />
                  </li>
                );
              })}
            </ol>
          </section>
        );
      })}
    </div>
  );
}
