'use client';

import { Button, Checkbox, NativeSelect } from '@mantine/core';
import { useRef, type ReactNode } from 'react';
import {
  CALLS,
  VIEWS,
  DRYNESS,
  FORM_KINDS,
  formVolumeMl,
  guessForm,
  NEEDS,
  PACKINGS,
  PROVISIONS,
  SYSTEMS,
  TRAITS,
  TRAIT_WORDS,
  type Decisions,
  type Form,
  type OwnedThing,
  type Thing,
} from '@/core/kit/thing';
import { MASS_SOURCES, VOLUME_SOURCES } from '@/core/units/uncertainty';
import { cutTo } from '@/core/units/text';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { CountField } from '@/ui/shared/CountField';
import { tapeUse, THING_MASS, THING_VOLUME } from '@/ui/shared/fieldUses';
import { QuantityField } from '@/ui/shared/QuantityField';
import { needsName, TextField } from '@/ui/shared/TextField';
import { useScrollTo } from '@/ui/shared/useScrollTo';
import { useSelection } from '@/ui/shared/SelectionProvider';
import { withVolume } from '@/core/kit/inventory/cells';
import { MeasureVolume } from './MeasureVolume';
import { SpecFields } from './SpecFields';
import styles from './ThingEditor.module.css';

/** All that is known of one thing; each field is taken, and can be undone, by itself. */
export function ThingEditor({ thing }: { thing: Thing }) {
  const { store, format } = usePlan();
  const { chooseThing } = useSelection();
  /** What the thing is, on every trip; and what this trip decides. Neither form can write what the other does. */
  const set = (patch: Partial<OwnedThing>) =>
    store.edit({ kind: 'change things', changes: [{ id: thing.id, patch }] });
  const decide = (patch: Partial<Decisions>) =>
    store.edit({ kind: 'decide things', changes: [{ id: thing.id, patch }] });
  const setForm = (form: Form) => set({ form, volumeMl: Math.round(formVolumeMl(form) ?? thing.volumeMl) });
  const { form } = thing;
  const element = useRef<HTMLDivElement>(null);
  useScrollTo(element, true);

  return (
    <div ref={element} className={styles.editor}>
      <TextField
        label="Name"
        value={thing.name}
        maxLength={120}
        check={needsName}
        onCommit={(name) => set({ name })}
      />
      <CountField
        label="Pieces"
        value={thing.quantity}
        least={1}
        most={200}
        what="pieces"
        onCommit={(quantity) => decide({ quantity })}
      />
      <QuantityField
        label="Mass of one"
        use={THING_MASS}
        dimension="mass"
        value={thing.massG}
        onCommit={(value) =>
          value !== null &&
          set({
            massG: value,
            massSource: thing.massSource === 'estimate' ? 'kitchen scale' : thing.massSource,
          })
        }
      />
      <QuantityField
        label={form.kind === 'soft' ? 'Volume fully compressed' : 'Volume of one'}
        use={THING_VOLUME}
        dimension="volume"
        value={thing.volumeMl}
        onCommit={(value) => value !== null && set({ volumeMl: value })}
      />
      <Choice label="Needed when" value={thing.call} options={CALLS} onChoose={(call) => decide({ call })} />
      <Group title="On this trip: how much needed, carried, inside what">
        <Choice
          label="Needed"
          value={thing.need}
          options={NEEDS}
          words={{ must: 'must come', should: 'should come', nice: 'nice to have' }}
          onChoose={(need) => decide({ need })}
        />
        <Choice
          label="Carried"
          value={thing.carry}
          options={['bike', 'worn'] as const}
          words={{ bike: 'in a bag', worn: 'worn' }}
          onChoose={(carry) => decide({ carry })}
        />
        <QuantityField
          label="Water in it at the start"
          use={{ bare: ['l', 'ml'], usual: [0, 12_000] }}
          dimension="volume"
          value={thing.waterMl}
          hint="Weighs 1 g a millilitre"
          onCommit={(value) => value !== null && decide({ waterMl: value })}
        />
        <InsideField thing={thing} decide={decide} />
        <Checkbox
          className={styles.check}
          label="In a dry sack"
          checked={thing.inDrySack}
          onChange={(event) => decide({ inDrySack: event.currentTarget.checked })}
        />
      </Group>
      <Group title="What it is for, and its ratings">
        <SpecFields thing={thing} onChange={set} />
      </Group>
      <Group title="Form and measures, on every trip">
        <MeasureVolume
          thing={thing}
          onTake={(volumeMl, volumeSource) => set(withVolume(thing, volumeMl, volumeSource))}
        />
        <Choice
          label="Mass is from"
          value={thing.massSource}
          options={MASS_SOURCES}
          onChoose={(massSource) => set({ massSource })}
        />
        <Choice
          label="Volume is from"
          value={thing.volumeSource}
          options={VOLUME_SOURCES}
          onChoose={(volumeSource) => set({ volumeSource })}
        />
        <Choice
          label="Form"
          value={form.kind}
          options={FORM_KINDS}
          onChoose={(kind) => kind !== form.kind && set({ form: guessForm(kind, thing.volumeMl) })}
        />
        {form.kind === 'soft' ? (
          <QuantityField
            label="Volume loose"
            use={THING_VOLUME}
            dimension="volume"
            value={form.looseMl}
            onCommit={(value) => value !== null && set({ form: { kind: 'soft', looseMl: value } })}
          />
        ) : (
          <>
            <QuantityField
              label="Length"
              use={tapeUse(20, 700)}
              dimension="length"
              value={form.lengthMm}
              onCommit={(value) => value !== null && setForm({ ...form, lengthMm: value })}
            />
            {'diameterMm' in form ? (
              <QuantityField
                label="Diameter"
                use={tapeUse(8, 300)}
                dimension="length"
                value={form.diameterMm}
                onCommit={(value) => value !== null && setForm({ ...form, diameterMm: value })}
              />
            ) : (
              <>
                <QuantityField
                  label="Width"
                  use={tapeUse(8, 400)}
                  dimension="length"
                  value={form.widthMm}
                  onCommit={(value) => value !== null && setForm({ ...form, widthMm: value })}
                />
                <QuantityField
                  label="Height"
                  use={tapeUse(3, 400)}
                  dimension="length"
                  value={form.heightMm}
                  onCommit={(value) => value !== null && setForm({ ...form, heightMm: value })}
                />
              </>
            )}
          </>
        )}
        {form.kind === 'soft' ? (
          <Choice
            label="Put in"
            value={thing.packing}
            options={PACKINGS}
            onChoose={(packing) => set({ packing })}
          />
        ) : (
          <Choice
            label="Lies"
            value={thing.stiffener ? 'stiffener' : 'anywhere'}
            options={['anywhere', 'stiffener'] as const}
            words={{ anywhere: 'where there is room', stiffener: 'along the lower side, to stiffen the bag' }}
            onChoose={(lies) => set({ stiffener: lies === 'stiffener' })}
          />
        )}
      </Group>
      <Group title="Care and neighbours, on every trip">
        <Choice
          label="System"
          value={thing.system}
          options={SYSTEMS}
          onChoose={(system) => set({ system })}
        />
        <Choice
          label="Needs a clear view"
          value={thing.view}
          options={VIEWS}
          words={{ none: 'no', ahead: 'ahead', behind: 'behind', sky: 'of the sky' }}
          onChoose={(view) => set({ view })}
        />
        <Choice
          label="Must stay dry"
          value={thing.dry}
          options={DRYNESS}
          words={{ must: 'must stay dry', rather: 'rather dry', 'does not care': 'does not care' }}
          onChoose={(dry) => set({ dry })}
        />
        <HollowFields thing={thing} set={set} />
        <fieldset className={styles.checks}>
          <legend>It gives</legend>
          <Ticks options={PROVISIONS} chosen={thing.provides} onChoose={(provides) => set({ provides })} />
        </fieldset>
        <fieldset className={styles.checks}>
          <legend>Needs care when packed</legend>
          <Ticks
            options={TRAITS}
            chosen={thing.traits}
            words={TRAIT_WORDS}
            onChoose={(traits) => set({ traits })}
          />
        </fieldset>
      </Group>
      <div className={styles.actions}>
        {thing.quantity > 1 && (
          <Button
            size="xs"
            variant="default"
            onClick={() => {
              const half = Math.floor(thing.quantity / 2);
              const other: Thing = {
                ...thing,
                id: crypto.randomUUID(),
                name: cutTo(`${thing.name} (rest)`, 120),
                quantity: half,
              };
              store.edit({
                kind: 'put things',
                things: [{ ...thing, quantity: thing.quantity - half }, other],
              });
            }}
          >
            Split in two
          </Button>
        )}
        <Button
          size="xs"
          variant="default"
          color="brick"
          onClick={() => {
            chooseThing(null);
            store.edit({ kind: 'remove things', ids: [thing.id] });
          }}
        >
          Remove {thing.name}
        </Button>
        <span className="quiet">
          {form.kind !== 'soft' && `Its measures make ${format.volume(formVolumeMl(form) ?? 0)}.`}
        </span>
      </div>
    </div>
  );
}

/** Fields that few things need, opened when they are wanted. */
function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <details className={styles.group}>
      <summary>{title}</summary>
      <div className={styles.fields}>{children}</div>
    </details>
  );
}

/** A box to tick for each of several words, of which any may be chosen. */
function Ticks<Value extends string>({
  options,
  chosen,
  words,
  onChoose,
}: {
  options: readonly Value[];
  chosen: readonly Value[];
  words?: Record<Value, string>;
  onChoose: (chosen: Value[]) => void;
}) {
  return options.map((option) => (
    <Checkbox
      key={option}
      label={words?.[option] ?? option}
      checked={chosen.includes(option)}
      onChange={(event) =>
        onChoose(
          event.currentTarget.checked
            ? [...chosen, option]
            : chosen.filter((candidate) => candidate !== option),
        )
      }
    />
  ));
}

/** Another thing that this one is packed inside on this trip. */
function InsideField({ thing, decide }: { thing: Thing; decide: (patch: Partial<Decisions>) => void }) {
  const { draft } = usePlan();
  const holders = draft.plan.things.filter(
    (other) => other.hollow && other.id !== thing.id && other.inside !== thing.id,
  );
  return (
    <NativeSelect
      label="Packed inside"
      value={holders.some(({ id }) => id === thing.inside) ? (thing.inside ?? '') : ''}
      onChange={(event) => decide({ inside: event.currentTarget.value || null })}
    >
      <option value="">nothing</option>
      {holders.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </NativeSelect>
  );
}

/** What this thing's own inside is like, where it holds others. */
function HollowFields({ thing, set }: { thing: Thing; set: (patch: Partial<OwnedThing>) => void }) {
  const { hollow } = thing;
  const measure = (label: string, value: number, patch: (mm: number) => Thing['hollow']) => (
    <QuantityField
      label={label}
      dimension="length"
      value={value}
      onCommit={(mm) => mm !== null && set({ hollow: patch(mm) })}
    />
  );
  return (
    <>
      <Choice
        label="Holds other things"
        value={hollow?.kind ?? 'no'}
        options={['no', 'cylinder', 'box'] as const}
        words={{ no: 'no', cylinder: 'a round inside', box: 'a square inside' }}
        onChoose={(kind) => set({ hollow: hollowOf(thing, kind) })}
      />
      {hollow && measure('Inside length', hollow.lengthMm, (lengthMm) => ({ ...hollow, lengthMm }))}
      {hollow?.kind === 'cylinder' &&
        measure('Inside diameter', hollow.diameterMm, (diameterMm) => ({ ...hollow, diameterMm }))}
      {hollow?.kind === 'box' && (
        <>
          {measure('Inside width', hollow.widthMm, (widthMm) => ({ ...hollow, widthMm }))}
          {measure('Inside height', hollow.heightMm, (heightMm) => ({ ...hollow, heightMm }))}
        </>
      )}
    </>
  );
}

/** A wall of three millimetres to begin with. */
const WALL_MM = 3;

function hollowOf({ form }: Thing, kind: 'no' | 'cylinder' | 'box'): Thing['hollow'] {
  if (kind === 'no') return null;
  const [length, width, height] =
    form.kind === 'soft'
      ? [200, 150, 100]
      : 'diameterMm' in form
        ? [form.lengthMm, form.diameterMm, form.diameterMm]
        : [form.lengthMm, form.widthMm, form.heightMm];
  const inner = (mm: number) => Math.max(1, mm - 2 * WALL_MM);
  return kind === 'cylinder'
    ? { kind, lengthMm: inner(length), diameterMm: inner(Math.min(width, height)) }
    : { kind, lengthMm: inner(length), widthMm: inner(width), heightMm: inner(height) };
}
