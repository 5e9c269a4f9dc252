import type { Facts } from '@/core/facts/facts';
import { holdsMl, waterIn } from '@/core/facts/vessels';
import type { Edit } from '@/core/plan/edit';

/**
 * Fill the vessels with so much water for setting out, those within reach first.
 *
 * @returns null where they hold that already
 */
export function fillForStart(facts: Facts, waterMl: number): Edit | null {
  const home = new Set(facts.home);
  const vessels = facts.plan.things.filter((thing) => !home.has(thing) && !thing.toGet && holdsMl(thing) > 0);
  const inEach = waterIn(vessels, waterMl);
  const changes = vessels.flatMap((thing) => {
    const filled = inEach.get(thing.id) ?? 0;
    return filled === thing.waterMl ? [] : [{ id: thing.id, patch: { waterMl: filled } }];
  });
  return changes.length === 0 ? null : { kind: 'decide things', changes };
}
