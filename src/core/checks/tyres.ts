import { tyrePressures } from '@/core/bike/tyrePlan';
import type { Check, Finding } from './finding';

/** A wheel whose load asks for more than tyre or rim allow. */
export const tyreLimits: Check = {
  id: 'tyre limits',
  run(facts, format) {
    if (!facts.plan.bike) return [];
    return tyrePressures(facts).flatMap(({ wheel, loaded, loadG }): Finding[] => {
      if (loaded.boundedBy !== 'tyre most' && loaded.boundedBy !== 'rim most') return [];
      const part = loaded.boundedBy === 'rim most' ? 'rim' : 'tyre';
      return [
        {
          id: `tyre:${wheel}`,
          check: 'tyre limits',
          severity: 'look',
          stage: 'bike',
          subject: null,
          message: `The ${wheel} tyre carries ${format.mass(loadG)}, which asks for ${format.pressure(loaded.curveKpa)}; the ${part} allows ${format.pressure(loaded.kpa)}.`,
          reason:
            'Stay inside what is printed on tyre and rim. A wider tyre carries the same load at less pressure; or take load off this wheel.',
          figures: [{ label: 'load', value: loadG, unit: 'g' }],
          fixes: [],
        },
      ];
    });
  },
};
