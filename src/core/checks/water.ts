import { enoughOf } from '@/core/enough/enough';
import { conditionsOf } from '@/core/facts/conditions';
import { rideOf } from '@/core/facts/ride';
import { capacityL, RESERVE_L, waterLegs } from '@/core/facts/water';
import { purposesOf } from '@/core/needs/purposes';
import type { Check, Judgement } from './finding';

/** A stretch between sources that the vessels cannot bridge. */
export const bridgesDryStretch: Check = {
  id: 'dry stretch',
  stage: 'provisions',
  judges: 'trip',
  readsWeather: true,
  run(facts, format): Judgement[] {
    const ride = rideOf(facts);
    if (!ride?.places.some(({ place }) => place.kind === 'water')) return [];
    const { taken } = enoughOf(facts);
    const has = capacityL(taken);
    // Without any vessel that is known, another check speaks.
    if (has === 0) return [];
    const legs = waterLegs(ride, conditionsOf(facts));
    const worst = legs.reduce((a, b) => (b.demandL > a.demandL ? b : a));
    const missingL = worst.demandL + RESERVE_L - has;
    if (missingL <= 0.05) return [];
    const more = facts.home.filter((thing) => purposesOf(thing).includes('hold water'));
    return [
      {
        system: 'water',
        severity: 'stop',
        message: `From ${worst.source?.place.name ?? 'the start'} you need ${format.volume(1000 * (worst.demandL + RESERVE_L))} of water, and your vessels hold ${format.volume(1000 * has)}.`,
        reason: `It is ${format.distance(worst.toM - worst.fromM)} to the next water that can be relied on, with ${format.volume(1000 * RESERVE_L)} in reserve. Take one more vessel, start earlier in the cool, or ask about a source on the way. Never count on one that may be dry.`,
        fixes: () =>
          more.slice(0, 2).map((thing) => ({
            label: `Take ${thing.name}`,
            edit: { kind: 'place', moves: [{ thingId: thing.id, to: 'floor' }] },
          })),
      },
    ];
  },
};
