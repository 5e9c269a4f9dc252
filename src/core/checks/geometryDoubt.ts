import { readingDoubts } from '@/core/bike/balance';
import { doubtsOf } from '@/core/bike/doubts';
import type { Check, Judgement } from './finding';

/** The bike's figures, or its wheel readings, cannot all be right together. */
export const geometryDoubt: Check = {
  id: 'geometry',
  stage: 'bike',
  judges: 'bike',
  run({ plan }) {
    const { bike } = plan;
    if (!bike) return [];
    const finding = (about: string, message: string, reason: string): Judgement => ({
      about,
      severity: 'check',
      message,
      reason,
    });
    return [
      ...doubtsOf(bike).map(({ field, message }, i) =>
        finding(
          `${field} ${i}`,
          message,
          'The drawing, the clearances and the balance rest on these figures.',
        ),
      ),
      ...readingDoubts(bike, plan.rider.massG).map((message, i) =>
        finding(`reading ${i}`, message, 'The balance rests on these readings.'),
      ),
    ];
  },
};
