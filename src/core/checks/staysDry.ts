import { moveFix, roomFor } from '@/core/advice/fixes';
import { conditionsOf } from '@/core/facts/conditions';
import { staysDry } from '@/core/packing/rules';
import type { Fix } from '@/core/advice/fix';
import type { Check } from './finding';

/** Something that must stay dry lies in an open place, or in a shower-proof one with rain likely. */
export const mustStayDry: Check = {
  id: 'must stay dry',
  stage: 'load',
  judges: 'thing',
  readsWeather: true,
  run: (facts) =>
    facts.compartments.flatMap(({ spot, things }) =>
      things.flatMap((thing) => {
        const open = !staysDry(thing, spot);
        const { weather } = spot.compartment;
        const doubtful =
          weather === 'shower-proof' &&
          thing.dry === 'must' &&
          !thing.inDrySack &&
          conditionsOf(facts).rain === 'likely';
        if (!open && !doubtful) return [];
        const sack: Fix = {
          label: `Put ${thing.name} in a dry sack`,
          edit: { kind: 'decide things', changes: [{ id: thing.id, patch: { inDrySack: true } }] },
        };
        const drier = () => roomFor(facts, thing, (candidate) => candidate.compartment.weather === 'sealed');
        return {
          severity: open ? ('stop' as const) : ('check' as const),
          subject: thing.id,
          message: `${thing.name} must stay dry, and ${spot.name} is ${open ? 'open to rain' : 'only shower-proof'}.`,
          reason: open
            ? 'An open place wets what is in it in the first shower or ford.'
            : 'Rain is likely on this trip, and a shower-proof bag lets water in through zips and seams in hours of it.',
          fixes: () => [
            ...drier()
              .slice(0, 1)
              .map((place) => moveFix(thing, place)),
            sack,
          ],
        };
      }),
    ),
};
