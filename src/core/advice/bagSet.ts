import type { Bag } from '@/core/bag/bag';
import { DEFAULT_FRAME_BAG, frameBagCut } from '@/core/bag/frameBag';
import { BAG_LIBRARY, fromLibrary } from '@/core/bag/library';
import { verdictOf } from '@/core/clearance/clearance';
import { fitFrameBag } from '@/core/commands/fitFrameBag';
import { factsOf } from '@/core/facts/facts';
import type { Plan } from '@/core/plan/plan';
import { trialClearances } from './trial';

/** Sets that riders begin with. */
export const BAG_SETS = ['bar, frame and seat', 'with fork bags', 'rack and panniers'] as const;
export type BagSet = (typeof BAG_SETS)[number];

/** By place, the bags of the library from the one to be liked most to the least. */
const BY_PLACE = {
  'bar roll': ['roll-m', 'roll-s', 'roll-drop'],
  'seat pack': ['seat-m', 'seat-s', 'seat-xs'],
  'top tube bag': ['tube-m', 'tube-s'],
  'stem bag': ['stem-m', 'stem-s'],
  'fork bag': ['fork-m', 'fork-s'],
  'rear rack': ['rack-top'],
  pannier: ['pannier-m', 'pannier-s'],
  'bottle cage': ['cage-l', 'cage'],
} as const;
type SetPlace = keyof typeof BY_PLACE;

const PLACES: Record<BagSet, readonly SetPlace[]> = {
  'bar, frame and seat': ['bar roll', 'seat pack', 'top tube bag', 'stem bag'],
  'with fork bags': ['bar roll', 'seat pack', 'top tube bag', 'stem bag', 'fork bag', 'fork bag'],
  'rack and panniers': ['bar roll', 'rear rack', 'pannier', 'pannier', 'top tube bag', 'stem bag'],
};

/** Whether the bags of a plan would hang free of everything. */
const hangs = (plan: Plan, bag: Bag): boolean =>
  trialClearances(factsOf(plan), bag).every((clearance) => verdictOf(clearance) === 'free');

/**
 * A set of bags for a bike: at each place the first of the usual ones that hangs free there, a half frame bag cut to the
 * triangle over the bottles, and the cages its mounts take. What does not hang free at all is left out.
 *
 * @param makeId hands out ids
 * @example bagSet(plan, 'bar, frame and seat', makeId).map(({ place }) => place) // ['bar roll', 'seat pack', …]
 */
export function bagSet(plan: Plan, set: BagSet, makeId: () => string): Bag[] {
  let trial: Plan = { ...plan, load: [] };
  const added: Bag[] = [];
  const add = (bags: readonly Bag[]) => {
    added.push(...bags);
    trial = { ...trial, bags: [...trial.bags, ...bags] };
  };
  add(inTheTriangle(trial, makeId));
  for (const place of PLACES[set]) {
    const isSingle = ONE_ALONE.has(place);
    if (isSingle && trial.bags.some((bag) => bag.place === place)) continue;
    const bag = best(trial, place, makeId);
    if (bag) add([bag]);
  }
  return added;
}

const ONE_ALONE: ReadonlySet<SetPlace> = new Set(['bar roll', 'seat pack', 'rear rack', 'top tube bag']);

/** Cages and a half frame bag over them: as many bottles as leave it room, one within reach at least. */
function inTheTriangle(plan: Plan, makeId: () => string): Bag[] {
  const cages: Bag[] = [];
  const taken = plan.bags.filter(({ place }) => place === 'bottle cage').length;
  const mounts = (plan.bike?.build.mounts ?? []).filter(
    ({ place }) => place === 'down tube' || place === 'seat tube',
  );
  for (let i = taken; i < mounts.length; i += 1) {
    const cage = best({ ...plan, bags: [...plan.bags, ...cages] }, 'bottle cage', makeId);
    if (cage) cages.push(cage);
  }
  if (plan.bags.some(({ place }) => place === 'frame bag')) return cages;
  for (let count = cages.length; count >= 0; count -= 1) {
    const kept = cages.slice(0, count);
    const frame = halfFrameBag({ ...plan, bags: [...plan.bags, ...kept] }, makeId);
    if (frame) return [...kept, frame];
  }
  return cages;
}

function best(plan: Plan, place: SetPlace, makeId: () => string): Bag | null {
  for (const key of BY_PLACE[place]) {
    const entry = BAG_LIBRARY.find((candidate) => candidate.key === key)!;
    const bag = fromLibrary(entry, plan.bags, makeId);
    if (hangs(plan, bag)) return bag;
  }
  return null;
}

/** As deep as leaves the bottles and knees free. */
function halfFrameBag(plan: Plan, makeId: () => string): Bag | null {
  const { view, build, rider } = factsOf(plan).surroundings;
  for (let dropMm = 130; dropMm >= 60; dropMm -= 10) {
    const cut = frameBagCut(
      view,
      { ...DEFAULT_FRAME_BAG, half: true, dropMm },
      build.mounts,
      rider.kneeGapMm,
    );
    if (!cut.ok) continue;
    const { edit } = fitFrameBag(plan, cut.value, { half: true }, null, makeId);
    const bag = edit.kind === 'put bags' ? edit.bags[0]! : null;
    if (bag && hangs(plan, bag)) return bag;
  }
  return null;
}
