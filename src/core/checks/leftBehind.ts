import type { Check } from './finding';

/** Something the trip needs was left at home on purpose. */
export const leftBehind: Check = {
  id: 'left at home',
  stage: 'load',
  judges: 'thing',
  run: (facts) =>
    facts.home
      .filter((thing) => thing.need === 'must')
      .map((thing) => ({
        severity: 'check',
        subject: thing.id,
        message: `Left at home, though this trip must have it: ${thing.name}.`,
        reason: 'Either it is not a must on this trip, or it should come.',
        fixes: () => [
          {
            label: `Bring ${thing.name} after all`,
            edit: { kind: 'place', moves: [{ thingId: thing.id, to: 'floor' }] },
          },
        ],
      })),
};
