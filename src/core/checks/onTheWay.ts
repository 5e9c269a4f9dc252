import { CHANGING_CHECKS } from './index';
import { findingsOf, type Finding } from './finding';
import { factsOf, type Facts } from '@/core/facts/facts';
import type { Moment } from '@/core/facts/moment';
import { momentsOf } from '@/core/facts/moments';
import { planOf } from '@/core/plan/riders';
import type { Formatter } from '@/core/units/format';

/** The load at one moment of the trip. */
export interface AtMoment {
  moment: Moment;
  facts: Facts;
  /** What is wrong then and was not when setting out. */
  findings: Finding[];
}

const kept = new WeakMap<Facts['plan'], { totals: Facts['totals']; format: Formatter; all: AtMoment[] }>();

/**
 * The load at every moment of the trip, each with the findings that setting out does not have. What does not change between two moments
 * is fitted once.
 *
 * @param start facts of setting out
 */
export function onTheWay(start: Facts, format: Formatter): AtMoment[] {
  const last = kept.get(start.plan);
  if (last?.totals === start.totals && last.format === format) return last.all;
  const atStart = new Set(
    CHANGING_CHECKS.flatMap((check) =>
      findingsOf(check, start, format).map(({ id, severity }) => `${severity} ${id}`),
    ),
  );
  const all = momentsOf(start).map((moment, k): AtMoment => {
    if (k === 0) return { moment, facts: start, findings: [] };
    const facts = factsOf(planOf(start.plan, null), moment);
    return {
      moment,
      facts,
      findings: CHANGING_CHECKS.flatMap((check) => findingsOf(check, facts, format)).filter(
        ({ id, severity }) => severity !== 'note' && !atStart.has(`${severity} ${id}`),
      ),
    };
  });
  kept.set(start.plan, { totals: start.totals, format, all });
  return all;
}

/** A limit, and the moment at which it is nearest or most exceeded. */
export interface WorstMoment {
  what: string;
  at: Moment;
  value: number;
  limit: number | null;
  unit: 'g' | 'share' | 'kg·m';
}

/** Each limit of the load at its own worst moment: the whole bike, each bag by mass and by room, and the sway behind. */
export function worstMoments(all: readonly AtMoment[]): WorstMoment[] {
  const found: WorstMoment[] = [];
  const worst = (
    what: string,
    unit: WorstMoment['unit'],
    limit: number | null,
    of: (facts: Facts) => number | null,
  ) => {
    let best: WorstMoment | null = null;
    for (const { moment, facts } of all) {
      const value = of(facts);
      if (value !== null && (best === null || value > best.value + 1e-9))
        best = { what, at: moment, value, limit, unit };
    }
    if (best) found.push(best);
  };
  const [first] = all;
  if (!first) return [];
  const { plan } = first.facts;
  worst('Loaded bike', 'g', null, ({ totals }) => totals.bikeLoadedG);
  worst('Bike, rider and load', 'g', plan.bike?.greatestTotalG ?? null, ({ totals }) => totals.rollingG);
  for (const bag of first.facts.bags) {
    const name = plan.bags.find(({ id }) => id === bag.bagId)?.name ?? bag.bagId;
    worst(name, 'g', bag.limitG, (facts) => facts.byBag.get(bag.bagId)?.contentsG ?? null);
  }
  for (const { spot } of first.facts.compartments)
    worst(
      `How full: ${spot.name}`,
      'share',
      1,
      (facts) => facts.byCompartment.get(spot.id)?.tightness ?? null,
    );
  worst('Seat-pack sway', 'kg·m', null, ({ handling }) => handling?.tailMomentKgM ?? null);
  return found;
}
