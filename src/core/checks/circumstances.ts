import { CAUTIONS } from '@/core/trip/circumstances';
import type { Check, Judgement } from './finding';

/** The usual cautions of what the rider said of the trip, each where it matters; and fuel that would not fly. */
export const circumstances: Check = {
  id: 'circumstances',
  stage: 'trip',
  judges: 'trip',
  run({ plan, home }): Judgement[] {
    const said = plan.trip.circumstances.map((each): Judgement => {
      const { stage, message, reason } = CAUTIONS[each];
      return { about: each, stage, severity: 'note', message, reason };
    });
    if (plan.trip.circumstances.includes('plane')) {
      const left = new Set(home);
      for (const thing of plan.things)
        if (!left.has(thing) && thing.traits.some((trait) => trait === 'fuel' || trait === 'liquid fuel'))
          said.push({
            about: `fuel ${thing.id}`,
            stage: 'kit',
            severity: 'check',
            message: `${thing.name} cannot go on the plane.`,
            reason:
              'Carriers refuse gas and fuel. Leave it at home and buy it where you arrive, or eat without a stove.',
            fixes: () => [
              {
                label: `Leave ${thing.name} at home`,
                edit: { kind: 'place', moves: [{ thingId: thing.id, to: 'home' }] },
              },
            ],
          });
    }
    return said;
  },
};
