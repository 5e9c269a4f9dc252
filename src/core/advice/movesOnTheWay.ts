import { factsOf, type Facts } from '@/core/facts/facts';
import { plannedOf } from '@/core/facts/food';
import type { Moment } from '@/core/facts/moment';
import { momentsOf } from '@/core/facts/moments';
import { purposesOf } from '@/core/needs/purposes';
import { planOf } from '@/core/plan/riders';

/** One thing to move, with the reason. */
export interface StopMove {
  /** The same for the same move of the same trip. */
  id: string;
  words: string;
  why: string;
  /** What it costs the rider: from hand to hand, or a bag opened at camp (methods, section 17). */
  cost: number;
}

export interface StopMoves {
  moment: Moment;
  moves: StopMove[];
}

const HAND_TO_HAND = 0.5;
const OPENED_AT_CAMP = 1.5;

/**
 * What to move each morning, and why: the day's food for riding into bags within reach, where it is not there already, and the shelter, packed
 * wet, away from what must stay dry. Told, not made: each thing keeps the bag that the load plans for it.
 *
 * @param start facts of setting out
 */
export function movesOnTheWay(start: Facts): StopMoves[] {
  return momentsOf(start).flatMap((moment): StopMoves[] => {
    const moves =
      moment.kind === 'morning' || moment.kind === 'setting out'
        ? [...dayBag(start, moment), ...wetShelter(start, moment)]
        : [];
    return moves.length > 0 ? [{ moment, moves }] : [];
  });
}

/** The day's food for riding, from where it is stored to the bag within reach that has the most room for it. */
function dayBag(start: Facts, moment: Moment): StopMove[] {
  const facts = moment.kind === 'setting out' ? start : factsOf(planOf(start.plan, null), moment);
  const room = new Map(
    facts.compartments
      .filter(({ spot, fit }) => spot.compartment.reach === 'in the saddle' && fit.closes)
      .map(({ spot, neededMl }) => [spot, spot.capacityMl - neededMl] as const),
  );
  return plannedOf(start.plan).flatMap(({ entry, thing, portion, index }): StopMove[] => {
    if (entry.day !== moment.day || entry.slot !== 'riding') return [];
    const at = facts.compartmentOf.get(thing.id);
    const from = at === undefined ? null : facts.byCompartment.get(at)!.spot;
    if (!from || from.compartment.reach === 'in the saddle') return [];
    const neededMl = entry.portions * portion.volumeMl;
    const [best] = [...room].filter(([, free]) => free >= neededMl).sort((a, b) => b[1] - a[1]);
    const what = `${entry.portions > 1 ? `${entry.portions} portions of ` : ''}${thing.name}`;
    if (!best)
      return [
        {
          id: `${moment.id} food ${index}`,
          words: `Take ${what} into a pocket`,
          why: `It is for riding today, and no bag within reach has room for it.`,
          cost: OPENED_AT_CAMP,
        },
      ];
    room.set(best[0], best[1] - neededMl);
    return [
      {
        id: `${moment.id} food ${index}`,
        words: `Move ${what} from ${from.name} to ${best[0].name}`,
        why: 'It is for riding today, and belongs within reach.',
        cost: from.compartment.reach === 'at camp' ? OPENED_AT_CAMP : HAND_TO_HAND,
      },
    ];
  });
}

/** A shelter packed wet shares no bag with what must stay dry and has no dry sack. */
function wetShelter(start: Facts, moment: Moment): StopMove[] {
  if (!moment.isShelterWet) return [];
  const shelter = start.plan.things.find(
    (thing) => thing.traits.includes('wet') && purposesOf(thing).includes('shelter'),
  );
  const at = shelter && start.compartmentOf.get(shelter.id);
  if (!shelter || at === undefined) return [];
  const { things, spot } = start.byCompartment.get(at)!;
  const dry = things.filter(({ dry, inDrySack }) => dry === 'must' && !inDrySack);
  if (dry.length === 0) return [];
  return [
    {
      id: `${moment.id} wet`,
      words: `Put ${shelter.name} into a bag of its own in ${spot.name}, or strap it outside`,
      why: `It is packed wet, and ${dry[0]!.name}${dry.length > 1 ? ` and ${dry.length - 1} more` : ''} beside it must stay dry.`,
      cost: OPENED_AT_CAMP,
    },
  ];
}
