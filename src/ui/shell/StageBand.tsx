'use client';

import { Menu } from '@mantine/core';
import { IconMenuDeep } from '@tabler/icons-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { memo } from 'react';
import type { Evaluation, StageState } from '@/core/evaluation/evaluate';
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

/** What comes after planning: nothing is judged there. */
export const AFTER = [
  { path: 'pack', name: 'Pack', fact: 'step by step' },
  { path: 'ride', name: 'Ride', fact: 'today, and the log' },
  { path: 'review', name: 'Review', fact: 'what you learned' },
] as const;

interface Item {
  path: string;
  name: string;
  fact: string;
  verdict: StageState['verdict'] | null;
}

/** The stages in the order of the work, each with its verdict and the one fact that matters most there. */
export function StageBand() {
  const { atStart, store } = usePlan();
  // What was pressed shows first; what it comes to is judged in the next breath.
  return <Stages evaluation={useNextBreath(atStart)} tripId={store.tripId} />;
}

const Stages = memo(function Stages({ evaluation, tripId }: { evaluation: Evaluation; tripId: string }) {
  const path = usePathname();
  const items: Item[] = [
    ...evaluation.stages.map(({ stage, verdict, fact }) => ({
      path: stage,
      name: STAGE_NAMES[stage],
      fact,
      verdict,
    })),
    ...AFTER.map((item) => ({ ...item, verdict: null })),
  ];
  const here = items.findIndex((item) => path.endsWith(`/${item.path}`));
  // A phone shows the current stage and its neighbours, and all of them in a list.
  const first = Math.min(Math.max(0, here - 1), items.length - 3);
  return (
    <nav aria-label="Stages" className={styles.band}>
      {items.map((item, k) => (
        <Link
          key={item.path}
          href={`/trips/${tripId}/${item.path}`}
          aria-current={k === here ? 'page' : undefined}
          className={styles.stage}
          data-far={k < first || k > first + 2 || undefined}
        >
          <span className={styles.name}>{item.name}</span>
          {item.verdict ? <Verdict kind={item.verdict} /> : <span />}
          <span className={styles.fact}>{item.fact}</span>
        </Link>
      ))}
      <Menu position="bottom-end" width={260}>
        <Menu.Target>
          <button type="button" className={styles.all} aria-label="All stages">
            <IconMenuDeep size={20} />
          </button>
        </Menu.Target>
        <Menu.Dropdown>
          {items.map(({ path: to, name, verdict }) => (
            <Menu.Item
              key={to}
              component={Link}
              href={`/trips/${tripId}/${to}`}
              rightSection={verdict && <Verdict kind={verdict} />}
            >
              {name}
            </Menu.Item>
          ))}
        </Menu.Dropdown>
      </Menu>
    </nav>
  );
});
