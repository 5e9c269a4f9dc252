import { DEMO_BAGS } from '@/core/demo/bags';
import { DEMO_THINGS } from '@/core/demo/kit';
import { guessForm, type Thing } from '@/core/kit/thing';
import { factsOf } from '@/core/facts/facts';
import type { Filling } from '@/core/trip/trip';
import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { formatterFor } from '@/core/units/format';
import {
  bodyPoints,
  fragilePoints,
  dryPoints,
  handlingPoints,
  LEAVE_POINTS,
  linearPoints,
  reachPoints,
  sidePoints,
  tailPoints,
  weightOf,
} from './costs';
import { leaveFix, moveFix, relieve, roomFor } from '@/core/advice/fixes';
import { offersFor } from '@/core/advice/offer';
import { assumedLimitG, obstacleFor, sizeObstacle, staysDry, staysPut } from './rules';
import { comfortableMl, neededMl } from './volume';

const bags = [
  sampleBag('roll', 'bar roll', { solid: { kind: 'cylinder', lengthMm: 500, diameterMm: 150 } }),
  sampleBag('stem', 'stem bag', { solid: { kind: 'cylinder', lengthMm: 190, diameterMm: 90 } }),
  sampleBag('top', 'top tube bag', { solid: { kind: 'box', lengthMm: 220, widthMm: 60, heightMm: 90 } }),
  sampleBag('cord', 'strap outside'),
  sampleBag('seat', 'seat pack'),
  sampleBag('frame', 'frame bag'),
  sampleBag('hip', 'body'),
  sampleBag('cage', 'bottle cage'),
  sampleBag('fork', 'fork bag', {}, { side: 'left' }),
];
const facts = factsOf(samplePlan({ bags }));
const spot = (id: string) => facts.spots.find((candidate) => candidate.id === `${id}-main`)!;
const stiff = (lengthMm: number, widthMm: number, heightMm: number): Thing =>
  sampleThing('box', {
    form: { kind: 'box', lengthMm, widthMm, heightMm },
    volumeMl: (lengthMm * widthMm * heightMm) / 1000,
  });

describe('hard rules', () => {
  test.each<[string, Thing, string, ReturnType<typeof sizeObstacle>]>([
    ['just fits along the axis', stiff(500, 100, 100), 'roll', null],
    [
      'a millimetre too long',
      stiff(501, 100, 100),
      'roll',
      { kind: 'too long', byMm: 1, insideMm: 500, thingMm: 501 },
    ],
    [
      'too thick the second way',
      stiff(180, 100, 20),
      'stem',
      { kind: 'too thick', byMm: 10, insideMm: 90, thingMm: 100 },
    ],
    [
      'too thick the third way',
      stiff(200, 80, 70),
      'top',
      { kind: 'too thick', byMm: 10, insideMm: 60, thingMm: 70 },
    ],
    ['turned, since order of sides does not matter', stiff(55, 215, 85), 'top', null],
    ['soft takes any shape', sampleThing('quilt', { volumeMl: 9000 }), 'stem', null],
  ])('%s', (_what, thing, place, obstacle) => {
    expect(sizeObstacle(thing, spot(place))).toEqual(obstacle);
  });

  test('what must stay dry keeps out of the open, unless in a dry sack', () => {
    const jacket = sampleThing('jacket', { dry: 'must' });
    expect(obstacleFor(jacket, spot('cord'))).toEqual({ kind: 'open to rain' });
    expect(staysDry({ ...jacket, inDrySack: true }, spot('cord'))).toBe(true);
    expect(staysDry(jacket, spot('top'))).toBe(true);
    expect(staysDry(sampleThing('fly'), spot('cord'))).toBe(true);
  });

  const round = (lengthMm: number, diameterMm: number): Partial<Thing> => ({
    form: { kind: 'cylinder', lengthMm, diameterMm },
    volumeMl: (Math.PI * diameterMm ** 2 * lengthMm) / 4000,
  });
  test.each<[string, string, Partial<Thing>, boolean]>([
    ['a bottle', 'cage', { ...round(180, 70), waterMl: 600 }, true],
    ['a soft flask with water', 'cage', { form: { kind: 'soft', looseMl: 500 }, waterMl: 500 }, true],
    ['a canister 60 mm thick', 'cage', round(120, 60), true],
    ['a pump 59 mm thick', 'cage', round(120, 59), false],
    ['bars', 'cage', { form: { kind: 'box', lengthMm: 120, widthMm: 60, heightMm: 60 } }, false],
    ['a pole of 150 mm', 'cord', round(150, 15), true],
    ['a lever of 149 mm', 'cord', round(149, 15), false],
    ['a rain jacket', 'cord', { volumeMl: 400, form: { kind: 'soft', looseMl: 500 } }, true],
    ['gloves', 'cord', { volumeMl: 150, form: { kind: 'soft', looseMl: 260 } }, false],
    ['gloves', 'stem', { volumeMl: 150, form: { kind: 'soft', looseMl: 260 } }, true],
  ])('%s in the %s: held by it, or not', (_what, place, change, holds) => {
    const thing = sampleThing('it', change);
    expect(staysPut(thing, spot(place))).toBe(holds);
    expect(obstacleFor(thing, spot(place))?.kind === 'falls out').toBe(!holds);
  });

  test('a limit that is not known is assumed low, never high', () => {
    expect(assumedLimitG(0.1)).toBe(300);
    expect(assumedLimitG(3)).toBe(1200);
    expect(assumedLimitG(20)).toBe(2000);
  });
});

describe('room a thing takes', () => {
  test('soft by what stuffing leaves, stiff by the gaps among stiff things', () => {
    expect(neededMl(sampleThing('soft', { volumeMl: 950 }))).toBeCloseTo(1000, 9);
    expect(neededMl({ ...stiff(100, 100, 85), quantity: 2 })).toBeCloseTo(2000, 9);
  });

  test('at its loose size it never takes less than pressed', () => {
    const soft = (looseMl: number) => sampleThing('soft', { volumeMl: 950, form: { kind: 'soft', looseMl } });
    expect(comfortableMl(soft(2000))).toBe(2000);
    expect(comfortableMl(soft(100))).toBeCloseTo(1000, 9);
    expect(comfortableMl(stiff(100, 100, 85))).toBeCloseTo(1000, 9);
  });
});

describe('the objective, term by term', () => {
  const points = (massG: number, place: string) => handlingPoints(massG, spot(place));

  test('handling grows with mass, and is best by the bottom bracket, worst at the ends', () => {
    expect(points(2000, 'seat')).toBeCloseTo(2 * points(1000, 'seat'), 9);
    expect(points(1000, 'frame')).toBeLessThan(points(1000, 'roll'));
    expect(points(1000, 'frame')).toBeLessThan(points(1000, 'seat'));
    expect(points(1000, 'hip')).toBe(6);
  });

  test('reach costs more when a thing is needed before it can be reached', () => {
    const called = (call: Thing['call']) => sampleThing('thing', { call, volumeMl: 500 });
    expect(reachPoints(called('riding'), spot('stem'))).toBe(0);
    expect(reachPoints(called('riding'), spot('frame'))).toBe(9);
    expect(reachPoints(called('riding'), spot('seat'))).toBe(18);
    expect(reachPoints(called('urgent'), spot('frame'))).toBe(0);
    expect(reachPoints(called('urgent'), spot('seat'))).toBe(12);
    expect(reachPoints(called('camp'), spot('seat'))).toBe(0);
    // Half a litre in the saddle's reach takes room from what is wanted there, most of all where it is wanted at camp only.
    expect(reachPoints(called('camp'), spot('stem'))).toBe(3 + 8 / 2);
    expect(reachPoints(called('repair'), spot('stem'))).toBe(3 + 6 / 2);
    expect(reachPoints(called('urgent'), spot('stem'))).toBe(5 / 2);
    expect(reachPoints(called('stop'), spot('stem'))).toBe(3 / 2);
    expect(reachPoints(called('camp'), spot('frame'))).toBe(2 / 2);
  });

  test('a fragile thing is not shaken on the fork, nor buried where it is wanted at stops', () => {
    const camera = sampleThing('camera', { traits: ['fragile'], call: 'stop' });
    expect(fragilePoints(camera, spot('top'))).toBe(0);
    expect(fragilePoints(camera, spot('roll'))).toBe(8);
    expect(fragilePoints(camera, spot('fork'))).toBe(16);
    expect(fragilePoints({ ...camera, call: 'camp' }, spot('fork'))).toBe(8);
    expect(fragilePoints(sampleThing('hat', { call: 'stop' }), spot('fork'))).toBe(0);
  });

  test('water with a hose is welcome on the back, and reached while riding', () => {
    const bladder = sampleThing('bladder', { system: 'water', waterMl: 1500, call: 'riding' });
    const plan = samplePlan({ bags, things: [bladder] });
    expect(linearPoints(plan, bladder, spot('hip'))).toMatchObject({ handling: 6 * 1.7, reach: 9 });
    expect(linearPoints(plan, { ...bladder, traits: ['hose'] }, spot('hip'))).toMatchObject({
      handling: 0,
      reach: 0,
      'usual place': 0,
    });
  });

  test('two kilograms on the body are free of the price for more', () => {
    expect(bodyPoints(2000)).toBe(0);
    expect(bodyPoints(2500)).toBe(5);
  });

  test('dry: sealed is free, rain likely costs more, a sack less', () => {
    const must = sampleThing('jacket', { dry: 'must' });
    expect(dryPoints(must, spot('seat'), 'likely')).toBe(0);
    expect(dryPoints(must, spot('top'), 'unlikely')).toBe(4);
    expect(dryPoints(must, spot('top'), 'likely')).toBe(10);
    expect(dryPoints({ ...must, inDrySack: true }, spot('top'), 'likely')).toBe(0);
    expect(dryPoints({ ...must, inDrySack: true }, spot('cord'), 'likely')).toBe(2.5);
    expect(dryPoints(sampleThing('hat', { dry: 'rather' }), spot('cord'), 'unlikely')).toBe(3);
    expect(dryPoints(sampleThing('fly'), spot('cord'), 'likely')).toBe(0);
  });

  test('sides: little within 200 g, much beyond, the same both ways', () => {
    expect(sidePoints(0)).toBe(0);
    expect(sidePoints(200)).toBeCloseTo(0.6, 9);
    expect(sidePoints(300)).toBeCloseTo(0.9 + 4, 9);
    expect(sidePoints(-300)).toBe(sidePoints(300));
  });

  test('tail: free well below the caution, dear beyond', () => {
    expect(tailPoints(0.9)).toBe(0);
    expect(tailPoints(1.3)).toBeGreaterThan(5);
  });

  test('leaving a must costs more than leaving all that is nice in a usual kit', () => {
    const nice = DEMO_THINGS.filter((thing) => thing.need === 'nice').length;
    expect(LEAVE_POINTS.must).toBeGreaterThan(LEAVE_POINTS.should);
    expect(LEAVE_POINTS.should).toBeGreaterThan(2 * LEAVE_POINTS.nice);
    expect(nice).toBeGreaterThan(3);
  });

  test('schools multiply terms, and change only those they name', () => {
    const plan = samplePlan({ bags, things: [] });
    const school = (filling: Filling) => ({ ...plan, trip: { ...plan.trip, filling } });
    expect(weightOf(school('by system'), 'together')).toBe(2.5);
    expect(weightOf(school('by weight alone'), 'reach')).toBe(0.3);
    expect(weightOf(plan, 'dry')).toBe(1);
    const tool = sampleThing('tool', { call: 'riding', massG: 500 });
    const usual = linearPoints(plan, tool, spot('seat'));
    const weight = linearPoints(school('by weight alone'), tool, spot('seat'));
    expect(weight.handling).toBeCloseTo(2.5 * usual.handling, 9);
    expect(weight.reach).toBeCloseTo(0.3 * usual.reach, 9);
  });
});

describe('quick fixes', () => {
  const plan = loaded(
    samplePlan({
      bags: [
        sampleBag('small', 'top tube bag', { statedMl: 1000 }, { limitG: 800 }),
        sampleBag('large', 'frame bag', { statedMl: 5000 }, { limitG: 3000 }),
      ],
      things: [
        sampleThing('pump', { massG: 150, volumeMl: 190, need: 'must' }),
        sampleThing('jacket', { massG: 300, volumeMl: 760 }),
        sampleThing('book', { massG: 180, volumeMl: 285, need: 'nice' }),
      ],
    }),
    { pump: 'small-main', jacket: 'small-main', book: 'small-main' },
  );
  const state = factsOf(plan);
  const things = plan.things;

  test('the least move that mends it comes first, and the least needed is offered to leave', () => {
    // 200 + 800 + 300 = 1300 ml in 1000: 300 over; the book alone is just enough.
    const fixes = relieve(state, things, 300, neededMl);
    expect(fixes.map((fix) => fix.label)).toEqual([
      'Move book to large',
      'Move jacket to large',
      'Leave book at home',
    ]);
  });

  test('what is pinned is not offered, and a must is not offered to leave', () => {
    const pinned = {
      ...plan,
      load: plan.load.map((entry) => ({ ...entry, pinned: entry.thingId === 'book' })),
    };
    const labels = relieve(factsOf(pinned), [things[0]!, things[2]!], 100, neededMl).map((fix) => fix.label);
    expect(labels).toEqual(['Move pump to large']);
  });

  test('room is found only where nothing hard is broken', () => {
    expect(roomFor(state, things[1]!).map((place) => place.name)).toEqual(['large']);
    expect(roomFor(state, { ...things[1]!, massG: 4000 })).toEqual([]);
    expect(roomFor(state, things[1]!, (place) => place.name === 'small')).toEqual([]);
  });

  test('a fix is an edit that can be applied as it is', () => {
    expect(moveFix(things[0]!, state.spots[1]!)).toEqual({
      label: 'Move pump to large',
      edit: { kind: 'place', moves: [{ thingId: 'pump', to: { compartmentId: 'large-main' } }] },
    });
    expect(leaveFix(things[0]!)).toMatchObject({ edit: { moves: [{ to: 'home' }] } });
  });
});

describe('offers', () => {
  const format = formatterFor('metric');
  const plan = loaded(
    samplePlan({
      bags: [
        sampleBag('cord', 'strap outside', { statedMl: 3000 }),
        sampleBag('stem', 'stem bag', {
          solid: { kind: 'cylinder', lengthMm: 190, diameterMm: 90 },
          statedMl: 1200,
        }),
        sampleBag('light', 'frame bag', { statedMl: 3000 }, { limitG: 300 }),
        sampleBag('full', 'seat pack', { statedMl: 1000 }),
        sampleBag('room', 'bar roll', { statedMl: 3000 }),
      ],
      things: [
        sampleThing('shirt', { volumeMl: 570 }),
        sampleThing('poles', {
          massG: 400,
          form: { kind: 'long', lengthMm: 300, diameterMm: 40 },
          volumeMl: 340,
          dry: 'must',
        }),
        sampleThing('mat', { massG: 400, volumeMl: 760, dry: 'must' }),
      ],
    }),
    { shirt: 'full-main' },
  );
  const words = (id: string) =>
    offersFor(
      factsOf(plan),
      plan.things.find((thing) => thing.id === id)!,
      format,
    ).map(({ spot: place, fits, words: text }) => `${place.name}: ${fits ? 'yes' : 'no'}, ${text}`);

  test('each compartment says what would stand in the way, or what would be left', () => {
    expect(words('mat')).toEqual([
      'cord: no, open to rain',
      'stem: no, open to rain',
      'light: no, 100 g over its limit',
      'full: no, 0.40 l short of room',
      'room: yes, 2.20 l left over',
    ]);
    expect(words('poles')[1]).toBe('stem: no, 110 mm too long');
    expect(words('shirt')[3]).toBe('full: yes, is here');
  });
});

test('every thing of the demo has somewhere to go', () => {
  const demo = factsOf(samplePlan({ bags: [...DEMO_BAGS] }));
  for (const thing of DEMO_THINGS) {
    if (thing.carry === 'worn') continue;
    expect([thing.name, demo.spots.some((place) => !obstacleFor(thing, place))]).toEqual([thing.name, true]);
  }
});

test('a guessed form of a large thing keeps out of small bags', () => {
  const tent = sampleThing('tent', { form: guessForm('box', 4000), volumeMl: 4000 });
  expect(obstacleFor(tent, spot('stem'))).not.toBeNull();
});

test('a fork bag carries what the weaker of bag and mount allows; where neither is known, little', () => {
  const limitOf = (bagG: number | null, mountG: number | null | undefined) => {
    const plan = samplePlan({
      bags: [sampleBag('f', 'fork bag', { statedMl: 4000 }, { side: 'left', limitG: bagG })],
    });
    const mounts =
      mountG === undefined
        ? []
        : [{ place: 'left fork leg' as const, bolts: 3, lowestMm: 130, limitG: mountG }];
    return factsOf({ ...plan, bike: { ...plan.bike!, build: { ...plan.bike!.build, mounts } } }).bags[0]!;
  };
  expect(limitOf(2500, 1500)).toMatchObject({ limitG: 1500, limitAssumed: false });
  expect(limitOf(2000, 3000)).toMatchObject({ limitG: 2000, limitAssumed: false });
  expect(limitOf(null, 1200)).toMatchObject({ limitG: 1200, limitAssumed: false });
  expect(limitOf(2500, undefined)).toMatchObject({ limitG: 2500, limitAssumed: false });
  // 400 g a litre.
  expect(limitOf(null, null)).toMatchObject({ limitG: 1600, limitAssumed: true });
});
