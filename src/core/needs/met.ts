import type { Thing } from '@/core/kit/thing';
import { purposesOf } from './purposes';
import { HARM, NEEDS_TABLE, type NeedRule, type NeedSituation } from './table';

/** A need of this trip, and the things that meet it. */
export interface NeedMet {
  rule: NeedRule;
  /** Stable for the same need. */
  id: string;
  things: readonly Thing[];
  /** How many of these things are wanted: one for each rider, or one. */
  wanted: number;
  isMissing: boolean;
  /** Met by one thing that may fail, where a second is wise. */
  isSingle: boolean;
  /** The rider said that this trip does not need it. */
  isDismissed: boolean;
}

/** The purpose names a need; where two rules share it, only one of them applies at a time. */
export const needId = ({ purposes }: NeedRule): string => purposes.join(' or ');

/** Importance ranks: what is missing is told in this order. */
const RANK = { must: 0, should: 1, nice: 2 } as const;

/**
 * Which needs the trip has, and what of the things taken meets each, the most important first.
 *
 * @example needsMet(situation, []).every(({ isMissing }) => isMissing) // true
 */
export function needsMet(situation: NeedSituation, taken: readonly Thing[]): NeedMet[] {
  const dismissed = new Set(situation.trip.dismissed);
  return NEEDS_TABLE.filter((rule) => rule.when?.(situation) ?? true)
    .map((rule): NeedMet => {
      const things = taken.filter((thing) =>
        purposesOf(thing).some((purpose) => rule.purposes.includes(purpose)),
      );
      const wanted = rule.each ? situation.people : 1;
      const count = things.reduce((sum, { quantity }) => sum + quantity, 0);
      const id = needId(rule);
      return {
        rule,
        id,
        things,
        wanted,
        isMissing: things.length === 0,
        isSingle: rule.spare !== undefined && count === 1,
        isDismissed: dismissed.has(id),
      };
    })
    .sort((a, b) => RANK[a.rule.importance] - RANK[b.rule.importance]);
}

/** How much one would regret to leave a thing, and why. */
export interface Regret {
  thing: Thing;
  /** Sum over the needs that nothing else taken would then meet: chance times harm (methods, section 15). */
  regret: number;
  /** Those needs. */
  only: readonly NeedRule[];
  /** Other things that would do its jobs. */
  others: readonly Thing[];
  isDangerous: boolean;
}

/**
 * The regret of leaving each thing, the least first.
 *
 * @param chanceOf how likely a need is called for; learned from the rider's trips, by default as the rule says
 * @example chance 0.30 of a need whose harm is 10, met by this thing alone: regret 3.0
 */
export function regrets(
  needs: readonly NeedMet[],
  taken: readonly Thing[],
  chanceOf: (rule: NeedRule) => number = ({ chance }) => chance,
): Regret[] {
  return taken
    .map((thing): Regret => {
      const own = needs.filter(({ things, isDismissed }) => !isDismissed && things.includes(thing));
      const only = own.filter(({ things }) => things.length === 1).map(({ rule }) => rule);
      return {
        thing,
        regret: only.reduce((sum, rule) => sum + chanceOf(rule) * HARM[rule.harm], 0),
        only,
        others: [...new Set(own.flatMap(({ things }) => things.filter((other) => other !== thing)))],
        isDangerous: only.some(({ harm }) => harm === 'danger'),
      };
    })
    .sort((a, b) => a.regret - b.regret);
}

/**
 * How likely something is called for, from the rule and from trips: a Beta prior of weight 4 (methods, section 15).
 *
 * @example learnedChance(0.5, 1, 6) // 0.30
 */
export const learnedChance = (chance: number, calledFor: number, trips: number): number =>
  (4 * chance + calledFor) / (4 + trips);
