import { MOST_ALONG_MM } from '@/core/bag/bag';
import type { Edit } from '@/core/plan/edit';

/**
 * Moves a bag along its place, no further than a bag can be moved.
 *
 * @example slideBag('seat', 900) // { kind: 'change bags', changes: [{ id: 'seat', patch: { alongMm: 600 } }] }
 */
export const slideBag = (id: string, alongMm: number): Edit => ({
  kind: 'change bags',
  changes: [{ id, patch: { alongMm: Math.max(-MOST_ALONG_MM, Math.min(MOST_ALONG_MM, alongMm)) } }],
});
