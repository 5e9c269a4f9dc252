import { relieve } from '@/core/advice/fixes';
import { neededMl } from '@/core/packing/volume';
import type { Check } from './finding';

/** A compartment does not close: what is in it needs more room than it has, with the soft pressed hard. */
export const overVolume: Check = {
  id: 'over volume',
  changesOnTheWay: true,
  stage: 'load',
  judges: 'compartment',
  run: (facts, format) =>
    facts.compartments
      // Stiff things that find no place are told one by one.
      .filter(({ closes, fit }) => !closes && fit.noPlace.length === 0)
      .map(({ spot, things, neededMl: needed, neededErrorMl }) => {
        const over = needed - spot.capacityMl;
        return {
          severity: 'stop',
          subject: spot.id,
          message: `${spot.name} is ${format.volume(over)} over.`,
          reason:
            `What is in it needs ${format.volume(needed)} as it lies, with everything soft pressed hard, and it holds ` +
            `${format.volume(spot.capacityMl)}. The volumes are known to ±${format.volume(neededErrorMl)}.`,
          figures: [
            { label: 'needed', value: needed, unit: 'ml' },
            { label: 'holds', value: spot.capacityMl, unit: 'ml' },
            { label: 'over', value: over, unit: 'ml' },
          ],
          fixes: () => [
            ...relieve(facts, things, over, neededMl),
            { label: 'Load for me', action: 'load for me' },
          ],
        };
      }),
};
