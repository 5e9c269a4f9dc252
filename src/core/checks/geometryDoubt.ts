import { readingDoubts } from '@/core/bike/balance';
import { doubtsOf } from '@/core/bike/doubts';
import type { Check, Finding } from './finding';

/** The bike's figures, or its wheel readings, cannot all be right together. */
export const geometryDoubt: Check = {
  id: 'geometry',
  run({ plan }) {
    const { bike } = plan;
    if (!bike) return [];
    const finding = (id: string, message: string, reason: string): Finding => ({
      id,
      check: 'geometry',
      severity: 'look',
      stage: 'bike',
      subject: null,
      message,
      reason,
      figures: [],
      fixes: [],
    });
    return [
      ...doubtsOf(bike).map(({ field, message }, i) =>
        finding(
          `geometry:${field}:${i}`,
          message,
          'The drawing, the clearances and the balance rest on these figures.',
        ),
      ),
      ...readingDoubts(bike, plan.rider.massG).map((message, i) =>
        finding(`readings:${i}`, message, 'The balance rests on these readings.'),
      ),
    ];
  },
};
