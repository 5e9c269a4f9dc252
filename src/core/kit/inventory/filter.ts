import { contentsText } from '@/core/kit/contents';
import type { OwnedThing, System } from '@/core/kit/thing';

/** What of the inventory is shown. */
export const STATES = ['everything', 'to get', 'needs attention', 'not weighed', 'on no trip'] as const;
export interface Filter {
  text: string;
  system: System | 'all systems';
  state: (typeof STATES)[number];
}
export const SHOW_ALL: Filter = { text: '', system: 'all systems', state: 'everything' };

export interface Item {
  thing: OwnedThing;
  trips: readonly { id: string; name: string }[];
}

const words = new WeakMap<OwnedThing, string>();
/** All that can be found of a thing, in small letters; made once for each. */
function wordsOf(thing: OwnedThing): string {
  let found = words.get(thing);
  if (found === undefined)
    words.set(
      thing,
      (found =
        `${thing.name}\n${thing.note}\n${contentsText(thing.contents)}\n${thing.kind ?? ''}`.toLowerCase()),
    );
  return found;
}

/**
 * The things that are shown, in the order in which they are listed. Every word that is typed must be found, in the name, the note, the
 * contents or the kind.
 *
 * @param soon up to this day a date needs attention
 */
export function filtered<Each extends Item>(items: readonly Each[], filter: Filter, soon: string): Each[] {
  const typed = filter.text.toLowerCase().split(/\s+/).filter(Boolean);
  return items.filter(({ thing, trips }) => {
    if (filter.system !== 'all systems' && thing.system !== filter.system) return false;
    switch (filter.state) {
      case 'to get':
        if (!thing.toGet) return false;
        break;
      case 'needs attention':
        if (thing.condition === 'fine' && (thing.dueOn === null || thing.dueOn > soon)) return false;
        break;
      case 'not weighed':
        if (thing.massSource !== 'estimate') return false;
        break;
      case 'on no trip':
        if (trips.length > 0) return false;
        break;
      case 'everything':
    }
    return typed.every((word) => wordsOf(thing).includes(word));
  });
}

/**
 * Owned things that could do the job of one that is still to be bought: those of the same kind.
 *
 * @example standIns(items, newJacket) // [oldJacket]
 */
export const standIns = (items: readonly Item[], thing: OwnedThing): OwnedThing[] =>
  thing.kind === null
    ? []
    : items.flatMap(({ thing: other }) =>
        !other.toGet && other.id !== thing.id && other.kind === thing.kind ? [other] : [],
      );
