import { logOf, reviewAnswers, type Answer, type Entry } from '@/core/entries/entry';
import { purposesOf } from '@/core/needs/purposes';
import type { Plan } from '@/core/plan/plan';
import type { Thing } from '@/core/kit/thing';
import type { ThingHistory } from './histories';

/** Carried for the worst, not for use: that it was not used says nothing against it. */
const FOR_THE_WORST: ReadonlySet<string> = new Set([
  'first aid',
  'warm in an emergency',
  'mend a tube',
  'mend a tyre',
  'plug a tyre',
  'air in a tyre',
  'join a chain',
  'mend gears',
  'turn bolts',
  'take a tyre off',
  'pump a tyre',
  'stop',
  'mend',
  'call without a phone',
  'identify',
]);
const isForTheWorst = (thing: Thing): boolean =>
  purposesOf(thing).some((purpose) => FOR_THE_WORST.has(purpose)) || thing.call === 'repair';

/**
 * How each thing taken most likely did, for the review to begin with: what was logged as eaten or repaired with was used, what is for the worst
 * was not unless a repair was logged, and everything else was.
 */
export function likelyAnswers(plan: Plan, entries: readonly Entry[]): Map<string, Answer> {
  const log = logOf(entries);
  const logged = new Set(log.flatMap(({ thingId }) => thingId ?? []));
  const wasRepaired = log.some(({ what }) => what === 'repair');
  const logsFood = log.some(({ what }) => what === 'ate');
  const home = new Set(plan.load.filter(({ to }) => to === 'home').map(({ thingId }) => thingId));
  const answers = new Map<string, Answer>();
  for (const thing of plan.things) {
    if (home.has(thing.id)) continue;
    const isFood = thing.system === 'food';
    const used = logged.has(thing.id)
      ? true
      : isForTheWorst(thing)
        ? wasRepaired && thing.call === 'repair' && purposesOf(thing).includes('turn bolts')
        : !isFood || !logsFood;
    answers.set(thing.id, used ? 'used' : 'unused');
  }
  for (const [id, answer] of reviewAnswers(entries)) if (answers.has(id)) answers.set(id, answer);
  return answers;
}

/** Something to do otherwise on the next trip, with the reason. */
export interface Advice {
  kind: 'leave' | 'take' | 'replace' | 'move';
  thingId: string | null;
  what: string;
  why: string;
}

const OFTEN = 2;

/**
 * What to do otherwise next time, from answers over all trips: leave what went unused again and again (never what is for the worst), take what
 * was missed, replace what wore out, pack elsewhere what was in the wrong place.
 *
 * @param plan whose things are advised on
 */
export function nextTime(
  plan: Plan,
  histories: readonly ThingHistory[],
  missed: readonly string[],
): Advice[] {
  const byId = new Map(plan.things.map((thing) => [thing.id, thing]));
  const owned = new Set(plan.things.map(({ name }) => name.toLowerCase()));
  const advice: Advice[] = [];
  for (const { thingId, name, trips, used, last } of histories) {
    const thing = byId.get(thingId);
    if (!thing) continue;
    if (last === 'worn out')
      advice.push({ kind: 'replace', thingId, what: name, why: 'It was worn out when you came back.' });
    else if (last === 'in the wrong place')
      advice.push({ kind: 'move', thingId, what: name, why: 'It was in the wrong place last time.' });
    if (used === 0 && trips >= OFTEN && !isForTheWorst(thing))
      advice.push({ kind: 'leave', thingId, what: name, why: `Unused on ${trips} trips of ${trips}.` });
  }
  for (const name of new Set(missed))
    if (!owned.has(name.toLowerCase()))
      advice.push({ kind: 'take', thingId: null, what: name, why: 'You missed it.' });
  return advice;
}
