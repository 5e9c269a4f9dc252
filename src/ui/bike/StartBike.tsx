import { Button } from '@mantine/core';
import { useState } from 'react';
import { BIKE_TYPES, FRAME_SIZES, type BikeType, type FrameSize } from '@/core/bike/bike';
import { bikeOfType } from '@/core/bike/types';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import styles from './Start.module.css';

const SIZE_WORDS: Record<FrameSize, string> = {
  S: 'S: riders up to 1.66 m',
  M: 'M: 1.66 to 1.77 m',
  L: 'L: 1.77 to 1.86 m',
  XL: 'XL: taller',
};

/** A bike in two choices: every figure is assumed, and is replaced as it becomes known. */
export function StartBike({ onOwnFigures, onSaved }: { onOwnFigures: () => void; onSaved: () => void }) {
  const { store } = usePlan();
  const [type, setType] = useState<BikeType>('hardtail');
  const [size, setSize] = useState<FrameSize>('M');
  const take = () => store.edit({ kind: 'set bike', bike: bikeOfType(crypto.randomUUID(), type, size) });
  return (
    <section className={styles.start} aria-label="Your bike">
      <h2>Your bike</h2>
      <p>
        Choose what it is. Its figures are then those of an average one, shown with ≈; a tape or its
        maker&apos;s table makes them your own later.
      </p>
      <div className={styles.row}>
        <Choice label="Type" value={type} options={BIKE_TYPES} onChoose={setType} />
        <Choice label="Frame size" value={size} options={FRAME_SIZES} words={SIZE_WORDS} onChoose={setSize} />
      </div>
      <div className={styles.row}>
        <Button onClick={take}>Use this bike</Button>
        <Button
          variant="default"
          onClick={() => {
            if (take()) onOwnFigures();
          }}
        >
          I have its figures or a tape
        </Button>
        <Button variant="default" onClick={onSaved}>
          Use one I have saved
        </Button>
      </div>
    </section>
  );
}
