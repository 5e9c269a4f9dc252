import type { Bag, Compartment } from '@/core/bag/bag';
import type { Thing } from '@/core/kit/thing';
import type { Chamber } from './chamber';
import { chamberOf } from './chamberOf';
import { split } from './split';
import { closesIn, fitIn, fitsAlone, layAll, layStiff, type Fit, type StiffLay } from './fit';

/**
 * What was found once is kept for as long as the same objects are: plans are values that are never changed in place, so
 * an edit of one bag leaves all others' results standing. This is what lets the board ask for every compartment's fit
 * at each edit (measured: 0.1 to 0.5 ms a compartment when new, 1 µs when known).
 */
const chambers = new WeakMap<Compartment, { opening: Bag['opening']; chamber: Chamber }>();
const fits = new WeakMap<Chamber, Map<string, Fit>>();
const closes = new WeakMap<Chamber, Map<string, boolean>>();
const lays = new WeakMap<Chamber, Map<string, StiffLay>>();
const allIn = new WeakMap<Chamber, Map<string, StiffLay | null>>();
const closings = new WeakMap<Chamber, Map<string, Closing | null>>();
const alone = new WeakMap<Chamber, Map<string, boolean>>();
const numbers = new WeakMap<Thing, number>();
let lastNumber = 0;
/** Results kept for a compartment; beyond them it begins anew. */
const MOST_KEPT = 20_000;

/** A number of its own for every thing as it is now; a changed thing is another. */
function numberOf(thing: Thing): number {
  let number = numbers.get(thing);
  if (number === undefined) numbers.set(thing, (number = lastNumber += 1));
  return number;
}

/** The compartment's inside, made once. */
export function knownChamber(bag: Pick<Bag, 'opening'>, compartment: Compartment): Chamber {
  const known = chambers.get(compartment);
  if (known && known.opening === bag.opening) return known.chamber;
  const chamber = chamberOf(bag, compartment);
  chambers.set(compartment, { opening: bag.opening, chamber });
  return chamber;
}

/**
 * How a set of things lies in it; found once.
 *
 * @param things in the order of the kit: of two that are alike in all that counts the first is laid first, so the order must
 * not hang on what was edited before
 */
export const knownFit = (chamber: Chamber, things: readonly Thing[]): Fit =>
  kept(fits, chamber, keyOf(things), () => fitIn(chamber, things, knownLay(lays, chamber, things, layStiff)));

/** Whether it closes then, where no more is asked. */
export const knownToClose = (chamber: Chamber, things: readonly Thing[]): boolean =>
  kept(closes, chamber, keyOf(things), () =>
    closesIn(chamber, things, knownLay(lays, chamber, things, layStiff)),
  );

/**
 * How the stiff among some things lie, null where not all of them do, without going back where a few find no place: as the
 * search asks it. What lies by this lies by `knownFit` too.
 *
 * @param things in any order that is the same for the same set
 */
export const knownAllIn = (chamber: Chamber, things: readonly Thing[]): StiffLay | null =>
  knownLay(allIn, chamber, things, layAll);

/** Of a fit what a search asks: it has no use for where things lie. */
export type Closing = Pick<Fit, 'closes' | 'neededMl' | 'under'>;

/** Whether a set of things closes as `knownAllIn` lays it, null where not all that is stiff lies; found once. */
export const knownClosing = (chamber: Chamber, things: readonly Thing[]): Closing | null =>
  kept(closings, chamber, keyOf(things), () => {
    const lay = knownAllIn(chamber, things);
    if (!lay) return null;
    const { closes, neededMl, under } = fitIn(chamber, things, lay);
    return { closes, neededMl, under };
  });

/** How the stiff among some things lie: the costly part, and the same whatever is soft around them. */
function knownLay<Lay extends StiffLay | null>(
  all: WeakMap<Chamber, Map<string, Lay>>,
  chamber: Chamber,
  things: readonly Thing[],
  lay: (chamber: Chamber, stiff: readonly Thing[]) => Lay,
): Lay {
  const { placed } = split(things);
  return kept(all, chamber, keyOf(placed), () => lay(chamber, placed));
}

const keyOf = (things: readonly Thing[]): string => {
  let key = '';
  for (const thing of things) key += `${numberOf(thing)},`;
  return key;
};

/** Whether a thing finds room in it alone; found once for each form and size. */
export const knownAlone = (chamber: Chamber, thing: Thing): boolean =>
  kept(alone, chamber, String(numberOf(thing)), () => fitsAlone(chamber, thing));

function kept<Value>(
  all: WeakMap<Chamber, Map<string, Value>>,
  chamber: Chamber,
  key: string,
  find: () => Value,
): Value {
  let own = all.get(chamber);
  if (!own || own.size > MOST_KEPT) all.set(chamber, (own = new Map()));
  const known = own.get(key);
  if (known !== undefined) return known;
  const value = find();
  own.set(key, value);
  return value;
}
