import { extentsMm, type Thing } from '@/core/kit/thing';
import type { Bag, Place } from '@/core/bag/bag';
import type { Bike, Mount, MountPlace } from '@/core/bike/bike';
import { knownAlone } from '@/core/fit/known';
import type { Spot } from './spots';

/** Why a thing can never go in a compartment, however empty it is. */
export type Obstacle =
  | { kind: 'too long'; byMm: number; insideMm: number; thingMm: number }
  | { kind: 'too thick'; byMm: number; insideMm: number; thingMm: number }
  /** Within the greatest extents, but where it would lie the compartment is narrower. */
  | { kind: 'too bulky' }
  | { kind: 'open to rain' }
  /** Nothing would hold it: too thin for a cage, or too short for straps. */
  | { kind: 'falls out' };

/**
 * Hard rules that hold whatever else is packed (methods, section 4): a stiff thing finds room in the compartment when
 * it is empty, nothing that must stay dry is in an open one unless in a dry sack, and a cage or straps hold it.
 *
 * @example obstacleFor(tentPoles, stemBag) // { kind: 'too long', … }
 */
export function obstacleFor(thing: Thing, spot: Spot): Obstacle | null {
  const size = sizeObstacle(thing, spot);
  if (size) return size;
  if (!staysPut(thing, spot)) return { kind: 'falls out' };
  if (thing.form.kind !== 'soft' && !knownAlone(spot.chamber, thing)) return { kind: 'too bulky' };
  return staysDry(thing, spot) ? null : { kind: 'open to rain' };
}

/** A stiff thing's extents against the compartment's greatest, which is told more plainly than how it would lie. */
export function sizeObstacle(thing: Thing, spot: Spot): Extract<Obstacle, { byMm: number }> | null {
  const extents = extentsMm(thing.form);
  if (!extents) return null;
  for (let i = 0; i < 3; i += 1) {
    const byMm = extents[i]! - spot.extentsMm[i]!;
    if (byMm > 0) {
      const figures = { byMm, insideMm: spot.extentsMm[i]!, thingMm: extents[i]! };
      return i === 0 ? { kind: 'too long', ...figures } : { kind: 'too thick', ...figures };
    }
  }
  return null;
}

/** A cage grips bottles and what is as thick; straps outside hold what is so long, or so large where it is soft and rolled. */
export const CAGE_LEAST_MM = 60;
export const STRAPPED_LEAST_MM = 150;
/** A roll that long and about 65 mm thick. */
const STRAPPED_LEAST_ML = 500;

/**
 * Whether a bottle cage, or straps outside a bag, would hold a thing; everywhere else the bag does.
 *
 * @example staysPut(gel, bottleCage) // false
 */
export function staysPut(
  thing: Pick<Thing, 'form' | 'waterMl' | 'volumeMl'>,
  { bag, compartment }: Spot,
): boolean {
  const { form } = thing;
  if (bag.place === 'bottle cage')
    return thing.waterMl > 0 || ('diameterMm' in form && form.diameterMm >= CAGE_LEAST_MM);
  if (bag.place !== 'strap outside' && compartment.outside === 'no') return true;
  return form.kind === 'soft'
    ? Math.max(form.looseMl, thing.volumeMl) >= STRAPPED_LEAST_ML
    : extentsMm(form)![0] >= STRAPPED_LEAST_MM;
}

export const staysDry = (thing: Thing, spot: Spot): boolean =>
  !(thing.dry === 'must' && !thing.inDrySack && spot.compartment.weather === 'open');

/**
 * What a compartment's bag may carry where its maker gives no figure: little, and said so. Litres cannot stand
 * for a limit, but 400 g a litre is denser than clothes and lighter than tools.
 */
export const assumedLimitG = (litres: number): number => Math.min(2000, Math.max(300, 400 * litres));

/** The bike's mount that a bag uses, by its place and side; null when it needs none or none is entered. */
export function mountOf(bag: Bag, bike: Bike | null): Mount | null {
  const places: Partial<Record<Place, MountPlace>> = {
    'fork bag': bag.side === 'left' ? 'left fork leg' : 'right fork leg',
    'down tube': 'under the down tube',
    'rear rack': 'rear rack',
    pannier: 'rear rack',
  };
  const place = places[bag.place];
  return (place && bike?.build.mounts.find((mount) => mount.place === place)) ?? null;
}

/**
 * Greatest load of a bag in grams, and whether the figure is only assumed: the least of what the bag's maker and
 * the mount's maker allow; where neither is known, a cautious one.
 */
export function bagLimit(spots: readonly Spot[], bike: Bike | null): { limitG: number; assumed: boolean } {
  const { bag } = spots[0]!;
  const known = [bag.limitG, mountOf(bag, bike)?.limitG ?? null].filter((limit) => limit !== null);
  if (known.length > 0) return { limitG: Math.min(...known), assumed: false };
  const litres = spots.reduce((sum, spot) => sum + spot.capacityMl, 0) / 1000;
  return { limitG: assumedLimitG(litres), assumed: true };
}
