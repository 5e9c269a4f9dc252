import { bagAtPlace, type Bag } from '@/core/bag/bag';
import type { FrameBagCut, FrameBagWish } from '@/core/bag/frameBag';
import type { Edit } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';

/**
 * Makes a frame bag what was cut from the main triangle: one on the bike, or a new one.
 *
 * @param onto the bag to be cut to it; null adds a bag
 * @param makeId hands out fresh ids
 * @returns the edit, and the id of the bag it is about
 */
export function fitFrameBag(
  plan: Plan,
  { solid }: Pick<FrameBagCut, 'solid'>,
  wish: Pick<FrameBagWish, 'half'>,
  onto: Bag | null,
  makeId: () => string,
): { edit: Edit; bagId: string } {
  const base = onto ?? bagAtPlace('frame bag', plan.bags, makeId);
  const [main, ...others] = base.compartments;
  const compartments = [
    { ...main!, solid, statedMl: null },
    // Pockets are as long and deep as the bag they are sewn in.
    ...others.map((pocket) =>
      pocket.solid.kind === 'polygon'
        ? { ...pocket, solid: { ...pocket.solid, corners: solid.corners }, statedMl: null }
        : pocket,
    ),
  ];
  const edit: Edit = onto
    ? { kind: 'change bags', changes: [{ id: onto.id, patch: { alongMm: 0, compartments } }] }
    : {
        kind: 'put bags',
        bags: [{ ...base, name: wish.half ? 'Half frame bag' : 'Full frame bag', alongMm: 0, compartments }],
      };
  return { edit, bagId: base.id };
}
