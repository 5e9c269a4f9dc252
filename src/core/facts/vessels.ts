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
