import type { Facts } from '@/core/facts/facts';
import { kindOf } from '@/core/kit/kinds/kinds';
import { understand } from '@/core/kit/kinds/understand';
import type { Thing } from '@/core/kit/thing';
import type { Formatter } from '@/core/units/format';

/** What can only be done shortly before setting out. */
export const LAST_MINUTE = ['charge', 'fill', 'from the fridge', 'take', 'put on'] as const;
export type LastMinute = (typeof LAST_MINUTE)[number];
export const LAST_MINUTE_WORDS: Record<LastMinute, string> = {
  charge: 'Charge, the evening before',
  fill: 'Fill',
  'from the fridge': 'Take out of the fridge',
  take: 'In use until you leave',
  'put on': 'Put on',
};

export interface Task {
  /** The same as long as the thing is on the trip. */
  id: string;
  kind: LastMinute;
  words: string;
}

const CHARGED = new Set([
  'Power bank',
  'Front light',
  'Rear light',
  'Head torch',
  'Camp lantern',
  'Phone',
  'Head unit',
  'Satellite messenger',
  'Action camera',
  'Compact camera',
  'Mirrorless camera',
  'Drone',
  'Earphones',
  'Smart watch',
  'UV purifier',
  'Electric pump',
]);
const CHILLED = new Set(['Cheese', 'Sausage', 'Egg', 'Spread', 'Fruit']);
/** In daily use until the morning of departure, or kept elsewhere than the kit. */
const IN_USE = new Set([
  'Phone',
  'Charger',
  'Medicines',
  'Contact lenses',
  'Wallet',
  'Passport',
  'Keys',
  'Toothbrush',
]);

/** By its name too, where what the name means belongs to the same system. */
function familyOf({ kind, name, system }: Thing): string | undefined {
  const known = kindOf(kind) ?? understand(name).kind;
  return known?.system === system ? known.family : undefined;
}

/**
 * What is left for the evening before and the morning of departure, in that order: devices to charge, vessels to fill, food from the
 * fridge, what is in use until then, and what is put on. Told by the kinds of things; what stays at home is left out.
 *
 * @example lastMinuteTasks(evaluate(plan), format)[0].words // 'Power bank'
 */
export function lastMinuteTasks({ plan }: Pick<Facts, 'plan'>, format: Formatter): Task[] {
  const atHome = new Set(plan.load.flatMap(({ thingId, to }) => (to === 'home' ? [thingId] : [])));
  const tasks: Task[] = [];
  for (const thing of plan.things) {
    if (atHome.has(thing.id)) continue;
    const family = familyOf(thing);
    const add = (kind: LastMinute, words = thing.name) =>
      tasks.push({ id: `${kind} ${thing.id}`, kind, words });
    if (family !== undefined && CHARGED.has(family)) add('charge');
    if (thing.waterMl > 0) add('fill', `${thing.name}: ${format.volume(thing.waterMl * thing.quantity)}`);
    if (family !== undefined && CHILLED.has(family)) add('from the fridge');
    if (thing.carry === 'worn') add('put on');
    else if (family !== undefined && IN_USE.has(family)) add('take');
  }
  return tasks.sort((a, b) => LAST_MINUTE.indexOf(a.kind) - LAST_MINUTE.indexOf(b.kind));
}
