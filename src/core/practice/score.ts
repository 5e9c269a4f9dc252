import { moveFix, roomFor } from '@/core/advice/fixes';
import { evaluate } from '@/core/evaluation/evaluate';
import { compileInstance, judged, termsOf } from '@/core/load';
import { TERMS, type Term } from '@/core/packing/costs';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';
import { seededRandom } from '@/core/random';

/** Points of a load as it is; fewer is better. */
export function pointsOf(plan: Plan): { total: number; terms: Record<Term, number> } {
  const instance = compileInstance(plan);
  return { total: judged(instance, instance.start).total, terms: termsOf(plan, instance, instance.start) };
}

/**
 * A load made without thinking: every thing, in any order, into any bag that takes it and still closes; the rest stays on the floor. What is
 * pinned or left at home stays.
 *
 * @param seed the same gives the same load
 */
export function randomLoad(plan: Plan, seed: number): Plan {
  const random = seededRandom(seed);
  const kept = plan.load.filter(({ to, pinned }) => pinned || to === 'home');
  let loaded: Plan = { ...plan, load: kept };
  const order = plan.things
    .filter(
      ({ id, carry, inside }) =>
        carry === 'bike' && inside === null && !kept.some(({ thingId }) => thingId === id),
    )
    .map((thing) => ({ thing, by: random() }))
    .sort((a, b) => a.by - b.by);
  for (const { thing } of order) {
    const facts = evaluate(loaded);
    const places = roomFor(facts, thing, () => random() < 0.5);
    const spot = places[0] ?? roomFor(facts, thing)[0];
    if (!spot) continue;
    const next = applyEdit(loaded, {
      kind: 'place',
      moves: [{ thingId: thing.id, to: { compartmentId: spot.id } }],
    });
    if (next.ok) loaded = next.value.plan;
  }
  return loaded;
}

/** One move of a thing, and what it would gain. */
export interface Gain {
  thingId: string;
  name: string;
  to: string;
  label: string;
  points: number;
  /** The term that gains most, for a reason in words. */
  because: Term;
}

export interface Score {
  /** 0 to 100, or a little beyond where the hand beat the loader. */
  score: number;
  yours: number;
  best: number;
  worst: number;
  gains: Gain[];
}

/**
 * 100·(worst − yours)/(worst − best) (methods, section 19).
 *
 * @param best points of the loader's load
 * @param worst mean of random loads that close
 * @example scoreOf(250, 100, 400) // 50
 */
export const scoreOf = (yours: number, best: number, worst: number): number =>
  worst <= best ? 100 : Math.max(0, (100 * (worst - yours)) / (worst - best));

const GAINS = 3;

/**
 * The moves that would gain most by themselves, each with the term of the objective that it improves. Every thing is tried in the bags that
 * have room for it.
 */
export function bestMoves(plan: Plan): Gain[] {
  const facts = evaluate(plan);
  const now = pointsOf(plan);
  const gains: Gain[] = [];
  for (const thing of plan.things) {
    if (thing.carry === 'worn' || facts.holders.has(thing.id) || facts.home.includes(thing)) continue;
    const entry = plan.load.find(({ thingId }) => thingId === thing.id);
    if (entry?.pinned) continue;
    for (const spot of roomFor(facts, thing, undefined, 2)) {
      const fix = moveFix(thing, spot);
      if (!('edit' in fix)) continue;
      const next = applyEdit(plan, fix.edit);
      if (!next.ok) continue;
      const then = pointsOf(next.value.plan);
      const points = now.total - then.total;
      if (points <= 0.5) continue;
      const because = TERMS.reduce((best, term) =>
        now.terms[term] - then.terms[term] > now.terms[best] - then.terms[best] ? term : best,
      );
      gains.push({ thingId: thing.id, name: thing.name, to: spot.id, label: fix.label, points, because });
    }
  }
  gains.sort((a, b) => b.points - a.points);
  const seen = new Set<string>();
  return gains.filter(({ thingId }) => !seen.has(thingId) && seen.add(thingId)).slice(0, GAINS);
}
