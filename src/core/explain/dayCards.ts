import { movesOnTheWay } from '@/core/advice/movesOnTheWay';
import { enoughOf } from '@/core/enough/enough';
import { conditionsOf } from '@/core/facts/conditions';
import type { Facts } from '@/core/facts/facts';
import { menuOf } from '@/core/facts/food';
import { rideOf } from '@/core/facts/ride';
import { waterPlan } from '@/core/facts/water';
import { SLOT_WORDS, SLOTS } from '@/core/food/pantry';
import { clock, type Formatter } from '@/core/units/format';

/**
 * A card for each day, for the bar bag: places with their hours, where to fill how much, what to eat, when it gets dark, and what to move in the
 * morning. One line each; a line that begins with "# " is a heading.
 *
 * @returns no lines where the trip has no route
 * @example dayCards(facts, format)[0] // '# Day 1, 2027-04-16'
 */
export function dayCards(facts: Facts, format: Formatter): string[] {
  const ride = rideOf(facts);
  if (!ride) return [];
  const water = waterPlan(ride, conditionsOf(facts), enoughOf(facts).taken);
  const leaveWith = new Map(
    water?.outcome.ok
      ? water.outcome.plan.fills.map(({ at, leavesWithL }) => [water.legs[at]!.source?.place.id, leavesWithL])
      : [],
  );
  const menu = menuOf(facts).days;
  const moves = movesOnTheWay(facts);
  const litres = (l: number) => format.volume(1000 * l);
  return ride.days.flatMap((day): string[] => {
    const { sunsetMin, duskMin } = day;
    const atStart = day.day === 1 ? leaveWith.get(undefined) : undefined;
    const places = ride.places
      .filter((each) => each.day === day.day)
      .map(({ place, alongM, offM, passMin }) => {
        const fill = leaveWith.get(place.id);
        const notes = [
          ...(offM >= 100 ? [`${format.distance(offM)} off the route`] : []),
          ...(place.kind === 'water' && place.water === 'doubtful' ? ['may be dry'] : []),
          ...(fill === undefined ? [] : [`leave with ${litres(fill)}`]),
        ];
        return `${clock(passMin)}  ${format.distance(alongM - day.fromM)}  ${[`${place.name}, ${place.kind}`, ...notes].join('; ')}`;
      });
    const meals = SLOTS.flatMap((slot) => {
      const own = (menu[day.day - 1]?.planned ?? []).filter(({ entry }) => entry.slot === slot);
      const words = own.map(
        ({ entry, thing }) => `${entry.portions > 1 ? `${entry.portions} × ` : ''}${thing.name}`,
      );
      return own.length === 0 ? [] : [`${SLOT_WORDS[slot]}: ${words.join(', ')}`];
    });
    return [
      `# Day ${day.day}${day.date === null ? '' : `, ${day.date}`}`,
      `${format.distance(day.toM - day.fromM)}, ${format.height(day.climbM)} up. Set out about ${clock(day.startMin)}, arrive about ${clock(day.arrivalMin)}${day.sleepsAt ? ` at ${day.sleepsAt.name}` : ''}.`,
      ...(sunsetMin === null
        ? []
        : [`Sunset ${clock(sunsetMin)}${duskMin === null ? '' : `, dark by ${clock(duskMin)}`}.`]),
      ...(atStart === undefined ? [] : [`Set out with ${litres(atStart)} of water.`]),
      ...places,
      ...meals,
      ...moves
        .filter(({ moment }) => moment.day === day.day)
        .flatMap((stop) => stop.moves.map(({ words }) => `To move: ${words}`)),
    ];
  });
}
