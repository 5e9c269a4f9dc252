import type { Thing } from '@/core/kit/thing';
import { moveFix, roomFor } from '@/core/advice/fixes';
import {
  APART,
  bitOf,
  isForbidden,
  NATURE_WORDS,
  naturesOf,
  setOf,
  touching,
  TROUBLES,
  troublesBetween,
  type Nature,
} from '@/core/packing/natures';
import type { Fix } from '@/core/advice/fix';
import { companyOf } from '@/core/advice/company';
import type { Facts } from '@/core/facts/facts';
import { listed, type Check, type Judgement } from './finding';

/** What is many things mostly is told in a word; these by their names. */
const BY_NAME: readonly Nature[] = ['fuel', 'liquid fuel', 'wet', 'sharp', 'dirty', 'kept dry', 'inflatable'];

/** Things that should not share a compartment, and do (domain, rule 7). */
export const companions: Check = {
  id: 'companions',
  stage: 'load',
  judges: 'compartment',
  run(facts) {
    const { compartments, holders } = facts;
    const sets = new Map(compartments.map(({ spot, things }) => [spot.id, setOf(things, holders)]));
    return compartments.flatMap(({ spot, things }): Judgement[] => {
      const set = sets.get(spot.id)!;
      if (TROUBLES[set] === 0) return [];
      const exposed = touching(things, holders);
      return APART.flatMap((apart): Judgement[] => {
        const { spoils, suffers, trouble } = apart;
        const [a, b] = [bitOf(spoils), bitOf(suffers)];
        if (!(set & a) || !(set & b)) return [];
        // What spoils itself spoils nothing else by that.
        const [spoiling, suffering] = [a, b].map((bit) =>
          exposed.filter((thing) => (naturesOf(thing) & (a | b)) === bit),
        );
        if (spoiling!.length === 0 || suffering!.length === 0) return [];
        const fewer = spoiling!.length <= suffering!.length;
        const [few, many] = fewer ? [spoiling!, suffering!] : [suffering!, spoiling!];
        const common = fewer ? suffers : spoils;
        const others = BY_NAME.includes(common) ? listed(many.map(({ name }) => name)) : NATURE_WORDS[common];
        return [
          {
            about: `${spoils}, ${suffers}`,
            severity: isForbidden(apart) ? 'check' : 'note',
            subject: spot.id,
            message: `${listed(few.map(({ name }) => name))} with ${others} in ${spot.name}: ${trouble}.`,
            reason: REASONS[suffers] ?? 'Put a bag round one of the two, or keep them apart.',
            fixes: () => waysApart(facts, sets, few, many),
          },
        ];
      });
    });
  },
};

const REASONS: Partial<Record<Nature, string>> = {
  food: 'Put a bag round one of the two, or keep them apart. Liquid fuel and chain oil never go next to food; a sealed canister may where there is no other place.',
  'kept dry':
    'Down that is wet no longer warms, and a tent is wet after most nights, by dew if not by rain. Keep it in a bag of its own, where it also comes out first.',
  inflatable:
    'A peg or a blade that rubs on a mat through a day of rough ground makes a hole that is found at bedtime. Put a bag round one of the two, or keep them apart.',
};

/** One that is alone is moved where it harms and suffers nothing; a bag round the few mends it in any case. */
function waysApart(
  facts: Facts,
  sets: ReadonlyMap<string, number>,
  few: readonly Thing[],
  many: readonly Thing[],
): Fix[] {
  const sack: Fix = {
    label: `Put ${listed(few.map(({ name }) => name))} in a dry sack`,
    edit: { kind: 'decide things', changes: few.map(({ id }) => ({ id, patch: { inDrySack: true } })) },
  };
  const outermost = (thing: Thing): string => facts.holders.get(thing.id) ?? thing.id;
  const goes = outermost(few[0]!);
  // What moves several by one each mends nothing, and asking where each could go takes long.
  if (few.some((thing) => outermost(thing) !== goes) || many.some((thing) => outermost(thing) === goes))
    return [sack];
  const mover = facts.thingById.get(goes)!;
  const own = setOf([mover, ...companyOf(facts, mover).contents], facts.holders);
  const [free] = roomFor(facts, mover, ({ id }) => troublesBetween(own, sets.get(id)!).length === 0);
  return free ? [moveFix(mover, free), sack] : [sack];
}
