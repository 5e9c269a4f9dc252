import fc from 'fast-check';
import { DEMO_BAGS } from '@/core/demo/bags';
import { demoPlan } from '@/core/demo/plan';
import { knownFit } from '@/core/fit/known';
import type { Thing } from '@/core/kit/thing';
import { applyEdit } from '@/core/plan/apply';
import { evaluate } from '@/core/evaluation/evaluate';
import { factsOf } from '@/core/facts/facts';
import type { Plan, Wish } from '@/core/plan/plan';
import {
  loaded,
  partyOf,
  randomThings,
  sampleBag,
  samplePlan,
  sampleThing,
} from '../../../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { finish } from '../../../../tests/support/finish';
import { faults } from '../../../../tests/support/placement';
import { lowerBound } from '../bound/bound';
import { FittedState } from './fitted';
import { FitCosts } from './fitCosts';
import { searchLoad } from './fitSearch';
import { compileInstance, withLeastRoom } from '../model/instance';
import { boundByFit, judged, loader, type LoadProposal } from '../proposal/loader';
import { brokenRules, objectiveOf } from '../model/objective';
import { optionsOf } from './options';

const seeds = fc.integer({ min: 1, max: 1_000_000 });
const randomPlan = (seed: number, n: number) =>
  samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(seed), n) });

function applied(plan: Plan, options = { effort: 0.2 }): Plan {
  const result = applyEdit(plan, finish(loader(plan, options)).edit);
  if (!result.ok) throw new Error(result.error);
  return result.value.plan;
}
const placeOf = (plan: Plan, id: string) => factsOf(plan).compartmentOf.get(id);

describe('a load', () => {
  test('closes everywhere by the independent checker, whatever the kit', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const facts = factsOf(applied(randomPlan(seed, 45)));
        expect(facts.compartmentOf.size).toBeGreaterThan(20);
        for (const { spot, things, fit } of facts.compartments) {
          expect(fit.closes).toBe(true);
          expect(faults(spot.bag, spot.compartment, things, fit)).toEqual([]);
        }
      }),
      { numRuns: 6 },
    );
  });

  test('the same seed gives the same load, and looking on from it never ends worse', () => {
    const plan = randomPlan(4, 40);
    const [first, again] = [0, 1].map(() => finish(loader(plan, { effort: 0.4 }))) as [
      LoadProposal,
      LoadProposal,
    ];
    expect(again.edit).toEqual(first.edit);
    const on = applyEdit(plan, first.edit);
    if (!on.ok) throw new Error(on.error);
    const longer = finish(loader(on.value.plan, { effort: 0.4, seed: 2 }));
    expect(longer.objective).toBeLessThanOrEqual(first.objective + 1e-6);
    expect(longer.before).toBeCloseTo(first.objective, 6);
  });

  test('each report is of a load that may be ridden; told to stop, the best so far is proposed', () => {
    const plan = randomPlan(7, 40);
    const instance = compileInstance(plan);
    const run = searchLoad(instance, seededRandom(1), { rounds: 4 });
    let told = 0;
    let before = Infinity;
    for (let step = run.next(); !step.done; step = run.next()) {
      const { where, best } = step.value;
      if (!where) continue;
      told += 1;
      const judgement = judged(instance, where);
      expect(judgement.sound).toBe(true);
      expect(judgement.total).toBeCloseTo(best, 6);
      expect(best).toBeLessThan(before);
      before = best;
    }
    expect(told).toBeGreaterThan(1);
    const first = loader(plan, { effort: 1 });
    const report = first.next();
    if (report.done) throw new Error('There is a first report.');
    const stopped = first.next(true);
    expect(stopped.done && stopped.value.objective).toBeCloseTo(report.value.best, 6);
  });
});

describe('the bound of the loader', () => {
  test('is never above a load that closes by how things lie, though litres alone would not let it', () => {
    let denser = 0;
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 11 }), (seed, bags) => {
        // Soft things fill the gaps between the stiff, which litres alone count as lost.
        const things = randomThings(seededRandom(seed), 60);
        const instance = compileInstance(samplePlan({ bags: DEMO_BAGS.slice(0, bags), things }));
        const where = finish(searchLoad(instance, seededRandom(seed), { rounds: 3 }));
        const { total, sound } = judged(instance, where);
        expect(sound).toBe(true);
        expect(boundByFit(instance, total)).toBeLessThanOrEqual(total + 1e-6);
        // Whatever closes so closes by least room too.
        expect(brokenRules(withLeastRoom(instance), where)).toEqual([]);
        if (brokenRules(instance, where).length > 0) denser += 1;
      }),
      { numRuns: 15 },
    );
    expect(denser).toBeGreaterThan(0);
  });

  test('holds for a small set of stiff things that all go in, where litres would leave one', () => {
    // Three blocks of 100 x 60 x 60 mm in a box of 300 x 60 x 60: nothing is left over, and no gaps.
    const block = (id: string) =>
      sampleThing(id, {
        form: { kind: 'box', lengthMm: 100, widthMm: 60, heightMm: 60 },
        need: 'must',
        volumeMl: 360,
      });
    const box = sampleBag('pouch', 'bar bag', {
      solid: { kind: 'box', lengthMm: 300, widthMm: 60, heightMm: 60 },
      statedMl: null,
    });
    const plan = samplePlan({ bags: [box], things: ['a', 'b', 'c'].map(block) });
    const instance = compileInstance(plan);
    const where = finish(searchLoad(instance, seededRandom(1), { rounds: 2 }));
    expect(Array.from(where)).toEqual([0, 0, 0]);
    const { total } = judged(instance, where);
    expect(boundByFit(instance, total)).toBeLessThanOrEqual(total + 1e-6);
    expect(lowerBound(instance)).toBeGreaterThan(total);
  });
});

describe('what is left behind', () => {
  // Two blocks that lie beside each other only if one stands on end, which a search tries for few sets of all it asks.
  const tight = () =>
    samplePlan({
      bags: [
        sampleBag('pouch', 'bar bag', {
          solid: { kind: 'box', heightMm: 90, lengthMm: 120, widthMm: 60 },
          statedMl: null,
        }),
      ],
      things: [60, 90].map((lengthMm, i) =>
        sampleThing(`b${i}`, {
          form: { kind: 'box', lengthMm, widthMm: 60, heightMm: 60 },
          volumeMl: 3.6 * lengthMm,
        }),
      ),
    });

  test('is nothing that the board would say goes in', () => {
    const instance = compileInstance(tight());
    expect(Array.from(finish(searchLoad(instance, seededRandom(1), { rounds: 1 })))).toEqual([0, 0]);
  });

  test('is nothing of what the rider has in, where the board says that it closes', () => {
    const plan = loaded(tight(), { b0: 'pouch-main', b1: 'pouch-main' });
    const report = loader(plan).next();
    expect(!report.done && report.value).toMatchObject({ done: 0, left: 0 });
    expect(finish(loader(plan, { effort: 0.01 }))).toMatchObject({ moved: 0, leave: [] });
  });

  test('is nothing that by itself would lie anywhere and make the load better', () => {
    let asked = 0;
    fc.assert(
      fc.property(seeds, (seed) => {
        // Of kits such as these, one of eight would have something left that goes in.
        const stiff = randomThings(seededRandom(seed), 100).filter(({ form }) => form.kind !== 'soft');
        const plan = samplePlan({ bags: DEMO_BAGS.slice(0, 3), things: stiff.slice(0, 26) });
        const instance = compileInstance(plan);
        const { n, m, allowed, outer, spots } = instance;
        const where = finish(searchLoad(instance, seededRandom(seed), { rounds: 2 }));
        const { total } = judged(instance, where);
        for (let i = 0; i < n; i += 1)
          for (let j = 0; where[i]! < 0 && j < m; j += 1) {
            if (!allowed[i * m + j]) continue;
            const there = where.slice();
            there[i] = j;
            const things = outer.flatMap((lot, k) => (there[k] === j ? lot : []));
            const closes = () => knownFit(spots[j]!.chamber, things).closes;
            asked += 1;
            if (brokenRules(instance, there, (c) => c !== j || closes()).length === 0)
              expect(judged(instance, there).total).toBeGreaterThanOrEqual(total - 1e-6);
          }
      }),
      { numRuns: 8, examples: [[24], [31], [53]] },
    );
    // The examples ask that much alone.
    expect(asked).toBeGreaterThanOrEqual(24);
  });

  test('a large thing that is needed displaces several small ones, though none of them alone makes room', () => {
    // 1500 ml: four pouches of 370 ml for comfort lie in it first, and what is needed takes 1200.
    const soft = (id: string, volumeMl: number, need: Thing['need']) =>
      sampleThing(id, { form: { kind: 'soft', looseMl: volumeMl }, volumeMl, need });
    const plan = samplePlan({
      bags: [sampleBag('roll', 'bar roll', { statedMl: 1500 })],
      things: [...['a', 'b', 'c', 'd'].map((id) => soft(id, 350, 'nice')), soft('quilt', 1200, 'must')],
    });
    const instance = compileInstance(plan);
    const free = instance.things.map((_, i) => i);
    const fitted = new FittedState(instance);
    fitted.restore(free, [0, 0, 0, 0, -1]);
    expect(fitted.closes()).toBe(true);
    const before = fitted.total;
    fitted.descend(free, optionsOf(instance, free));
    expect(fitted.state.where[4]).toBe(0);
    expect(fitted.closes()).toBe(true);
    expect(fitted.total).toBeLessThan(before);
  });
});

describe('descent', () => {
  test('from any load that closes ends in one that closes, keeps every rule and pin, and is no worse; again it finds nothing', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const random = seededRandom(seed);
        const plan = randomPlan(seed, 35);
        const instance = compileInstance(seed % 2 ? partyOf(plan, seed) : plan);
        const free = instance.things.map((_, i) => i).filter((i) => i % 7 > 0);
        const options = optionsOf(instance, free);
        const fitted = new FittedState(instance);
        // Some are put anywhere they may lie, the rest stays on the floor.
        for (const i of free) {
          const j = Math.floor(random() * instance.m);
          if (fitted.changeOf(i, j, Infinity) < Infinity) fitted.move(i, j);
        }
        expect(fitted.closes()).toBe(true);
        const before = fitted.total;
        fitted.descend(free, options);
        const { where } = fitted.state;
        expect(fitted.total).toBeLessThan(before);
        expect(judged(instance, where)).toMatchObject({ sound: true });
        expect(judged(instance, where).total).toBeCloseTo(fitted.total, 6);
        instance.things.forEach((_, i) => i % 7 > 0 || expect(where[i]).toBe(-1));
        const after = where.slice();
        fitted.descend(free, options);
        expect(where).toEqual(after);
      }),
      { numRuns: 12 },
    );
  });

  test('of very many things leaves swaps alone and still ends', () => {
    const instance = compileInstance(randomPlan(3, 300));
    const free = instance.things.map((_, i) => i);
    const fitted = new FittedState(instance);
    fitted.fill(free, optionsOf(instance, free));
    const before = fitted.total;
    const options = optionsOf(instance, free);
    fitted.descend(free, options);
    expect(fitted.closes()).toBe(true);
    expect(fitted.total).toBeLessThanOrEqual(before);
    // It ended where no single move helps any more.
    for (const i of free)
      for (const j of options[i]!)
        if (j !== fitted.state.where[i]) expect(fitted.changeOf(i, j, Infinity)).toBeGreaterThan(-1e-6);
  });
});

describe('the running costs of the fit', () => {
  test('agree with laying everything down anew after any moves and swaps', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const random = seededRandom(seed);
        const plan = randomPlan(seed, 20);
        const instance = compileInstance(plan);
        const fitted = new FittedState(instance);
        const free = instance.things.map((_, i) => i);
        fitted.fill(free, optionsOf(instance, free));
        for (let step = 0; step < 40; step += 1) {
          const i = Math.floor(random() * instance.n);
          const j = Math.floor(random() * (instance.m + 1)) - 1;
          if (step % 3 === 0) fitted.swapIfBetter(i, Math.floor(random() * instance.n));
          else if (fitted.changeOf(i, j, Infinity) < Infinity) fitted.move(i, j);
        }
        // Of another copy of the same things nothing is remembered.
        const fresh = new FitCosts(compileInstance(structuredClone(plan)));
        fresh.start(fitted.state.where);
        expect(fitted.fits.totalOverMl()).toBe(fresh.totalOverMl());
        expect(fitted.fits.totalOrder()).toBe(fresh.totalOrder());
        expect(fitted.total).toBeCloseTo(
          objectiveOf(instance, fitted.state.where).total + fresh.totalOrder(),
          6,
        );
      }),
      { numRuns: 15 },
    );
  });
});

describe('wishes', () => {
  const pair = (a: string, b: string, kind: 'together' | 'a side each'): Wish => ({ kind, thingIds: [a, b] });

  test('never here; together; one on each side; all three kept on the demo', () => {
    const plan = demoPlan();
    const wishes: Wish[] = [
      { kind: 'never', thingId: 'down-quilt', compartmentId: 'seat-pack-main' },
      pair('head-torch', 'paperback', 'together'),
      pair('mug', 'camp-shoes', 'a side each'),
    ];
    const done = applied({ ...plan, wishes });
    expect(placeOf(done, 'down-quilt')).toBeDefined();
    expect(placeOf(done, 'down-quilt')).not.toBe('seat-pack-main');
    expect(placeOf(done, 'head-torch')).toBeDefined();
    expect(placeOf(done, 'head-torch')).toBe(placeOf(done, 'paperback'));
    const sides = [placeOf(done, 'mug')!, placeOf(done, 'camp-shoes')!].sort();
    expect([
      ['fork-left-main', 'fork-right-main'],
      ['stem-left-main', 'stem-right-main'],
    ]).toContainEqual(sides);
    expect(evaluate(done).findings.filter(({ check }) => check === 'wishes')).toEqual([]);
  });

  test('a pin that contradicts a wish stays, and a finding says so', () => {
    const plan = loaded(demoPlan(), { 'down-quilt': 'seat-pack-main' });
    plan.load[0]!.pinned = true;
    plan.wishes = [
      { kind: 'never', thingId: 'down-quilt', compartmentId: 'seat-pack-main' },
      pair('down-quilt', 'silk-liner', 'together'),
      // Names what is not there, and asks nothing.
      pair('down-quilt', 'nothing', 'a side each'),
    ];
    const done = applied(plan);
    expect(placeOf(done, 'down-quilt')).toBe('seat-pack-main');
    expect(placeOf(done, 'silk-liner')).toBe('seat-pack-main');
    const finding = evaluate(done).findings.find(({ check }) => check === 'wishes')!;
    expect(finding.message).toBe('Down quilt is in Seat pack, main, where you never want it.');
    const drop = finding.fixes.find(({ label }) => label === 'Drop this wish')!;
    if (!('edit' in drop)) throw new Error('Dropping a wish is an edit.');
    const dropped = applyEdit(done, drop.edit);
    expect(dropped.ok && evaluate(dropped.value.plan).findings.some(({ check }) => check === 'wishes')).toBe(
      false,
    );
    expect(dropped.ok && applyEdit(dropped.value.plan, dropped.value.inverse)).toMatchObject({
      value: { plan: { wishes: done.wishes } },
    });
  });
});

describe('nests', () => {
  test('the canister goes where the pot goes, weighs there, and takes no room of its own', () => {
    const plan = loaded(demoPlan(), { 'pot-0-9-l': 'fork-left-main' });
    const facts = factsOf(plan);
    const fork = facts.byCompartment.get('fork-left-main')!;
    expect(fork.things.map(({ id }) => id)).toEqual(['pot-0-9-l', 'burner', 'gas-canister', 'wash-cloth']);
    expect(fork.massG).toBe(168 + 97 + 205 + 12);
    expect(fork.fit.lying).toHaveLength(1);
    expect(facts.floor.some(({ id }) => id === 'gas-canister')).toBe(false);
    const apart = applyEdit(plan, {
      kind: 'place',
      moves: [{ thingId: 'gas-canister', to: { compartmentId: 'frame-main' } }],
    });
    expect(apart).toMatchObject({ ok: false, error: expect.stringMatching(/packed inside Pot/) });
  });

  test('a pot that does not close over what is in it is told, and what to take out', () => {
    const plan = demoPlan();
    plan.things = plan.things.map((thing) =>
      thing.id === 'mug' ? { ...thing, inside: 'pot-0-9-l' } : thing,
    );
    const finding = evaluate(plan).findings.find(({ check }) => check === 'nest')!;
    expect(finding).toMatchObject({ severity: 'stop', stage: 'kit' });
    expect(finding.message).toMatch(/^Pot 0.9 l does not close over/);
    expect(finding.fixes.map(({ label }) => label)).toContain('Take Gas canister out of Pot 0.9 l');
    expect(evaluate(demoPlan()).findings.filter(({ check }) => check === 'nest')).toEqual([]);
  });

  test('things that would hold each other in a ring are in none', () => {
    const plan = samplePlan({
      things: [
        sampleThing('a', { inside: 'b' }),
        sampleThing('b', { inside: 'a' }),
        sampleThing('c', { inside: 'gone' }),
      ],
    });
    expect(factsOf(plan).holders.size).toBe(0);
    expect(factsOf(plan).floor).toHaveLength(3);
  });
});

describe('bad input', () => {
  test('a compartment of no litres takes nothing, and the rest is loaded', () => {
    const plan = samplePlan({
      bags: [sampleBag('none', 'frame bag', { statedMl: 0 }), sampleBag('some', 'seat pack')],
      things: [
        sampleThing('a'),
        sampleThing('b', { form: { kind: 'box', lengthMm: 80, widthMm: 40, heightMm: 30 } }),
      ],
    });
    const done = applied(plan);
    expect(placeOf(done, 'a')).toBe('some-main');
    expect(placeOf(done, 'b')).toBe('some-main');
  });

  test('fixed choices that do not fit each other stay, and it is told', () => {
    const block = { form: { kind: 'box', lengthMm: 60, widthMm: 60, heightMm: 60 }, volumeMl: 216 } as const;
    const plan = loaded(
      samplePlan({
        bags: [
          sampleBag('can', 'down tube', { solid: { kind: 'cylinder', lengthMm: 100, diameterMm: 90 } }),
          sampleBag('pack', 'seat pack'),
        ],
        things: [sampleThing('a', block), sampleThing('b', block), sampleThing('c')],
      }),
      { a: 'can-main', b: 'can-main' },
    );
    plan.load.forEach((entry) => (entry.pinned = true));
    const done = applied(plan);
    expect(placeOf(done, 'a')).toBe('can-main');
    expect(placeOf(done, 'b')).toBe('can-main');
    expect(placeOf(done, 'c')).toBe('pack-main');
    const finding = evaluate(done).findings.find(({ check }) => check === 'no place')!;
    expect(finding.message).toMatch(/^[ab] finds no place in can beside [ab]\.$/);
  });

  test('a thousand things are loaded without freezing: every report comes, and the load is sound', () => {
    const plan = randomPlan(3, 1000);
    const run = loader(plan, { effort: 0.08 });
    let step = run.next();
    let reports = 0;
    while (!step.done) {
      reports += 1;
      step = run.next();
    }
    expect(reports).toBeGreaterThan(1);
    const done = applyEdit(plan, step.value.edit);
    if (!done.ok) throw new Error(done.error);
    const facts = factsOf(done.value.plan);
    expect(facts.compartments.every(({ closes }) => closes)).toBe(true);
    expect(step.value.leave.length).toBeGreaterThan(500);
  });
});

test('how a set of things lies is found once', () => {
  const [spot] = factsOf(demoPlan()).spots;
  const things = demoPlan()
    .things.filter(({ form }) => form.kind !== 'soft')
    .slice(0, 5);
  expect(knownFit(spot!.chamber, [...things])).toBe(knownFit(spot!.chamber, things));
});
