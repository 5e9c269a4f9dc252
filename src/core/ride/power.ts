import type { Ground } from '@/core/trip/route/route';

/** Rolling resistance by ground (methods, section 6). */
export const ROLLING: Record<Ground, number> = {
  asphalt: 0.006,
  'fine gravel': 0.012,
  'rough gravel': 0.018,
  trail: 0.025,
  soft: 0.05,
};
/** How fast a loaded bike is let run downhill, in km/h: what the ground allows, not what it would do. */
export const FASTEST_KMH: Record<Ground, number> = {
  asphalt: 45,
  'fine gravel': 32,
  'rough gravel': 25,
  trail: 18,
  soft: 12,
};
/** What a loaded rider on a loaded bike presents to the air, m²; the air's density, kg/m³; what the chain passes on. */
export const DRAG_AREA_M2 = 0.45;
export const AIR_KG_M3 = 1.2;
export const EFFICIENCY = 0.97;
const G = 9.81;
/** Power that an average rider keeps up all day, in watts. */
export const DEFAULT_POWER_W = 130;

/**
 * Power at a steady speed (Martin et al. 1998, without acceleration; methods, section 6).
 *
 * @param massKg everything that rolls, the rider included
 * @param slope rise over run
 * @param speed in m/s
 * @example powerAt(95, 0.05, 0.012, 10 / 3.6) // 171 W
 */
export function powerAt(massKg: number, slope: number, rolling: number, speed: number): number {
  const cos = 1 / Math.sqrt(1 + slope * slope);
  const force = massKg * G * (rolling * cos + slope * cos) + 0.5 * AIR_KG_M3 * DRAG_AREA_M2 * speed * speed;
  return (force * speed) / EFFICIENCY;
}

/**
 * The steady speed at a power, in m/s: the one at which `powerAt` is that power. Downhill it is above the speed at which the bike rolls by
 * itself.
 *
 * @example 1000 / speedAt(95, 0.05, 0.012, 130) // 467.4 s per kilometre
 */
export function speedAt(massKg: number, slope: number, rolling: number, powerW: number): number {
  const cos = 1 / Math.sqrt(1 + slope * slope);
  const resistance = massKg * G * (rolling + slope) * cos;
  const drag = 0.5 * AIR_KG_M3 * DRAG_AREA_M2;
  const power = powerW * EFFICIENCY;
  // resistance · v + drag · v³ = power, rising wherever v is above its root: Newton's method from above meets it.
  let v = Math.cbrt(power / drag) + Math.sqrt(Math.max(0, -resistance) / drag) + 0.01;
  for (let i = 0; i < 60; i += 1) {
    const step = (resistance * v + drag * v * v * v - power) / (resistance + 3 * drag * v * v);
    v -= step;
    if (Math.abs(step) < 1e-9) break;
  }
  return v;
}

/** Walking pace beside a loaded bike, in m/s: 3.5 km/h, less where it is steep. */
export const walkingSpeed = (slope: number): number =>
  (3.5 / 3.6) * Math.max(0.35, 1 - 2.5 * Math.max(0, slope));

/**
 * The steepest gradient, rise over run, that can be pedalled at 60 rev/min in the lowest gear (methods, section 6).
 *
 * @param developmentM metres per turn of the cranks in the lowest gear
 * @example steepestGradient(104, 0.018, 180, 1.29) // 0.115
 */
export function steepestGradient(
  massKg: number,
  rolling: number,
  powerW: number,
  developmentM: number,
): number {
  const speed = developmentM; // one turn a second
  const force = (powerW * EFFICIENCY) / speed - 0.5 * AIR_KG_M3 * DRAG_AREA_M2 * speed * speed;
  // force / (m g) = (rolling + slope) · cos: nearly linear, met after a few rounds.
  let slope = 0;
  for (let i = 0; i < 20; i += 1) slope = (force / (massKg * G)) * Math.sqrt(1 + slope * slope) - rolling;
  return slope;
}
