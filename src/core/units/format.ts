import type { UnitSystem } from './parse';

const fixed = (value: number, digits: number): string => {
  const text = value.toFixed(digits);
  return (Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−');
};

/**
 * Grams for reading: whole grams below 1 kg, then kilograms; ounces and pounds in imperial.
 *
 * @example formatMass(870, 'metric') // '870 g'
 * @example formatMass(850.5, 'imperial') // '1 lb 14.0 oz'
 */
export function formatMass(massG: number, units: UnitSystem): string {
  if (units === 'metric') {
    if (Math.abs(massG) < 999.5) return `${fixed(massG, 0)} g`;
    return `${fixed(massG / 1000, Math.abs(massG) < 10000 ? 2 : 1)} kg`;
  }
  const ounces = massG / 28.349523125;
  if (Math.abs(ounces) < 15.95) return `${fixed(ounces, 1)} oz`;
  if (Math.abs(ounces) >= 160) return `${fixed(ounces / 16, 1)} lb`;
  const tenths = Math.round(Math.abs(ounces) * 10);
  const sign = ounces < 0 ? '−' : '';
  return `${sign}${Math.floor(tenths / 160)} lb ${((tenths % 160) / 10).toFixed(1)} oz`;
}

/**
 * Litres, as bag makers print them in every country; millilitres below a tenth of a litre.
 *
 * @example formatVolume(1340, 'metric') // '1.34 l'
 */
export function formatVolume(volumeMl: number, _units: UnitSystem): string {
  if (Math.abs(volumeMl) < 99.5) return `${fixed(volumeMl, 0)} ml`;
  return `${fixed(volumeMl / 1000, Math.abs(volumeMl) < 10000 ? 2 : 1)} l`;
}

/** @example formatLength(320, 'metric') // '320 mm'; formatLength(609.6, 'imperial') // '24.0 in' */
export function formatLength(lengthMm: number, units: UnitSystem): string {
  return units === 'metric' ? `${fixed(lengthMm, 0)} mm` : `${fixed(lengthMm / 25.4, 1)} in`;
}

/** Tyre pressure: bar, or psi in imperial. @example formatPressure(211, 'metric') // '2.1 bar' */
export const formatPressure = (kpa: number, units: UnitSystem): string =>
  units === 'metric' ? `${fixed(kpa / 100, 1)} bar` : `${fixed(kpa / 6.894757, 0)} psi`;

/** @example formatAngle(73.5, 'metric') // '73.5°' */
export const formatAngle = (degrees: number, _units: UnitSystem): string =>
  `${fixed(degrees, Number.isInteger(degrees) ? 0 : 1)}°`;

/** @example formatTemperature(10, 'imperial') // '50 °F' */
export function formatTemperature(celsius: number, units: UnitSystem): string {
  if (units === 'imperial') return `${fixed((celsius * 9) / 5 + 32, 0)} °F`;
  return `${fixed(celsius, Number.isInteger(celsius) ? 0 : 1)} °C`;
}

/**
 * A mass times its distance: kg·m, or lb·ft in imperial.
 *
 * @example formatMoment(0.9, 'metric') // '0.90 kg·m'; formatMoment(0.9, 'imperial') // '6.5 lb·ft'
 */
export const formatMoment = (kgM: number, units: UnitSystem): string =>
  units === 'metric' ? `${fixed(kgM, 2)} kg·m` : `${fixed(kgM / (0.45359237 * 0.3048), 1)} lb·ft`;

/** The formatters bound to one rider's choice, handed to whatever writes sentences. */
export interface Formatter {
  mass(massG: number): string;
  volume(volumeMl: number): string;
  length(lengthMm: number): string;
  pressure(kpa: number): string;
  temperature(celsius: number): string;
  moment(kgM: number): string;
}

export const formatterFor = (units: UnitSystem): Formatter => ({
  mass: (massG) => formatMass(massG, units),
  volume: (volumeMl) => formatVolume(volumeMl, units),
  length: (lengthMm) => formatLength(lengthMm, units),
  pressure: (kpa) => formatPressure(kpa, units),
  temperature: (celsius) => formatTemperature(celsius, units),
  moment: (kgM) => formatMoment(kgM, units),
});

/** A difference with its sign always shown: "+120 g", "−0.30 l", "±0". */
export function signed(text: string, difference: number): string {
  if (/^−?0(\.0+)?\s/.test(text)) return '±0';
  return difference > 0 ? `+${text}` : text;
}
