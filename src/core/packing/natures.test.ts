import fc from 'fast-check';
import { SYSTEMS, TRAITS, type Thing } from '@/core/kit/thing';
import { holdersOf } from '@/core/kit/nests';
import { evaluate } from '@/core/evaluation/evaluate';
import { factsOf } from '@/core/facts/facts';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';
import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { formatterFor } from '@/core/units/format';
import { runLoader } from '@/core/load';
import {
  APART,
  bitOf,
  NATURES,
  naturesOf,
  naturesTogether,
  setOf,
  TROUBLES,
  troublesBetween,
} from './natures';
import { offersFor } from '@/core/advice/offer';

const canister = sampleThing('canister', { system: 'cook', traits: ['liquid fuel'] });
const bread = sampleThing('bread', { system: 'food' });
const none = new Map<string, string>();
const namesOf = (set: number) => NATURES.filter((nature) => set & bitOf(nature));

test.each<[string, Partial<Thing>, string[]]>([
  ['a gas canister', { system: 'cook', traits: ['fuel'] }, ['sooty', 'fuel']],
  ['a quilt that only should stay dry', { system: 'sleep', provides: ['warmth'] }, ['bedding', 'kept dry']],
  ['a phone that must stay dry', { system: 'electronics', dry: 'must' }, ['kept dry']],
  ['a tent', { system: 'shelter', traits: ['wet'] }, ['wet']],
  ['a tent that must stay dry', { system: 'shelter', traits: ['wet'], dry: 'must' }, ['kept dry']],
  ['camp shoes, which are not what dirt spoils', { system: 'clothes', traits: ['dirty'] }, ['dirty']],
  ['a camera, which is only fragile', { system: 'electronics', traits: ['fragile'] }, []],
  ['anything in a dry sack', { system: 'tools', traits: ['sharp'], inDrySack: true }, []],
])('what it is to those beside it: %s', (_what, change, natures) => {
  expect(namesOf(naturesOf(sampleThing('it', change)))).toEqual(natures);
});

const someThing = fc
  .record({
    system: fc.constantFrom(...SYSTEMS),
    traits: fc.subarray([...TRAITS]),
    dry: fc.constantFrom('must' as const, 'rather' as const),
    inDrySack: fc.boolean(),
  })
  .map((change) => sampleThing('it', change));

const someThings = fc
  .array(someThing, { maxLength: 6 })
  .map((things) => things.map((thing, i) => ({ ...thing, id: `thing-${i}` })));

test('the table counts the pairs that should be apart, and none arises but between two sets', () => {
  fc.assert(
    fc.property(someThings, someThings, (ones, others) => {
      const told = [...ones, ...others].flatMap((thing) => namesOf(naturesOf(thing)));
      const pairs = APART.filter(({ spoils, suffers }) => told.includes(spoils) && told.includes(suffers));
      const times = pairs.map(({ times }) => times);
      const [a, b] = [setOf(ones, none), setOf(others, none)];
      expect(TROUBLES[a | b]).toBe(times.reduce((sum, time) => sum + time, 0));
      expect(troublesBetween(a, b)).toEqual(troublesBetween(b, a));
      const within = APART.filter((pair) => !troublesBetween(a, b).includes(pair));
      if (TROUBLES[a] === 0 && TROUBLES[b] === 0)
        expect(within.filter((pair) => pairs.includes(pair))).toEqual([]);
    }),
  );
});

test('what goes together spoils nothing of itself; a sack round the pot is one round what is in it', () => {
  expect(namesOf(naturesTogether([canister, bread], none))).toEqual(['sooty']);
  const inPot = { ...canister, inside: 'pot' };
  const pot = (inDrySack: boolean) => sampleThing('pot', { system: 'cook', inDrySack });
  const together = (inDrySack: boolean) => {
    const nest = [pot(inDrySack), inPot];
    return namesOf(naturesTogether(nest, holdersOf(nest)));
  };
  expect(together(false)).toEqual(['sooty', 'liquid fuel']);
  expect(together(true)).toEqual([]);
});

describe('liquid fuel and food', () => {
  // All are wanted while riding, and the seat pack is reached at camp only: 18 points for each thing in it.
  const wanted = (thing: Thing): Thing => ({ ...thing, call: 'riding', volumeMl: 200 });
  const plan = samplePlan({
    bags: [sampleBag('stem', 'stem bag'), sampleBag('seat', 'seat pack')],
    things: [canister, bread, sampleThing('sauce', { system: 'food' })].map(wanted),
  });
  const loadedBy = (before: Plan) => {
    const proposal = runLoader(before, { effort: 0.1 });
    const applied = applyEdit(before, proposal.edit);
    if (!applied.ok) throw new Error(applied.error);
    return { proposal, result: evaluate(applied.value.plan) };
  };

  test('are kept apart by the loader wherever another bag takes one, however much worse it lies there', () => {
    const { proposal, result } = loadedBy(plan);
    const at = (id: string) => result.compartmentOf.get(id);
    expect(['bread', 'sauce', 'canister'].map(at)).toEqual(['stem-main', 'stem-main', 'seat-main']);
    expect(proposal).toMatchObject({ leave: [], terms: { apart: 0 } });
    expect(proposal.reasons.find(({ thingId }) => thingId === 'canister')!.because).toBe('apart from food');
    const bare = { ...plan, things: plan.things.map((thing) => ({ ...thing, traits: [] })) };
    expect(loadedBy(bare).result.compartmentOf.get('canister')).toBe('stem-main');
  });

  test('with one bag only are loaded all the same, and a finding says so', () => {
    const one = { ...plan, bags: plan.bags.slice(0, 1) };
    const { proposal, result } = loadedBy(one);
    expect(proposal).toMatchObject({ leave: [], terms: { apart: 100 } });
    expect(result.findings).toContainEqual(
      expect.objectContaining({ check: 'companions', severity: 'check' }),
    );
  });

  test('a sealed canister beside food has a price, and where there is no other good place it goes there', () => {
    const sealed = (thing: Thing): Thing =>
      thing.traits.length > 0 ? { ...thing, traits: ['fuel'] } : thing;
    const { proposal, result } = loadedBy({ ...plan, things: plan.things.map(sealed) });
    expect(result.compartmentOf.get('canister')).toBe('stem-main');
    expect(proposal.terms.apart).toBe(12);
    expect(result.findings).toContainEqual(
      expect.objectContaining({ check: 'companions', severity: 'note' }),
    );
  });

  test('an offer to put one beside the other says what comes of it', () => {
    const offers = offersFor(factsOf(loaded(plan, { bread: 'stem-main' })), canister, formatterFor('metric'));
    expect(offers.map(({ words }) => words)).toEqual([
      expect.stringMatching(/left over; fuel in food$/),
      expect.stringMatching(/left over$/),
    ]);
  });
});
