import { kindOf } from '@/core/kit/kinds/kinds';
import type { OwnedThing, Provides } from '@/core/kit/thing';

/** What a thing is known for where neither its rider nor its kind says. */
const OF_PROVIDED: Record<Provides, readonly string[]> = {
  warmth: ['sleep warm'],
  light: ['light ahead', 'light at camp'],
  repair: ['turn bolts', 'mend a tube', 'pump a tyre'],
};

const known = new WeakMap<OwnedThing, readonly string[]>();

/** What a thing is for: as the rider says, else as its kind, else as what the checks know of it. */
export function purposesOf(thing: OwnedThing): readonly string[] {
  let purposes = known.get(thing);
  if (!purposes)
    known.set(
      thing,
      (purposes =
        thing.purposes ??
        kindOf(thing.kind)?.purposes ??
        thing.provides.flatMap((provided) => OF_PROVIDED[provided])),
    );
  return purposes;
}

/** Whether its rider or its kind says what a thing is for. */
export const isPurposeKnown = (thing: OwnedThing): boolean =>
  thing.purposes !== null || kindOf(thing.kind) !== undefined;
