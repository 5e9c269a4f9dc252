import type { Check, Judgement } from './finding';

/** Soft things pressed beyond this share of their loose size strain seams and zips. */
const HARD_PRESSED = 1.8;
/** A soft bag emptier than this flaps, unless its straps take it up or it is a small one. */
const FLOPPY = 0.45;
const SMALL_ML = 2500;
const SWINGS: ReadonlySet<string> = new Set(['seat pack', 'bar roll', 'fork bag']);

/** Bags pressed hard, and big swinging bags half empty (domain, rule 8). */
export const closing: Check = {
  id: 'closing',
  changesOnTheWay: true,
  stage: 'load',
  judges: 'compartment',
  run({ compartments }) {
    return compartments.flatMap(({ spot, things, tightness, neededMl, closes }): Judgement[] => {
      if (things.length === 0 || !closes) return [];
      const finding = (message: string, reason: string): Judgement[] => [
        {
          severity: 'note',
          subject: spot.id,
          message,
          reason,
        },
      ];
      if (
        Number.isFinite(tightness) &&
        tightness > HARD_PRESSED &&
        things.some(({ form }) => form.kind === 'soft')
      )
        return finding(
          `${spot.name} closes only with its soft things pressed to ${(100 / tightness).toFixed(0)} % of their loose size.`,
          'Days of hard pressing age insulation, and a zip under strain fails far from home. Leave a little room for shopping, rubbish and a wet tent.',
        );
      const share = neededMl / spot.capacityMl;
      if (spot.capacityMl > SMALL_ML && share < FLOPPY && SWINGS.has(spot.bag.place))
        return finding(
          `${spot.name} is only ${(share * 100).toFixed(0)} % full.`,
          'A half-empty pack swings as badly as an overfull one. Roll it down tight over what is in it, or take a smaller one.',
        );
      return [];
    });
  },
};
