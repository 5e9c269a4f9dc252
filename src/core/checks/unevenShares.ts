import { massWithContentsG } from '@/core/advice/fixes';
import type { RiderFacts } from '@/core/facts/riderFacts';
import { handTo } from '@/core/commands/fellows';
import { carriersOf } from '@/core/plan/riders';
import type { Formatter } from '@/core/units/format';
import type { Fix } from '@/core/advice/fix';
import { findingOf, type Check, type Finding } from './finding';

/** Beyond a fair share by so much is felt on a day's climbing: about a full bottle. */
const FELT_G = 750;

/** Judged over all riders at once, unlike the other checks, which see one bike. */
const CHECK: Check = { id: 'uneven shares', stage: 'load', judges: 'bike', run: () => [] };

/** Who carries clearly more than was agreed. */
export function unevenShares(riders: readonly RiderFacts[], format: Formatter): Finding[] {
  if (riders.length < 2) return [];
  return riders
    .filter(({ carriedG, fairG }) => carriedG - fairG > FELT_G)
    .map(({ rider, name, facts, carriedG, fairG }) =>
      findingOf(
        CHECK,
        {
          severity: 'check',
          message: `${name} ${rider === null ? 'carry' : 'carries'} ${format.mass(carriedG)}, ${format.mass(carriedG - fairG)} beyond the agreed share.`,
          reason:
            'Shares are of what is carried on bike and body, without bikes, bags and what is worn. Share more things, or agree on other shares on the Trip stage.',
          figures: [
            { label: 'carried', value: carriedG, unit: 'g' },
            { label: 'agreed', value: fairG, unit: 'g' },
          ],
          fixes: () => waysToEven({ rider, facts }, carriedG - fairG),
        },
        rider ?? '',
      ),
    );
}

/** The loader where something here may go to another; else to share the heaviest thing that does not turn it round. */
function waysToEven({ rider, facts }: Pick<RiderFacts, 'rider' | 'facts'>, excessG: number): Fix[] {
  const { plan, holders } = facts;
  const carriers = carriersOf(plan);
  const pinned = new Set(plan.load.filter((entry) => entry.pinned).map(({ thingId }) => thingId));
  const here = facts.compartments
    .flatMap(({ things }) => things)
    .filter(({ id }) => !pinned.has(id) && !holders.has(id))
    .map((thing) => ({ thing, massG: massWithContentsG(facts, thing) }));
  if (here.some(({ thing }) => carriers.get(thing.id) !== rider))
    return [{ label: 'Load for me', action: 'load for me' }];
  const [heaviest] = here.filter(({ massG }) => massG <= excessG).sort((a, b) => b.massG - a.massG);
  if (!heaviest) return [];
  const { id, name } = heaviest.thing;
  return [{ label: `Share ${name}`, edit: handTo(plan, [id], 'any') }];
}
