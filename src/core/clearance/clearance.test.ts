import fc from 'fast-check';
import { applyEdit } from '@/core/plan/apply';
import { withSetup } from '@/core/evaluation/compare';
import { evaluate } from '@/core/evaluation/evaluate';
import { factsOf } from '@/core/facts/facts';
import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { DEMO_SETUPS } from '@/core/demo/bikes';
import { demoPlan } from '@/core/demo/plan';
import { BAG_LIBRARY, fromLibrary } from '@/core/bag/library';
import type { Bag } from '@/core/bag/bag';
import type { Build } from '@/core/bike/bike';
import type { Plan } from '@/core/plan/plan';
import { freeBarWidthMm } from './bar';
import { tightest, verdictOf, type Clearance } from './clearance';
import { bulgeMm } from './rider';
import { trialClearances } from '@/core/advice/trial';
import { sagMm } from './tyres';

const plan = (bags: Bag[], build: Partial<Build> = {}): Plan => {
  const sample = samplePlan({ bags });
  return { ...sample, bike: { ...sample.bike!, build: { ...sample.bike!.build, ...build } } };
};
const gap = (of: Plan, kind: Clearance['kind']): Clearance | undefined =>
  factsOf(of).clearances.find((clearance) => clearance.kind === kind);
const seat = (change: Partial<Bag> = {}) => sampleBag('seat', 'seat pack', {}, change);
const roll = (lengthMm = 400, diameterMm = 150, change: Partial<Bag> = {}) =>
  sampleBag('roll', 'bar roll', { solid: { kind: 'cylinder', lengthMm, diameterMm } }, change);

test('by hand: a roll over the tyre is as far as its centre less both radii', () => {
  const facts = factsOf(plan([roll()]));
  const { view } = facts;
  const centre = { x: view.bar.x + 16 + 25 + 75, z: view.bar.z - 25 };
  const distance = Math.hypot(centre.x - view.frontAxle.x, centre.z - view.frontAxle.z);
  expect(gap(plan([roll()]), 'front tyre')!.gapMm).toBeCloseTo(distance - 75 - (311 + 57), 6);
});

test('a seat pack of 3 kg sags 18 mm, braced 9; a rack bag not at all', () => {
  const [strapped, braced, rack] = [seat(), seat({ braced: true }), sampleBag('rack', 'rear rack')].map(
    (bag) =>
      factsOf(
        loaded({ ...plan([bag]), things: [sampleThing('t', { massG: 3000 })] }, { t: `${bag.id}-main` }),
      ),
  );
  expect(sagMm(strapped!.surroundings.bags[0]!)).toBeCloseTo(18, 9);
  expect(sagMm(braced!.surroundings.bags[0]!)).toBeCloseTo(9, 9);
  expect(sagMm(rack!.surroundings.bags[0]!)).toBe(0);
});

test('travel, dropper and load only ever bring a bag nearer', () => {
  const amount = fc.integer({ min: 0, max: 150 });
  fc.assert(
    fc.property(amount, amount, amount, fc.integer({ min: 0, max: 5000 }), (fork, rear, dropper, massG) => {
      const build: Partial<Build> = {
        fork: 'suspension',
        forkTravelMm: fork,
        rearTravelMm: rear,
        dropperMm: dropper,
      };
      const things = [sampleThing('t', { massG })];
      const facts = factsOf(
        loaded({ ...plan([roll(), seat()], build), things }, { t: 'seat-main' }),
      ).clearances;
      for (const kind of ['front tyre', 'rear tyre'] as const) {
        const found = facts.find((clearance) => clearance.kind === kind);
        if (found) expect(found.gapMm).toBeLessThanOrEqual(found.atRestMm! + 1e-9);
      }
    }),
    { numRuns: 60 },
  );
});

test('a roll hung higher or further out never comes nearer to the tyre', () => {
  fc.assert(
    fc.property(fc.integer({ min: -100, max: 60 }), fc.integer({ min: 0, max: 80 }), (alongMm, up) => {
      const at = (mm: number) => gap(plan([roll(400, 150, { alongMm: mm })]), 'front tyre')?.gapMm ?? 150;
      expect(at(alongMm - up)).toBeGreaterThanOrEqual(at(alongMm) - 1e-9);
    }),
    { numRuns: 60 },
  );
});

test('bar width by hand: flat bars less hands and grips, drops between the hoods, as measured where it is', () => {
  const { build } = samplePlan().bike!;
  expect(freeBarWidthMm(build, 740)).toBe(520);
  expect(freeBarWidthMm({ ...build, bar: 'drop', barFlareDeg: 30 }, 440)).toBeCloseTo(440 - 40 + 60, 9);
  expect(freeBarWidthMm({ ...build, barFreeMm: 333 }, 740)).toBe(333);
  expect(gap(plan([roll(480)]), 'bar width')!.gapMm).toBe(20);
  // Hung low enough it passes under the hands.
  expect(gap(plan([roll(600, 100, { alongMm: 120 })]), 'bar width')).toBeUndefined();
});

test('knees by hand: 125 mm less the bag, its pocket and the bulge of a pressed load', () => {
  expect(bulgeMm(60, 1.2)).toBeCloseTo(9, 9);
  expect(bulgeMm(60, 0.8)).toBe(0);
  expect(bulgeMm(60, 9)).toBeCloseTo(13.5, 9);
  const bag = sampleBag('frame', 'frame bag');
  expect(gap(plan([bag]), 'knees')!.gapMm).toBe(125 - 60);
  const pressed = {
    ...plan([bag]),
    things: [sampleThing('t', { volumeMl: 1500, form: { kind: 'soft', looseMl: 9000 } })],
  };
  const full = loaded(pressed, { t: 'frame-main' });
  expect(gap(full, 'knees')!.gapMm).toBeCloseTo(125 - 60 - 60 * 1.5 * 0.5 * 0.3, 6);
});

test('stand-over counts what is on the tube where the rider stands', () => {
  const tall = sampleBag('tt', 'top tube bag', {
    solid: { kind: 'box', lengthMm: 460, widthMm: 60, heightMm: 120 },
  });
  const short = (kneeless: Plan): Plan => ({ ...kneeless, rider: { ...kneeless.rider, inseamMm: 800 } });
  const found = gap(short(plan([tall])), 'stand-over')!;
  expect(found.taken[0]!.mm).toBeGreaterThan(100);
  expect(found.atRestMm! - found.gapMm).toBeCloseTo(found.taken[0]!.mm, 6);
});

test('a frame bag that stands over its tubes, and a bottle that it displaces, are measured', () => {
  const deep = sampleBag('frame', 'frame bag', {
    solid: {
      kind: 'polygon',
      corners: [
        { x: 0, z: 0 },
        { x: 80, z: -260 },
        { x: 520, z: 60 },
        { x: 520, z: 160 },
      ],
      widthMm: 60,
    },
  });
  const cage = sampleBag('cage', 'bottle cage', {
    solid: { kind: 'cylinder', lengthMm: 205, diameterMm: 74 },
  });
  const of = plan([deep, cage]);
  expect(gap(of, 'frame')!.gapMm).toBeLessThan(-10);
  expect(gap(of, 'bottle')).toMatchObject({ gapMm: 0, bagId: 'frame' });
});

test('the tightest is by its own bound, not by millimetres', () => {
  const at = (gapMm: number, checkMm: number) => ({ gapMm, checkMm }) as Clearance;
  expect(tightest([])).toBeNull();
  expect(tightest([at(9, 15), at(0, -4)])).toEqual(at(9, 15));
  expect(verdictOf({ gapMm: 9, checkMm: 15, stopMm: 5 })).toBe('check');
  expect(verdictOf({ gapMm: 4, checkMm: 15, stopMm: 5 })).toBe('stop');
});

test('every fix that is offered mends what it is offered for, or takes the worst off it', () => {
  const rank = { stop: 2, check: 1, note: 0 };
  let tried = 0;
  for (const setup of DEMO_SETUPS) {
    const start = withSetup(demoPlan(), setup);
    for (const finding of evaluate(start).findings.filter(({ check }) => check === 'too near')) {
      for (const fix of finding.fixes) {
        if (!('edit' in fix)) continue;
        const applied = applyEdit(start, fix.edit);
        expect(applied.ok).toBe(true);
        if (!applied.ok) continue;
        tried += 1;
        const after = evaluate(applied.value.plan).findings.find(({ id }) => id === finding.id);
        expect(after ? rank[after.severity] : 0).toBeLessThan(rank[finding.severity]);
      }
    }
  }
  expect(tried).toBeGreaterThan(8);
});

test('a library bag tried on the bike clears just as it does when it is hung there', () => {
  const start = demoPlan();
  for (const entry of BAG_LIBRARY.filter(({ place }) => place === 'seat pack' || place === 'bar roll')) {
    const old = start.bags.find(({ place }) => place === entry.place)!;
    const bag = { ...fromLibrary(entry, [], () => `${entry.key}-id`), id: old.id };
    const trial = trialClearances(factsOf(start), bag);
    const bags = start.bags.map((other) => (other.id === old.id ? bag : other));
    const hung = factsOf({ ...start, bags }).clearances.filter(({ bagId }) => bagId === old.id);
    expect(trial.map(({ id, gapMm }) => [id, gapMm.toFixed(6)])).toEqual(
      hung.map(({ id, gapMm }) => [id, gapMm.toFixed(6)]),
    );
  }
});
