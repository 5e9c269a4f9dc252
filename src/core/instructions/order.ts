import type { CompartmentFacts } from '@/core/facts/facts';
import type { Thing } from '@/core/kit/thing';

/** A thing on its way into a compartment, or some of several, with where it comes to lie: millimetres from the bottom. */
export interface PackedThing {
  thing: Thing;
  /** How many of it go in now; all of them, but for stiff ones that lie at different depths. */
  pieces: number;
  /** What is packed inside it. */
  contents: Thing[];
  lowMm: number;
  highMm: number;
  /** Of each piece by itself. */
  spansMm: [low: number, high: number][];
  isSoft: boolean;
  /** Which end of a double-ended roll it goes in by; null where there is one mouth. */
  mouth: 'left' | 'right' | null;
  /** False where it found no place: it goes in last, or not at all. */
  hasPlace: boolean;
}

/** Softer than this a layer is not: what is overfull has no room left for it. */
const LEAST_LAYER_MM = 0.5;

/**
 * The order in which things go into a compartment, from how they lie in it: the deepest first and what is at the mouth last; of
 * things that begin at the same depth the stiff first, so that the soft closes around it. A roll open at both ends is filled
 * from its middle to either mouth. Several stiff pieces of a thing go in together unless something lies between them.
 *
 * @param holders by thing the thing that it is packed inside of
 * @example packingOrder(compartment, new Map()).map(({ thing }) => thing.name) // ['Tent poles', 'Quilt', 'Rain jacket']
 */
export function packingOrder(
  { spot, things, fit }: CompartmentFacts,
  holders: ReadonlyMap<string, string>,
): PackedThing[] {
  const { lengthMm } = spot.chamber;
  const isDouble = spot.bag.opening === 'both ends';
  const outer = things.filter(({ id }) => !holders.has(id));
  const byId = new Map(outer.map((thing) => [thing.id, thing]));
  const part = (
    id: string,
    lowMm: number,
    highMm: number,
    isSoft: boolean,
    hasPlace = true,
  ): PackedThing[] => {
    const thing = byId.get(id);
    if (!thing) return [];
    return [
      {
        thing,
        pieces: isSoft || !hasPlace ? thing.quantity : 1,
        contents: things.filter((content) => holders.get(content.id) === id),
        lowMm,
        highMm,
        spansMm: hasPlace ? [[lowMm, highMm]] : [],
        isSoft,
        mouth: isDouble ? (lowMm + highMm < lengthMm ? 'left' : 'right') : null,
        hasPlace,
      },
    ];
  };
  const parts = [
    ...fit.layers.flatMap(({ thingId, fromMm, toMm }) =>
      part(thingId, fromMm, toMm, true, toMm - fromMm >= LEAST_LAYER_MM),
    ),
    ...fit.lying.flatMap(({ piece, u0, u1 }) => part(piece.thingId, u0, u1, false)),
  ];
  const laid = new Set(parts.map(({ thing }) => thing.id));
  for (const thing of outer)
    if (!laid.has(thing.id))
      parts.push(...part(thing.id, lengthMm, lengthMm, thing.form.kind === 'soft', false));

  /** How far from where it goes in it begins to lie; the farthest goes in first. */
  const depth = ({ lowMm, highMm, mouth }: PackedThing): number =>
    mouth === 'left' ? highMm : lengthMm - lowMm;
  // As they lie, the last is at the bottom: it decides where nothing else does.
  const fromMouth = new Map(things.map(({ id }, i) => [id, i]));
  parts.sort(
    (a, b) =>
      Number(b.hasPlace) - Number(a.hasPlace) ||
      depth(b) - depth(a) ||
      Number(a.isSoft) - Number(b.isSoft) ||
      fromMouth.get(b.thing.id)! - fromMouth.get(a.thing.id)!,
  );
  const order: PackedThing[] = [];
  for (const next of parts) {
    const last = order.at(-1);
    if (last?.thing === next.thing && last.mouth === next.mouth) {
      last.pieces += next.pieces;
      last.spansMm.push(...next.spansMm);
      last.lowMm = Math.min(last.lowMm, next.lowMm);
      last.highMm = Math.max(last.highMm, next.highMm);
    } else order.push(next);
  }
  return order;
}
