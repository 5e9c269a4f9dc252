import { factsOf, type Facts, type Handling } from './facts';

/**
 * How the loaded bike handles when every bottle, bladder and flask has only so much of its water left. What is packed round
 * them stays where it lies.
 *
 * @param fill 0 for empty, 1 as at the start
 * @returns null without a bike
 * @throws RangeError outside 0 to 1
 * @example handlingAtFill(facts, 0).centre.massG // the start's mass less all water
 */
export function handlingAtFill({ plan }: Facts, fill: number): Handling | null {
  if (!(fill >= 0 && fill <= 1)) throw new RangeError(`A fill is from 0 to 1, not ${fill}.`);
  const things = plan.things.map((thing) =>
    thing.waterMl > 0 ? { ...thing, waterMl: thing.waterMl * fill } : thing,
  );
  return factsOf({ ...plan, things }).handling;
}
