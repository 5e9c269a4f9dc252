import type { Bag, Place } from '@/core/bag/bag';
import type { CompartmentFacts, Facts } from '@/core/facts/facts';
import type { Thing } from '@/core/kit/thing';
import { packingOrder, type PackedThing } from './order';

/** One thing to do, as one sentence. */
export interface PackStep {
  /** Of this trip alone, and the same as long as the load is. */
  id: string;
  kind: 'prepare' | 'put in' | 'close';
  /** What goes in; null for what is done to the bag. */
  thingId: string | null;
  words: string;
}

/** How one compartment is packed. */
export interface BagSteps {
  compartmentId: string;
  letter: string;
  name: string;
  /** Why this bag comes where it does, or how it is used at camp; empty where there is nothing to say. */
  note: string;
  steps: PackStep[];
}

/**
 * Bags by place, in the order in which they are packed and hung: what others are strapped to first, what is opened on the way
 * last (domain, "How things go into bags").
 */
const ORDER: readonly Place[] = [
  'bar roll',
  'seat pack',
  'rear rack',
  'pannier',
  'fork bag',
  'frame bag',
  'down tube',
  'tool pouch',
  'bar bag',
  'top tube bag',
  'stem bag',
  'bottle cage',
  'strap outside',
  'body',
];

/**
 * How the load is packed: for each bag what goes in after what, how, and how the bag is closed. A bag in which nothing goes has no
 * steps. What is strapped outside comes after everything that goes inside of the same bag.
 *
 * @example packSteps(evaluate(plan))[0].steps.at(-1).words // 'Press the air out, roll the top down at least three times …'
 */
export function packSteps(facts: Pick<Facts, 'compartments' | 'holders'>): BagSteps[] {
  const filled = facts.compartments.filter(({ things }) => things.length > 0);
  const rank = ({ spot }: CompartmentFacts) =>
    ORDER.indexOf(spot.bag.place) + (spot.compartment.outside === 'no' ? 0 : 0.5);
  return [...filled]
    .sort((a, b) => rank(a) - rank(b))
    .map((compartment) => {
      const { spot } = compartment;
      const { bag } = spot;
      const order = packingOrder(compartment, facts.holders);
      const step = (
        kind: PackStep['kind'],
        words: string,
        thingId: string | null = null,
        n = 0,
      ): PackStep => ({
        id: `${spot.id} ${thingId ?? kind}${n > 0 ? ` ${n + 1}` : ''}`,
        kind,
        thingId,
        words,
      });
      return {
        compartmentId: spot.id,
        letter: spot.letter,
        name: spot.name,
        note: noteOn(bag, compartment.things),
        steps: [
          ...prepareWords(compartment).map((words) => step('prepare', words)),
          ...order.map((packed, i) => {
            const earlier = order.slice(0, i).filter(({ thing }) => thing === packed.thing).length;
            return step('put in', putInWords(order, i, compartment), packed.thing.id, earlier);
          }),
          step('close', closeWords(compartment)),
        ],
      };
    });
}

function noteOn(bag: Bag, things: readonly Thing[]): string {
  const isForCamp = things.every(
    ({ call, system }) => call === 'camp' && (system === 'sleep' || system === 'clothes'),
  );
  if (isForCamp && bag.attachment === 'straps') return 'Comes off the bike as one bag at camp.';
  if (bag.place === 'bar bag') return 'Strapped on once the roll behind it is full.';
  return '';
}

function prepareWords({ spot }: CompartmentFacts): string[] {
  if (spot.compartment.outside !== 'no') return [];
  if (spot.bag.opening === 'both ends')
    return ['Open both ends and fill from the middle: what you need first goes in last, at either mouth.'];
  return [];
}

/** What is said of a thing that goes where the one before it went. */
const AGAIN: Record<string, string> = {
  'to the bottom': 'beside it',
  'in the middle': 'next to it',
  'at the mouth': 'on top',
};

/** Where a thing comes to lie, in words. */
function whereWords(order: readonly PackedThing[], i: number, compartment: CompartmentFacts): string {
  const where = placeWords(order[i]!, i, compartment);
  const isAgain = i > 0 && placeWords(order[i - 1]!, i - 1, compartment) === where;
  return isAgain ? (AGAIN[where] ?? where) : where;
}

function placeWords({ lowMm, highMm, mouth }: PackedThing, i: number, compartment: CompartmentFacts): string {
  const { lengthMm } = compartment.spot.chamber;
  if (highMm - lowMm > 0.7 * lengthMm) return mouth ? 'along the whole roll' : 'along the whole length';
  if (mouth) {
    const isOuter = mouth === 'left' ? lowMm < 0.2 * lengthMm : highMm > 0.8 * lengthMm;
    return isOuter ? `at the ${mouth} mouth` : `in the middle, from the ${mouth}`;
  }
  if (i === 0 || lowMm < 0.15 * lengthMm) return 'to the bottom';
  if (highMm > 0.75 * compartment.fit.filledMm) return 'at the mouth';
  return 'in the middle';
}

const HOW: Record<Thing['packing'], string> = {
  stuffed: 'Stuff',
  rolled: 'Roll up',
  folded: 'Fold',
};

/** "Stuff Down quilt in its dry sack to the bottom." */
function putInWords(order: readonly PackedThing[], i: number, compartment: CompartmentFacts): string {
  const { thing, pieces, contents, isSoft, hasPlace } = order[i]!;
  const isOneStep = order.filter((other) => other.thing === thing).length === 1;
  const name =
    thing.quantity === 1
      ? thing.name
      : !isOneStep
        ? `${pieces} of ${thing.quantity} × ${thing.name}`
        : `${thing.quantity} × ${thing.name}`;
  if (!hasPlace) return `${name}: found no place here. Try it last, or move it to another bag.`;
  const { outside } = compartment.spot.compartment;
  if (outside !== 'no')
    return outside === 'tethered'
      ? `Strap ${name} on outside and clip its tether.`
      : `Strap ${name} on outside, and tie it to the bag as well: what slips out is gone, or in the wheel.`;
  const where = whereWords(order, i, compartment);
  const inside =
    contents.length > 0 ? `, with ${listed(contents.map((content) => content.name))} inside` : '';
  const sack = thing.inDrySack ? ' in its dry sack' : '';
  const verb = isSoft ? HOW[thing.packing] : thing.stiffener ? 'Lay' : 'Put';
  const care = careWords(thing, compartment);
  return `${verb} ${name}${sack} ${where}${inside}${care}.`;
}

/** What is to be taken care of while it goes in. */
function careWords(thing: Thing, { things }: CompartmentFacts): string {
  if (thing.stiffener) return ', where it keeps the bag in shape';
  if (/tube/.test(thing.kind ?? '') && thing.system === 'tools')
    return ', wrapped so that nothing rubs a hole in it';
  if (thing.traits.includes('fragile')) return ', with something soft on every side';
  if (thing.traits.includes('sharp')) return ', with the points covered';
  const isMetal = thing.system === 'cook' && thing.form.kind !== 'soft' && !thing.inDrySack;
  if (isMetal && things.some(({ form }) => form.kind === 'soft')) return ', with something soft around it';
  return '';
}

function closeWords({ spot, tightness }: CompartmentFacts): string {
  const { bag, compartment } = spot;
  if (compartment.outside !== 'no') return 'Pull the straps tight, tuck their ends away, and shake it.';
  // A zip's bag hangs on its straps for good; a roll gets shorter as it is filled.
  const straps =
    bag.attachment === 'straps' && bag.closure !== 'zip' && bag.closure !== 'drawcord'
      ? ' Pull the straps tight and tuck their ends away.'
      : '';
  switch (bag.closure) {
    case 'roll-top': {
      const ends = bag.opening === 'both ends' ? 'each end' : 'the top';
      const slack = tightness < 0.6 ? ' It is half empty: roll it further, so that it does not flap.' : '';
      return `Press the air out and roll ${ends} down at least three times, the fold facing down, and buckle it.${slack}${straps}`;
    }
    case 'zip':
      return `Press it flat and close the zip without force; what strains it now opens on the way.${straps}`;
    case 'drawcord':
      return `Pull the cord tight.${straps}`;
    case 'flap':
      return `Close the flap.${straps}`;
    case 'none':
      return bag.place === 'bottle cage'
        ? 'See that it sits firmly in the cage.'
        : `Shake it: nothing may come out.${straps}`;
  }
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
