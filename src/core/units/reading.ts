import { ok, type Result } from '@/core/result';
import { parseQuantity, readNumber, unitSize, type Dimension } from './parse';

/** What one field is about: decides what a bare number means, and what is asked about. */
export interface FieldUse {
  /** Units that a bare number may be in, the likeliest first. */
  bare: readonly string[];
  /** From and to, in the core's unit: beyond it a figure is asked about. */
  usual: readonly [number, number];
  /** From and to: beyond it a figure is refused. */
  bounds: readonly [number, number];
}

/** A number in one unit. */
export interface Reading {
  value: number;
  /** "44 cm". */
  text: string;
}

export interface Understood {
  value: number;
  /** Other units that the number may be meant in; to be offered. */
  others: Reading[];
  /** Beyond what is usual: to be taken only once it has been asked about. */
  isUnusual: boolean;
}

/** Units that numbers are mistaken to be in. */
const MISTAKEN: Readonly<Record<Dimension, readonly string[]>> = {
  mass: ['g', 'kg', 'oz', 'lb'],
  volume: ['ml', 'l'],
  length: ['mm', 'cm', 'in', 'm'],
  pressure: ['bar', 'psi', 'kPa'],
  angle: [],
  temperature: [],
};

const within = (value: number, [from, to]: readonly [number, number]): boolean =>
  value >= from && value <= to;

/**
 * Reads what is typed in a field. A bare number takes the first of the field's units in which it is usual; where it is usual in
 * several, the others are offered. A figure beyond what is usual is asked about, with the units in which it would not be.
 *
 * @example readField('50', 'length', { bare: ['mm', 'cm'], usual: [350, 700], bounds: [150, 750] }) // 500, no others
 * @example readField('12', 'mass', bike) // 12 kg where kilograms are the field's unit; '12 g' is unusual, and 12 kg is offered
 */
export function readField(text: string, dimension: Dimension, use: FieldUse): Result<Understood> {
  const number = readNumber(text);
  const inUnit = (unit: string): Reading | null => {
    const size = dimension === 'temperature' ? null : unitSize(dimension, unit);
    if (number === null || size === null) return null;
    return { value: number * size, text: `${Number(number.toFixed(3))} ${unit}` };
  };
  const isUsual = ({ value }: Reading) => within(value, use.usual);
  if (number !== null && dimension !== 'temperature') {
    const all = use.bare.flatMap((unit) => inUnit(unit) ?? []);
    const [first, ...rest] = all.filter(isUsual);
    if (first) return ok({ value: first.value, others: rest, isUnusual: false });
  }
  const parsed = parseQuantity(text, dimension, use.bare[0]);
  if (!parsed.ok) return parsed;
  const typed = /^\s*([-+−]?[\d.,\s]+)\s*[a-z"″'′]*\s*$/i.exec(text);
  const bareNumber = typed ? readNumber(typed[1]!) : null;
  const others =
    within(parsed.value, use.usual) || bareNumber === null
      ? []
      : MISTAKEN[dimension].flatMap((unit): Reading[] => {
          const size = dimension === 'temperature' ? null : unitSize(dimension, unit);
          if (size === null || Math.abs(bareNumber * size - parsed.value) < 1e-9) return [];
          const reading = { value: bareNumber * size, text: `${Number(bareNumber.toFixed(3))} ${unit}` };
          return isUsual(reading) ? [reading] : [];
        });
  return ok({ value: parsed.value, others, isUnusual: !within(parsed.value, use.usual) });
}
