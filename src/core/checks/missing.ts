import type { Thing } from '@/core/kit/thing';
import { conditionsOf } from '@/core/facts/conditions';
import type { Facts } from '@/core/facts/facts';
import type { Fix } from '@/core/advice/fix';
import type { Check, Judgement, Severity } from './finding';

/** Things that come along: worn, or packed in a compartment. The floor does not count. */
const taken = (facts: Facts): Thing[] => [
  ...facts.worn,
  ...facts.compartments.flatMap(({ things }) => things),
];

/**
 * A check that something of a kind comes along. Distinguishes a kit that lacks it from a kit that has it lying
 * on the floor or left at home, since the remedy differs.
 */
function missing(
  id: string,
  has: (thing: Thing) => boolean,
  say: { none: string; notTaken: string; reason: string; severity: (facts: Facts) => Severity | null },
): Check {
  return {
    id,
    stage: 'kit',
    judges: 'trip',
    run(facts): Judgement[] {
      const severity = say.severity(facts);
      if (!severity || facts.plan.things.length === 0 || taken(facts).some(has)) return [];
      const owned = facts.plan.things.filter(has);
      const left = owned.filter((thing) => facts.home.includes(thing));
      // Before there is any bag, it is that which is said.
      if (owned.length > left.length && facts.compartments.length === 0) return [];
      const back = left.slice(0, 1).map((thing): Fix => ({
        label: `Bring ${thing.name} after all`,
        edit: { kind: 'place', moves: [{ thingId: thing.id, to: 'floor' }] },
      }));
      return [
        {
          severity,
          stage: owned.length ? 'load' : 'kit',
          message: owned.length ? say.notTaken : say.none,
          reason: say.reason,
          fixes: () =>
            owned.length > left.length ? [...back, { label: 'Load for me', action: 'load for me' }] : back,
        },
      ];
    },
  };
}

/** Nothing to sleep warm in. */
export const nothingWarm = missing('nothing keeps you warm', (thing) => thing.provides.includes('warmth'), {
  none: 'Nothing in the kit keeps you warm at night.',
  notTaken: 'What keeps you warm at night is not on the bike.',
  reason: 'A sleeping bag or quilt that suits the coldest night. Being wet or tired makes any night colder.',
  severity: (facts) => {
    const { nights, sleepsOutside } = conditionsOf(facts);
    if (nights.every(({ sleeping }) => sleeping === 'hotel')) return null;
    return sleepsOutside ? 'stop' : 'check';
  },
});

/** No light. */
export const noLight = missing('no light', (thing) => thing.provides.includes('light'), {
  none: 'There is no light in the kit.',
  notTaken: 'No light is on the bike.',
  reason:
    'A puncture or a wrong turn can end a day ride in the dark, and tunnels are dark by day. Local law says which lights.',
  severity: (facts) => (conditionsOf(facts).nights.length > 0 ? 'stop' : 'check'),
});

/** No water at the start. */
export const noWater = missing('no water', (thing) => thing.waterMl > 0, {
  none: 'Nothing in the kit carries water.',
  notTaken: 'No water is on the bike.',
  reason:
    'Set the water in a bottle or bladder. How much each stretch asks for is on Kit, under “Is it enough?”.',
  severity: () => 'stop',
});

/** Nothing to mend the bike with. */
export const noRepair = missing('no repair kit', (thing) => thing.provides.includes('repair'), {
  none: 'There is nothing to mend the bike with.',
  notTaken: 'The repair kit is not on the bike.',
  reason: 'At least a tube, plugs or patches, a pump and a multitool that fits this bike.',
  severity: () => 'check',
});
