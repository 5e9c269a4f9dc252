import type { RiderId } from '@/core/plan/riders';
import type { Facts } from './facts';

/** One rider's bike on the trip, and what it carries against a fair part of all that is carried. */
export interface RiderFacts {
  rider: RiderId;
  /** "You", or the fellow's name. */
  name: string;
  facts: Facts;
  carriedG: number;
  fairG: number;
}
