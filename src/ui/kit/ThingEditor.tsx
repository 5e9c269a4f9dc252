'use client';

import { Button, Checkbox, NumberInput } from '@mantine/core';
import {
  CALLS,
  VIEWS,
  DRYNESS,
  FORM_KINDS,
  formVolumeMl,
  guessForm,
  NEEDS,
  PROVISIONS,
  SYSTEMS,
  type Form,
  type Thing,
} from '@/core/kit/thing';
import { MASS_SOURCES, VOLUME_SOURCES } from '@/core/units/uncertainty';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { QuantityField } from '@/ui/shared/QuantityField';
import { needsName, TextField } from '@/ui/shared/TextField';
import { useSelection } from '@/ui/shell/SelectionProvider';
import styles from './ThingEditor.module.css';

/** All that is known of one thing; each field is taken, and can be undone, by itself. */
export function ThingEditor({ thing }: { thing: Thing }) {
  const { store, format } = usePlan();
  const { chooseThing } = useSelection();
  const set = (patch: Partial<Thing>) => store.edit({ kind: 'put things', things: [{ ...thing, ...patch }] });
  const setForm = (form: Form) => set({ form, volumeMl: Math.round(formVolumeMl(form) ?? thing.volumeMl) });
  const { form } = thing;

  return (
    <div className={styles.editor}>
      <TextField
        label="Name"
        value={thing.name}
        maxLength={120}
        check={needsName}
        onCommit={(name) => set({ name })}
      />
      <Choice label="System" value={thing.system} options={SYSTEMS} onChoose={(system) => set({ system })} />
      <NumberInput
        label="Pieces"
        min={1}
        max={200}
        allowDecimal={false}
        clampBehavior="strict"
        value={thing.quantity}
        onChange={(value) => typeof value === 'number' && value >= 1 && set({ quantity: value })}
      />
      <QuantityField
        label="Mass of one"
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
      <Choice
        label="Mass known by"
        value={thing.massSource}
        options={MASS_SOURCES}
        onChoose={(massSource) => set({ massSource })}
      />
      <QuantityField
        label={form.kind === 'soft' ? 'Volume pressed hard' : 'Volume of one'}
        dimension="volume"
        value={thing.volumeMl}
        onCommit={(value) => value !== null && set({ volumeMl: value })}
      />
      <Choice
        label="Volume known by"
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
          dimension="volume"
          value={form.looseMl}
          onCommit={(value) => value !== null && set({ form: { kind: 'soft', looseMl: value } })}
        />
      ) : (
        <>
          <QuantityField
            label="Length"
            dimension="length"
            value={form.lengthMm}
            onCommit={(value) => value !== null && setForm({ ...form, lengthMm: value })}
          />
          {'diameterMm' in form ? (
            <QuantityField
              label="Diameter"
              dimension="length"
              value={form.diameterMm}
              onCommit={(value) => value !== null && setForm({ ...form, diameterMm: value })}
            />
          ) : (
            <>
              <QuantityField
                label="Width"
                dimension="length"
                value={form.widthMm}
                onCommit={(value) => value !== null && setForm({ ...form, widthMm: value })}
              />
              <QuantityField
                label="Height"
                dimension="length"
                value={form.heightMm}
                onCommit={(value) => value !== null && setForm({ ...form, heightMm: value })}
              />
            </>
          )}
        </>
      )}
      <QuantityField
        label="Water in it at the start"
        dimension="volume"
        value={thing.waterMl}
        hint="Weighs 1 g a millilitre"
        onCommit={(value) => value !== null && set({ waterMl: value })}
      />
      <Choice label="Wanted" value={thing.call} options={CALLS} onChoose={(call) => set({ call })} />
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
      <Choice
        label="Needed on this trip"
        value={thing.need}
        options={NEEDS}
        words={{ must: 'must come', should: 'should come', nice: 'nice to have' }}
        onChoose={(need) => set({ need })}
      />
      <Choice
        label="Carried"
        value={thing.carry}
        options={['bike', 'worn'] as const}
        words={{ bike: 'in a bag', worn: 'worn' }}
        onChoose={(carry) => set({ carry })}
      />
      <fieldset className={styles.checks}>
        <legend>It is or gives</legend>
        <Checkbox
          label="in a dry sack"
          checked={thing.inDrySack}
          onChange={(event) => set({ inDrySack: event.currentTarget.checked })}
        />
        {PROVISIONS.map((provides) => (
          <Checkbox
            key={provides}
            label={provides}
            checked={thing.provides.includes(provides)}
            onChange={(event) =>
              set({
                provides: event.currentTarget.checked
                  ? [...thing.provides, provides]
                  : thing.provides.filter((candidate) => candidate !== provides),
              })
            }
          />
        ))}
      </fieldset>
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
                name: `${thing.name} (rest)`.slice(0, 120),
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
