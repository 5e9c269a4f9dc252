import { bagAtPlace, bagSchema, capacityMl, PLACE_DEFAULTS, PLACES } from '@/core/bag/bag';
import { bikeGeometrySchema, bikeSchema, DEFAULT_GEOMETRY } from '@/core/bike/bike';
import { demoPlan } from '@/core/demo/plan';
import { solidVolumeMl } from '@/core/geometry/solid';
import { thingSchema } from '@/core/kit/thing';
import { applyEdit } from './apply';
import { compartmentName, editLabel, editSchema, type Edit } from './edit';
import { tripSchema } from '@/core/trip/trip';
import { brokenReferences, emptyPlan, planSchema } from './plan';
import { sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';

const messageOf = (result: { success: boolean; error?: { issues: { message: string }[] } }): string =>
  result.success ? 'taken' : (result.error?.issues[0]?.message ?? 'refused');

describe('things', () => {
  test.each<[string, object, RegExp]>([
    ['a usual one', {}, /^taken$/],
    ['no name', { name: '   ' }, /Give it a name/],
    ['a name of many lines', { name: 'two\nlines' }, /one line/],
    ['a very long name', { name: 'x'.repeat(121) }, /at most 120/],
    ['no pieces', { quantity: 0 }, /At least 1/],
    ['half a piece', { quantity: 1.5 }, /whole number/],
    ['too many pieces', { quantity: 201 }, /At most 200/],
    ['less than no mass', { massG: -1 }, /At least 0 g/],
    ['a mass in milligrams by mistake', { massG: 680_000 }, /At most 60000 g; check the unit/],
    ['a mass that is no number', { massG: Number.NaN }, /number in g/],
    ['an endless volume', { volumeMl: Infinity }, /number in ml|At most/],
    ['a length of nothing', { form: { kind: 'box', lengthMm: 0, widthMm: 5, heightMm: 5 } }, /At least 1 mm/],
    ['a form it does not know', { form: { kind: 'gas' } }, /./],
    ['an id that could be SQL', { id: "a'; --" }, /An id is/],
    ['a call it does not know', { call: 'whenever' }, /./],
  ])('%s', (_what, change, message) => {
    const said = messageOf(thingSchema.safeParse({ ...sampleThing('t'), ...change }));
    expect(said).toMatch(message);
    if (message.source !== '^taken$') expect(said).not.toBe('taken');
  });
});

describe('trips', () => {
  const { trip } = emptyPlan('Overnight');
  test.each<[string, object, RegExp]>([
    ['an empty one', {}, /^taken$/],
    ['a date', { startDate: '2027-04-16' }, /^taken$/],
    ['a day that is not', { startDate: '2027-02-30' }, /./],
    ['a date in another order', { startDate: '16.04.2027' }, /./],
    ['nights below none', { nights: -1 }, /At least 0 nights/],
    ['nights beyond a month', { nights: 31 }, /At most 30 nights/],
    ['nights colder than anywhere', { nightMinimumC: -60 }, /At least -40/],
  ])('%s', (_what, change, message) => {
    const said = messageOf(tripSchema.safeParse({ ...trip, ...change }));
    expect(said).toMatch(message);
    if (message.source !== '^taken$') expect(said).not.toBe('taken');
  });
});

describe('bikes', () => {
  test('the default figures are within their own ranges', () => {
    expect(bikeGeometrySchema.safeParse(DEFAULT_GEOMETRY).success).toBe(true);
    expect(bikeSchema.safeParse(samplePlan().bike).success).toBe(true);
  });

  test.each([
    ['stackMm', 61.4],
    ['headAngleDeg', 0],
    ['wheelBeadMm', 29],
    ['tyreWidthMm', 2.25],
    ['saddleHeightMm', 74],
  ] as const)('%s in another unit (%d) is caught', (field, value) => {
    expect(messageOf(bikeGeometrySchema.safeParse({ ...DEFAULT_GEOMETRY, [field]: value }))).toMatch(
      /At least/,
    );
  });

  test('every figure says what it is', () => {
    for (const [name, schema] of Object.entries(bikeGeometrySchema.shape)) {
      expect([name, (schema.description ?? '').length > 5]).toEqual([name, true]);
    }
  });
});

describe('bags', () => {
  let n = 0;
  const makeId = () => `id-${(n += 1)}`;

  test.each(PLACES)('a new bag for "%s" is sound, and as the place usually has it', (place) => {
    const bag = bagAtPlace(place, [], makeId);
    expect(bagSchema.safeParse(bag).error?.issues).toBeUndefined();
    expect(bag).toMatchObject({ place, massSource: 'estimate', limitG: PLACE_DEFAULTS[place].limitG });
    expect(capacityMl(bag.compartments[0]!)).toBeGreaterThan(300);
  });

  test('pairs take the side that is free', () => {
    const left = bagAtPlace('fork bag', [], makeId);
    const right = bagAtPlace('fork bag', [left], makeId);
    expect([left.side, left.name, right.side, right.name]).toEqual([
      'left',
      'Left fork bag',
      'right',
      'Right fork bag',
    ]);
    expect(bagAtPlace('seat pack', [left, right], makeId).side).toBe('middle');
  });

  test('litres printed on it win over its measures; the tape decides what is too long', () => {
    const [compartment] = sampleBag('b', 'bar roll', { statedMl: 7000 }).compartments;
    expect(capacityMl(compartment!)).toBe(7000);
    expect(capacityMl({ ...compartment!, statedMl: null })).toBeCloseTo(solidVolumeMl(compartment!.solid), 9);
  });

  test.each<[string, object, RegExp]>([
    ['no compartments', { compartments: [] }, /at least one compartment/],
    [
      'an outline of two corners',
      {
        compartments: [
          polygon([
            [0, 0],
            [9, 9],
          ]),
        ],
      },
      /at least three corners/,
    ],
    [
      'an outline that crosses itself',
      {
        compartments: [
          polygon([
            [0, 0],
            [9, 9],
            [9, 0],
            [0, 9],
          ]),
        ],
      },
      /crosses itself/,
    ],
  ])('%s is refused', (_what, change, message) => {
    expect(messageOf(bagSchema.safeParse({ ...sampleBag('b', 'frame bag'), ...change }))).toMatch(message);
  });

  function polygon(corners: [number, number][]) {
    const [compartment] = sampleBag('b', 'frame bag').compartments;
    return {
      ...compartment!,
      solid: { kind: 'polygon', corners: corners.map(([x, z]) => ({ x, z })), widthMm: 60 },
    };
  }
});

describe('plans', () => {
  test('an empty plan and the demo are plans', () => {
    for (const plan of [emptyPlan('x'), demoPlan()]) {
      expect(planSchema.safeParse(plan).success).toBe(true);
      expect(brokenReferences(plan)).toEqual([]);
    }
  });

  test('what leads nowhere is named, each by its id', () => {
    const plan = demoPlan();
    plan.bags.push(plan.bags[0]!);
    plan.load.push(
      { thingId: 'ghost', to: 'home', pinned: false },
      { thingId: 'mug', to: { compartmentId: 'attic' }, pinned: false },
    );
    expect(brokenReferences(plan)).toEqual([
      'Two bags have the id "bar-roll".',
      'Two compartments have the id "bar-roll-main".',
      'The load names a thing "ghost" that is not in the kit.',
      'The load names a compartment "attic" that no bag has.',
    ]);
  });
});

describe('edits in words', () => {
  const plan = demoPlan();
  const quilt = plan.things[0]!;
  const roll = plan.bags[0]!;
  test.each<[Edit, string]>([
    [{ kind: 'set rider', patch: { massG: 70_000 } }, 'Rider'],
    [{ kind: 'set bike', bike: null }, 'Bike removed'],
    [{ kind: 'set bike', bike: plan.bike }, 'Bike: Steel hardtail'],
    [{ kind: 'change bike', id: plan.bike!.id, patch: { massG: 11_900 } }, 'Steel hardtail changed'],
    [{ kind: 'set trip', patch: { dayMaximumC: 20, rain: 'unlikely' } }, 'Trip: day maximum, rain'],
    [{ kind: 'put bags', bags: [roll] }, 'Bar roll changed'],
    [{ kind: 'put bags', bags: [{ ...roll, id: 'new' }] }, 'Bar roll added'],
    [{ kind: 'put bags', bags: plan.bags.slice(0, 2) }, '2 bags'],
    [{ kind: 'remove bags', ids: ['bar-roll'] }, 'Bar roll removed'],
    [{ kind: 'put things', things: [quilt] }, 'Down quilt changed'],
    [{ kind: 'put things', things: [{ ...quilt, id: 'new', name: 'Mat' }] }, 'Mat added'],
    [{ kind: 'remove things', ids: ['mug'] }, 'Mug removed from the kit'],
    [{ kind: 'remove things', ids: ['mug', 'pillow'] }, '2 things removed from the kit'],
    [{ kind: 'place', moves: [{ thingId: 'mug', to: 'floor' }] }, 'Mug to the floor'],
    [
      {
        kind: 'place',
        moves: [
          { thingId: 'mug', to: 'floor' },
          { thingId: 'pillow', to: 'home' },
        ],
      },
      '2 things moved',
    ],
    [{ kind: 'several', label: 'Load for me', edits: [] }, 'Load for me'],
  ])('%j', (edit, words) => {
    expect(editSchema.safeParse(edit).success).toBe(true);
    expect(editLabel(plan, edit)).toBe(words);
  });

  test('pinning is told from moving', () => {
    const packed = {
      ...plan,
      load: [{ thingId: 'mug', to: { compartmentId: 'frame-left' }, pinned: false }],
    };
    const move = (pinned: boolean): Edit => ({
      kind: 'place',
      moves: [{ thingId: 'mug', to: { compartmentId: 'frame-left' }, pinned }],
    });
    expect(editLabel(packed, move(true))).toBe('Mug pinned where it is');
    expect(editLabel(packed, move(false))).toBe('Mug no longer pinned');
    expect(editLabel(plan, move(false))).toBe('Mug to Half frame bag, left pocket');
    expect(compartmentName(plan, 'bar-roll-main')).toBe('Bar roll');
    expect(compartmentName(plan, 'nowhere')).toBe('a bag');
  });

  test('edits do not nest, and unknown fields of a trip are dropped, not stored', () => {
    expect(
      editSchema.safeParse({
        kind: 'several',
        label: 'x',
        edits: [{ kind: 'several', label: 'y', edits: [] }],
      }).success,
    ).toBe(false);
    expect(editSchema.parse({ kind: 'set trip', patch: { nights: 1, surprise: true } })).toEqual({
      kind: 'set trip',
      patch: { nights: 1 },
    });
  });
});

describe('what an older plan did not have', () => {
  test('a patch never brings in a default for a field it does not name', () => {
    const parsed = editSchema.parse({ kind: 'set trip', patch: { nights: 3 } });
    expect(parsed).toEqual({ kind: 'set trip', patch: { nights: 3 } });
    expect(editSchema.parse({ kind: 'set rider', patch: { massG: 80_000 } })).toEqual({
      kind: 'set rider',
      patch: { massG: 80_000 },
    });
    const plan = { ...emptyPlan('Rough'), trip: { ...emptyPlan('Rough').trip, surface: 'rough' as const } };
    const applied = applyEdit(plan, parsed);
    expect(applied.ok && applied.value.plan.trip).toMatchObject({ nights: 3, surface: 'rough' });
  });

  test('a bike of four fields is a whole bike', () => {
    const bike = bikeSchema.parse({
      id: 'b',
      name: 'B',
      massG: 12_000,
      massSource: 'estimate',
      greatestTotalG: null,
      geometry: { stackMm: 600 },
    });
    expect(bike).toMatchObject({ tape: null, readings: null, build: { bar: 'flat', mounts: [] } });
    expect(bike.geometry).toEqual({ stackMm: 600 });
  });

  test.each([
    [{ geometry: { wheelbaseMm: 100 } }, /At least 800/],
    [
      {
        build: { mounts: Array.from({ length: 13 }, () => ({ place: 'down tube', bolts: 2, limitG: null })) },
      },
      /12 mounts/,
    ],
    [{ build: { mounts: [{ place: 'top of the world', bolts: 2, limitG: null }] } }, /Invalid/],
    [{ build: { tyreMostKpa: 3 } }, /.*/],
    [{ readings: { aloneFrontG: -1, aloneRearG: 0, riderFrontG: null, riderRearG: null } }, /.*/],
    [{ tape: { topMm: 500 } }, /.*/],
  ])('%j is refused', (change, words) => {
    const parsed = bikeSchema.safeParse({
      id: 'b',
      name: 'B',
      massG: 12_000,
      massSource: 'estimate',
      greatestTotalG: null,
      geometry: {},
      ...change,
    });
    expect(parsed.success).toBe(false);
    expect(messageOf(parsed)).toMatch(words);
  });
});
