import type { Plan } from '@/core/plan/plan';
import type { Instance } from '../model/instance';
import { APART_POINTS, LINEAR_TERMS, linearPoints, type LinearPoints } from '@/core/packing/costs';
import { FittedState } from '../search/fitted';
import { optionsOf } from '../search/options';
import { bitOf, NATURE_WORDS, troublesBetween, type Nature } from '@/core/packing/natures';

/** Why a thing lies where the loader put it, and what the next best place would cost. */
export interface Reason {
  thingId: string;
  compartmentId: string;
  because: string;
  /** Null where no other compartment can take it as things lie. */
  secondBest: { compartmentId: string; extraPoints: number } | null;
}

/** Reasons for every placed thing of an assignment. */
export function explainLoad(plan: Plan, instance: Instance, where: Int32Array): Reason[] {
  const fitted = new FittedState(instance);
  const all = instance.things.map((_, i) => i);
  fitted.fits.patiently(() => fitted.restore(all, where));
  const options = optionsOf(instance, all);
  const keptFrom = companyAvoided(instance, where);
  const reasons: Reason[] = [];
  for (let i = 0; i < instance.n; i += 1) {
    const here = where[i]!;
    if (here < 0) continue;
    const thing = instance.things[i]!;
    const chosen = linearPoints(plan, thing, instance.spots[here]!);
    const others: LinearPoints = { handling: 0, reach: 0, dry: 0, 'usual place': 0 };
    const elsewhere = options[i]!.filter((j) => j !== here);
    for (const j of elsewhere) {
      const cost = linearPoints(plan, thing, instance.spots[j]!);
      for (const term of LINEAR_TERMS) others[term] += cost[term];
    }
    const second = fitted.fits.patiently(() => fitted.cheapest(i, elsewhere, Infinity));
    reasons.push({
      thingId: thing.id,
      compartmentId: instance.spots[here]!.id,
      because: because(instance, where, i, chosen, others, elsewhere.length, keptFrom(i)),
      secondBest: second && {
        compartmentId: instance.spots[second.j]!.id,
        extraPoints: Math.max(0, second.change),
      },
    });
  }
  return reasons;
}

/** The term in which this place beats the average of the others most, in words. */
function because(
  instance: Instance,
  where: Int32Array,
  i: number,
  chosen: LinearPoints,
  others: LinearPoints,
  possible: number,
  keptFrom: Avoided | null,
): string {
  const thing = instance.things[i]!;
  const spot = instance.spots[where[i]!]!;
  if (instance.fixed[i]) return 'you pinned it here';
  if (possible === 0) return 'no other bag can take it';
  const company = instance.things.filter(
    (other, k) => k !== i && where[k] === where[i] && other.system === thing.system,
  );
  const gains: [number, string][] = [
    [others.handling / possible - chosen.handling, handlingWords(spot.place.centre.z, spot.onBody)],
    [
      others.reach / possible - chosen.reach,
      `${callWords(thing.call)}, and this is reached ${spot.compartment.reach}`,
    ],
    [others.dry / possible - chosen.dry, `it must stay dry, and this is ${spot.compartment.weather}`],
    // It often gains most, and says least: where another reason gains half as much, that is told.
    [0.5 * (others['usual place'] / possible - chosen['usual place']), 'riders usually keep it here'],
    [company.length > 0 ? 1.2 : 0, `with the rest of ${thing.system}`],
    ...(keptFrom ? [[keptFrom.points, `apart from ${NATURE_WORDS[keptFrom.from]}`] as [number, string]] : []),
  ];
  gains.sort((a, b) => b[0] - a[0]);
  const [gain, words] = gains[0]!;
  return gain > 0.15 ? words : 'it fits here without drawbacks';
}

/** What a thing would spoil, or be spoilt by, elsewhere and not here: what most, and points of the average other place. */
interface Avoided {
  from: Nature;
  points: number;
}

function companyAvoided(instance: Instance, where: Int32Array): (i: number) => Avoided | null {
  const { n, m, natures, allowed, weights } = instance;
  // What is forbidden counts as the others do: else it would be the reason of everything it concerns, though any other
  // place were as good.
  const besides = (i: number, j: number): number => {
    let set = 0;
    for (let k = 0; k < n; k += 1) if (k !== i && where[k] === j) set |= natures[k]!;
    return set;
  };
  return (i) => {
    const own = natures[i]!;
    const points = new Map<Nature, number>();
    const add = (j: number, times: number): void => {
      for (const { spoils, suffers } of troublesBetween(own, besides(i, j))) {
        const other = own & bitOf(spoils) ? suffers : spoils;
        points.set(other, (points.get(other) ?? 0) + times * weights.apart * APART_POINTS);
      }
    };
    const elsewhere = Array.from({ length: m }, (_, j) => j).filter(
      (j) => j !== where[i] && allowed[i * m + j],
    );
    for (const j of elsewhere) add(j, 1 / elsewhere.length);
    add(where[i]!, -1);
    const [most] = [...points].sort((a, b) => b[1] - a[1]);
    return most ? { from: most[0], points: most[1] } : null;
  };
}

const handlingWords = (heightMm: number, onBody: boolean): string =>
  onBody
    ? 'nothing on the bike had room'
    : heightMm < 450
      ? 'heavy things ride best low and central'
      : 'it rides better here than further out';

const callWords = (call: string): string =>
  ({
    riding: 'needed while riding',
    urgent: 'may be needed at once',
    stop: 'needed at stops',
    camp: 'needed only at camp',
    repair: 'needed only for repairs',
  })[call] ?? '';
