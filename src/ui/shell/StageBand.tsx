'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { memo } from 'react';
import type { Evaluation } from '@/core/evaluation/evaluate';
import type { Stage } from '@/core/checks/finding';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Verdict } from '@/ui/shared/Verdict';
import { useNextBreath } from '@/ui/shared/useNextBreath';
import styles from './StageBand.module.css';

export const STAGE_NAMES: Record<Stage, string> = {
  trip: 'Trip',
  bike: 'Bike',
  kit: 'Kit',
  provisions: 'Provisions',
  load: 'Load',
};

/** The stages in the order of the work, each with its verdict and the one fact that matters most there. */
export function StageBand() {
  const { evaluation, store } = usePlan();
  // What was pressed shows first; what it comes to is judged in the next breath.
  return <Stages evaluation={useNextBreath(evaluation)} tripId={store.tripId} />;
}

const Stages = memo(function Stages({ evaluation, tripId }: { evaluation: Evaluation; tripId: string }) {
  const path = usePathname();
  return (
    <nav aria-label="Stages" className={styles.band}>
      {evaluation.stages.map(({ stage, verdict, fact }) => {
        const here = path.endsWith(`/${stage}`);
        return (
          <Link
            key={stage}
            href={`/trips/${tripId}/${stage}`}
            aria-current={here ? 'page' : undefined}
            className={styles.stage}
          >
            <span className={styles.name}>{STAGE_NAMES[stage]}</span>
            <Verdict kind={verdict} />
            <span className={styles.fact}>{fact}</span>
          </Link>
        );
      })}
      <Link
        href={`/trips/${tripId}/pack`}
        aria-current={path.endsWith('/pack') ? 'page' : undefined}
        className={styles.stage}
      >
        <span className={styles.name}>Pack</span>
        <span />
        <span className={styles.fact}>step by step</span>
      </Link>
    </nav>
  );
});
