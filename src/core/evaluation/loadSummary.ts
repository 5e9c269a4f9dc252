import { listed } from '@/core/checks/finding';
import { SYSTEMS } from '@/core/kit/thing';
import type { Evaluation } from './evaluate';

/** What a load comes to, in the order a rider asks. */
export interface LoadSummary {
  /** "Every bag closes." */
  fits: string;
  /** "3 things are hard to reach: pump, map and 1 more." */
  reach: string;
  /** "The bike handles well." */
  handling: string;
  /** "Food is split over 3 bags." Null where each system is in one or two bags. */
  split: string | null;
}

/** In so many bags a system is still found in the dark. */
const MOST_BAGS = 2;

const named = (names: readonly string[], one: string, many: string): string =>
  names.length === 1 ? `${names[0]} ${one}.` : `${names.length} things ${many}: ${listed(names)}.`;

/**
 * A load in the rider's terms: what fits, what is hard to reach, how the bike handles, what is split up. Points appear only
 * where somebody asks why.
 */
export function loadSummary(
  evaluation: Pick<Evaluation, 'compartments' | 'findings' | 'thingById' | 'handling'>,
): LoadSummary {
  const { compartments, findings, thingById, handling } = evaluation;
  const open = compartments.filter(({ closes }) => !closes).map(({ spot }) => spot.name);
  const of = (...checks: string[]) => findings.filter(({ check }) => checks.includes(check));
  const far = [...new Set(of('out of reach', 'dug out').flatMap(({ subject }) => subject.ids))].flatMap(
    (id) => thingById.get(id)?.name ?? [],
  );
  const handles = of('tail-heavy', 'handling', 'side imbalance', 'body over mass').filter(
    ({ severity }) => severity !== 'note',
  );
  const split = SYSTEMS.flatMap((system) => {
    const bags = new Set(
      compartments
        .filter(({ things }) => things.some((thing) => thing.system === system))
        .map(({ spot }) => spot.bag.id),
    );
    return bags.size > MOST_BAGS ? [`${system} over ${bags.size} bags`] : [];
  });
  return {
    fits:
      open.length === 0
        ? 'Every bag closes.'
        : open.length === 1
          ? `${open[0]} does not close.`
          : `${open.length} bags do not close: ${listed(open)}.`,
    reach:
      far.length === 0
        ? 'All you need on the way is in reach.'
        : named(far, 'is hard to reach', 'are hard to reach'),
    handling:
      handling === null
        ? 'Without a bike its handling is not known.'
        : handles.length === 0
          ? 'The bike should handle well.'
          : handles.map(({ message }) => message).join(' '),
    split: split.length === 0 ? null : `Split up: ${listed(split)}.`,
  };
}
