'use client';

import { Button, TextInput, type TextInputProps } from '@mantine/core';
import { useState } from 'react';
import { z } from 'zod';
import { angleDeg, lengthMm, massG, pressureKpa, temperatureC, volumeMl } from '@/core/units/measures';
import { BARE_UNIT, type Dimension, type UnitSystem } from '@/core/units/parse';
import { readField, type FieldUse } from '@/core/units/reading';
import {
  formatAngle,
  formatLength,
  formatMass,
  formatPressure,
  formatTemperature,
  formatVolume,
} from '@/core/units/format';
import { useUnits } from '@/ui/plan/units';
import styles from './QuantityField.module.css';

interface Props extends Omit<TextInputProps, 'value' | 'onChange' | 'onBlur'> {
  dimension: Dimension;
  /** In the core's unit; null where nothing is known. */
  value: number | null;
  /** Called with the value understood, when it differs; null when emptied and `optional`. */
  onCommit: (value: number | null) => void;
  /** May be left empty. */
  optional?: boolean;
  /** What the plan takes here; by default what it takes of this dimension anywhere. */
  schema?: z.ZodType<number>;
  /** What a bare number means here in metric units, and what is usual. */
  use?: Pick<FieldUse, 'bare' | 'usual'>;
  /** Shown under the field when nothing else is. */
  hint?: string;
  /** What is wrong with the figure as it stands, among the others; shown until something is typed. */
  doubt?: string;
}

const SCHEMAS: Record<Dimension, z.ZodType<number>> = {
  mass: massG,
  volume: volumeMl,
  length: lengthMm,
  pressure: pressureKpa,
  angle: angleDeg,
  temperature: temperatureC,
};
const WRITE = {
  mass: formatMass,
  volume: formatVolume,
  length: formatLength,
  pressure: formatPressure,
  angle: formatAngle,
  temperature: formatTemperature,
};

/** What a field takes where nothing narrower is said: the unit of the rider's system, and all that the plan takes. */
function usualUse(dimension: Dimension, units: UnitSystem, schema: z.ZodType<number>): FieldUse {
  const [least, most] =
    schema instanceof z.ZodNumber
      ? [schema.minValue ?? -Infinity, schema.maxValue ?? Infinity]
      : [-Infinity, Infinity];
  return { bare: [BARE_UNIT[dimension][units]], usual: [least, most], bounds: [least, most] };
}

/**
 * A figure written in any unit. Says under the field what it understood while it is typed, and takes it when
 * the field is left or Enter is pressed; a figure that is unusual only once the rider says so. What is half typed, or not
 * taken, stays with its message whatever happens to the plan around it.
 */
export function QuantityField({
  dimension,
  value,
  onCommit,
  optional = false,
  schema,
  use,
  hint,
  doubt,
  className,
  ...input
}: Props) {
  const units = useUnits();
  const [text, setText] = useState<string | null>(null);
  const write = WRITE[dimension];
  const own = schema ?? SCHEMAS[dimension];
  const anything = usualUse(dimension, units, own);
  const field: FieldUse = { ...anything, ...(units === 'metric' ? use : use && { usual: use.usual }) };
  const shown = text ?? (value === null ? '' : write(value, units));
  const empty = text !== null && text.trim() === '';
  const read = text === null || (empty && optional) ? null : readField(text, dimension, field);
  const understood = read?.ok ? read.value : null;
  const taken = understood && own.safeParse(understood.value);
  const problem =
    read && !read.ok ? read.error : taken && !taken.success ? taken.error.issues[0]!.message : null;
  const asked = understood && !problem && understood.isUnusual ? understood : null;

  const take = (next: number) => {
    if (value === null || Math.abs(next - value) > 1e-9) onCommit(next);
    setText(null);
  };
  const commit = () => {
    if (text === null) return;
    if (empty && optional) {
      if (value !== null) onCommit(null);
      setText(null);
    } else if (understood && !problem && !asked) take(understood.value);
  };
  const others = understood?.others ?? [];

  return (
    <div className={className}>
      <TextInput
        {...input}
        value={shown}
        onChange={(event) => setText(event.currentTarget.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') setText(null);
        }}
        error={
          problem ?? (asked ? `${write(asked.value, units)} is unusual here.` : text === null ? doubt : null)
        }
        description={understood && !asked ? `Understood: ${write(understood.value, units)}` : hint}
        inputWrapperOrder={['label', 'input', 'error', 'description']}
        autoComplete="off"
      />
      {(others.length > 0 || asked) && (
        <div className={styles.readings}>
          {others.length > 0 && <span>Did you mean</span>}
          {others.map((other) => (
            <Button
              key={other.text}
              size="compact-xs"
              variant="default"
              // The field must not be left, and its own reading taken, before the press counts.
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => take(other.value)}
            >
              {other.text}
            </Button>
          ))}
          {asked && (
            <Button
              size="compact-xs"
              variant="default"
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => take(asked.value)}
            >
              Keep {write(asked.value, units)}
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
