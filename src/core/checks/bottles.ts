import type { Check, Judgement } from './finding';

/** Cage mounts that a frame bag leaves without room for a bottle, or with room for a small one only. */
export const bottleSpace: Check = {
  id: 'bottle room',
  stage: 'bike',
  judges: 'bag',
  run({ bottles, plan }, format) {
    const frameBag = plan.bags.find(({ place }) => place === 'frame bag');
    if (!frameBag) return [];
    const cages = plan.bags.filter(({ place }) => place === 'bottle cage').length;
    return bottles.flatMap(({ mount, bottle }): Judgement[] => {
      if (bottle && bottle.volumeMl >= 500) return [];
      return [
        {
          about: mount.place,
          severity: cages > 0 && !bottle ? 'check' : 'note',
          subject: frameBag.id,
          message: bottle
            ? `${frameBag.name} leaves room for ${format.volume(bottle.volumeMl)} at most on the ${mount.place}.`
            : `${frameBag.name} leaves no room for a bottle on the ${mount.place}.`,
          reason:
            'Keep one bottle that you can reach in the saddle: here, in a stem bag, or on the fork where its maker allows.',
        },
      ];
    });
  },
};
