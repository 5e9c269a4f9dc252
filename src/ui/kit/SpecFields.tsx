'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { specOf } from '@/core/kit/specs';
import { specsSchema, type OwnedThing, type Specs } from '@/core/kit/thing';
import { purposesOf } from '@/core/needs/purposes';
import { plainText } from '@/core/units/text';
import { readNumber } from '@/core/units/parse';

/** Figures that make sense for a thing of some purpose. */
const FIELDS: readonly (readonly [spec: keyof Specs, label: string, purposes: readonly string[]])[] = [
  ['comfortC', 'Comfort rating, °C', ['sleep warm']],
  ['limitC', 'Limit rating, °C', ['sleep warm']],
  ['boughtIn', 'Bought in, year', ['sleep warm']],
  ['rValue', 'R-value', ['insulate from the ground']],
  ['warmerC', 'Makes the bag warmer by, °C', ['sleep warmer']],
  ['holdsMl', 'Holds, ml', ['hold water']],
  ['fuelG', 'Gas in it, g', ['fuel']],
  ['tareG', 'Empty it weighs, g', ['fuel']],
  ['batteryMah', 'Capacity, mAh', ['charge']],
  ['panelW', 'Rated power, W', ['charge']],
];

/** Of a food, as its label has them. */
const FOOD_FIELDS: readonly (readonly [spec: keyof Specs, label: string])[] = [
  ['portions', 'Portions in one piece'],
  ['kJPer100G', 'Energy, kJ per 100 g'],
  ['carbPer100G', 'Carbohydrate, g per 100 g'],
  ['proteinPer100G', 'Protein, g per 100 g'],
  ['boilMl', 'Water to boil for a portion, ml'],
  ['keepsDays', 'Keeps at 20 °C, days'],
];

interface Props {
  thing: OwnedThing;
  onChange: (patch: Partial<Omit<OwnedThing, 'id'>>) => void;
}

/** What a thing is for, and the figures that judge whether it is enough. */
export function SpecFields({ thing, onChange }: Props) {
  const purposes = purposesOf(thing);
  const isClothing = thing.system === 'clothes';
  const shown = [
    ...FIELDS.filter(([, , of]) => of.some((purpose) => purposes.includes(purpose))),
    ...(isClothing ? [['clo', 'Insulation, clo', []] as const] : []),
    ...(thing.system === 'food' ? FOOD_FIELDS : []),
    ...(thing.system === 'electronics' ? [['drawWhPerDay', 'Uses in a day, Wh', []] as const] : []),
  ];
  return (
    <>
      <Field
        key={`${thing.id} for`}
        label="What it is for"
        description="With commas between: boil water, make fire"
        value={purposes.join(', ')}
        onCommit={(text) => {
          const next = plainText(text)
            .split(',')
            .map((each) => each.trim().toLowerCase())
            .filter((each) => each.length >= 2 && each.length <= 60);
          onChange({ purposes: text.trim() === '' ? null : [...new Set(next)].slice(0, 20) });
          return null;
        }}
      />
      {shown.map(([spec, label]) => {
        const known = specOf(thing, spec);
        return (
          <Field
            key={`${thing.id} ${spec}`}
            label={label}
            description={
              thing.specs[spec] === undefined && known !== null ? 'As usual for its kind' : undefined
            }
            value={known === null ? '' : String(known)}
            onCommit={(text) => {
              const { [spec]: _old, ...others } = thing.specs;
              if (text.trim() === '') {
                onChange({ specs: others });
                return null;
              }
              const number = readNumber(text.trim());
              if (number === null) return 'Write a number.';
              const fits = specsSchema.shape[spec].safeParse(number);
              if (!fits.success) return fits.error.issues[0]!.message;
              onChange({ specs: { ...others, [spec]: number } });
              return null;
            }}
          />
        );
      })}
    </>
  );
}

interface FieldProps {
  label: string;
  description?: string | undefined;
  value: string;
  /** Gives a sentence where it cannot be taken. */
  onCommit: (text: string) => string | null;
}

function Field({ label, description, value, onCommit }: FieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const commit = () => {
    if (typed === null || typed === value) return setTyped(null);
    const failed = onCommit(typed);
    setProblem(failed);
    if (failed === null) setTyped(null);
  };
  return (
    <TextInput
      label={label}
      description={description}
      value={typed ?? value}
      error={problem}
      autoComplete="off"
      onChange={(event) => setTyped(event.currentTarget.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && commit()}
    />
  );
}
