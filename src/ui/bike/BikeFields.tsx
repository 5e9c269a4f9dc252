'use client';

import { NumberInput } from '@mantine/core';
import { bikeGeometrySchema, type Bike, type BikeGeometry } from '@/core/bike/bike';
import { measure } from '@/core/plan/fields';
import { MASS_SOURCES } from '@/core/units/uncertainty';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { QuantityField } from '@/ui/shared/QuantityField';
import { needsName, TextField } from '@/ui/shared/TextField';
import styles from './Fields.module.css';

const ANGLES: readonly (keyof BikeGeometry)[] = ['headAngleDeg', 'seatAngleDeg'];
const KEYS = Object.keys(bikeGeometrySchema.shape) as (keyof BikeGeometry)[];

/** The bike's own figures; the drawing follows each. */
export function BikeFields({ bike }: { bike: Bike }) {
  const { store } = usePlan();
  const set = (patch: Partial<Bike>) => store.edit({ kind: 'set bike', bike: { ...bike, ...patch } });
  const figure = (key: keyof BikeGeometry, value: number) =>
    set({ geometry: { ...bike.geometry, [key]: value } });
  return (
    <section aria-label="The bike's figures">
      <h2 className={styles.heading}>The bike&apos;s figures</h2>
      <div className={styles.fields}>
        <TextField
          label="Name"
          value={bike.name}
          maxLength={120}
          check={needsName}
          onCommit={(name) => set({ name })}
        />
        <QuantityField
          label="Mass without bags"
          dimension="mass"
          value={bike.massG}
          onCommit={(value) => value !== null && set({ massG: value })}
        />
        <Choice
          label="Mass known by"
          value={bike.massSource}
          options={MASS_SOURCES}
          onChoose={(massSource) => set({ massSource })}
        />
        <QuantityField
          label="Maker's limit in all"
          dimension="mass"
          schema={measure('g', 0, 250_000)}
          value={bike.greatestTotalG}
          optional
          hint="Bike, rider and load; empty when not known"
          onCommit={(greatestTotalG) => set({ greatestTotalG })}
        />
      </div>
      <details className={styles.more}>
        <summary>Geometry, from the maker&apos;s table</summary>
        <div className={styles.fields}>
          {KEYS.map((key) => {
            const label = bikeGeometrySchema.shape[key].description ?? key;
            const range = bikeGeometrySchema.shape[key];
            const value = bike.geometry[key];
            return ANGLES.includes(key) ? (
              <NumberInput
                key={key}
                label={label}
                suffix="°"
                step={0.5}
                min={range.minValue ?? undefined}
                max={range.maxValue ?? undefined}
                clampBehavior="strict"
                value={value}
                onChange={(next) => typeof next === 'number' && figure(key, next)}
              />
            ) : (
              <QuantityField
                key={key}
                label={label}
                dimension="length"
                value={value}
                schema={range}
                hint={`${range.minValue} to ${range.maxValue} mm`}
                onCommit={(next) => next !== null && figure(key, next)}
              />
            );
          })}
        </div>
      </details>
    </section>
  );
}
