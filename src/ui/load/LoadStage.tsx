'use client';

import Link from 'next/link';
import { allBags } from '@/core/plan/riders';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Empty } from '@/ui/shared/States';
import { Board } from './Board';
import styles from './LoadStage.module.css';

/** The board, or what is missing before there can be one. */
export function LoadStage() {
  const { draft, store } = usePlan();
  const missing = allBags(draft.plan).length === 0 ? 'bike' : draft.plan.things.length === 0 ? 'kit' : null;
  if (!missing) return <Board />;
  return (
    <div className={styles.missing}>
      <h1 className="visually-hidden">Load</h1>
      {missing === 'bike' ? (
        <Empty
          title="There are no bags to load"
          actions={<Link href={`/trips/${store.tripId}/bike`}>Add bags to the bike</Link>}
        >
          Add the bags you own, with their litres and where they hang.
        </Empty>
      ) : (
        <Empty
          title="The floor is bare"
          actions={<Link href={`/trips/${store.tripId}/kit`}>Lay out the kit</Link>}
        >
          Add what you would take, or import a list as CSV. Estimates will do to begin with.
        </Empty>
      )}
    </div>
  );
}
