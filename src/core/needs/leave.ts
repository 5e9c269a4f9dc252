import { thingMassG, thingVolumeMl, type Thing } from '@/core/kit/thing';
import { regrets, type NeedMet, type Regret } from './met';
import { purposesOf } from './purposes';
import type { NeedRule } from './table';

/** A thing that serves so much is not offered. */
const LITTLE_REGRET = 1.5;
/** Purposes that no need counts, but that others rely on: a liner adds to the bag, a cable to the power bank. */
const RELIED_ON: ReadonlySet<string> = new Set([
  'sleep warmer',
  'charge',
  'hold the shelter up',
  'hold the shelter down',
]);
/** What serves nothing still is regretted a little, so that among such things the large ones come first. */
const WHIM = 0.2;
/** A litre is worth as much as so many grams. */
const G_PER_L = 250;

/**
 * What could be left at home: things of little regret, those first that free the most mass and room for it (methods, section 15). Never
 * one whose lack is a danger, one that the rider marked as a must, food, or a piece of clothing that does a job of its own.
 *
 * @param chanceOf how likely a need is called for, as the rider's own trips show
 */
export const worthLeaving = (
  needs: readonly NeedMet[],
  taken: readonly Thing[],
  chanceOf?: (rule: NeedRule) => number,
): Regret[] =>
  regrets(needs, taken, chanceOf)
    .filter(
      ({ thing, regret, isDangerous, only, others }) =>
        thing.carry === 'bike' &&
        thing.need !== 'must' &&
        thing.system !== 'food' &&
        !isDangerous &&
        regret < LITTLE_REGRET &&
        !purposesOf(thing).some((purpose) => RELIED_ON.has(purpose)) &&
        // One piece of clothing seldom stands in for another: a shirt is no pair of trousers.
        (thing.system !== 'clothes' || only.length + others.length === 0),
    )
    .sort((a, b) => priceOf(a) - priceOf(b));

const priceOf = ({ thing, regret }: Regret): number =>
  (regret + WHIM) / (thingMassG(thing) + (G_PER_L * thingVolumeMl(thing)) / 1000);

/** The regret of leaving each of some things, as if the others of them were left too: of two lights one may go. */
export function regretsTogether(
  needs: readonly NeedMet[],
  taken: readonly Thing[],
  ids: ReadonlySet<string>,
): Regret[] {
  return taken
    .filter(({ id }) => ids.has(id))
    .flatMap((thing) => {
      const stays = (other: Thing) => other === thing || !ids.has(other.id);
      const without = needs.map((need) => ({ ...need, things: need.things.filter(stays) }));
      return regrets(without, [thing]);
    });
}

/**
 * What leaving a thing would mean, in a sentence.
 *
 * @example whyLeave(of the second mug) // 'Mug would do.'
 */
export function whyLeave({ thing, regret, only, others }: Regret): string {
  if (only.length > 0) return `Nothing else is ${only[0]!.what}; regret ${regret.toFixed(1)}.`;
  if (others.length > 0)
    return `${others
      .slice(0, 2)
      .map(({ name }) => name)
      .join(' and ')} would do.`;
  return thing.system === 'luxuries' ? 'A luxury.' : 'No need of this trip asks for it.';
}

/**
 * The danger of leaving a thing; null where there is none. Said before leaving it is offered.
 *
 * @example dangerOfLeaving(of the only light) // 'Nothing else is a light to be seen by. Without one …'
 */
export function dangerOfLeaving({ only }: Regret): string | null {
  const rule = only.find(({ harm }) => harm === 'danger');
  return rule ? `Nothing else is ${rule.what}. ${rule.why}` : null;
}
