import type { Place } from '@/core/bag/bag';
import { thingVolumeMl, type Thing } from '@/core/kit/thing';
import type { Spot } from './spots';

/** A place of a bag, or the outside of one, where things are strapped on. */
export type UsualPlace = Place | 'outside';

/** Where riders keep things, the most usual place first (domain, "Where riders keep things"). */
const PLACES_OF = {
  bed: ['seat pack', 'bar roll', 'fork bag', 'pannier', 'rear rack'],
  tent: ['bar roll', 'seat pack', 'pannier', 'rear rack'],
  pegs: ['bar roll', 'seat pack', 'frame bag', 'pannier', 'rear rack'],
  'camp clothes': ['seat pack', 'pannier', 'bar roll', 'fork bag', 'rear rack'],
  layers: ['bar bag', 'seat pack', 'outside', 'frame bag', 'body', 'pannier', 'rear rack'],
  rainwear: ['bar bag', 'outside', 'strap outside', 'seat pack', 'body', 'pannier', 'rear rack'],
  shoes: ['outside', 'strap outside', 'seat pack', 'pannier', 'rear rack'],
  'cook kit': ['seat pack', 'fork bag', 'bar roll', 'frame bag', 'pannier', 'rear rack'],
  meals: ['frame bag', 'bar roll', 'pannier', 'rear rack'],
  lunch: ['frame bag', 'bar bag', 'stem bag', 'top tube bag', 'pannier', 'rear rack'],
  snacks: ['stem bag', 'bar bag', 'top tube bag', 'frame bag'],
  bottle: ['bottle cage', 'stem bag', 'fork bag', 'frame bag'],
  bladder: ['body', 'frame bag'],
  filter: ['bar bag', 'frame bag'],
  'small tools': ['frame bag', 'tool pouch', 'top tube bag', 'down tube'],
  spares: ['frame bag', 'down tube', 'tool pouch'],
  lock: ['frame bag', 'top tube bag'],
  'power bank': ['frame bag', 'top tube bag'],
  'at hand': ['top tube bag', 'stem bag'],
  camera: ['top tube bag', 'bar bag'],
  'large camera': ['body', 'rear rack', 'frame bag'],
  'first aid': ['bar bag', 'frame bag'],
  'wash kit': ['bar bag', 'seat pack', 'frame bag', 'pannier', 'rear rack'],
  papers: ['body', 'top tube bag', 'bar bag'],
  'long and light': ['outside', 'strap outside', 'fork bag', 'pannier', 'rear rack'],
  evening: ['seat pack', 'bar roll', 'frame bag', 'fork bag', 'pannier', 'rear rack'],
} satisfies Record<string, readonly UsualPlace[]>;
export type Role = keyof typeof PLACES_OF;

/** What is larger than this does not go with the small tools, and a camera no longer in a bag on the top tube. */
const SMALL_ML = 160;
const POCKET_ML = 600;
const LONG_MM = 300;

/**
 * What a thing is packed as: by its system, when it is wanted, and what it is like.
 *
 * @example roleOf(rain jacket, wanted at once) // 'rainwear'
 */
export function roleOf(
  thing: Pick<Thing, 'system' | 'call' | 'traits' | 'waterMl' | 'form' | 'quantity' | 'volumeMl'>,
): Role {
  const { system, call, traits, form } = thing;
  const isLong = form.kind !== 'soft' && form.lengthMm >= LONG_MM;
  switch (system) {
    case 'sleep':
      return 'bed';
    case 'shelter':
      return traits.includes('sharp') ? 'pegs' : 'tent';
    case 'clothes':
      if (traits.includes('dirty')) return 'shoes';
      if (call === 'camp') return 'camp clothes';
      return call === 'urgent' || traits.includes('wet') ? 'rainwear' : 'layers';
    case 'cook':
      return 'cook kit';
    case 'food':
      return call === 'riding' ? 'snacks' : call === 'stop' ? 'lunch' : 'meals';
    case 'water':
      if (traits.includes('hose')) return 'bladder';
      return thing.waterMl > 0 ? 'bottle' : 'filter';
    case 'tools':
      if (call !== 'repair') return 'lock';
      return thingVolumeMl(thing) <= SMALL_ML ? 'small tools' : 'spares';
    case 'first aid':
      return 'first aid';
    case 'hygiene':
      return call === 'camp' ? 'wash kit' : 'first aid';
    case 'electronics':
      if (traits.includes('fragile')) return thingVolumeMl(thing) <= POCKET_ML ? 'camera' : 'large camera';
      if (call === 'riding' || call === 'urgent') return 'at hand';
      return isLong ? 'long and light' : 'power bank';
    case 'papers':
      return 'papers';
    case 'luxuries':
      return isLong ? 'long and light' : 'evening';
  }
}

/** Points for the second place of the list, the third and so on; and for one that is not in the list. */
const LESS_USUAL = [0, 1, 1.5, 2] as const;
const UNUSUAL = 4.5;
/** Points for the other side of a pair of bags. */
const OTHER_SIDE = 0.3;
/** What may be dirty or wet goes on the right, where the chain is; the rest on the left. */
const ON_THE_RIGHT: ReadonlySet<Role> = new Set([
  'tent',
  'pegs',
  'shoes',
  'cook kit',
  'bottle',
  'filter',
  'small tools',
  'spares',
  'wash kit',
]);

/** Whether riders keep such a thing in such a place. @example isUsual(rainJacket, downTubeCan) // false */
export const isUsual = (thing: Parameters<typeof roleOf>[0], spot: Spot): boolean =>
  usualPoints(thing, spot) < UNUSUAL;

/**
 * Points for how usual a compartment is for a thing, before weighting. A rider finds in the dark what is where it always is,
 * and of two places that are as good takes the usual one. Of two bags that mirror each other each has things of its own, so that
 * another search does not swap them.
 *
 * @example usualPoints(multitool, frameBag) // 0
 */
export function usualPoints(thing: Parameters<typeof roleOf>[0], { bag, compartment }: Spot): number {
  const role = roleOf(thing);
  const places: readonly UsualPlace[] = PLACES_OF[role];
  const at = places.indexOf(compartment.outside === 'no' ? bag.place : 'outside');
  const otherSide = bag.side === (ON_THE_RIGHT.has(role) ? 'left' : 'right') ? OTHER_SIDE : 0;
  return otherSide + (at < 0 ? UNUSUAL : LESS_USUAL[Math.min(at, LESS_USUAL.length - 1)]!);
}
