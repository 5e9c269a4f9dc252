'use client';

import { Button, Checkbox } from '@mantine/core';
import {
  ATTACHMENTS,
  bagSchema,
  CLOSURES,
  DEFAULT_SOLIDS,
  OPENINGS,
  OUTSIDES,
  PLACES,
  REACHES,
  SIDES,
  WEATHERS,
  type Bag,
  type Compartment,
} from '@/core/bag/bag';
import { readCorners, writeCorners } from '@/core/bag/corners';
import { solidVolumeMl, type Solid } from '@/core/geometry/solid';
import { MASS_SOURCES } from '@/core/units/uncertainty';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { BAG_LIMIT, BAG_MASS } from '@/ui/shared/fieldUses';
import { QuantityField } from '@/ui/shared/QuantityField';
import { needsName, TextField } from '@/ui/shared/TextField';
import { useSelection } from '@/ui/shared/SelectionProvider';
import styles from './Fields.module.css';

/** All that is known of a bag and its compartments. */
export function BagEditor({ bag }: { bag: Bag }) {
  const { store } = usePlan();
  const { chooseBag } = useSelection();
  const set = (patch: Partial<Bag>) => store.edit({ kind: 'change bags', changes: [{ id: bag.id, patch }] });
  const setCompartment = (id: string, patch: Partial<Compartment>) =>
    set({
      compartments: bag.compartments.map((compartment) =>
        compartment.id === id ? { ...compartment, ...patch } : compartment,
      ),
    });
  return (
    <div className={styles.bag}>
      <div className={styles.fields}>
        <TextField
          label="Name"
          value={bag.name}
          maxLength={120}
          check={needsName}
          onCommit={(name) => set({ name })}
        />
        <Choice label="Place" value={bag.place} options={PLACES} onChoose={(place) => set({ place })} />
        <Choice label="Side" value={bag.side} options={SIDES} onChoose={(side) => set({ side })} />
        <QuantityField
          label="Own mass, empty"
          use={BAG_MASS}
          dimension="mass"
          value={bag.massG}
          onCommit={(value) => value !== null && set({ massG: value })}
        />
        <Choice
          label="Mass is from"
          value={bag.massSource}
          options={MASS_SOURCES}
          onChoose={(massSource) => set({ massSource })}
        />
        <QuantityField
          label="Greatest load"
          use={BAG_LIMIT}
          dimension="mass"
          value={bag.limitG}
          optional
          hint="The less of bag and mount; empty when not known"
          onCommit={(limitG) => set({ limitG })}
        />
        <QuantityField
          label="Moved along its place"
          dimension="length"
          value={bag.alongMm}
          schema={bagSchema.shape.alongMm.unwrap()}
          hint="Or draw it with the pointer, or the arrow keys, in the picture"
          onCommit={(value) => value !== null && set({ alongMm: value })}
        />
        {(bag.place === 'bar roll' || bag.place === 'bar bag') && (
          <QuantityField
            label="Space behind it"
            dimension="length"
            value={bag.standOffMm}
            schema={bagSchema.shape.standOffMm.unwrap()}
            hint="As a spacer makes it; hoses need 15 mm"
            onCommit={(value) => value !== null && set({ standOffMm: value })}
          />
        )}
        <Choice
          label="Shuts with"
          value={bag.closure}
          options={CLOSURES}
          onChoose={(closure) => set({ closure })}
        />
        <Choice
          label="Opens at"
          value={bag.opening}
          options={OPENINGS}
          onChoose={(opening) => set({ opening })}
        />
        <Choice
          label="Held by"
          value={bag.attachment}
          options={ATTACHMENTS}
          onChoose={(attachment) => set({ attachment })}
        />
        {bag.place === 'seat pack' && (
          <Checkbox
            className={styles.check}
            label="Held up by a brace"
            checked={bag.braced}
            onChange={(event) => set({ braced: event.currentTarget.checked })}
          />
        )}
      </div>
      {bag.compartments.map((compartment) => (
        <CompartmentFields
          key={compartment.id}
          compartment={compartment}
          single={bag.compartments.length === 1}
          onChange={(patch) => setCompartment(compartment.id, patch)}
          onRemove={() => set({ compartments: bag.compartments.filter(({ id }) => id !== compartment.id) })}
        />
      ))}
      <div className={styles.actions}>
        <Button
          size="xs"
          variant="default"
          disabled={bag.compartments.length >= 8}
          onClick={() =>
            set({
              compartments: [
                ...bag.compartments,
                {
                  ...bag.compartments[0]!,
                  id: crypto.randomUUID(),
                  name: 'pocket',
                  solid: { kind: 'box', lengthMm: 180, widthMm: 25, heightMm: 110 },
                  statedMl: null,
                  limitG: null,
                },
              ],
            })
          }
        >
          Add a compartment
        </Button>
        <Button
          size="xs"
          variant="default"
          onClick={() => {
            chooseBag(null);
            store.edit({ kind: 'remove bags', ids: [bag.id] });
          }}
        >
          Take {bag.name} off the bike
        </Button>
      </div>
    </div>
  );
}

const KINDS = ['cylinder', 'taper', 'polygon', 'box'] as const;
const KIND_WORDS = {
  polygon: 'flat, by its corners',
  taper: 'taper',
  cylinder: 'cylinder',
  box: 'box',
} as const;
const SIDE_WORDS: Record<string, string> = {
  lengthMm: 'Length inside',
  diameterMm: 'Diameter inside',
  widthMm: 'Width inside',
  heightMm: 'Height inside',
  noseWidthMm: 'Width at the nose',
  noseHeightMm: 'Height at the nose',
  mouthWidthMm: 'Width at the mouth',
  mouthHeightMm: 'Height at the mouth',
};

function CompartmentFields(props: {
  compartment: Compartment;
  single: boolean;
  onChange: (patch: Partial<Compartment>) => void;
  onRemove: () => void;
}) {
  const { compartment, single, onChange } = props;
  const { format } = usePlan();
  const { solid } = compartment;
  const byGeometry = solidVolumeMl(solid);
  return (
    <div className={styles.compartment}>
      <h3>{single ? 'Inside' : `Compartment: ${compartment.name}`}</h3>
      <div className={styles.fields}>
        {!single && (
          <TextField
            label="Name"
            value={compartment.name}
            maxLength={120}
            check={needsName}
            onCommit={(name) => onChange({ name })}
          />
        )}
        <Choice
          label="Form"
          value={solid.kind}
          options={KINDS}
          words={KIND_WORDS}
          onChoose={(kind) => kind !== solid.kind && onChange({ solid: DEFAULT_SOLIDS[kind] })}
        />
        {Object.entries(solid).map(([key, value]) =>
          typeof value === 'number' && key !== 'frontWidthMm' ? (
            <QuantityField
              key={key}
              label={SIDE_WORDS[key] ?? key}
              dimension="length"
              value={value}
              onCommit={(next) =>
                next !== null && next >= 1 && onChange({ solid: { ...solid, [key]: next } as Solid })
              }
            />
          ) : null,
        )}
        {solid.kind === 'polygon' && (
          <QuantityField
            label="Width at the front end"
            dimension="length"
            value={solid.frontWidthMm ?? null}
            optional
            hint="Empty when it is as wide all along"
            onCommit={(width) => onChange({ solid: { ...solid, frontWidthMm: width ?? undefined } })}
          />
        )}
        {solid.kind === 'polygon' && (
          <TextField
            className={styles.wide}
            label="Corners, mm forward and up from the first"
            description="First the corner by the seat tube's top, then round"
            value={writeCorners(solid.corners)}
            check={(text) => {
              const read = readCorners(text);
              return read.ok ? null : read.error;
            }}
            onCommit={(text) => {
              const read = readCorners(text);
              if (read.ok) onChange({ solid: { ...solid, corners: read.value } });
            }}
          />
        )}
        <QuantityField
          label="Litres printed on it"
          dimension="volume"
          value={compartment.statedMl}
          optional
          hint={`By its measures ${format.volume(byGeometry)}`}
          onCommit={(statedMl) => onChange({ statedMl })}
        />
        <QuantityField
          label="Limit of its own"
          use={BAG_LIMIT}
          dimension="mass"
          value={compartment.limitG}
          optional
          onCommit={(limitG) => onChange({ limitG })}
        />
        <Choice
          label="Reached"
          value={compartment.reach}
          options={REACHES}
          onChoose={(reach) => onChange({ reach })}
        />
        <Choice
          label="Rain"
          value={compartment.weather}
          options={WEATHERS}
          onChoose={(weather) => onChange({ weather })}
        />
        <Choice
          label="Things strapped outside"
          value={compartment.outside}
          options={OUTSIDES}
          words={{
            no: 'no, they lie inside',
            tethered: 'yes, tethered',
            'no tether': 'yes, without a tether',
          }}
          onChoose={(outside) => onChange({ outside })}
        />
      </div>
      {!single && (
        <div className={styles.actions}>
          <Button size="xs" variant="default" onClick={props.onRemove}>
            Remove {compartment.name}
          </Button>
        </div>
      )}
    </div>
  );
}
