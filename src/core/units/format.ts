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

/**
 * How far a bag sags under what it carries.
 *
 * @example formatSag(6, 'metric') // '6 mm/kg'; formatSag(6, 'imperial') // '0.11 in/lb'
 */
export const formatSag = (mmPerKg: number, units: UnitSystem): string =>
  units === 'metric' ? `${fixed(mmPerKg, 0)} mm/kg` : `${fixed((mmPerKg * 0.45359237) / 25.4, 2)} in/lb`;

/** A way to ride. @example formatDistance(28_677, 'metric') // '28.7 km'; formatDistance(28_677, 'imperial') // '17.8 mi' */
export function formatDistance(metres: number, units: UnitSystem): string {
  const [value, unit] = units === 'metric' ? [metres / 1000, 'km'] : [metres / 1609.344, 'mi'];
  return `${fixed(value, Math.abs(value) < 99.95 ? 1 : 0)} ${unit}`;
}

/** Height climbed or above the sea. @example formatHeight(600.8, 'imperial') // '1971 ft' */
export const formatHeight = (metres: number, units: UnitSystem): string =>
  units === 'metric' ? `${fixed(metres, 0)} m` : `${fixed(metres / 0.3048, 0)} ft`;

/** @example formatSpeed(40, 'metric') // '40 km/h' */
export const formatSpeed = (kmh: number, units: UnitSystem): string =>
  units === 'metric' ? `${fixed(kmh, 0)} km/h` : `${fixed(kmh / 1.609344, 0)} mph`;

/** Food energy, as riders and labels say it wherever they are. @example formatEnergy(12_300) // '2940 kcal' */
export const formatEnergy = (kJ: number): string => `${fixed(Math.round(kJ / 4.184 / 10) * 10, 0)} kcal`;

/** A time of day from minutes after midnight. @example clock(1270) // '21:10'; clock(1450) // '0:10 the next day' */
export function clock(minutes: number): string {
  const whole = Math.round(minutes);
  const text = `${Math.floor(whole / 60) % 24}:${String(whole % 60).padStart(2, '0')}`;
  return whole < 1440
    ? text
    : `${text} ${whole < 2880 ? 'the next day' : `${Math.floor(whole / 1440)} days later`}`;
}

/** @example duration(7500) // '2 h 05 min'; duration(300) // '5 min' */
export function duration(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')} min`;
}

/** The formatters bound to one rider's choice, handed to whatever writes sentences. */
export interface Formatter {
  mass(massG: number): string;
  volume(volumeMl: number): string;
  length(lengthMm: number): string;
  pressure(kpa: number): string;
  temperature(celsius: number): string;
  moment(kgM: number): string;
  sag(mmPerKg: number): string;
  distance(metres: number): string;
  height(metres: number): string;
  speed(kmh: number): string;
  energy(kJ: number): string;
}

export const formatterFor = (units: UnitSystem): Formatter => ({
  mass: (massG) => formatMass(massG, units),
  volume: (volumeMl) => formatVolume(volumeMl, units),
  length: (lengthMm) => formatLength(lengthMm, units),
  pressure: (kpa) => formatPressure(kpa, units),
  temperature: (celsius) => formatTemperature(celsius, units),
  moment: (kgM) => formatMoment(kgM, units),
  sag: (mmPerKg) => formatSag(mmPerKg, units),
  distance: (metres) => formatDistance(metres, units),
  height: (metres) => formatHeight(metres, units),
  speed: (kmh) => formatSpeed(kmh, units),
  energy: formatEnergy,
});

/** A difference with its sign always shown: "+120 g", "−0.30 l", "±0". */
export function signed(text: string, difference: number): string {
  if (/^−?0(\.0+)?\s/.test(text)) return '±0';
  return difference > 0 ? `+${text}` : text;
}
