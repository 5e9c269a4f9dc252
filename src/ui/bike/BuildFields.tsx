'use client';

import { Button, Checkbox, NumberInput } from '@mantine/core';
import {
  BARS,
  BRAKES,
  buildSchema,
  FORKS,
  FRONT_LIGHTS,
  GEARS,
  HOSES,
  MATERIALS,
  MOUNT_PLACES,
  mountSchema,
  REAR_LIGHTS,
  type Bike,
  type Build,
  type Mount,
} from '@/core/bike/bike';
import { TOOLS, toolsNeeded } from '@/core/bike/bolts';
import { DEFAULT_GEAR } from '@/core/facts/ride';
import { CountField } from '@/ui/shared/CountField';
import { freeBarWidthMm } from '@/core/clearance/bar';
import { RIDER_DEFAULTS, riderSchema, type Rider } from '@/core/plan/plan';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { BAG_LIMIT } from '@/ui/shared/fieldUses';
import { QuantityField } from '@/ui/shared/QuantityField';
import styles from './Fields.module.css';

const shape = buildSchema.shape;

/** What is on the bike, its mounts, and the rider's own measures: what decides clearances and limits. */
export function BuildFields({ bike }: { bike: Bike }) {
  const { store, draft, evaluation, format } = usePlan();
  const { build } = bike;
  const set = (patch: Partial<Build>) =>
    store.edit({ kind: 'set bike', bike: { ...bike, build: { ...build, ...patch } } });
  const setMount = (at: number, patch: Partial<Mount>) =>
    set({ mounts: build.mounts.map((mount, i) => (i === at ? { ...mount, ...patch } : mount)) });
  const travel = (key: 'forkTravelMm' | 'rearTravelMm' | 'dropperMm', hint: string) => (
    <QuantityField
      label={shape[key].description ?? key}
      dimension="length"
      value={build[key]}
      schema={shape[key].unwrap()}
      hint={hint}
      onCommit={(value) => value !== null && set({ [key]: value })}
    />
  );
  const rider = (key: keyof typeof RIDER_DEFAULTS, label: string, hint: string) => (
    <QuantityField
      label={label}
      dimension="length"
      value={draft.plan.rider[key]}
      schema={riderSchema.shape[key].unwrap().options[0]}
      optional
      placeholder={`≈ ${format.length(RIDER_DEFAULTS[key])}`}
      hint={hint}
      onCommit={(value) => store.edit({ kind: 'set rider', patch: { [key]: value } as Partial<Rider> })}
    />
  );
  const free = freeBarWidthMm({ ...build, barFreeMm: null }, evaluation.surroundings.barWidthMm);
  return (
    <section aria-label="Build">
      <h2 className={styles.heading}>Build</h2>
      <div className={styles.fields}>
        <Choice label="Fork" value={build.fork} options={FORKS} onChoose={(fork) => set({ fork })} />
        {build.fork === 'suspension' && travel('forkTravelMm', 'At full travel the tyre comes up by this')}
        {travel('rearTravelMm', '0 for a hardtail')}
        {travel('dropperMm', 'A pack comes down with it')}
        <Choice label="Bar" value={build.bar} options={BARS} onChoose={(bar) => set({ bar })} />
        {build.bar === 'drop' && (
          <QuantityField
            label="Flare of the drops"
            dimension="angle"
            value={build.barFlareDeg}
            schema={shape.barFlareDeg.unwrap()}
            onCommit={(value) => value !== null && set({ barFlareDeg: value })}
          />
        )}
        <QuantityField
          label="Free width between levers or drops"
          dimension="length"
          value={build.barFreeMm}
          optional
          placeholder={`≈ ${format.length(free)}`}
          hint="Measured at the height of the roll"
          onCommit={(barFreeMm) => set({ barFreeMm })}
        />
        <Choice label="Brakes" value={build.brakes} options={BRAKES} onChoose={(brakes) => set({ brakes })} />
        <Choice label="Gears" value={build.gears} options={GEARS} onChoose={(gears) => set({ gears })} />
        <CountField
          label="Smallest chainring"
          description="Sets what can be pedalled uphill"
          value={build.smallestRingTeeth ?? DEFAULT_GEAR.ring}
          least={16}
          most={60}
          what="teeth"
          onCommit={(smallestRingTeeth) => set({ smallestRingTeeth })}
        />
        <CountField
          label="Largest sprocket"
          value={build.largestCogTeeth ?? DEFAULT_GEAR.cog}
          least={11}
          most={60}
          what="teeth"
          onCommit={(largestCogTeeth) => set({ largestCogTeeth })}
        />
        <Choice label="Hoses run" value={build.hoses} options={HOSES} onChoose={(hoses) => set({ hoses })} />
        <Checkbox
          className={styles.check}
          label="Hoses pass ahead of the head tube"
          checked={build.hosesAhead}
          onChange={(event) => set({ hosesAhead: event.currentTarget.checked })}
        />
        {(['frameMaterial', 'forkMaterial', 'seatpostMaterial'] as const).map((key) => (
          <Choice
            key={key}
            label={
              { frameMaterial: 'Frame of', forkMaterial: 'Fork of', seatpostMaterial: 'Seatpost of' }[key]
            }
            value={build[key]}
            options={MATERIALS}
            onChoose={(material) => set({ [key]: material })}
          />
        ))}
        <Choice
          label="Front light"
          value={build.frontLight}
          options={FRONT_LIGHTS}
          onChoose={(frontLight) => set({ frontLight })}
        />
        <Choice
          label="Rear light"
          value={build.rearLight}
          options={REAR_LIGHTS}
          onChoose={(rearLight) => set({ rearLight })}
        />
      </div>
      <h3 className={styles.sub}>Bolts</h3>
      <p className="quiet">
        The tool for each, as on most bikes until you look. Kit checks what you pack against them.
      </p>
      <div className={styles.fields}>
        {toolsNeeded(build).map(({ bolt, tool, isUsual }) => (
          <Choice
            key={bolt}
            label={`${bolt[0]!.toUpperCase()}${bolt.slice(1)}${isUsual ? ' ≈' : ''}`}
            value={tool}
            options={TOOLS}
            onChoose={(chosen) => set({ bolts: { ...build.bolts, [bolt]: chosen } })}
          />
        ))}
      </div>
      <h3 className={styles.sub}>Mounts</h3>
      {build.mounts.length === 0 && (
        <p className="quiet">None entered. Bolts on the frame and fork decide where cages and bags may go.</p>
      )}
      {build.mounts.map((mount, i) => (
        <div key={i} className={styles.row} role="group" aria-label={`Mount ${i + 1}`}>
          <Choice
            label="Where"
            value={mount.place}
            options={MOUNT_PLACES}
            onChoose={(place) => setMount(i, { place })}
          />
          <NumberInput
            label="Bolts"
            min={1}
            max={4}
            clampBehavior="strict"
            allowDecimal={false}
            value={mount.bolts}
            onChange={(bolts) => typeof bolts === 'number' && setMount(i, { bolts })}
          />
          <QuantityField
            label="Lowest bolt along the tube"
            dimension="length"
            value={mount.lowestMm}
            schema={mountSchema.shape.lowestMm.unwrap()}
            onCommit={(value) => value !== null && setMount(i, { lowestMm: value })}
          />
          <QuantityField
            label="Maker's greatest load"
            use={BAG_LIMIT}
            dimension="mass"
            value={mount.limitG}
            optional
            hint="Empty when not known: little is assumed"
            onCommit={(limitG) => setMount(i, { limitG })}
          />
          <Button
            size="xs"
            variant="default"
            className={styles.rowEnd}
            onClick={() => set({ mounts: build.mounts.filter((_, other) => other !== i) })}
          >
            Remove<span className="visually-hidden"> mount {i + 1}</span>
          </Button>
        </div>
      ))}
      <div className={styles.actions}>
        <Button
          size="xs"
          variant="default"
          disabled={build.mounts.length >= 12}
          onClick={() =>
            set({
              mounts: [...build.mounts, { place: 'down tube', bolts: 2, lowestMm: 175, limitG: null }],
            })
          }
        >
          Add a mount
        </Button>
      </div>
      <h3 className={styles.sub}>You on the bike</h3>
      <div className={styles.fields}>
        {rider('kneeGapMm', 'Room between the knees', 'Pedalling; a ruler across the top tube tells')}
        {rider('inseamMm', 'Inside leg', 'In riding shoes, floor to crotch')}
        {rider('shoeMm', 'Riding shoe', 'Its length outside, for heels and panniers')}
      </div>
    </section>
  );
}
