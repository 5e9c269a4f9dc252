import type { Entry } from '@/core/entries/entry';
import type { Plan } from '@/core/plan/plan';

/** A trip that was ridden: its plan as it set out, and what was recorded since. */
export interface Ridden {
  tripId: string;
  name: string;
  plan: Plan;
  entries: readonly Entry[];
}
