import type { Thing } from '@/core/kit/thing';
import { leaveFix, moveFix, roomFor } from '@/core/advice/fixes';
import { neededMl } from '@/core/packing/volume';
import { listed, type Check } from './finding';
import type { Fix } from '@/core/advice/fix';

/** Things still on the floor: not packed, and not left at home on purpose. */
export const unloaded: Check = {
  id: 'on the floor',
  stage: 'load',
  judges: 'trip',
  run(facts, format) {
    const { floor } = facts;
    if (floor.length === 0 || facts.spots.length === 0) return [];
    const massG = facts.totals.floorG;
    const volumeMl = floor.reduce((sum, thing) => sum + neededMl(thing), 0);
    const needed = floor.filter((thing) => thing.need === 'must');
    const ways = (): Fix[] =>
      floor.length <= 3 ? floor.flatMap(fixesFor) : [{ label: 'Load for me', action: 'load for me' }];
    function fixesFor(thing: Thing): Fix[] {
      const spot = roomFor(facts, thing)[0];
      return spot ? [moveFix(thing, spot), leaveFix(thing)] : [leaveFix(thing)];
    }
    return [
      {
        severity: needed.length > 0 ? 'stop' : 'check',
        message:
          floor.length === 1
            ? `Still on the floor: ${floor[0]!.name}.`
            : `${floor.length} things are still on the floor: ${listed([...needed, ...floor.filter(({ need }) => need !== 'must')].map(({ name }) => name))}.`,
        reason: `Together ${format.mass(massG)} and ${format.volume(volumeMl)}. Pack them, or leave them at home on purpose.`,
        figures: [
          { label: 'things', value: floor.length, unit: 'pieces' },
          { label: 'mass', value: massG, unit: 'g' },
          { label: 'volume', value: volumeMl, unit: 'ml' },
        ],
        fixes: ways,
      },
    ];
  },
};
