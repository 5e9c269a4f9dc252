import fc from 'fast-check';
import type { Bag } from '@/core/bag/bag';
import type { Bike, Build } from '@/core/bike/bike';
import { demoPlan } from '@/core/demo/plan';
import type { Thing } from '@/core/kit/thing';
import { applyEdit } from '@/core/plan/apply';
import { evaluate } from '@/core/evaluation/evaluate';
import type { Plan } from '@/core/plan/plan';
import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { formatterFor } from '@/core/units/format';
import type { Finding } from './finding';
import { listed, STAGES } from './finding';

const find = (plan: Plan, check: string): Finding[] =>
  evaluate(plan).findings.filter((finding) => finding.check === check);

/** Applies the first fix that is an edit. */
function mend(plan: Plan, finding: Finding): Plan {
  const fix = finding.fixes.find((candidate) => 'edit' in candidate)!;
  const applied = applyEdit(plan, (fix as Extract<typeof fix, { edit: unknown }>).edit);
  if (!applied.ok) throw new Error(applied.error);
  return applied.value.plan;
}

/** A plan whose bike has something about it. */
function built(build: Partial<Build>, bike: Partial<Bike>, bags: Bag[] = []): Plan {
  const plan = samplePlan({ bags });
  return { ...plan, bike: { ...plan.bike!, ...bike, build: { ...plan.bike!.build, ...build } } };
}

/** A bag with a place to strap things on outside. */
const withCord = (bag: Bag): Bag => {
  const [cord] = sampleBag('any', 'strap outside').compartments;
  return {
    ...bag,
    compartments: [...bag.compartments, { ...cord!, id: 'cord', name: 'cord', outside: 'tethered' }],
  };
};

const stick = (lengthMm: number): Thing =>
  sampleThing('stick', { volumeMl: 40, form: { kind: 'long', lengthMm, diameterMm: 18 } });

/** Things that lie in one bag, with another to go to. */
const beside = (...things: Thing[]): Plan =>
  loaded(
    samplePlan({ bags: [sampleBag('roll', 'bar roll'), sampleBag('seat', 'seat pack')], things }),
    Object.fromEntries(things.map(({ id }) => [id, 'roll-main'])),
  );

/** Each check with a plan that has the trouble, and what its finding must say; then its first fix must mend it. */
const troubles: { check: string; plan: Plan; severity: Finding['severity']; says: RegExp; mends: boolean }[] =
  [
    {
      check: 'over volume',
      // 3 × 950/0.95 = 3000 ml in 2.5 l.
      plan: loaded(
        samplePlan({
          bags: [sampleBag('roll', 'bar roll', { statedMl: 2500 }), sampleBag('seat', 'seat pack')],
          things: [sampleThing('quilt'), sampleThing('shirt'), sampleThing('jacket')],
        }),
        { quilt: 'roll-main', shirt: 'roll-main', jacket: 'roll-main' },
      ),
      severity: 'stop',
      says: /roll is 500 ml|roll is 0\.50 l over/,
      mends: true,
    },
    {
      check: 'bag over mass',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('stem', 'stem bag', {}, { limitG: 500 }), sampleBag('frame', 'frame bag')],
          things: [sampleThing('lock', { massG: 800 })],
        }),
        { lock: 'stem-main' },
      ),
      severity: 'stop',
      says: /stem is 300 g over the limit of 500 g/,
      mends: true,
    },
    {
      check: 'too long',
      plan: loaded(
        samplePlan({
          bags: [
            sampleBag('stem', 'stem bag'),
            sampleBag('roll', 'bar roll', { solid: { kind: 'cylinder', lengthMm: 500, diameterMm: 150 } }),
          ],
          things: [
            sampleThing('poles', { form: { kind: 'long', lengthMm: 400, diameterMm: 40 }, volumeMl: 500 }),
          ],
        }),
        { poles: 'stem-main' },
      ),
      severity: 'stop',
      says: /poles: 100 mm too long for stem/,
      mends: true,
    },
    {
      check: 'must stay dry',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('cord', 'strap outside'), sampleBag('roll', 'bar roll')],
          things: [sampleThing('jacket', { dry: 'must' })],
        }),
        { jacket: 'cord-main' },
      ),
      severity: 'stop',
      says: /jacket must stay dry, and cord is open to rain/,
      mends: true,
    },
    {
      check: 'out of reach',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('seat', 'seat pack'), sampleBag('top', 'top tube bag')],
          things: [
            sampleThing('phone', {
              call: 'riding',
              form: { kind: 'flat', lengthMm: 150, widthMm: 74, heightMm: 10 },
              volumeMl: 111,
            }),
          ],
        }),
        { phone: 'seat-main' },
      ),
      severity: 'check',
      says: /phone: needed while riding, but seat is reached at camp/,
      mends: true,
    },
    {
      check: 'side imbalance',
      plan: loaded(
        samplePlan({
          bags: [
            sampleBag('left', 'fork bag', {}, { side: 'left' }),
            sampleBag('right', 'fork bag', {}, { side: 'right' }),
          ],
          things: [sampleThing('pot', { massG: 260 }), sampleThing('gas', { massG: 240 })],
        }),
        { pot: 'left-main', gas: 'left-main' },
      ),
      severity: 'check',
      says: /The left is 500 g heavier than the right/,
      mends: true,
    },
    {
      check: 'tail-heavy',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('seat', 'seat pack'), sampleBag('frame', 'frame bag')],
          things: [sampleThing('tools', { system: 'tools', call: 'repair', massG: 4600 })],
        }),
        { tools: 'seat-main' },
      ),
      severity: 'check',
      says: /The seat pack is heavy at the back \(1\.\d\d kg·m; many packs sway above 0\.90 kg·m\)/,
      mends: true,
    },
    {
      check: 'on the floor',
      plan: samplePlan({
        bags: [sampleBag('roll', 'bar roll')],
        things: [sampleThing('quilt', { need: 'must' })],
      }),
      severity: 'stop',
      says: /Still on the floor: quilt/,
      mends: true,
    },
    {
      check: 'left at home',
      plan: {
        ...samplePlan({
          bags: [sampleBag('roll', 'bar roll')],
          things: [sampleThing('quilt', { need: 'must' })],
        }),
        load: [{ thingId: 'quilt', to: 'home', pinned: false }],
      },
      severity: 'check',
      says: /Left at home, though .*: quilt/,
      mends: true,
    },
    {
      check: 'limit not known',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('fork', 'fork bag', { statedMl: 3000 }, { limitG: null })],
          things: [sampleThing('pot')],
        }),
        { pot: 'fork-main' },
      ),
      severity: 'note',
      says: /No limit is known for fork; 1\.20 kg assumed/,
      mends: false,
    },
    ...(['warmth', 'light', 'repair'] as const).map((provides) => ({
      check: { warmth: 'nothing keeps you warm', light: 'no light', repair: 'no repair kit' }[provides],
      plan: samplePlan({ bags: [sampleBag('roll', 'bar roll')], things: [sampleThing('mug')] }),
      severity: provides === 'repair' ? ('check' as const) : ('stop' as const),
      says: /keeps you warm|no light|nothing to mend/,
      mends: false,
    })),
    {
      check: 'no water',
      plan: samplePlan({ bags: [sampleBag('roll', 'bar roll')], things: [sampleThing('mug')] }),
      severity: 'stop',
      says: /carries water/,
      mends: false,
    },
    {
      check: 'geometry',
      plan: (() => {
        const plan = samplePlan();
        return { ...plan, bike: { ...plan.bike!, geometry: { ...plan.bike!.geometry, axleToCrownMm: 400 } } };
      })(),
      severity: 'check',
      says: /front axle/,
      mends: false,
    },
    {
      check: 'geometry',
      plan: built(
        {},
        { readings: { aloneFrontG: 9e3, aloneRearG: 9e3, riderFrontG: null, riderRearG: null } },
      ),
      severity: 'check',
      says: /add up to 18\.0 kg/,
      mends: false,
    },
    {
      check: 'too near',
      plan: built({ dropperMm: 150 }, {}, [sampleBag('seat', 'seat pack')]),
      severity: 'stop',
      says: /seat meets the rear tyre, \d+ mm deep with dropper/,
      mends: true,
    },
    {
      check: 'too near',
      plan: built({}, {}, [sampleBag('roll', 'bar roll', {}, { standOffMm: 5 })]),
      severity: 'check',
      says: /roll presses on the hoses: 5 mm/,
      mends: true,
    },
    {
      check: 'too near',
      plan: built({}, {}, [
        sampleBag('roll', 'bar roll', { solid: { kind: 'cylinder', lengthMm: 560, diameterMm: 150 } }),
      ]),
      severity: 'stop',
      says: /roll is 60 mm too long for the room between hands and levers/,
      mends: true,
    },
    {
      check: 'too near',
      plan: built({}, {}, [
        sampleBag('left', 'pannier', { solid: { kind: 'box', lengthMm: 320, widthMm: 150, heightMm: 330 } }),
      ]),
      severity: 'stop',
      says: /left meets your heel going round/,
      mends: true,
    },
    {
      check: 'mounting',
      plan: built({ forkMaterial: 'carbon' }, {}, [sampleBag('f', 'fork bag', {}, { attachment: 'clamp' })]),
      severity: 'stop',
      says: /f is clamped to carbon/,
      mends: false,
    },
    {
      check: 'mounting',
      plan: built({}, {}, [sampleBag('p', 'pannier')]),
      severity: 'check',
      says: /no rear rack is entered/,
      mends: false,
    },
    {
      check: 'hidden lamp',
      plan: built({ frontLight: 'on the bar' }, {}, [
        sampleBag('roll', 'bar roll', { solid: { kind: 'cylinder', lengthMm: 400, diameterMm: 180 } }),
      ]),
      severity: 'check',
      says: /roll hides the front light on the bar/,
      mends: false,
    },
    {
      check: 'clear view',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('seat', 'seat pack'), sampleBag('stem', 'stem bag')],
          things: [sampleThing('beacon', { view: 'sky', massG: 100, volumeMl: 95 })],
        }),
        { beacon: 'seat-main' },
      ),
      severity: 'check',
      says: /beacon needs a clear view of the sky, but lies in seat/,
      mends: true,
    },
    {
      check: 'outside',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('cord', 'strap outside', { outside: 'no tether' })],
          things: [sampleThing('shoes')],
        }),
        { shoes: 'cord-main' },
      ),
      severity: 'check',
      says: /shoes on cord without a tether/,
      mends: true,
    },
    {
      check: 'outside',
      // The pack keeps 122 mm without a dropper; a box of 110 by 70 by 70 mm is strapped to it somewhere.
      plan: loaded(
        {
          ...built({ dropperMm: 60 }, {}, [
            withCord(sampleBag('seat', 'seat pack')),
            sampleBag('roll', 'bar roll'),
          ]),
          things: [
            sampleThing('lock', { form: { kind: 'box', lengthMm: 110, widthMm: 70, heightMm: 70 } }),
            sampleThing('map', { form: { kind: 'flat', lengthMm: 200, widthMm: 100, heightMm: 10 } }),
          ],
        },
        { lock: 'cord', map: 'cord' },
      ),
      severity: 'note',
      says: /^lock on seat, cord: up to 70 mm thick, and the bag keeps \d\d mm from the rear tyre\.$/,
      mends: true,
    },
    {
      check: 'stated litres',
      plan: samplePlan({ bags: [sampleBag('roll', 'bar roll', { statedMl: 6000 })] }),
      severity: 'note',
      says: /roll has 6\.00 l printed, but its measures give 3\.39 l/,
      mends: false,
    },
    {
      check: 'falls out',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('cage', 'bottle cage'), sampleBag('stem', 'stem bag')],
          things: [sampleThing('gel', { volumeMl: 40, form: { kind: 'soft', looseMl: 50 } })],
        }),
        { gel: 'cage-main' },
      ),
      severity: 'check',
      says: /^gel can fall out of cage\.$/,
      mends: true,
    },
    {
      check: 'falls out',
      plan: loaded(samplePlan({ bags: [withCord(sampleBag('seat', 'seat pack'))], things: [stick(149)] }), {
        stick: 'cord',
      }),
      severity: 'check',
      says: /^stick can fall out of seat, cord\.$/,
      mends: true,
    },
    {
      check: 'tyre limits',
      plan: built({ rimMostKpa: 100 }, {}),
      severity: 'check',
      says: /tyre carries .* the rim allows 1\.0 bar/,
      mends: false,
    },
    {
      check: 'tyre limits',
      plan: built({ tyreLeastKpa: 350, rimMostKpa: 300 }, {}),
      severity: 'stop',
      says: /^The tyre needs at least 3\.5 bar, but the rim allows at most 3\.0 bar: no pressure suits both\.$/,
      mends: false,
    },
    {
      check: 'bottle room',
      plan: built({ mounts: [{ place: 'down tube', bolts: 2, lowestMm: 175, limitG: null }] }, {}, [
        sampleBag('full', 'frame bag', {
          solid: {
            kind: 'polygon',
            corners: [
              { x: 0, z: 0 },
              { x: 100, z: -320 },
              { x: 480, z: 60 },
              { x: 460, z: 145 },
            ],
            widthMm: 60,
          },
        }),
      ]),
      severity: 'note',
      says: /full leaves no room for a bottle on the down tube/,
      mends: false,
    },
    {
      check: 'companions',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('frame', 'frame bag'), sampleBag('can', 'down tube')],
          things: [
            sampleThing('chain oil', { system: 'tools', massG: 60, volumeMl: 60 }),
            sampleThing('bread', { system: 'food', massG: 300, volumeMl: 900 }),
          ],
        }),
        { 'chain oil': 'frame-main', bread: 'frame-main' },
      ),
      severity: 'note',
      says: /chain oil with food in frame: oil on food/,
      mends: true,
    },
    {
      check: 'companions',
      plan: beside(
        sampleThing('canister', { system: 'cook', traits: ['liquid fuel'] }),
        sampleThing('bread', { system: 'food' }),
        sampleThing('rice', { system: 'food' }),
      ),
      severity: 'check',
      says: /^canister with food in roll: fuel in food\.$/,
      mends: true,
    },
    {
      check: 'companions',
      plan: beside(
        sampleThing('tent', { system: 'shelter', traits: ['wet'] }),
        sampleThing('quilt', { system: 'sleep', dry: 'rather', provides: ['warmth'] }),
      ),
      severity: 'note',
      says: /^tent with quilt in roll: what is wet soaks what must stay dry\.$/,
      mends: true,
    },
    {
      check: 'companions',
      plan: beside(
        sampleThing('pegs', { system: 'shelter', traits: ['sharp'], quantity: 2, volumeMl: 60 }),
        sampleThing('mat', { system: 'sleep', traits: ['inflatable'], volumeMl: 500 }),
        sampleThing('pillow', { system: 'sleep', traits: ['inflatable'], volumeMl: 200 }),
      ),
      severity: 'note',
      says: /^pegs with pillow and mat in roll: a hole in what holds air\.$/,
      mends: true,
    },
    {
      check: 'companions',
      // Neither side is one thing alone: a bag round the fewer. Of what is alike the first of the kit lies lowest.
      plan: beside(
        ...['pegs', 'knife'].map((id) => sampleThing(id, { traits: ['sharp'], volumeMl: 60 })),
        ...['mat', 'pillow'].map((id) => sampleThing(id, { traits: ['inflatable'], volumeMl: 300 })),
      ),
      severity: 'note',
      says: /^knife and pegs with pillow and mat in roll/,
      mends: true,
    },
    {
      check: 'handling',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('roll', 'bar roll'), sampleBag('pouch', 'bar bag')],
          things: [sampleThing('tent', { massG: 5000 }), sampleThing('food', { massG: 5000 })],
        }),
        { tent: 'roll-main', food: 'pouch-main' },
      ),
      severity: 'check',
      says: /turns \d\.\d times as heavily as the bare bike/,
      mends: false,
    },
    {
      check: 'handling',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('left', 'pannier'), sampleBag('right', 'pannier', {}, { side: 'right' })],
          things: [sampleThing('tent', { massG: 4500 }), sampleThing('food', { massG: 4500 })],
        }),
        { tent: 'left-main', food: 'right-main' },
      ),
      severity: 'check',
      says: /Most of the load is behind/,
      mends: false,
    },
    {
      check: 'closing',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('roll', 'bar roll', { statedMl: 1000 })],
          things: [sampleThing('quilt', { volumeMl: 900, form: { kind: 'soft', looseMl: 2000 } })],
        }),
        { quilt: 'roll-main' },
      ),
      severity: 'note',
      says: /closes only with its soft things pressed to 50 %/,
      mends: false,
    },
    {
      check: 'closing',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('seat', 'seat pack', { statedMl: 8000 })],
          things: [sampleThing('shirt')],
        }),
        { shirt: 'seat-main' },
      ),
      severity: 'note',
      says: /seat is only 13 % full/,
      mends: false,
    },
    {
      check: 'dug out',
      // Wide at the bottom, narrow at the mouth: the filter's box goes in below the tent only.
      plan: loaded(
        samplePlan({
          bags: [
            sampleBag('pack', 'seat pack', {
              solid: {
                kind: 'taper',
                lengthMm: 200,
                noseWidthMm: 140,
                noseHeightMm: 140,
                mouthWidthMm: 60,
                mouthHeightMm: 60,
              },
              statedMl: null,
            }),
            sampleBag('pouch', 'bar bag'),
          ],
          things: [
            sampleThing('tent', { volumeMl: 900, form: { kind: 'soft', looseMl: 1100 } }),
            sampleThing('filter', {
              call: 'stop',
              form: { kind: 'box', lengthMm: 100, widthMm: 60, heightMm: 50 },
            }),
          ],
        }),
        { tent: 'pack-main', filter: 'pack-main' },
      ),
      severity: 'note',
      says: /filter lies under tent in pack/,
      mends: true,
    },
    {
      check: 'no place',
      // 112 + 45 = 157 mm side by side in 150, and 480 − 400 leaves less than the pot's 118 at the end.
      plan: loaded(
        samplePlan({
          bags: [
            sampleBag('roll', 'bar roll', {
              solid: { kind: 'cylinder', lengthMm: 480, diameterMm: 150 },
              statedMl: null,
            }),
            sampleBag('seat', 'seat pack'),
          ],
          things: [
            sampleThing('poles', { form: { kind: 'long', lengthMm: 400, diameterMm: 45 } }),
            sampleThing('pot', { form: { kind: 'cylinder', lengthMm: 118, diameterMm: 112 } }),
          ],
        }),
        { poles: 'roll-main', pot: 'roll-main' },
      ),
      severity: 'stop',
      says: /poles finds no place in roll beside pot/,
      mends: true,
    },
    {
      check: 'scented',
      plan: loaded(
        samplePlan({
          bags: [sampleBag('a', 'stem bag'), sampleBag('b', 'bar roll'), sampleBag('c', 'seat pack')],
          things: ['bars', 'rice', 'nuts'].map((name) => sampleThing(name, { system: 'food' })),
        }),
        { bars: 'a-main', rice: 'b-main', nuts: 'c-main' },
      ),
      severity: 'note',
      says: /Food is in 3 bags: a, b and c/,
      mends: false,
    },
    {
      check: 'nothing there yet',
      plan: samplePlan({ bike: null }),
      severity: 'check',
      says: /no bike yet/,
      mends: false,
    },
    {
      check: 'nest',
      plan: samplePlan({
        things: [
          sampleThing('pot', { form: { kind: 'cylinder', lengthMm: 120, diameterMm: 110 } }),
          sampleThing('stove', { inside: 'pot' }),
        ],
      }),
      severity: 'check',
      says: /^pot holds stove, but its inside is not known\./,
      mends: true,
    },
    {
      check: 'nest',
      // 2 × 950/0.95 = 2000 ml of soft things in a pot of π/4 · 100² · 110 mm = 864 ml.
      plan: samplePlan({
        things: [
          sampleThing('pot', {
            form: { kind: 'cylinder', lengthMm: 120, diameterMm: 110 },
            hollow: { kind: 'cylinder', lengthMm: 110, diameterMm: 100 },
          }),
          sampleThing('socks', { inside: 'pot', quantity: 2 }),
        ],
      }),
      severity: 'stop',
      says: /^pot does not close over socks\.$/,
      mends: true,
    },
  ];

test.each(troubles)(
  '$check: found, with its figures, and mended by its first fix',
  ({ check, plan, severity, says, mends }) => {
    const [finding] = find(plan, check);
    expect(finding).toMatchObject({ check, severity, message: expect.stringMatching(says) });
    expect(finding!.reason.length).toBeGreaterThan(20);
    expect(finding!.fixes.some((fix) => 'edit' in fix)).toBe(mends);
    if (mends) expect(find(mend(plan, finding!), check)).toEqual([]);
  },
);

test('companions in a dry sack, or in different bags, are none', () => {
  const tent = sampleThing('tent', { system: 'shelter', traits: ['wet'] });
  const quilt = sampleThing('quilt', { system: 'sleep', provides: ['warmth'] });
  expect(find(beside(tent, { ...quilt, inDrySack: true }), 'companions')).toEqual([]);
  const apart = beside(tent, quilt);
  const moved = mend(apart, find(apart, 'companions')[0]!);
  expect(moved.things).toEqual(apart.things);
  expect(evaluate(moved).compartmentOf.get('tent')).toBe('seat-main');
});

test('what does not go into a pot is told in litres, by what they are and what it holds', () => {
  const { plan } = troubles.at(-1)!;
  expect(find(plan, 'nest')[0]!.reason).toBe('They need 2.00 l, and its inside holds 0.86 l.');
});

test('a sound little load has nothing to stop for', () => {
  const plan = loaded(
    samplePlan({
      bags: [
        sampleBag('frame', 'frame bag', {}, { attachment: 'bolts' }),
        sampleBag('cage', 'bottle cage', { solid: { kind: 'cylinder', lengthMm: 205, diameterMm: 74 } }),
      ],
      things: [
        sampleThing('quilt', { provides: ['warmth', 'repair'], dry: 'must' }),
        sampleThing('torch', { provides: ['light'], volumeMl: 100 }),
        sampleThing('bottle', { waterMl: 500, volumeMl: 600 }),
      ],
    }),
    { quilt: 'frame-main', torch: 'frame-main', bottle: 'cage-main' },
  );
  expect(evaluate(plan).findings).toEqual([]);
  expect(evaluate(plan).stages.map((stage) => stage.verdict)).toEqual(STAGES.map(() => 'ready'));
});

test('things worn count; things on the floor or at home do not; a hotel needs no quilt', () => {
  const light = sampleThing('torch', { provides: ['light'] });
  const plan = (change: Partial<typeof light>) =>
    samplePlan({ bags: [sampleBag('roll', 'bar roll')], things: [{ ...light, ...change }] });
  expect(find(plan({ carry: 'worn' }), 'no light')).toEqual([]);
  expect(find(plan({}), 'no light')[0]!.message).toMatch(/not on the bike|No light is on the bike/);
  const hotel = plan({});
  expect(find({ ...hotel, trip: { ...hotel.trip, sleeping: 'hotel' } }, 'nothing keeps you warm')).toEqual(
    [],
  );
});

test('before there is any bag, that is said, and not of each thing that it is not on the bike; loading is not ready', () => {
  const demo = demoPlan();
  const { findings, stages } = evaluate({ ...demo, bags: [], load: [] });
  expect(findings.filter(({ message }) => /on the bike\.$/.test(message))).toEqual([]);
  expect(findings.map(({ message }) => message)).toContain('There are no bags yet.');
  expect(stages.find(({ stage }) => stage === 'load')!.verdict).not.toBe('ready');
});

test('findings come worst first, and each stage shows its worst', () => {
  const { findings, stages } = evaluate(demoPlan());
  const order = { stop: 0, check: 1, note: 2 };
  const ranks = findings.map((finding) => order[finding.severity]);
  expect(ranks).toEqual([...ranks].sort());
  expect(new Set(findings.map((finding) => finding.id)).size).toBe(findings.length);
  expect(stages.find((stage) => stage.stage === 'load')).toMatchObject({
    verdict: 'stop',
    fact: '67 on the floor',
  });
});

test('sentences follow the unit the rider reads, figures do not', () => {
  const [metric] = find(troubles[1]!.plan, 'bag over mass');
  const [imperial] = evaluate(troubles[1]!.plan, formatterFor('imperial')).findings;
  expect(imperial!.message).toMatch(/10\.6 oz over the limit of 1 lb 1\.6 oz/);
  expect(imperial!.figures).toEqual(metric!.figures);
});

test('whatever lies where, each fix that is offered can be applied, and undone', () => {
  const demo = demoPlan();
  const places = demo.bags.flatMap((bag) => bag.compartments.map(({ id }) => id));
  let taken = 0;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
      const random = seededRandom(seed);
      const packed = demo.things.filter(({ carry, inside }) => carry === 'bike' && !inside && random() < 0.7);
      const somewhere = () => places[Math.floor(random() * places.length)]!;
      const plan = loaded(demo, Object.fromEntries(packed.map(({ id }) => [id, somewhere()])));
      for (const { message, fixes } of evaluate(plan).findings)
        for (const fix of fixes) {
          if (!('edit' in fix)) continue;
          const done = applyEdit(plan, fix.edit);
          if (!done.ok) throw new Error(`${message} ${fix.label}: ${done.error}`);
          expect(applyEdit(done.value.plan, done.value.inverse)).toMatchObject({ ok: true, value: { plan } });
          taken += 1;
        }
    }),
    { numRuns: 20 },
  );
  expect(taken).toBeGreaterThan(300);
});

test('lists', () => {
  expect([listed([]), listed(['a']), listed(['a', 'b']), listed(['a', 'b', 'c', 'd', 'e'])]).toEqual([
    '',
    'a',
    'a and b',
    'a, b and 3 more',
  ]);
});
