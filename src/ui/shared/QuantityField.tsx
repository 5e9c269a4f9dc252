'use client';

import { TextInput, type TextInputProps } from '@mantine/core';
import { useState } from 'react';
import type { z } from 'zod';
import { lengthMm, massG, temperatureC, volumeMl } from '@/core/plan/fields';
import { BARE_UNIT, parseQuantity, type Dimension } from '@/core/units/parse';
import { formatLength, formatMass, formatTemperature, formatVolume } from '@/core/units/format';
import { usePlanContext } from '@/ui/plan/PlanProvider';

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
  /** Shown under the field when nothing else is. */
  hint?: string;
}

const SCHEMAS: Record<Dimension, z.ZodType<number>> = {
  mass: massG,
  volume: volumeMl,
  length: lengthMm,
  temperature: temperatureC,
};
const WRITE = {
  mass: formatMass,
  volume: formatVolume,
  length: formatLength,
  temperature: formatTemperature,
};

/**
 * A figure written in any unit. Says under the field what it understood while it is typed, and takes it when
 * the field is left or Enter is pressed. What is half typed stays whatever happens to the plan around it.
 */
export function QuantityField({
  dimension,
  value,
  onCommit,
  optional = false,
  schema,
  hint,
  ...input
}: Props) {
  const { units } = usePlanContext();
  const [text, setText] = useState<string | null>(null);
  const write = WRITE[dimension];
  const shown = text ?? (value === null ? '' : write(value, units));
  const empty = text !== null && text.trim() === '';
  const parsed =
    text === null || (empty && optional) ? null : parseQuantity(text, dimension, BARE_UNIT[dimension][units]);
  const taken = parsed?.ok ? (schema ?? SCHEMAS[dimension]).safeParse(parsed.value) : null;
  const problem =
    parsed && !parsed.ok ? parsed.error : taken && !taken.success ? taken.error.issues[0]?.message : null;
  const understood = parsed?.ok ? `Understood: ${write(parsed.value, units)}` : null;

  const commit = () => {
    if (text === null) return;
    if (empty && optional) {
      if (value !== null) onCommit(null);
      setText(null);
    } else if (parsed?.ok && !problem) {
      if (value === null || Math.abs(parsed.value - value) > 1e-9) onCommit(parsed.value);
      setText(null);
    }
  };

  return (
    <TextInput
      {...input}
      value={shown}
      onChange={(event) => setText(event.currentTarget.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setText(null);
      }}
      error={problem}
      description={understood ?? hint}
      inputWrapperOrder={['label', 'input', 'error', 'description']}
      autoComplete="off"
    />
  );
}
