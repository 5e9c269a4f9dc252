import { enoughOf } from '@/core/enough/enough';
import { factsOf } from '@/core/facts/facts';
import type { Thing } from '@/core/kit/thing';
import { regrets } from '@/core/needs/met';
import { LEAVE_POINTS } from '@/core/packing/costs';
import type { Plan } from '@/core/plan/plan';
import { planOf } from '@/core/plan/riders';

/** Regret adds at most half of a step, so that what the rider called a must always costs more to leave than what should come. */
const MOST_MORE = 0.5;
/** Half of it at a regret that means a bad night. */
const HALF_AT = 3;

/**
 * What leaving each thing costs in the objective: a step by how much the rider wants it, and within the step the more the more it would be
 * regretted (methods, section 15). Where most of the kit has no known purpose, the step alone.
 *
 * @example a thing that is nice to have, and alone meets a need of regret 3: 60 · 1.25 = 75 points
 */
export function leavePoints(plan: Plan): (thing: Thing) => number {
  const { needs, taken, isJudged } = enoughOf(factsOf(planOf(plan, null)));
  const known = new Map(
    isJudged ? regrets(needs, taken).map(({ thing, regret }) => [thing.id, regret] as const) : [],
  );
  return ({ id, need }) => LEAVE_POINTS[need] * regretFactor(known.get(id) ?? 0);
}

/** @example regretFactor(0) // 1; regretFactor(3) // 1.25; never reaches 1.5 */
export const regretFactor = (regret: number): number => 1 + (MOST_MORE * regret) / (regret + HALF_AT);
