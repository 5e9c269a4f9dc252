import { tyrePressures } from '@/core/facts/tyrePlan';
import type { Facts } from '@/core/facts/facts';
import type { Thing } from '@/core/kit/thing';
import type { Formatter } from '@/core/units/format';
import { packingOrder } from './order';
import { packSteps } from './steps';

/** What is on the packing card: one page to be read at arm's length, without a phone. */
export interface PackingCard {
  title: string;
  bags: {
    letter: string;
    name: string;
    /** "1.42 kg of 5.0 kg". */
    mass: string;
    /** In the order in which they go in. */
    things: string[];
  }[];
  worn: string[];
  facts: { label: string; value: string }[];
  cautions: string[];
}

const CAUTIONS = [
  "Makers' limits of bags, racks, tyres and rims come first.",
  'Check straps, bolts and brakes each morning. Tell someone where you ride and when you are back.',
];

const called = ({ name, quantity }: Thing): string => (quantity === 1 ? name : `${quantity} × ${name}`);

/**
 * The load as a packing card: bag by bag in the order of packing, what each carries of its limit, where first aid and repair are, and
 * tyre pressures to start from.
 *
 * @example packingCard(evaluate(plan), format).facts[0] // { label: 'First aid', value: 'Top tube bag' }
 */
export function packingCard(facts: Facts, format: Formatter): PackingCard {
  const { plan, compartments, byCompartment, byBag, holders } = facts;
  const where = (wanted: (thing: Thing) => boolean): string[] => [
    ...new Set(
      compartments.flatMap(({ spot, things }) =>
        things.some(wanted) ? [`${spot.letter} ${spot.name}`.trim()] : [],
      ),
    ),
  ];
  const fact = (label: string, values: string[], none: string) => ({
    label,
    value: values.length > 0 ? values.join(', ') : none,
  });
  return {
    title: plan.trip.name,
    bags: packSteps(facts).map(({ compartmentId, letter, name }) => {
      const compartment = byCompartment.get(compartmentId)!;
      const { bag } = compartment.spot;
      const { limitG, limitAssumed } = byBag.get(bag.id)!;
      const order = packingOrder(compartment, holders);
      return {
        letter,
        name,
        mass: `${format.mass(compartment.massG)}; ${bag.compartments.length > 1 ? 'the whole bag ' : ''}at most ${limitAssumed ? 'about ' : ''}${format.mass(limitG)}`,
        things: [...new Set(order.map(({ thing }) => thing))].map((thing) => {
          const inside = order.find((packed) => packed.thing === thing)!.contents;
          return inside.length > 0
            ? `${called(thing)} (in it: ${inside.map(called).join(', ')})`
            : called(thing);
        }),
      };
    }),
    worn: plan.things.filter(({ carry }) => carry === 'worn').map(called),
    facts: [
      fact(
        'First aid',
        where(({ system }) => system === 'first aid'),
        'not packed',
      ),
      fact(
        'Repair',
        where(({ provides }) => provides.includes('repair')),
        'not packed',
      ),
      ...tyrePressures(facts).map(({ wheel, loaded }) => ({
        label: `Tyre, ${wheel}`,
        value: `${format.pressure(loaded.kpa)} to start from`,
      })),
    ],
    cautions: CAUTIONS,
  };
}
