import { kindOf } from '@/core/kit/kinds/kinds';
import { specOf } from '@/core/kit/specs';
import type { OwnedThing, Thing } from '@/core/kit/thing';
import { purposesOf } from '@/core/needs/purposes';

/** Millilitres that a vessel holds; 0 for what is none. */
export function holdsMl(thing: OwnedThing & Partial<Pick<Thing, 'waterMl'>>): number {
  if (!purposesOf(thing).includes('hold water')) return thing.waterMl ?? 0;
  const own = specOf(thing, 'holdsMl');
  if (own !== null) return own;
  const size = kindOf(thing.kind)?.size;
  if (size?.unit === 'l') return 1000 * size.value;
  // A bottle holds about nine tenths of its outer volume; of what is soft and empty nothing can be told.
  return Math.max(thing.waterMl ?? 0, thing.form.kind === 'cylinder' ? 0.9 * thing.volumeMl : 0);
}

/**
 * Water spread over the vessels, in millilitres in one of each: those within reach while riding are refilled from the others, which are
 * empty first. With null nothing is known, and each stays as it is.
 *
 * @example waterIn([bottle of 750 ml for riding, flask of 1 l], 1000) // bottle 750, flask 250
 */
export function waterIn(things: readonly Thing[], waterMl: number | null): ReadonlyMap<string, number> {
  const inEach = new Map<string, number>();
  if (waterMl === null) return inEach;
  const vessels = things.filter((thing) => holdsMl(thing) > 0);
  vessels.sort((a, b) => Number(b.call === 'riding') - Number(a.call === 'riding'));
  let left = waterMl;
  for (const thing of vessels) {
    const filled = Math.min(left, thing.quantity * holdsMl(thing));
    inEach.set(thing.id, Math.round(filled / thing.quantity));
    left -= filled;
  }
  return inEach;
}
