'use client';

import { Checkbox, Textarea, TextInput } from '@mantine/core';
import Link from 'next/link';
import { memo, useState } from 'react';
import { contentsMassG, contentsText } from '@/core/kit/contents';
import { cellPatch, withVolume, type Cell, type Patch } from '@/core/kit/inventory/cells';
import type { Item } from '@/core/kit/inventory/filter';
import { CONDITION_WORDS, CONDITIONS, extentsMm, PACKINGS, SYSTEMS, type OwnedThing } from '@/core/kit/thing';
import type { Formatter } from '@/core/units/format';
import { Button } from '@mantine/core';
import { MeasureVolume } from '@/ui/kit/MeasureVolume';
import { SpecFields } from '@/ui/kit/SpecFields';
import { Choice } from '@/ui/shared/Choice';
import styles from './Inventory.module.css';

interface Props {
  item: Item;
  format: Formatter;
  onChange: (thing: OwnedThing, patch: Patch) => void;
}

/** All that the inventory keeps of one thing. Drawn anew only for another state of it. */
export const ThingPanel = memo(function ThingPanel({ item: { thing, trips }, format, onChange }: Props) {
  const contentsG = contentsMassG(thing.contents);
  const sides = extentsMm(thing.form);
  const cell = { thing, onChange };
  return (
    <section className={styles.panel} aria-label={thing.name}>
      <h2>{thing.name}</h2>
      <CellField cell="name" label="Name" value={thing.name} {...cell} />
      <div className={styles.pair}>
        <CellField cell="mass" label="Mass of one" value={format.mass(thing.massG)} {...cell} />
        <CellField
          cell="volume"
          label={thing.form.kind === 'soft' ? 'Fully compressed' : 'Volume of one'}
          value={format.volume(thing.volumeMl)}
          {...cell}
        />
      </div>
      <p className="quiet">
        {thing.massSource === 'estimate' ? 'Its mass is estimated' : `Its mass is from a ${thing.massSource}`}
        ; {thing.form.kind}
        {sides && `, ${sides.map((side) => format.length(side)).join(' × ')}`}.
      </p>
      <MeasureVolume
        key={thing.id}
        thing={thing}
        onTake={(volumeMl, volumeSource) => onChange(thing, withVolume(thing, volumeMl, volumeSource))}
      />
      <div className={styles.pair}>
        <Choice
          label="System"
          value={thing.system}
          options={SYSTEMS}
          onChoose={(system) => onChange(thing, { system })}
        />
        <Choice
          label="Condition"
          value={thing.condition}
          options={CONDITIONS}
          words={CONDITION_WORDS}
          onChoose={(condition) => onChange(thing, { condition })}
        />
      </div>
      <div className={styles.pair}>
        <TextInput
          type="date"
          label="Expires or is due on"
          value={thing.dueOn ?? ''}
          onChange={(event) => onChange(thing, { dueOn: event.currentTarget.value || null })}
        />
        {thing.form.kind === 'soft' && (
          <Choice
            label="Put in"
            value={thing.packing}
            options={PACKINGS}
            onChoose={(packing) => onChange(thing, { packing })}
          />
        )}
      </div>
      <CellField cell="note" label="Note" value={thing.note} {...cell} />
      <CellField
        cell="contents"
        label="What is in it"
        description="One to a line, or with semicolons between: 6 × Plaster 1 g"
        value={contentsText(thing.contents).replaceAll('; ', '\n')}
        {...cell}
      />
      {contentsG !== null && Math.abs(contentsG - thing.massG) > 0.5 && (
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => onChange(thing, { massG: contentsG, massSource: 'kitchen scale' })}
        >
          What is in it weighs {format.mass(contentsG)}: take that as its mass
        </Button>
      )}
      <SpecFields thing={thing} onChange={(patch) => onChange(thing, patch)} />
      <div className={styles.pair}>
        <Checkbox
          label="Still to get"
          checked={thing.toGet}
          onChange={(event) => onChange(thing, { toGet: event.currentTarget.checked })}
        />
        <CellField
          cell="price"
          label="Price"
          value={thing.price === null ? '' : String(thing.price)}
          {...cell}
        />
      </div>
      <p>
        {trips.length === 0 ? (
          <span className="quiet">On no trip.</span>
        ) : (
          <>
            On{' '}
            {trips.map(({ id, name }, i) => (
              <span key={id}>
                {i > 0 && ', '}
                <Link href={`/trips/${id}/kit`}>{name}</Link>
              </span>
            ))}
          </>
        )}
      </p>
    </section>
  );
});

interface CellFieldProps {
  thing: OwnedThing;
  cell: Cell;
  label: string;
  description?: string;
  value: string;
  onChange: (thing: OwnedThing, patch: Patch) => void;
}

/** A field that takes what its cell in the grid takes; what cannot be taken stays with the reason. */
function CellField({ thing, cell, label, description, value, onChange }: CellFieldProps) {
  /** What is typed belongs to one thing: the field itself goes on to the next, which is quicker than another field. */
  const [state, setState] = useState<{ id: string; typed: string; problem: string | null } | null>(null);
  const own = state?.id === thing.id ? state : null;
  const type = (typed: string) => setState({ id: thing.id, typed, problem: null });
  const commit = () => {
    if (!own) return;
    if (own.typed === value) return setState(null);
    const patch = cellPatch(thing, cell, own.typed);
    if (!patch.ok) return setState({ ...own, problem: patch.error });
    onChange(thing, patch.value);
    setState(null);
  };
  const shared = {
    label,
    description,
    value: own?.typed ?? value,
    error: own?.problem,
    autoComplete: 'off',
    onBlur: commit,
  };
  return cell === 'contents' ? (
    <Textarea {...shared} rows={4} onChange={(event) => type(event.currentTarget.value)} />
  ) : (
    <TextInput
      {...shared}
      onChange={(event) => type(event.currentTarget.value)}
      onKeyDown={(event) => event.key === 'Enter' && commit()}
    />
  );
}
