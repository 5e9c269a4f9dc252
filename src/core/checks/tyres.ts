import { noPressure } from '@/core/bike/tyrePressure';
import { tyrePressures } from '@/core/facts/tyrePlan';
import type { Check, Judgement } from './finding';

/** A wheel whose load asks for more than tyre or rim allow, or a tyre and rim that no pressure suits. */
export const tyreLimits: Check = {
  id: 'tyre limits',
  stage: 'bike',
  judges: 'bike',
  run(facts, format) {
    if (!facts.plan.bike) return [];
    const none = noPressure(facts.plan.bike.build);
    if (none)
      return [
        {
          severity: 'stop',
          message: `The tyre needs at least ${format.pressure(none.leastKpa)}, but the ${none.part} allows at most ${format.pressure(none.mostKpa)}: no pressure suits both.`,
          reason:
            'Read both figures on the tyre and the rim again. If they are right, this tyre must not be ridden on this rim; ask a bike shop.',
        },
      ];
    return tyrePressures(facts).flatMap(({ wheel, loaded, loadG }): Judgement[] => {
      if (loaded.boundedBy !== 'tyre most' && loaded.boundedBy !== 'rim most') return [];
      const part = loaded.boundedBy === 'rim most' ? 'rim' : 'tyre';
      return [
        {
          about: wheel,
          severity: 'check',
          message: `The ${wheel} tyre carries ${format.mass(loadG)}, which asks for ${format.pressure(loaded.curveKpa)}; the ${part} allows ${format.pressure(loaded.kpa)}.`,
          reason:
            'Stay inside what is printed on tyre and rim. A wider tyre carries the same load at less pressure; or take load off this wheel.',
          figures: [{ label: 'load', value: loadG, unit: 'g' }],
        },
      ];
    });
  },
};
