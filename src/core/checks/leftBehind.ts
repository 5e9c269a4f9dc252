import type { Check } from './finding';

/** Something the trip needs was left at home on purpose. */
export const leftBehind: Check = {
  id: 'left at home',
  run: (facts) =>
    facts.home
      .filter((thing) => thing.need === 'must')
      .map((thing) => ({
        id: `left-behind:${thing.id}`,
        check: 'left at home',
        severity: 'look',
        stage: 'load',
        subject: { kind: 'thing', id: thing.id },
        message: `Left at home, though this trip must have it: ${thing.name}.`,
        reason: 'Either it is not a must on this trip, or it should come.',
        figures: [],
        fixes: [
          {
            label: `Bring ${thing.name} after all`,
            edit: { kind: 'place', moves: [{ thingId: thing.id, to: 'floor' }] },
          },
        ],
      })),
};
