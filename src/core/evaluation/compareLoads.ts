import type { Thing } from '@/core/kit/thing';
import { headlines } from '@/core/explain/headline';
import type { Finding } from '@/core/checks/finding';
import { evaluate } from './evaluate';
import type { LoadEntry, Plan } from '@/core/plan/plan';
import { standing } from '@/core/commands/takeLoad';
import { whereIn } from '@/core/plan/where';
import type { Formatter } from '@/core/units/format';
import { TERMS, type Term } from '@/core/packing/costs';
import { compileInstance, judged, termsOf } from '@/core/load';

/** Two loads of one plan side by side: the first as it was kept, the second as it is. */
export interface LoadComparison {
  /** Headline figures as shown, and the difference from the first to the second. */
  figures: { label: string; first: string; second: string; difference: string }[];
  /** Points of each term, and their sums. */
  terms: { term: Term; first: number; second: number }[];
  sums: { first: number; second: number };
  /** Things that lie elsewhere, and where, in words. */
  moved: { thing: Thing; first: string; second: string }[];
  /** Findings of the stage Load that only one of them has. */
  onlyFirst: Finding[];
  onlySecond: Finding[];
}

/**
 * What another load would change. What was kept may name bags or things that are gone; those entries count as floor.
 *
 * @example compareLoads(plan, plan.load, plan.load, format).moved // []
 */
export function compareLoads(
  plan: Plan,
  first: readonly LoadEntry[],
  second: readonly LoadEntry[],
  format: Formatter,
): LoadComparison {
  const plans = [first, second].map((load) => ({ ...plan, load: standing(plan, load) })) as [Plan, Plan];
  const [a, b] = [evaluate(plans[0], format), evaluate(plans[1], format)];
  const [instanceA, instanceB] = [compileInstance(plans[0]), compileInstance(plans[1])];
  const [termsA, termsB] = [
    termsOf(plans[0], instanceA, instanceA.start),
    termsOf(plans[1], instanceB, instanceB.start),
  ];
  const [linesA, linesB] = [headlines(a, null, format), headlines(b, a, format)];
  const [whereA, whereB] = [whereIn(plans[0]), whereIn(plans[1])];
  const ownFindings = (own: Finding[], other: Finding[]) =>
    own.filter(({ stage, id }) => stage === 'load' && !other.some((finding) => finding.id === id));
  return {
    figures: linesA.map((line, i) => ({
      label: line.label,
      first: line.value,
      second: linesB[i]!.value,
      difference: linesB[i]!.difference,
    })),
    terms: TERMS.map((term) => ({ term, first: termsA[term], second: termsB[term] })),
    sums: {
      first: judged(instanceA, instanceA.start).total,
      second: judged(instanceB, instanceB.start).total,
    },
    moved: plan.things.flatMap((thing) => {
      if (thing.carry === 'worn' || a.holders.has(thing.id)) return [];
      const [from, to] = [whereA(thing), whereB(thing)];
      return from === to ? [] : [{ thing, first: from, second: to }];
    }),
    onlyFirst: ownFindings(a.findings, b.findings),
    onlySecond: ownFindings(b.findings, a.findings),
  };
}
