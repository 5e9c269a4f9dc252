'use client';

import { listed } from '@/core/checks/finding';
import type { Limiting } from '@/core/load';
import type { LoadProposal } from '@/core/load';
import { compartmentName } from '@/core/plan/edit';
import { useBoard } from './useBoard';
import styles from './LoadBar.module.css';

/** Of the limits so many are shown: the others hardly matter. */
const LIMITS_SHOWN = 6;

/** What limits a load: compartments that more would lie better in, and why it does not. */
export function Limits({ proposal }: { proposal: LoadProposal }) {
  const { draft, riders, format } = useBoard();
  const nameOf = (thingId: string) => draft.plan.things.find(({ id }) => id === thingId)?.name;
  /** Null where the bag is no longer there. */
  const words = ({ compartmentId, limit }: Limiting): string | null => {
    const facts = riders.find((one) => one.facts.byCompartment.has(compartmentId))?.facts;
    if (!facts) return null;
    const { spot } = facts.byCompartment.get(compartmentId)!;
    switch (limit) {
      case 'litres':
        return `too little is left of its ${format.volume(spot.capacityMl)}`;
      case 'how things lie':
        return 'no place beside what is stiff in it';
      case 'mass':
        return `it may carry ${format.mass(spot.compartment.limitG ?? 0)}`;
      case 'bag mass':
        return `its bag may carry ${format.mass(facts.byBag.get(spot.bag.id)!.limitG)}`;
    }
  };
  const shown = proposal.limits
    .map((limiting) => ({
      limiting,
      why: words(limiting),
      wanted: limiting.wanted.flatMap(({ thingId }) => nameOf(thingId) ?? []),
    }))
    .filter(({ why, wanted }) => why !== null && wanted.length > 0)
    .slice(0, LIMITS_SHOWN);
  return (
    <details className={styles.moves}>
      <summary>What limits it</summary>
      <ul>
        {shown.map(({ limiting, why, wanted }) => (
          <li key={`${limiting.compartmentId} ${limiting.limit}`}>
            <span>
              <strong>{compartmentName(draft.plan, limiting.compartmentId)}</strong>: {why}.{' '}
              <span className="quiet">Better there: {listed(wanted)}.</span>
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
