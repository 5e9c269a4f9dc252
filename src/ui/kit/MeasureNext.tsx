'use client';

import { Button } from '@mantine/core';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { measureNext, measurementWords } from '@/core/advice/measureNext';
import type { Thing } from '@/core/kit/thing';
import { usePlan } from '@/ui/plan/PlanProvider';
import { useSelection } from '@/ui/shared/SelectionProvider';
import styles from './KitStage.module.css';

const WeighMode = dynamic(() => import('@/ui/weigh/WeighMode').then((module) => module.WeighMode), {
  ssr: false,
});

/** The few measurements that could change a verdict, and the way to the scale. */
export function MeasureNext() {
  const { evaluation, store } = usePlan();
  const { chooseThing } = useSelection();
  const [weighing, setWeighing] = useState<readonly Thing[] | null>(null);
  const worth = useMemo(() => measureNext(evaluation), [evaluation]);
  const toWeigh = worth.flatMap(({ what, thing }) => (what === 'mass' ? [thing] : []));
  const estimated = evaluation.plan.things.filter(
    (thing) => thing.massSource === 'estimate' && !toWeigh.includes(thing),
  );
  const hasLoad = evaluation.compartments.some(({ things }) => things.length > 0);
  return (
    <details className={styles.measure}>
      <summary>
        {worth.length > 0
          ? `Worth measuring: ${worth.map(({ thing }) => thing.name).join(', ')}`
          : hasLoad
            ? 'No measurement could change a verdict: nothing has to be weighed'
            : 'What is worth measuring shows once something is in a bag'}
      </summary>
      <ul>
        {worth.map((measurement) => (
          <li key={`${measurement.what} ${measurement.thing.id}`}>
            {measurementWords(measurement)}{' '}
            {measurement.what === 'volume' && (
              <Button size="compact-sm" variant="default" onClick={() => chooseThing(measurement.thing.id)}>
                Enter its volume<span className="visually-hidden">: {measurement.thing.name}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Button
        size="compact-sm"
        variant="default"
        disabled={toWeigh.length + estimated.length === 0}
        onClick={() => setWeighing([...toWeigh, ...estimated])}
      >
        Weigh things
      </Button>
      {weighing && (
        <WeighMode
          things={weighing}
          reasons={new Map(worth.map((each) => [each.thing.id, measurementWords(each)]))}
          onWeigh={(thing, massG, massSource) =>
            store.edit({ kind: 'change things', changes: [{ id: thing.id, patch: { massG, massSource } }] })
          }
          onClose={() => setWeighing(null)}
        />
      )}
    </details>
  );
}
