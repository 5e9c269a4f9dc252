'use client';

import { Button } from '@mantine/core';
import { memo } from 'react';
import type { Finding } from '@/core/checks/finding';
import { useLoader } from '@/ui/load/LoaderProvider';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import { Verdict } from '@/ui/shared/Verdict';
import styles from './FindingItem.module.css';

/** One judgement: how bad, what, why, and ways to mend it in one press. */
export const FindingItem = memo(function FindingItem({ finding }: { finding: Finding }) {
  const { store } = usePlanContext();
  const { run } = useLoader();
  return (
    <li className={styles.finding} data-severity={finding.severity}>
      <div className={styles.line}>
        <Verdict kind={finding.severity} />
        <span className={styles.message}>{finding.message}</span>
      </div>
      <details className={styles.reason}>
        <summary>Why</summary>
        {finding.reason}
      </details>
      {finding.fixes.length > 0 && (
        <div className={styles.fixes}>
          {finding.fixes.map((fix) => (
            <Button
              key={fix.label}
              size="compact-xs"
              variant="default"
              className={styles.fix}
              onClick={() => ('edit' in fix ? store.edit(fix.edit) : run())}
            >
              {fix.label}
            </Button>
          ))}
        </div>
      )}
    </li>
  );
});
