import type { Ride } from '@/core/facts/ride';

/** The step of the line that is nearest to a point along it. */
export const indexAt = ({ line }: Ride, alongM: number): number =>
  Math.max(0, Math.min(line.height.length - 1, Math.round(alongM / line.stepM)));
