import { solidVolumeMl } from '@/core/geometry/solid';
import type { Check, Judgement } from './finding';

/** Makers measure filled with balls, rolled once or not at all; more than this apart, one of the two is wrong. */
const TOLERANCE = 0.25;

/** Litres printed by a maker that do not suit the inside measures. */
export const statedLitres: Check = {
  id: 'stated litres',
  stage: 'bike',
  judges: 'compartment',
  run({ spots }, format) {
    return spots.flatMap(({ id, name, compartment }): Judgement[] => {
      const { statedMl } = compartment;
      if (statedMl === null) return [];
      const byMeasuresMl = solidVolumeMl(compartment.solid);
      const ratio = byMeasuresMl / Math.max(1, statedMl);
      if (Math.abs(ratio - 1) <= TOLERANCE) return [];
      return [
        {
          severity: 'note',
          subject: id,
          message: `${name} has ${format.volume(statedMl)} printed, but its measures give ${format.volume(byMeasuresMl)}.`,
          reason:
            'The printed figure is used. Measure the inside again, packed round, or take the printed litres out if they were rolled differently.',
          figures: [
            { label: 'printed', value: statedMl, unit: 'ml' },
            { label: 'by its measures', value: byMeasuresMl, unit: 'ml' },
          ],
        },
      ];
    });
  },
};
