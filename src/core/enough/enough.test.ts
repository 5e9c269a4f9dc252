import fc from 'fast-check';
import { clothesClo, comfortableDownTo, MET, windChill } from '@/core/clothes/warmth';
import { fuelBudget, gasOnTrip, gasPerLitreG } from '@/core/cook/fuel';
import { demoPlan } from '@/core/demo/plan';
import { evaluate } from '@/core/evaluation/evaluate';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';
import { asTaken, type Thing } from '@/core/kit/thing';
import { kindOf } from '@/core/kit/kinds/kinds';
import { thingOfKind } from '@/core/kit/kinds/newThing';
import { dangerOfLeaving, regretsTogether, whyLeave, worthLeaving } from '@/core/needs/leave';
import { learnedChance, needsMet, regrets } from '@/core/needs/met';
import { bankWh, chargeBudget } from '@/core/power/charge';
import { neededR, sleepMargin, type SleepSystem } from '@/core/sleep/sleep';
import { emptyPlan } from '@/core/plan/plan';
import { enoughOf } from './enough';

test('the worked example of methods 14', () => {
  const clo = clothesClo([0.2, 0.15, 0.7, 0.15, 0.25, 0.05, 0.1, 0.05]);
  expect(clo).toBeCloseTo(1.54, 2);
  expect(comfortableDownTo(clo + 0.7, MET.sitting)).toBeCloseTo(11.8, 1);
  expect(comfortableDownTo(clo + 0.7, MET.moving)).toBeCloseTo(5.7, 1);
  expect(windChill(5, 40)).toBeCloseTo(-0.7, 1);
});

test('the worked example of methods 15', () => {
  expect(learnedChance(0.5, 1, 6)).toBeCloseTo(0.3, 6);
});

test('gas for a litre, and a canister against boils', () => {
  expect(gasPerLitreG(10, 'breeze')).toBeCloseTo(23.4, 1);
  expect(gasPerLitreG(10, 'sheltered')).toBeCloseTo(16.4, 1);
  expect(gasPerLitreG(5, 'wind')).toBeCloseTo(34.6, 1);
  expect(gasOnTrip([3, null], 0.5)).toBeCloseTo(11.7, 1);
  expect(fuelBudget(2.8, 100, 23.4)).toMatchObject({ verdict: 'enough' });
  expect(fuelBudget(4, 100, 23.4).verdict).toBe('doubtful');
  expect(fuelBudget(5, 100, 23.4).verdict).toBe('not enough');
});

test('a canister that was weighed holds what it weighs less what it weighs empty; an estimate does not count as weighed', () => {
  const plan = demoPlan();
  const hasG = (patch: Partial<Thing>) =>
    enoughOf(
      evaluate({
        ...plan,
        things: plan.things.map((thing) => (thing.name === 'Gas canister' ? { ...thing, ...patch } : thing)),
      }),
    ).fuel!.hasG;
  expect(hasG({ massG: 140, massSource: 'kitchen scale', specs: { fuelG: 100, tareG: 98 } })).toBe(42);
  expect(hasG({ massG: 80, massSource: 'kitchen scale', specs: { fuelG: 100, tareG: 98 } })).toBe(0);
  expect(hasG({ massG: 140, massSource: 'estimate', specs: { fuelG: 100, tareG: 98 } })).toBe(100);
  expect(hasG({ massG: 140, massSource: 'kitchen scale', specs: { fuelG: 100 } })).toBe(100);
});

test('a power bank, warm and at freezing, against days', () => {
  expect(bankWh(10_000, 10)).toBeCloseTo(31.45, 2);
  expect(bankWh(10_000, 0)).toBeCloseTo(25.9, 2);
  const base = {
    drawWhPerDay: 12,
    days: 3,
    banksMah: 10_000,
    panelW: 0,
    dynamoW: 0,
    sunHours: 4,
    movingHours: 4,
    speedKmh: 12,
    coldestC: 5,
    socketNights: 0,
  };
  expect(chargeBudget(base)).toMatchObject({ needWh: 36, verdict: 'not enough' });
  expect(chargeBudget({ ...base, dynamoW: 3 }).dynamoWh).toBeCloseTo(3 * 0.8 * 4 * 3, 6);
  expect(chargeBudget({ ...base, banksMah: 30_000 }).verdict).toBe('more than twice');
  expect(chargeBudget({ ...base, banksMah: 0 }).verdict).toBe('not enough');
});

const SYSTEM: SleepSystem = {
  comfortC: 0,
  limitC: null,
  linerC: 2,
  clothesC: 0,
  shelterC: 2,
  agedC: 0,
  rValue: 3,
  isColdSleeper: false,
};

test('R-values between and beyond the figures of methods 9', () => {
  expect([15, 10, 5, 2.5, 0, -7, -14].map(neededR)).toEqual([2, 2, 3, 3.5, 4, 5.5, 7]);
});

test('a night by hand: bag, liner, tent and a mat that is a little thin', () => {
  const margin = sleepMargin(SYSTEM, 3)!;
  expect(margin.neededR).toBeCloseTo(3.4, 6);
  expect(margin.comfortC).toBeCloseTo(-3.2, 6);
  expect(margin.marginC).toBeCloseTo(6.2, 6);
  expect(margin.verdict).toBe('enough');
  expect(sleepMargin({ ...SYSTEM, comfortC: null }, 3)).toBeNull();
  expect(sleepMargin({ ...SYSTEM, comfortC: null, limitC: -5 }, 3)!.comfortC).toBeCloseTo(-3.2, 6);
  expect(sleepMargin({ ...SYSTEM, isColdSleeper: true, linerC: 0 }, 3)!.verdict).toBe('doubtful');
});

test('a warmer night, a thicker mat or one more layer never sleeps colder', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(
      number(-12, 10),
      number(-15, 20),
      number(0, 6),
      number(0, 4),
      (comfortC, coldestC, rValue, more) => {
        const system = { ...SYSTEM, comfortC, rValue };
        const { marginC } = sleepMargin(system, coldestC)!;
        expect(sleepMargin(system, coldestC + more)!.marginC).toBeGreaterThanOrEqual(marginC - 1e-9);
        expect(sleepMargin({ ...system, rValue: rValue + more }, coldestC)!.marginC).toBeGreaterThanOrEqual(
          marginC - 1e-9,
        );
        expect(sleepMargin({ ...system, clothesC: more }, coldestC)!.marginC).toBeGreaterThanOrEqual(
          marginC - 1e-9,
        );
      },
    ),
    { seed: 35 },
  );
});

const demo = demoPlan();
const said = (plan: Plan, check: string) =>
  evaluate(plan)
    .findings.filter((finding) => finding.check === check)
    .map(({ severity, message }) => `${severity}: ${message}`);
const without = (plan: Plan, ...names: string[]): Plan => ({
  ...plan,
  load: plan.things
    .filter(({ name }) => names.includes(name))
    .map(({ id }) => ({ thingId: id, to: 'home' as const, pinned: false })),
});

test('the demo has what its trip needs, but a way to call for help far from it', () => {
  expect(evaluate(demo).stages.find(({ stage }) => stage === 'kit')!.verdict).not.toBe('stop');
  expect(said(demo, 'needs')).toEqual(['note: You have not packed a way to call for help without coverage.']);
  expect(said(demo, 'sleeps warm')).toEqual([]);
});

test('colder weather turns sleep to stop without the liner, and taking it back turns it to a check', () => {
  const cold = without({ ...demo, trip: { ...demo.trip, scenario: 'colder' } }, 'Silk liner');
  const finding = evaluate(cold).findings.find(({ check }) => check === 'sleeps warm')!;
  expect(finding.severity).toBe('stop');
  expect(finding.message).toMatch(/^In colder weather: Night 2 is 0.5 °C colder/);
  const [fix] = finding.fixes;
  expect(fix!.label).toBe('Take Silk liner');
  const again = applyEdit(cold, (fix as { edit: Parameters<typeof applyEdit>[1] }).edit);
  expect(again.ok && said(again.value.plan, 'sleeps warm')).toEqual([
    expect.stringMatching(/^check: In colder weather: Night 2 is only 1.5 °C warmer/),
  ]);
});

test('a tubeless bike and one with tubes need different spares', () => {
  const bare = without(demo, 'Plug and patch kit');
  const on = (tubes: boolean): Plan => ({
    ...bare,
    bike: { ...bare.bike!, build: { ...bare.bike!.build, tubes } },
  });
  expect(said(on(false), 'needs').join(' ')).toMatch(/not packed plugs/);
  expect(said(on(true), 'needs').join(' ')).toMatch(/not packed patches/);
});

test('what a rider dismisses is asked for no more on this trip', () => {
  const finding = evaluate(demo).findings.find(({ check }) => check === 'needs')!;
  const fix = finding.fixes.at(-1) as { edit: Parameters<typeof applyEdit>[1] };
  const after = applyEdit(demo, fix.edit);
  expect(after.ok && said(after.value.plan, 'needs')).toEqual([]);
});

test('regret: what alone meets a dangerous need is regretted most, what serves nothing least', () => {
  const { needs, taken } = enoughOf(evaluate(demo));
  const all = regrets(needs, taken);
  expect(all[0]!.regret).toBe(0);
  expect(all.at(-1)!.isDangerous).toBe(true);
  const quilt = all.find(({ thing }) => thing.name === 'Down quilt')!;
  expect(quilt.regret).toBe(30);
  // The front light and the head torch stand in for each other.
  const light = all.find(({ thing }) => thing.name === 'Front light')!;
  expect(light).toMatchObject({ regret: 0, others: [expect.objectContaining({ name: 'Head torch' })] });
});

test('what could be left: the chair first; nothing that keeps warm, is relied on or is a must', () => {
  const { needs, taken } = enoughOf(evaluate(demo));
  const found = worthLeaving(needs, taken);
  expect(found[0]!.thing.name).toBe('Folding chair');
  const names = found.map(({ thing }) => thing.name);
  for (const kept of [
    'Silk liner',
    'Cables and plug',
    'Power bank',
    'Tent pegs',
    'Down quilt',
    'Sleep shirt',
    'Chocolate',
  ])
    expect(names).not.toContain(kept);
  expect(found.every(({ isDangerous, thing }) => !isDangerous && thing.need !== 'must')).toBe(true);
});

test('leaving says what it means: a danger, what else would do, or that nothing asks for it', () => {
  const { needs, taken } = enoughOf(evaluate(demoPlan()));
  const of = (...ids: string[]) => regretsTogether(needs, taken, new Set(ids));
  const [aid] = of('first-aid-pouch');
  expect(dangerOfLeaving(aid!)).toMatch(/^Nothing else is .*first aid.*\. [A-Z]/);
  const [chair] = of('folding-chair');
  expect([dangerOfLeaving(chair!), whyLeave(chair!)]).toEqual([null, 'A luxury.']);
  // Either light will do; without both there is none.
  const lights = ['front-light', 'head-torch'];
  expect(of(lights[0]!)[0]!.only.length).toBeLessThan(of(...lights)[0]!.only.length);
});

/** A small kit of kinds, and what has to be said of it; written by hand. */
type Small = readonly [
  what: string,
  change: Partial<Plan['trip']>,
  kinds: readonly string[],
  expected: readonly (readonly [check: string, severity: 'stop' | 'check' | 'note' | null])[],
];
const NIGHT = {
  nights: 1,
  sleeping: 'tent' as const,
  nightMinimumC: 3,
  dayMaximumC: 15,
  rain: 'unlikely' as const,
};
const BASE = [
  'first-aid-kit',
  'multi-tool',
  'mini-pump',
  'spare-tube-29-in',
  'bottle-0.75-l',
  'phone',
  'wallet',
  'helmet',
];
/** What a day ride takes beside. */
const DAY = [
  'rear-light',
  'front-light',
  'wind-jacket',
  'tyre-levers',
  'tubeless-plugs',
  'tape',
  'quick-links',
  'derailleur-hanger',
  'gloves-warm',
  'sun-cream',
  'map',
  'emergency-blanket',
];
const SMALL: readonly Small[] = [
  [
    'a warm bag in a tent',
    NIGHT,
    ['sleeping-bag-minus-5-c', 'inflatable-mat', 'tent-1-person', ...BASE],
    [['sleeps warm', null]],
  ],
  [
    'a summer bag in a tent',
    NIGHT,
    ['sleeping-bag-10-c', 'inflatable-mat', 'tent-1-person', ...BASE],
    [['sleeps warm', 'stop']],
  ],
  [
    'a bag that just does',
    NIGHT,
    ['sleeping-bag-5-c', 'inflatable-mat', 'tent-1-person', ...BASE],
    [['sleeps warm', 'stop']],
  ],
  [
    'the same with a liner',
    NIGHT,
    ['sleeping-bag-5-c', 'sleeping-bag-liner', 'inflatable-mat', 'tent-1-person', ...BASE],
    [['sleeps warm', 'check']],
  ],
  [
    'the same with a dry set too',
    NIGHT,
    ['sleeping-bag-5-c', 'sleeping-bag-liner', 'base-layer-top', 'inflatable-mat', 'tent-1-person', ...BASE],
    [['sleeps warm', null]],
  ],
  [
    'and a jacket over it',
    NIGHT,
    [
      'sleeping-bag-5-c',
      'sleeping-bag-liner',
      'base-layer-top',
      'insulated-jacket',
      'inflatable-mat',
      'tent-1-person',
      ...BASE,
    ],
    [['sleeps warm', null]],
  ],
  [
    'a warm night',
    { ...NIGHT, nightMinimumC: 14 },
    ['sleeping-bag-10-c', 'inflatable-mat', 'tent-1-person', ...BASE],
    [['sleeps warm', null]],
  ],
  [
    'frost',
    { ...NIGHT, nightMinimumC: -6 },
    ['sleeping-bag-0-c', 'inflatable-mat', 'tent-1-person', ...BASE],
    [['sleeps warm', 'stop']],
  ],
  [
    'frost with a winter mat and bag',
    { ...NIGHT, nightMinimumC: -6 },
    ['sleeping-bag-minus-10-c', 'inflatable-mat-winter', 'tent-1-person', ...BASE],
    [['sleeps warm', null]],
  ],
  [
    'a thin mat on cold ground',
    { ...NIGHT, nightMinimumC: -4 },
    ['sleeping-bag-minus-5-c', 'inflatable-mat-light', 'tent-1-person', ...BASE],
    [['sleeps warm', 'stop']],
  ],
  [
    'a hotel',
    { ...NIGHT, sleeping: 'hotel' },
    BASE,
    [
      ['sleeps warm', null],
      ['warm at camp', null],
    ],
  ],
  [
    'a hut with a liner alone',
    { ...NIGHT, sleeping: 'hut' },
    ['sleeping-bag-liner', ...BASE],
    [['sleeps warm', null]],
  ],
  [
    'a quilt under a tarp',
    { ...NIGHT, sleeping: 'tarp' },
    ['quilt-0-c', 'inflatable-mat', 'tarp', ...BASE],
    [['sleeps warm', null]],
  ],
  [
    'a quilt in a hammock',
    { ...NIGHT, sleeping: 'hammock' },
    ['quilt-0-c', 'inflatable-mat', 'hammock', ...BASE],
    [['sleeps warm', 'check']],
  ],
  [
    'a day ride',
    { ...NIGHT, nights: 0 },
    BASE,
    [
      ['sleeps warm', null],
      ['charge', null],
      ['fuel', null],
    ],
  ],
  [
    'a jacket and a hat on a mild evening',
    { ...NIGHT, nightMinimumC: 10, dayMaximumC: 22 },
    ['insulated-jacket', 'fleece', 'base-layer-top', 'trousers', 'warm-hat', ...BASE],
    [['warm at camp', null]],
  ],
  [
    'a shirt on a cold evening',
    { ...NIGHT, nightMinimumC: 0, dayMaximumC: 8 },
    ['cycling-jersey', ...BASE],
    [['warm at camp', 'check']],
  ],
  [
    'a jacket on a cold evening',
    { ...NIGHT, nightMinimumC: 0, dayMaximumC: 14 },
    [
      'insulated-jacket',
      'fleece',
      'base-layer-top',
      'base-layer-bottoms',
      'trousers',
      'warm-hat',
      'gloves-warm',
      ...BASE,
    ],
    [['warm at camp', 'note']],
  ],
  [
    'everything insulated in frost',
    { ...NIGHT, nightMinimumC: -6, dayMaximumC: 3 },
    [
      'insulated-jacket',
      'insulated-trousers',
      'fleece',
      'base-layer-top',
      'base-layer-bottoms',
      'warm-hat',
      'gloves-warm',
      'rain-jacket',
      'down-booties',
      ...BASE,
    ],
    [['warm at camp', 'check']],
  ],
  ['a small canister for one night', NIGHT, ['gas-canister-100-g', 'gas-stove', ...BASE], [['fuel', null]]],
  [
    'a small canister for three',
    { ...NIGHT, nights: 3 },
    ['gas-canister-100-g', 'gas-stove', ...BASE],
    [['fuel', 'note']],
  ],
  [
    'a small canister for four',
    { ...NIGHT, nights: 4 },
    ['gas-canister-100-g', 'gas-stove', ...BASE],
    [['fuel', 'check']],
  ],
  [
    'two of them for four',
    { ...NIGHT, nights: 4 },
    ['gas-canister-100-g', 'gas-canister-230-g', 'gas-stove', ...BASE],
    [['fuel', null]],
  ],
  [
    'cold food needs no gas',
    { ...NIGHT, nights: 4, cooking: 'no stove' },
    ['gas-canister-100-g', ...BASE],
    [['fuel', null]],
  ],
  ['a phone for a night and no bank', NIGHT, BASE, [['charge', 'check']]],
  ['a phone and a small bank', NIGHT, ['power-bank-5000-mah', ...BASE], [['charge', null]]],
  ['a phone and a large bank', NIGHT, ['power-bank-27000-mah', ...BASE], [['charge', 'note']]],
  [
    'a phone, head unit and lights for three nights on a small bank',
    { ...NIGHT, nights: 3 },
    ['head-unit', 'front-light', 'rear-light', 'power-bank-5000-mah', ...BASE],
    [['charge', 'check']],
  ],
  [
    'the same on a bank of 27,000',
    { ...NIGHT, nights: 3 },
    ['head-unit', 'front-light', 'rear-light', 'power-bank-27000-mah', ...BASE],
    [['charge', null]],
  ],
  [
    'the same in huts with sockets',
    { ...NIGHT, nights: 3, sleeping: 'hut' },
    ['head-unit', 'front-light', 'rear-light', 'power-bank-5000-mah', ...BASE],
    [['charge', 'note']],
  ],
  ['no way to boil', NIGHT, ['sleeping-bag-minus-5-c', ...BASE], [['needs', 'check']]],
  ['a day ride with the usual', { ...NIGHT, nights: 0 }, [...DAY, ...BASE], [['needs', null]]],
  [
    'a day ride without a rear light',
    { ...NIGHT, nights: 0 },
    [...DAY.filter((id) => !['rear-light'].includes(id)), ...BASE],
    [['needs', 'check']],
  ],
  [
    'a day ride without sun cream',
    { ...NIGHT, nights: 0 },
    [...DAY.filter((id) => !['sun-cream'].includes(id)), ...BASE],
    [['needs', 'note']],
  ],
  [
    'a cool day ride without sun cream',
    { ...NIGHT, nights: 0, dayMaximumC: 9 },
    [...DAY.filter((id) => !['sun-cream'].includes(id)), ...BASE],
    [['needs', null]],
  ],
  [
    'rain and no rain layer',
    { ...NIGHT, nights: 0, rain: 'likely' },
    [...DAY.filter((id) => !['wind-jacket'].includes(id)), ...BASE],
    [['needs', 'check']],
  ],
  [
    'rain and a rain jacket',
    { ...NIGHT, nights: 0, rain: 'likely' },
    ['rain-jacket', ...DAY.filter((id) => !['wind-jacket'].includes(id)), ...BASE],
    [['needs', null]],
  ],
  [
    'across a border without papers',
    { ...NIGHT, nights: 0, circumstances: ['border'] },
    [...DAY, ...BASE],
    [['needs', 'check']],
  ],
  [
    'across a border with them',
    { ...NIGHT, nights: 0, circumstances: ['border'] },
    ['passport', ...DAY, ...BASE],
    [['needs', null]],
  ],
  [
    'a cold sleeper’s bag two degrees warmer',
    { ...NIGHT, nightMinimumC: 6 },
    ['sleeping-bag-5-c', 'inflatable-mat', 'tent-1-person', ...BASE],
    [['sleeps warm', null]],
  ],
];

test('at least forty small kits', () => expect(SMALL.length).toBeGreaterThanOrEqual(40));

test.each(SMALL)('%s', (_, change, kinds, expected) => {
  const things = kinds.map((id): Thing => {
    const kind = kindOf(id);
    if (!kind) throw new Error(`There is no kind ${id}.`);
    return { ...thingOfKind(id, kind), id };
  });
  const plan: Plan = { ...emptyPlan('Small'), things };
  plan.trip = { ...plan.trip, ...change };
  const { findings } = evaluate(plan);
  for (const [check, severity] of expected) {
    const found = findings.filter((finding) => finding.check === check);
    const worst =
      (['stop', 'check', 'note'] as const).find((each) =>
        found.some((finding) => finding.severity === each),
      ) ?? null;
    expect([check, worst, found.map(({ message }) => message)]).toEqual([check, severity, expect.anything()]);
  }
});

test('nothing is said to be missing from a kit of which nobody knows what it is for', () => {
  const things = demo.things.map((thing) => asTaken({ ...thing, purposes: null, kind: null, provides: [] }));
  expect(said({ ...demo, things }, 'needs')).toEqual([]);
});

test('an empty list misses every must', () => {
  const { needs } = enoughOf(evaluate(demo));
  const situationless = needs.filter(({ rule }) => rule.importance === 'must');
  expect(situationless.length).toBeGreaterThan(10);
  const found = needsMet(
    {
      conditions: {
        days: [],
        nights: [],
        coldestC: 20,
        warmestC: 25,
        rain: 'unlikely',
        sleepsOutside: false,
      },
      trip: demo.trip,
      people: 1,
      build: demo.bike!.build,
      helpM: null,
    },
    [],
  );
  expect(found.every(({ isMissing }) => isMissing)).toBe(true);
});
