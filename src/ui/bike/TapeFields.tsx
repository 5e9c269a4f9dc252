'use client';

import { Button } from '@mantine/core';
import { useState } from 'react';
import { tapeSchema, type Bike, type Tape } from '@/core/bike/bike';
import { figuresFromTape } from '@/core/bike/tape';
import { usePlan } from '@/ui/plan/PlanProvider';
import { tapeUse } from '@/ui/shared/fieldUses';
import { QuantityField } from '@/ui/shared/QuantityField';
import styles from './Fields.module.css';

const SIDES = ['topMm', 'headMm', 'downMm', 'seatMm', 'diagonalMm'] as const;
const GAPS = ['railToTyreMm', 'barToTyreMm'] as const;
/** From and to, in millimetres, of a tape in a bicycle's frame. */
const USUAL: Record<keyof Tape, [number, number]> = {
  topMm: [150, 750],
  headMm: [25, 300],
  downMm: [250, 800],
  seatMm: [100, 650],
  diagonalMm: [250, 900],
  railToTyreMm: [40, 600],
  barToTyreMm: [40, 700],
};
const label = (key: keyof Tape): string => tapeSchema.shape[key].description ?? key;
const range = (key: (typeof SIDES)[number]) => tapeSchema.shape[key];

/** The inside of the main triangle by tape: taken when all five lengths are there and close. */
export function TapeFields(props: {
  bike: Bike;
  doubts: ReadonlyMap<string, string>;
  onMeasure: (of: keyof Tape | null) => void;
  onTake: (tape: Tape | null) => void;
}) {
  const { bike, doubts, onMeasure, onTake } = props;
  const { evaluation } = usePlan();
  const [typed, setTyped] = useState<Partial<Tape>>({});
  const { seatAngleDeg, headAngleDeg } = evaluation.figures.geometry;
  const current: Partial<Tape> = { ...bike.tape, ...typed };
  const whole = SIDES.every((key) => current[key] !== undefined)
    ? ({ railToTyreMm: null, barToTyreMm: null, ...current } as Tape)
    : null;
  const read = whole ? figuresFromTape(whole, seatAngleDeg, headAngleDeg) : null;
  const change = (key: keyof Tape, value: number | null) => {
    const next = { ...typed, [key]: value ?? undefined };
    if (value === null && !(GAPS as readonly string[]).includes(key)) return setTyped(next);
    const all = { railToTyreMm: null, barToTyreMm: null, ...bike.tape, ...next, [key]: value } as Tape;
    const closes =
      SIDES.every((side) => all[side] !== undefined) && figuresFromTape(all, seatAngleDeg, headAngleDeg).ok;
    // What does not close yet stays here, so that the drawing keeps the last good state.
    if (bike.tape && closes) {
      setTyped({});
      onTake(all);
    } else setTyped(next);
  };
  const fault = (key: string): string | undefined =>
    read && !read.ok && read.error.field === key ? read.error.message : doubts.get(key);

  return (
    <section aria-label="By tape">
      <h3 className={styles.sub}>By tape, without a table</h3>
      <p className="quiet">
        Measure inside the main triangle, from corner to corner along each tube, and the diagonal. A figure in
        the table above wins over the tape.
      </p>
      <div className={styles.fields}>
        {SIDES.map((key) => (
          <QuantityField
            key={key}
            label={label(key)}
            dimension="length"
            use={tapeUse(...USUAL[key])}
            value={current[key] ?? null}
            schema={range(key)}
            optional
            doubt={fault(key)}
            onFocus={() => onMeasure(key)}
            onCommit={(value) => change(key, value)}
          />
        ))}
        {GAPS.map((key) => (
          <QuantityField
            key={key}
            label={label(key)}
            dimension="length"
            use={tapeUse(...USUAL[key])}
            value={current[key] ?? null}
            optional
            doubt={fault(key)}
            onFocus={() => onMeasure(key)}
            onCommit={(value) => change(key, value)}
          />
        ))}
      </div>
      <div className={styles.actions}>
        {!bike.tape && (
          <Button
            size="xs"
            variant="default"
            disabled={!read?.ok}
            onClick={() => {
              setTyped({});
              onTake(whole);
            }}
          >
            Take these measures
          </Button>
        )}
        {bike.tape && (
          <Button
            size="xs"
            variant="default"
            onClick={() => {
              setTyped({});
              onTake(null);
            }}
          >
            Forget the tape
          </Button>
        )}
      </div>
    </section>
  );
}
