import type { Thing } from '@/core/kit/thing';
import { moveFix, roomFor } from '@/core/load/fixes';
import {
  APART,
  NATURE_WORDS,
  naturesOf,
  setOf,
  touching,
  troublesBetween,
  type Nature,
} from '@/core/load/natures';
import type { Facts } from '@/core/plan/facts';
import { listed, type Check, type Finding, type Fix } from './finding';

/** What is many things mostly is told in a word; these by their names. */
const BY_NAME: readonly Nature[] = ['fuel', 'wet', 'sharp', 'kept dry', 'inflatable'];

/** Things that should not share a compartment, and do (domain, rule 7). */
export const companions: Check = {
  id: 'companions',
  run: (facts) =>
    facts.compartments.flatMap(({ spot, things }): Finding[] => {
      const natures = touching(things, facts.holders).map((thing) => ({ thing, own: naturesOf(thing) }));
      return APART.flatMap(({ spoils, suffers, trouble, forbidden }): Finding[] => {
        const having = (nature: Nature, other: Nature) =>
          natures.flatMap(({ thing, own }) => (own.includes(nature) && !own.includes(other) ? [thing] : []));
        const [spoiling, suffering] = [having(spoils, suffers), having(suffers, spoils)];
        if (spoiling.length === 0 || suffering.length === 0) return [];
        const fewer = spoiling.length <= suffering.length;
        const [few, many] = fewer ? [spoiling, suffering] : [suffering, spoiling];
        const common = fewer ? suffers : spoils;
        const others = BY_NAME.includes(common) ? listed(many.map(({ name }) => name)) : NATURE_WORDS[common];
        return [
          {
            id: `companions:${spot.id}:${spoils}:${suffers}`,
            check: 'companions',
            severity: forbidden ? 'look' : 'note',
            stage: 'load',
            subject: { kind: 'compartment', id: spot.id },
            message: `${listed(few.map(({ name }) => name))} with ${others} in ${spot.name}: ${trouble}.`,
            reason: REASONS[suffers] ?? 'Put a bag round one of the two, or keep them apart.',
            figures: [],
            fixes: waysApart(facts, few, many),
          },
        ];
      });
    }),
};

const REASONS: Partial<Record<Nature, string>> = {
  food: 'Put a bag round one of the two, or keep them apart. Fuel and chain oil never next to food.',
  'kept dry':
    'Down that is wet no longer warms, and a tent is wet after most nights, by dew if not by rain. Keep it in a bag of its own, where it also comes out first.',
  inflatable:
    'A peg or a blade that rubs on a mat through a day of rough ground makes a hole that is found at bedtime. Put a bag round one of the two, or keep them apart.',
};

/** One that is alone is moved where it harms and suffers nothing; a bag round the few mends it in any case. */
function waysApart(facts: Facts, few: readonly Thing[], many: readonly Thing[]): Fix[] {
  const sack: Fix = {
    label: `Put ${listed(few.map(({ name }) => name))} in a dry sack`,
    edit: { kind: 'put things', things: few.map((thing) => ({ ...thing, inDrySack: true })) },
  };
  const outermost = (thing: Thing): string => facts.holders.get(thing.id) ?? thing.id;
  // Two ways out are shown; more need not be looked for.
  const movers = [...new Set(few.map(outermost))].slice(0, 3);
  const moves = movers.flatMap((id): Fix[] => {
    if (many.some((thing) => outermost(thing) === id)) return [];
    const goes = facts.plan.things.filter((thing) => outermost(thing) === id);
    const own = setOf(touching(goes, facts.holders));
    const free = roomFor(
      facts,
      goes.find((thing) => thing.id === id)!,
      (other) => {
        const there = setOf(touching(facts.byCompartment.get(other.id)!.things, facts.holders));
        return troublesBetween(own, there).length === 0;
      },
    )[0];
    return free ? [moveFix(facts.thingById.get(id)!, free)] : [];
  });
  return movers.length === 1 ? [...moves, sack] : [sack, ...moves.slice(0, 2)];
}
