import { fail, ok, type Result } from '@/core/result';

/** What a field measures. Inside the core: grams, millilitres, millimetres, kilopascals, degrees Celsius, degrees. */
export type Dimension = 'mass' | 'volume' | 'length' | 'pressure' | 'angle' | 'temperature';

/** The unit a bare number is read in, by the rider's display choice. */
export type UnitSystem = 'metric' | 'imperial';

interface Unit {
  readonly names: readonly string[];
  /** Size in the core's unit of the dimension. Temperatures are affine and handled apart. */
  readonly size: number;
}

// Exact by definition: international pound 453.59237 g, inch 25.4 mm, US gallon 231 in³.
const UNITS: Record<Exclude<Dimension, 'temperature'>, readonly Unit[]> = {
  mass: [
    { names: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'], size: 1000 },
    { names: ['g', 'gr', 'gram', 'grams', 'gramme', 'grammes'], size: 1 },
    { names: ['mg', 'milligram', 'milligrams'], size: 0.001 },
    { names: ['lb', 'lbs', 'pound', 'pounds'], size: 453.59237 },
    { names: ['oz', 'ounce', 'ounces'], size: 28.349523125 },
  ],
  volume: [
    { names: ['l', 'lt', 'ltr', 'litre', 'litres', 'liter', 'liters'], size: 1000 },
    { names: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc', 'cm3', 'cm³'], size: 1 },
    { names: ['cl', 'centilitre', 'centilitres'], size: 10 },
    { names: ['dl', 'decilitre', 'decilitres'], size: 100 },
    { names: ['in3', 'in³', 'cuin'], size: 16.387064 },
    { names: ['floz'], size: 29.5735295625 },
    { names: ['pt', 'pint', 'pints'], size: 473.176473 },
    { names: ['qt', 'quart', 'quarts'], size: 946.352946 },
    { names: ['gal', 'gallon', 'gallons'], size: 3785.411784 },
  ],
  length: [
    { names: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'], size: 1 },
    { names: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'], size: 10 },
    { names: ['m', 'metre', 'metres', 'meter', 'meters'], size: 1000 },
    { names: ['in', 'inch', 'inches', '"', '″'], size: 25.4 },
    { names: ['ft', 'foot', 'feet', "'", '′'], size: 304.8 },
  ],
  pressure: [
    { names: ['kpa', 'kilopascal', 'kilopascals'], size: 1 },
    { names: ['bar', 'bars'], size: 100 },
    { names: ['psi', 'lbf/in2'], size: 6.894757 },
  ],
  angle: [{ names: ['°', 'º', 'deg', 'degree', 'degrees'], size: 1 }],
};

/** The unit a number without one is taken in. */
export const BARE_UNIT: Record<Dimension, Record<UnitSystem, string>> = {
  mass: { metric: 'g', imperial: 'oz' },
  volume: { metric: 'l', imperial: 'l' },
  length: { metric: 'mm', imperial: 'in' },
  pressure: { metric: 'bar', imperial: 'psi' },
  angle: { metric: '°', imperial: '°' },
  temperature: { metric: '°C', imperial: '°F' },
};

const TEMPERATURE_EXAMPLE = 'Write it like "3 °C" or "37 °F".';
const EXAMPLES: Record<Dimension, string> = {
  mass: 'Write it like "870 g" or "1 lb 14 oz".',
  volume: 'Write it like "1.3 l" or "450 ml".',
  length: 'Write it like "320 mm" or "24 in".',
  pressure: 'Write it like "2.4 bar" or "35 psi".',
  angle: 'Write it like "73.5°".',
  temperature: TEMPERATURE_EXAMPLE,
};

/** Size of a named unit in the core's unit, or null when the dimension has no such unit. */
export function unitSize(dimension: Exclude<Dimension, 'temperature'>, name: string): number | null {
  const wanted = name.toLowerCase().replace(/[\s.]/g, '');
  return UNITS[dimension].find((unit) => unit.names.includes(wanted))?.size ?? null;
}

/**
 * Reads one plain number, with a point or a comma as the decimal mark and optional thousands marks.
 * Returns null when the text is not exactly one finite number.
 *
 * @example readNumber('1,5') // 1.5
 * @example readNumber('1.234,5') // 1234.5
 */
export function readNumber(text: string): number | null {
  let digits = text
    .trim()
    .replace(/[\s\u00a0\u202f'’]/g, '')
    .replace(/^−/, '-');
  const comma = digits.lastIndexOf(',');
  const point = digits.lastIndexOf('.');
  if (comma > point) {
    // "1,234" is ambiguous; with exactly three digits behind a lone comma after 1–3 digits and no point we
    // still read a decimal comma, since the quantities here are small and a wrong thousand would be absurd.
    digits = digits
      .replace(/\./g, '')
      .replace(/,(?=.*,)/g, '')
      .replace(',', '.');
  } else {
    digits = digits.replace(/,/g, '');
  }
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i.test(digits) ? finite(Number(digits)) : null;
}

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);

/**
 * Reads a quantity as a rider writes it, in any unit, and returns it in the core's unit.
 *
 * A bare number takes `bareUnit` (by default that of the rider's system). Parts add up ("1 lb 14 oz").
 * Errors say what was not understood and show how to write it.
 *
 * @example parseQuantity('1 lb 14 oz', 'mass') // { ok: true, value: 850.48… } grams
 * @example parseQuantity('50 °F', 'temperature') // { ok: true, value: 10 } degrees Celsius
 */
export function parseQuantity(
  text: string,
  dimension: Dimension,
  bareUnit: string = BARE_UNIT[dimension].metric,
): Result<number> {
  const trimmed = text.trim();
  if (trimmed === '') return fail(`Nothing written. ${EXAMPLES[dimension]}`);
  return dimension === 'temperature'
    ? parseTemperature(trimmed, bareUnit)
    : parseSum(trimmed, dimension, bareUnit);
}

function parseTemperature(text: string, bareUnit: string): Result<number> {
  const match = /^([+\-−]?[\d.,]+)\s*(?:°|º|deg(?:rees)?)?\s*(c|f|celsius|fahrenheit)?$/i.exec(text);
  const value = match ? readNumber(match[1]!) : null;
  if (!match || value === null)
    return fail(`"${shorten(text)}" is not a temperature. ${TEMPERATURE_EXAMPLE}`);
  const scale = (match[2] ?? bareUnit.replace('°', '')).toLowerCase();
  return ok(scale.startsWith('f') ? ((value - 32) * 5) / 9 : value);
}

function parseSum(
  text: string,
  dimension: Exclude<Dimension, 'temperature'>,
  bareUnit: string,
): Result<number> {
  // A number (with thousands set apart by spaces, if so written), then its unit.
  const part =
    /([+\-−]?(?:\d{1,3}(?:[ \u00a0\u202f]\d{3})+(?:[.,]\d+)?|\d[\d.,’]*|\.\d+))\s*(fl\.?\s*oz|cu\.?\s*in|[a-zµ³"″'′°º]+\d?³?)?\s*/giy;
  let total = 0;
  let lastSize = Infinity;
  let position = 0;
  let parts = 0;
  while (position < text.length) {
    part.lastIndex = position;
    const match = part.exec(text);
    const number = match ? readNumber(match[1]!.replace(/,$/, '')) : null;
    if (!match || number === null)
      return fail(
        `"${shorten(text)}" is not ${dimension === 'angle' ? 'an' : 'a'} ${dimension}. ${EXAMPLES[dimension]}`,
      );
    // Only a number that stands alone may go without a unit: "1 2 g" is a slip, not three grams.
    const unit = match[2] ?? (parts === 0 && part.lastIndex === text.length ? bareUnit : '');
    const size = unit ? unitSize(dimension, unit) : null;
    if (size === null) {
      return fail(
        `"${unit || match[1]}" in "${shorten(text)}" is not a unit of ${dimension}. ${EXAMPLES[dimension]}`,
      );
    }
    if (parts > 0 && number < 0)
      return fail(
        `"${shorten(text)}" is not ${dimension === 'angle' ? 'an' : 'a'} ${dimension}. ${EXAMPLES[dimension]}`,
      );
    // "1 lb 20 oz" is a slip: a part is less than one of the unit before it.
    if (parts > 0 && number * size >= lastSize * (1 - 1e-9))
      return fail(
        `"${match[0].trim()}" in "${shorten(text)}" is more than the unit before it holds. ${EXAMPLES[dimension]}`,
      );
    lastSize = size;
    total += number * size;
    parts += 1;
    position = part.lastIndex;
  }
  return Number.isFinite(total) ? ok(total) : fail(`"${shorten(text)}" is too large a ${dimension}.`);
}

const shorten = (text: string): string => (text.length > 40 ? `${text.slice(0, 37)}…` : text);
