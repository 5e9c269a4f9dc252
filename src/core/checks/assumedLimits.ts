import { listed, type Check } from './finding';

/** Bags in use whose makers' limits are not known. */
export const assumedLimits: Check = {
  id: 'limit not known',
  stage: 'bike',
  judges: 'bike',
  run(facts, format) {
    const assumed = facts.bags.filter((bag) => bag.limitAssumed && bag.contentsG > 0);
    if (assumed.length === 0) return [];
    const names = assumed.map((bag) => facts.plan.bags.find((candidate) => candidate.id === bag.bagId)!.name);
    return [
      {
        severity: 'note',
        message: `No limit is known for ${listed(names)}; ${assumed.map((bag) => format.mass(bag.limitG)).join(', ')} assumed.`,
        reason:
          "Look for the maker's figure on bag, mount and fork. Many carbon forks and seatposts must not be clamped or loaded at all.",
        figures: assumed.map((bag) => ({ label: 'assumed limit', value: bag.limitG, unit: 'g' as const })),
      },
    ];
  },
};
