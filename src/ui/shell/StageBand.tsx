'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { Stage } from '@/core/checks/finding';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Verdict } from '@/ui/shared/Verdict';
import styles from './StageBand.module.css';

export const STAGE_NAMES: Record<Stage, string> = { trip: 'Trip', bike: 'Bike', kit: 'Kit', load: 'Load' };

/** The stages in the order of the work, each with its verdict and the one fact that matters most there. */
export function StageBand() {
  const { evaluation, store } = usePlan();
  const path = usePathname();
  return (
    <nav aria-label="Stages" className={styles.band}>
      {evaluation.stages.map(({ stage, verdict, fact }) => {
        const here = path.endsWith(`/${stage}`);
        return (
          <Link
            key={stage}
            href={`/trips/${store.tripId}/${stage}`}
            aria-current={here ? 'page' : undefined}
            className={styles.stage}
          >
            <span className={styles.name}>{STAGE_NAMES[stage]}</span>
            <Verdict kind={verdict} />
            <span className={styles.fact}>{fact}</span>
          </Link>
        );
      })}
    </nav>
  );
}
