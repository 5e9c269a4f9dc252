import { checkGeometry } from '@/core/bike/sideView';
import type { Check } from './finding';

/** The bike's figures cannot all be right together. */
export const geometryDoubt: Check = {
  id: 'geometry',
  run(facts) {
    if (!facts.plan.bike) return [];
    const checked = checkGeometry(facts.plan.bike.geometry);
    if (checked.ok) return [];
    return [
      {
        id: 'geometry',
        check: 'geometry',
        severity: 'look',
        stage: 'bike',
        subject: null,
        message: checked.error,
        reason: 'The drawing and the balance rest on these figures.',
        figures: [],
        fixes: [],
      },
    ];
  },
};
