import type { Bag, Compartment } from '@/core/bag/bag';
import type { FormKind, System, Thing, Trait } from '@/core/kit/thing';
import type { Random } from '@/core/random';
import { SYSTEMS, CALLS, DRYNESS, NEEDS, guessForm, FORM_KINDS, THING_DEFAULTS } from '@/core/kit/thing';
import { DEFAULT_GEOMETRY, newBike } from '@/core/bike/bike';
import { DEFAULT_SOLIDS, PLACE_DEFAULTS, type Place, type Side } from '@/core/bag/bag';
import { emptyPlan, withFreshIds, type Plan } from '@/core/plan/plan';
import { carriedBy } from '@/core/commands/fellows';

/** Small plans for tests, and random realistic ones for benches. Everything not named is middling. */
export function sampleThing(id: string, change: Partial<Thing> = {}): Thing {
  return {
    ...THING_DEFAULTS,
    id,
    name: id,
    system: 'clothes',
    quantity: 1,
    massG: 200,
    massSource: 'kitchen scale',
    volumeMl: 950,
    volumeSource: 'tape',
    form: { kind: 'soft', looseMl: 950 },
    waterMl: 0,
    call: 'camp',
    dry: 'does not care',
    inDrySack: false,
    carry: 'bike',
    need: 'should',
    provides: [],
    ...change,
  };
}

export function sampleBag(
  id: string,
  place: Place,
  compartment: Partial<Compartment> = {},
  bag: Partial<Bag> = {},
): Bag {
  const { form, reach, weather, closure, opening, attachment } = PLACE_DEFAULTS[place];
  return {
    ...THING_DEFAULTS,
    id,
    name: id,
    place,
    side: 'middle' as Side,
    massG: 0,
    massSource: 'kitchen scale',
    limitG: 5000,
    alongMm: 0,
    standOffMm: 25,
    swaysFromKgM: null,
    sagMmPerKg: null,
    braced: false,
    closure,
    opening,
    attachment,
    compartments: [
      {
        id: `${id}-main`,
        name: 'main',
        solid: DEFAULT_SOLIDS[form],
        statedMl: null,
        limitG: null,
        reach,
        weather,
        outside: 'no',
        ...compartment,
      },
    ],
    ...bag,
  };
}

export function samplePlan(change: Partial<Plan> = {}): Plan {
  return {
    ...emptyPlan('Sample'),
    bike: { ...newBike('bike', 'Bike'), massSource: 'kitchen scale', geometry: DEFAULT_GEOMETRY },
    ...change,
  };
}

/** Puts things in compartments: `{ quilt: 'seat-main' }`. */
export const loaded = (plan: Plan, where: Record<string, string>): Plan => ({
  ...plan,
  load: plan.things.flatMap((thing) =>
    where[thing.id] ? [{ thingId: thing.id, to: { compartmentId: where[thing.id]! }, pinned: false }] : [],
  ),
});

const pick = <Item>(random: Random, items: readonly Item[]): Item =>
  items[Math.floor(random() * items.length)]!;

/** A random kit of `n` things in plausible sizes: many small, few large. */
export function randomThings(random: Random, n: number): Thing[] {
  return Array.from({ length: n }, (_, i) => {
    const volumeMl = Math.round(40 * Math.exp(random() * 4.2));
    const kind = random() < 0.5 ? 'soft' : pick(random, FORM_KINDS);
    const system = pick(random, SYSTEMS);
    return sampleThing(`thing-${i}`, {
      system,
      traits: likelyTraits(system, kind),
      massG: Math.round(volumeMl * (0.15 + 0.7 * random()) + 10),
      volumeMl,
      form: guessForm(kind, volumeMl),
      call: pick(random, CALLS),
      dry: pick(random, DRYNESS),
      inDrySack: random() < 0.2,
      need: pick(random, NEEDS),
    });
  });
}

/** A canister, a tent's fabric, pegs and spokes, a mat: what things of a system and form mostly are. */
function likelyTraits(system: System, kind: FormKind): Trait[] {
  if (system === 'cook') return kind === 'cylinder' ? ['fuel'] : [];
  if (system === 'shelter') return kind === 'soft' ? ['wet'] : kind === 'long' ? ['sharp'] : [];
  if (system === 'sleep') return kind === 'soft' ? [] : ['inflatable'];
  return system === 'tools' && kind === 'long' ? ['sharp'] : [];
}

/**
 * The same trip with a fellow who has a like bike and bags: of the things a third are the rider's, a third the fellow's, and
 * a third may go on either bike.
 */
export function partyOf(plan: Plan, seed: number): Plan {
  let n = 0;
  const { rider, bike, bags } = withFreshIds(plan, () => `fellow-${(n += 1)}`);
  const fellow = { id: 'fellow', name: 'Robin', share: [0.5, 1, 1.5][seed % 3]!, rider, bike, bags };
  const wishes = plan.things.reduce(
    (all, { id }, i) => carriedBy(all, id, ([null, 'fellow', 'any'] as const)[(i + seed) % 3]!),
    plan.wishes,
  );
  return { ...plan, fellows: [fellow], wishes };
}
