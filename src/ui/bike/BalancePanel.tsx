'use client';

import { Button } from '@mantine/core';
import { useState } from 'react';
import { bareBike, readingDoubts, riderCentre } from '@/core/bike/balance';
import type { Bike, WheelReadings } from '@/core/bike/bike';
import { measure } from '@/core/units/measures';
import { usePlan } from '@/ui/plan/PlanProvider';
import { readScale } from '@/ui/shared/readScale';
import { QuantityField } from '@/ui/shared/QuantityField';
import { FillTable } from './FillTable';
import styles from './Fields.module.css';

const READINGS = [
  { key: 'aloneFrontG', label: 'Front wheel, bike alone', under: 'front', rider: 'no' },
  { key: 'aloneRearG', label: 'Rear wheel, bike alone', under: 'rear', rider: 'no' },
  { key: 'riderFrontG', label: 'Front wheel, you seated', under: 'front', rider: 'yes' },
  { key: 'riderRearG', label: 'Rear wheel, you seated', under: 'rear', rider: 'yes' },
] as const;
type Typed = Partial<Record<keyof WheelReadings, number | null>>;

/** Two wheel readings place the bike's centre of mass, two more the rider's. */
export function BalancePanel({ bike }: { bike: Bike }) {
  const { store, draft, evaluation, format } = usePlan();
  const [typed, setTyped] = useState<Typed>({});
  const [failed, setFailed] = useState<string | null>(null);
  const [reading, setReading] = useState<string | null>(null);
  const { view } = evaluation;
  const current: Typed = { ...bike.readings, ...typed };

  const take = (change: Typed) => {
    const next = { ...current, ...change };
    const { aloneFrontG, aloneRearG } = next;
    if (typeof aloneFrontG !== 'number' || typeof aloneRearG !== 'number')
      return setTyped({ ...typed, ...change });
    setTyped({});
    const readings: WheelReadings = {
      aloneFrontG,
      aloneRearG,
      riderFrontG: next.riderFrontG ?? null,
      riderRearG: next.riderRearG ?? null,
    };
    store.edit({ kind: 'set bike', bike: { ...bike, readings } });
  };
  const read = async ({ key, under, rider }: (typeof READINGS)[number]) => {
    setReading(key);
    setFailed(null);
    try {
      take({ [key]: await readScale(store.tripId, { under, rider }) });
    } catch (error) {
      setFailed((error as Error).message);
    } finally {
      setReading(null);
    }
  };

  const own = bareBike(bike, view);
  const rider = riderCentre(bike, view);
  const ahead = (x: number) => format.length(x - view.rearAxle.x);
  return (
    <section aria-label="Balance">
      <h2 className={styles.heading}>Balance of the bare bike</h2>
      <p className="quiet">
        Put a scale under one wheel and something as high under the other, bags off. Read both wheels, then
        both again with you seated, feet on the pedals and hands on the bar. The scale here is a simulated
        one.
      </p>
      <div className={styles.fields}>
        {READINGS.map((question) => (
          <div key={question.key}>
            <QuantityField
              label={question.label}
              dimension="mass"
              value={current[question.key] ?? null}
              schema={measure('g', 0, 200_000)}
              optional
              onCommit={(value) => take({ [question.key]: value })}
            />
            <Button
              size="compact-xs"
              variant="default"
              mt={4}
              loading={reading === question.key}
              onClick={() => void read(question)}
            >
              Read the scale<span className="visually-hidden"> for {question.label}</span>
            </Button>
          </div>
        ))}
      </div>
      {failed && <p role="alert">{failed}</p>}
      {readingDoubts(bike, draft.plan.rider.massG).map((doubt) => (
        <p key={doubt} role="alert" className={styles.doubt}>
          {doubt}
        </p>
      ))}
      <table className={styles.results} aria-label="Centres of mass">
        <thead>
          <tr>
            <th scope="col">Centre of mass</th>
            <th scope="col">Ahead of the rear axle</th>
            <th scope="col">Known by</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Bare bike</th>
            <td>
              {own.weighed ? '' : '≈ '}
              {ahead(own.mass.x)} ± {format.length(own.errorMm)}
            </td>
            <td>{own.weighed ? 'your readings' : 'a default'}</td>
          </tr>
          <tr>
            <th scope="row">You</th>
            <td>
              {rider.weighed ? '' : '≈ '}
              {ahead(rider.centre.x)} ± {format.length(rider.errorMm)}
            </td>
            <td>{rider.weighed ? 'your readings' : 'a default'}</td>
          </tr>
          {evaluation.handling && (
            <tr>
              <th scope="row">All, loaded</th>
              <td>
                {ahead(evaluation.handling.centre.x)} ± {format.length(evaluation.handling.centreErrorMm)}
              </td>
              <td>the sum</td>
            </tr>
          )}
        </tbody>
      </table>
      <h2 className={styles.heading}>Loaded, against the bare bike</h2>
      <FillTable facts={evaluation} format={format} />
      <div className={styles.actions}>
        {bike.readings && (
          <Button
            size="xs"
            variant="default"
            onClick={() => {
              setTyped({});
              store.edit({ kind: 'set bike', bike: { ...bike, readings: null } });
            }}
          >
            Forget the readings
          </Button>
        )}
      </div>
      <p className="quiet">Heights are defaults: readings on the level cannot tell them.</p>
    </section>
  );
}
