import type { Bag } from '@/core/bag/bag';
import { thingMassErrorG } from '@/core/kit/kinds/errors';
import { thingMassG, type Thing } from '@/core/kit/thing';
import type { Edit } from '@/core/plan/edit';
import { cutTo } from '@/core/units/text';
import { massErrorG } from '@/core/units/uncertainty';
import type { Weighed } from '@/core/weighing/weighedBag';

/** A packed bag as what is on the scale: the bag itself, and everything in it. */
export const partsOf = (bag: Bag, things: readonly Thing[]): (Weighed & { name: string })[] => [
  { id: bag.id, name: bag.name, massG: bag.massG, errorG: massErrorG(bag.massG, bag.massSource) },
  ...things.map((thing) => ({
    id: thing.id,
    name: thing.name,
    massG: thingMassG(thing),
    // Several of one kind are off by the same.
    errorG: thing.quantity * thingMassErrorG(thing),
  })),
];

/** Corrections smaller than this change nothing that anyone would notice. */
const LEAST_G = 1;

/**
 * Takes over what the reading of a packed bag says of the things in it, whole grams each; null where it says nothing new. The bag's
 * own mass is corrected with them.
 */
export function correctedMasses(
  bag: Bag,
  things: readonly Thing[],
  corrected: readonly Weighed[],
): Edit | null {
  const massOf = new Map(corrected.map(({ id, massG }) => [id, massG]));
  const changes = things.flatMap((thing) => {
    const dryG = massOf.get(thing.id)! - thing.waterMl * thing.quantity;
    const massG = Math.max(0, Math.round(dryG / thing.quantity));
    return Math.abs(massG - thing.massG) >= LEAST_G ? [{ id: thing.id, patch: { massG } }] : [];
  });
  const bagG = Math.round(massOf.get(bag.id)!);
  const isBagOff = Math.abs(bagG - bag.massG) >= LEAST_G;
  if (changes.length === 0 && !isBagOff) return null;
  return {
    kind: 'several',
    label: cutTo(`${bag.name} weighed`, 200),
    edits: [
      ...(changes.length > 0 ? [{ kind: 'change things' as const, changes }] : []),
      ...(isBagOff
        ? [{ kind: 'change bags' as const, changes: [{ id: bag.id, patch: { massG: bagG } }] }]
        : []),
    ],
  };
}
