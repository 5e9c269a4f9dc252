'use client';

import { TextInput, type TextInputProps } from '@mantine/core';
import { useState } from 'react';
import { z } from 'zod';
import { angleDeg, lengthMm, massG, pressureKpa, temperatureC, volumeMl } from '@/core/units/measures';
import { BARE_UNIT, parseQuantity, type Dimension } from '@/core/units/parse';
import {
  formatAngle,
  formatLength,
  formatMass,
  formatPressure,
  formatTemperature,
  formatVolume,
} from '@/core/units/format';
import { unitSlip } from '@/core/units/slip';
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

/** Why a figure is not taken; for a length, with the unit that may have been meant. */
function refused(dimension: Dimension, value: number, schema: z.ZodType<number>, message: string): string {
  if (dimension !== 'length' || !(schema instanceof z.ZodNumber)) return message;
  const slip = unitSlip(value, schema.minValue ?? 0, schema.maxValue ?? Infinity);
  return slip ? `${message} ${slip}` : message;
}

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
  doubt,
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
    parsed && !parsed.ok
      ? parsed.error
      : parsed?.ok && taken && !taken.success
        ? refused(dimension, parsed.value, schema ?? SCHEMAS[dimension], taken.error.issues[0]!.message)
        : null;
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
      error={problem ?? (text === null ? doubt : null)}
      description={understood ?? hint}
      inputWrapperOrder={['label', 'input', 'error', 'description']}
      autoComplete="off"
    />
  );
}
