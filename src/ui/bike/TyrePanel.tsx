'use client';

import { Checkbox } from '@mantine/core';
import type { Bike, Build } from '@/core/bike/bike';
import { tyrePressures } from '@/core/facts/tyrePlan';
import { noPressure, SURFACES, type TyrePressure } from '@/core/bike/tyrePressure';
import type { Formatter } from '@/core/units/format';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { QuantityField } from '@/ui/shared/QuantityField';
import styles from './Fields.module.css';

const BOUNDS = {
  'tyre least': "raised to the tyre's least",
  'tyre most': "held to the tyre's greatest",
  'rim most': "held to the rim's greatest",
} as const;

/** A pressure to start from for each wheel, empty and loaded, inside what is printed on tyre and rim. */
export function TyrePanel({ bike }: { bike: Bike }) {
  const { store, draft, evaluation, format } = usePlan();
  const { build } = bike;
  const none = noPressure(build);
  const set = (patch: Partial<Build>) =>
    store.edit({ kind: 'set bike', bike: { ...bike, build: { ...build, ...patch } } });
  const limit = (key: 'tyreLeastKpa' | 'tyreMostKpa' | 'rimMostKpa', label: string) => (
    <QuantityField
      label={label}
      dimension="pressure"
      value={build[key]}
      optional
      hint="Empty when not known"
      onCommit={(value) => set({ [key]: value })}
    />
  );
  return (
    <section aria-label="Tyres">
      <h2 className={styles.heading}>Tyres</h2>
      {none && (
        <p role="alert" className={styles.doubt}>
          The tyre needs at least {format.pressure(none.leastKpa)}, but the {none.part} allows at most{' '}
          {format.pressure(none.mostKpa)}: no pressure suits both. Read the figures again; if they are right,
          do not ride this tyre on this rim.
        </p>
      )}
      <table className={styles.results} aria-label="Starting pressures">
        <thead>
          <tr>
            <th scope="col">Wheel</th>
            <th scope="col">Width</th>
            <th scope="col">Without bags</th>
            <th scope="col">As loaded</th>
          </tr>
        </thead>
        <tbody>
          {tyrePressures(evaluation).map((wheel) => (
            <tr key={wheel.wheel}>
              <th scope="row">{wheel.wheel}</th>
              <td>{format.length(wheel.widthMm)}</td>
              <td>
                {none ? (
                  'no pressure suits'
                ) : (
                  <Pressure pressure={wheel.empty} massG={wheel.emptyG} format={format} />
                )}
              </td>
              <td>
                {none ? (
                  'no pressure suits'
                ) : (
                  <Pressure pressure={wheel.loaded} massG={wheel.loadG} format={format} />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className={styles.fields}>
        <Choice
          label="Most of the route is"
          value={draft.plan.trip.surface}
          options={SURFACES}
          onChoose={(surface) => store.edit({ kind: 'set trip', patch: { surface } })}
        />
        {limit('tyreLeastKpa', 'Least printed on the tyre')}
        {limit('tyreMostKpa', 'Greatest printed on the tyre')}
        {limit('rimMostKpa', 'Greatest for the rim')}
        <Checkbox
          className={styles.check}
          label="Inner tubes"
          checked={build.tubes}
          onChange={(event) => set({ tubes: event.currentTarget.checked })}
        />
      </div>
      <p className="quiet">
        A start for your own tests, by a curve fitted to measurements at 15 % tyre drop; tyre casing, rim
        width and your road are not in it. Never leave the limits printed on tyre and rim, whichever is less.
        Check again when it turns cold: pressure falls by about 2 % for every 5 °C.
      </p>
    </section>
  );
}

function Pressure(props: { pressure: TyrePressure; massG: number; format: Formatter }) {
  const { pressure, massG, format } = props;
  return (
    <>
      <strong>≈ {format.pressure(pressure.kpa)}</strong> under {format.mass(massG)}
      {pressure.boundedBy && (
        <span className="quiet">
          {' '}
          ({BOUNDS[pressure.boundedBy]}; the load asks for {format.pressure(pressure.curveKpa)})
        </span>
      )}
    </>
  );
}
