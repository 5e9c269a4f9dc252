'use client';

import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Bag } from '@/core/bag/bag';
import { correctedMasses, partsOf } from '@/core/commands/weighPackedBag';
import { doubtfulReading } from '@/core/weighing/doubtfulReading';
import { weighedBag } from '@/core/weighing/weighedBag';
import { readScale } from '@/ui/shared/readScale';
import { usePlan } from '@/ui/plan/PlanProvider';
import { QuantityField } from '@/ui/shared/QuantityField';
import styles from './PackStage.module.css';

/** What bags are usually weighed with on a doorstep: a luggage scale. */
const SCALE_ERROR_G = 50;
const PACKED_BAG = { bare: ['kg', 'g'], usual: [100, 30_000] as const };

interface Props {
  bag: Bag;
  readingG: number | null;
  onWeigh: (massG: number) => void;
}

/** A packed bag on the scale: what it should weigh, what it does, and what that says. */
export function WeighBag({ bag, readingG, onWeigh }: Props) {
  const { evaluation, store, format } = usePlan();
  const things = evaluation.compartments.flatMap((compartment) =>
    compartment.spot.bag.id === bag.id ? compartment.things : [],
  );
  const parts = partsOf(bag, things);
  const { expectedG, errorG, isDoubtful, corrected } = weighedBag(parts, readingG ?? 0, SCALE_ERROR_G);
  const { limitG, limitAssumed } = evaluation.byBag.get(bag.id)!;
  const over = readingG === null ? 0 : readingG - bag.massG - limitG;
  const correction = readingG === null || isDoubtful ? null : correctedMasses(bag, things, corrected);
  const reasons = readingG === null ? [] : doubtfulReading(parts, bag.id, readingG, 2 * errorG);
  const [reading, setReading] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const read = async () => {
    setReading(true);
    setFailed(null);
    await readScale(store.tripId, { bag: bag.id }).then(onWeigh, (error: Error) => setFailed(error.message));
    setReading(false);
  };
  return (
    <div className={styles.weigh}>
      <QuantityField
        label={`${bag.name}, packed, weighs`}
        dimension="mass"
        value={readingG}
        optional
        use={PACKED_BAG}
        hint={`Planned: ${format.mass(expectedG)} ± ${format.mass(errorG)}, the bag itself included`}
        onCommit={(massG) => massG !== null && onWeigh(massG)}
      />
      <Button size="compact-sm" variant="default" mt={4} loading={reading} onClick={() => void read()}>
        Read the scale<span className="visually-hidden"> for {bag.name}</span>
      </Button>
      {failed && <p role="alert">{failed}</p>}
      {readingG !== null && (
        <p role="status">
          {isDoubtful
            ? `That is ${format.mass(Math.abs(readingG - expectedG))} ${readingG > expectedG ? 'more' : 'less'} than planned, too much to be chance.`
            : 'As planned, within what was uncertain.'}{' '}
          {isDoubtful && reasons.slice(0, 2).map(({ words }) => `${words} `)}
        </p>
      )}
      {over > 0 && (
        <p role="alert" className={styles.over}>
          {format.mass(over)} over {limitAssumed ? 'what such a bag is usually good for' : 'its limit'}. Take
          something out: makers mean their limits.
        </p>
      )}
      {correction && (
        <Button size="compact-sm" variant="default" onClick={() => store.edit(correction)}>
          Correct the masses by it
        </Button>
      )}
    </div>
  );
}
