'use client';

import { Button } from '@mantine/core';
import { usePathname, useRouter } from 'next/navigation';
import { answerOf } from '@/core/evaluation/answer';
import { useLoader } from '@/ui/load/LoaderProvider';
import { usePlan } from '@/ui/plan/PlanProvider';
import { useNextBreath } from '@/ui/shared/useNextBreath';
import styles from './Headline.module.css';

/** The answer at a glance, the same on every stage: whether it fits, the biggest doubt, and what to do next. */
export function Headline() {
  const { evaluation, store, format } = usePlan();
  const { run } = useLoader();
  const router = useRouter();
  const path = usePathname();
  const { sentence, doubt, next } = answerOf(useNextBreath(evaluation), format);
  return (
    <section className={styles.headline} aria-label="The answer">
      <p>
        <strong>{sentence}</strong>
        {doubt && <span> {doubt}</span>}
      </p>
      {next && !('go' in next && path.endsWith(`/${next.go}`)) && (
        <Button
          size="compact-md"
          variant="default"
          onClick={() => {
            if ('edit' in next) return void store.edit(next.edit);
            const stage = 'go' in next ? next.go : 'load';
            // Without a network even a way to where one is loads the page anew, and ends the search.
            if (!path.endsWith(`/${stage}`)) router.push(`/trips/${store.tripId}/${stage}`);
            if ('action' in next) run();
          }}
        >
          Next: {next.label.charAt(0).toLowerCase() + next.label.slice(1)}
        </Button>
      )}
    </section>
  );
}
