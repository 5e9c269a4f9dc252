import type { Instance } from '../model/instance';
import { FittedState } from '../search/fitted';

/**
 * What keeps things out of a compartment where they would cost less: its litres, how the stiff lies that is in it, or what it or
 * its bag may carry.
 */
export const LIMITS = ['litres', 'how things lie', 'mass', 'bag mass'] as const;
export type Limit = (typeof LIMITS)[number];

export interface Limiting {
  compartmentId: string;
  limit: Limit;
  /** What would lie better there by itself, the most first, with the points it would save. */
  wanted: { thingId: string; points: number }[];
}

/** Less than that nobody would pack anew for. */
const LEAST_POINTS = 0.5;
/** Of a compartment so many things are asked how they would lie in it, those that would save the most. */
const MOST_ASKED = 12;

/**
 * What limits a load: compartments that things would lie better in, each by itself, but for a limit; those first where most
 * would be saved. A thing left behind would mostly go anywhere, and so stands at every limit.
 *
 * @param where compartment of each thing, or −1 for left behind
 * @example limitsOf(instance, where)[0] // { compartmentId: 'stem-main', limit: 'litres', wanted: [{ thingId: 'nuts', points: 9 }] }
 */
export function limitsOf(instance: Instance, where: Int32Array): Limiting[] {
  const { n, m, spots, things } = instance;
  // What is too large for a compartment when it is empty is not kept out of it by how it is filled.
  const mayEver = (i: number, j: number): boolean =>
    !instance.fixed[i] && !!instance.allowed[i * m + j] && instance.leastMl[i]! <= instance.capacityMl[j]!;
  const fitted = new FittedState(instance);
  const all = Array.from({ length: n }, (_, i) => i);
  fitted.fits.patiently(() => fitted.restore(all, where));
  const limiting: Limiting[] = [];
  for (let j = 0; j < m; j += 1) {
    const savings = Array.from({ length: n }, (_, i) => ({
      i,
      points: mayEver(i, j) && where[i] !== j ? -fitted.sumsIfAt(i, j) : 0,
    }))
      .filter(({ points }) => points >= LEAST_POINTS)
      .sort((a, b) => b.points - a.points)
      .slice(0, MOST_ASKED);
    const by = new Map<Limit, Limiting['wanted']>();
    for (const { i, points } of savings) {
      const limit = limitOf(fitted, i, j);
      if (!limit) continue;
      const wanted = by.get(limit) ?? [];
      by.set(limit, wanted);
      wanted.push({ thingId: things[i]!.id, points });
    }
    for (const [limit, wanted] of by) limiting.push({ compartmentId: spots[j]!.id, limit, wanted });
  }
  const saved = ({ wanted }: Limiting) => wanted.reduce((sum, { points }) => sum + points, 0);
  return limiting.sort((a, b) => saved(b) - saved(a));
}

/** Null where it would lie there, and only what must be dug out, or nothing at all, stands against it. */
function limitOf({ fits, state }: FittedState, i: number, j: number): Limit | null {
  if (!fits.mayHold(i, j, -1)) return 'litres';
  const mass = state.massLimit(i, j);
  if (mass) return mass;
  fits.patiently(() => fits.ask(i, state.where[i]!, j, -1));
  if (fits.changeOverMl <= 1e-6) return null;
  // What takes any shape is kept out by litres alone.
  return state.instance.stiffMl[i]! > 0 ? 'how things lie' : 'litres';
}
