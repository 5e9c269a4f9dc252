import type { Check, Finding } from './finding';

/** Cage mounts that a frame bag leaves without room for a bottle, or with room for a small one only. */
export const bottleSpace: Check = {
  id: 'bottle room',
  run({ bottles, plan }, format) {
    const frameBag = plan.bags.find(({ place }) => place === 'frame bag');
    if (!frameBag) return [];
    const cages = plan.bags.filter(({ place }) => place === 'bottle cage').length;
    return bottles.flatMap(({ mount, bottle }): Finding[] => {
      if (bottle && bottle.volumeMl >= 500) return [];
      return [
        {
          id: `bottle-room:${mount.place}`,
          check: 'bottle room',
          severity: cages > 0 && !bottle ? 'look' : 'note',
          stage: 'bike',
          subject: { kind: 'bag', id: frameBag.id },
          message: bottle
            ? `${frameBag.name} leaves room for ${format.volume(bottle.volumeMl)} at most on the ${mount.place}.`
            : `${frameBag.name} leaves no room for a bottle on the ${mount.place}.`,
          reason:
            'Keep one bottle that you can reach in the saddle: here, in a stem bag, or on the fork where its maker allows.',
          figures: [],
          fixes: [],
        },
      ];
    });
  },
};
