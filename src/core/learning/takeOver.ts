import type { Bag } from '@/core/bag/bag';
import { needId } from '@/core/needs/met';
import { NEEDS_TABLE } from '@/core/needs/table';
import type { Edit, SimpleEdit } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { limitOf, type LimitFound } from './limits';
import { RATE_RULES, type Rate } from './rates';

/** By what a rider rejects a limit that was found; a rate is rejected by its name. */
export const limitKey = ({ limit, bagId }: Pick<LimitFound, 'limit' | 'bagId'>): string =>
  `${limit} ${bagId}`;

const twoPlaces = (value: number): number => Math.round(value * 100) / 100;

/** By what a rider says that no trip of theirs has a need. */
export const needKey = (id: string): string => `need ${id}`;

/** Needs that new trips do not ask for. What a danger is about is asked on every trip anew. */
const neverNeeded = (rejected: ReadonlySet<string>): string[] =>
  NEEDS_TABLE.filter((rule) => rule.harm !== 'danger' && rejected.has(needKey(needId(rule)))).map(needId);

/** What a rider's field becomes with a learned rate; without one, the usual. */
export const ratePatch = ({ rate, seen, learned }: Rate, isTaken: boolean): Partial<Plan['rider']> => ({
  [RATE_RULES[rate].field]: isTaken && seen.length > 0 ? twoPlaces(learned.value) : null,
});

/** What a bag's field becomes with a limit that was found; without one, the usual. */
export function limitPatch(
  found: LimitFound,
  isTaken: boolean,
): Pick<Bag, 'swaysFromKgM'> | Pick<Bag, 'sagMmPerKg'> {
  const value = isTaken ? limitOf(found) : null;
  if (found.limit === 'sway') return { swaysFromKgM: value === null ? null : twoPlaces(value) };
  return { sagMmPerKg: value === null ? null : twoPlaces(value) };
}

/**
 * What a new plan takes over of what the rider's trips taught: rates of the rider, and limits of the bags that come along. What the rider
 * rejected stays, or becomes again, as it is usual; needs that the rider never has are not asked for.
 *
 * @param rejected names of rates, of limits by `limitKey`, and of needs by `needKey`
 * @returns null where nothing changes
 */
export function takeOver(
  plan: Plan,
  rates: readonly Rate[],
  limits: readonly LimitFound[],
  rejected: ReadonlySet<string>,
): Edit | null {
  const patch: Partial<Plan['rider']> = Object.assign(
    {},
    ...rates.map((rate) => ratePatch(rate, !rejected.has(rate.rate))),
  );
  const differs = <T extends object>(now: T, then: Partial<T>) =>
    Object.entries(then).some(([key, value]) => now[key as keyof T] !== value);
  const changes = plan.bags.flatMap((bag) => {
    // Where nothing went wrong there is no limit to take over, and one that was found otherwise stays.
    const own = limits.filter(
      (found) => found.bagId === bag.id && (limitOf(found) !== null || rejected.has(limitKey(found))),
    );
    const patches = own.map((found) => limitPatch(found, !rejected.has(limitKey(found))));
    const all: Partial<Bag> = Object.assign({}, ...patches);
    return differs(bag, all) ? [{ id: bag.id, patch: all }] : [];
  });
  const never = neverNeeded(rejected).filter((id) => !plan.trip.dismissed.includes(id));
  const dismissed = [...plan.trip.dismissed, ...never];
  const edits: SimpleEdit[] = [
    ...(never.length > 0 ? [{ kind: 'set trip' as const, patch: { dismissed } }] : []),
    ...(differs(plan.rider, patch) ? [{ kind: 'set rider' as const, patch }] : []),
    ...(changes.length > 0 ? [{ kind: 'change bags' as const, changes }] : []),
  ];
  return edits.length === 0 ? null : { kind: 'several', label: 'Plan with what your trips taught', edits };
}
