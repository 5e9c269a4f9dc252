import { ActionIcon, Button, NativeSelect } from '@mantine/core';
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react';
import { useEffect } from 'react';
import { onTheWay } from '@/core/checks/onTheWay';
import { momentsOf } from '@/core/facts/moments';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './MomentControl.module.css';

/** Which moment of the trip the drawing, the bags, the consequences and the figures show. */
export function MomentControl() {
  const { atStart, format, momentId, setMomentId } = usePlan();
  // Every other stage is about setting out.
  useEffect(() => () => setMomentId(null), [setMomentId]);
  const moments = momentsOf(atStart);
  if (moments.length < 2) return null;
  const at = Math.max(
    0,
    moments.findIndex(({ id }) => id === momentId),
  );
  const show = (index: number) => setMomentId(index === 0 ? null : moments[index]!.id);
  const heaviest = () => {
    const all = onTheWay(atStart, format);
    show(
      all.reduce(
        (best, { facts }, k) => (facts.totals.bikeLoadedG > all[best]!.facts.totals.bikeLoadedG ? k : best),
        0,
      ),
    );
  };
  const worst = () => {
    const all = onTheWay(atStart, format);
    const badness = (k: number) =>
      all[k]!.findings.reduce((sum, { severity }) => sum + (severity === 'stop' ? 10 : 1), 0);
    show(all.reduce((best, _, k) => (badness(k) > badness(best) ? k : best), 0));
  };
  return (
    <div className={styles.control} role="group" aria-label="Moment of the trip">
      <ActionIcon
        variant="default"
        aria-label="The moment before"
        disabled={at === 0}
        onClick={() => show(at - 1)}
      >
        <IconChevronLeft size={16} />
      </ActionIcon>
      <NativeSelect
        aria-label="Moment"
        value={moments[at]!.id}
        onChange={(event) => show(moments.findIndex(({ id }) => id === event.currentTarget.value))}
        data={moments.map(({ id, label }) => ({ value: id, label }))}
      />
      <ActionIcon
        variant="default"
        aria-label="The next moment"
        disabled={at === moments.length - 1}
        onClick={() => show(at + 1)}
      >
        <IconChevronRight size={16} />
      </ActionIcon>
      <Button size="compact-sm" variant="default" onClick={heaviest}>
        Heaviest
      </Button>
      <Button size="compact-sm" variant="default" onClick={worst}>
        Worst
      </Button>
    </div>
  );
}
