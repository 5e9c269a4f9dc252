import type { Check, Finding } from './finding';
import { listed } from './finding';

/** Things strapped on outside without a tether: a strap that lets go drops them into a wheel. */
export const outsideUntied: Check = {
  id: 'outside',
  run(facts) {
    return facts.compartments.flatMap(({ spot, things }): Finding[] => {
      if (spot.compartment.outside !== 'no tether' || things.length === 0) return [];
      const bag = spot.bag;
      const compartments = bag.compartments.map((compartment) =>
        compartment.id === spot.id ? { ...compartment, outside: 'tethered' as const } : compartment,
      );
      return [
        {
          id: `untied:${spot.id}`,
          check: 'outside',
          severity: 'look',
          stage: 'load',
          subject: { kind: 'compartment', id: spot.id },
          message: `${listed(things.map(({ name }) => name))} on ${spot.name} without a tether.`,
          reason: 'What comes loose falls into a wheel or is lost. Tie it to the bike with a cord as well.',
          figures: [],
          fixes: [
            {
              label: 'Tie it on with a tether',
              edit: { kind: 'put bags', bags: [{ ...bag, compartments }] },
            },
          ],
        },
      ];
    });
  },
};
