import type { Bag } from '@/core/bag/bag';
import { buildSchema, type Build, type Mount } from '@/core/bike/bike';
import { applyEdit } from '@/core/plan/apply';
import { evaluate } from '@/core/evaluation/evaluate';
import { factsOf } from '@/core/facts/facts';
import type { Plan } from '@/core/plan/plan';
import { sampleBag, samplePlan } from '../../../tests/support/samples';
import { formatterFor } from '@/core/units/format';
import { verdictOf, type ClearanceKind } from '@/core/clearance/clearance';
import { findingsOf, type Finding } from './finding';
import { tooNear } from './tooNear';

/** What the stage Bike says of a bike built so, with these bags. */
const plan = (build: Partial<Build>, bags: Bag[]): Plan => {
  const sample = samplePlan({ bags });
  return { ...sample, bike: { ...sample.bike!, build: buildSchema.parse(build) } };
};
const found = (of: Plan, check: string): Finding[] =>
  evaluate(of).findings.filter((finding) => finding.check === check);
const messages = (of: Plan, check: string): string[] => found(of, check).map(({ message }) => message);
const mount = (place: Mount['place'], limitG: number | null = null): Mount => ({
  place,
  bolts: 3,
  lowestMm: 150,
  limitG,
});

describe('mounting', () => {
  const fork = (change: Partial<Bag> = {}) => sampleBag('fork', 'fork bag', {}, { side: 'left', ...change });

  test('carbon is clamped by none, loaded with a warning, and strapped with tape', () => {
    const clamped = (place: Bag['place'], build: Partial<Build>) =>
      found(plan(build, [sampleBag('bag', place, {}, { attachment: 'clamp' })]), 'mounting')[0]?.severity;
    expect(clamped('fork bag', { forkMaterial: 'carbon' })).toBe('stop');
    expect(clamped('seat pack', { seatpostMaterial: 'carbon' })).toBe('stop');
    expect(clamped('top tube bag', { frameMaterial: 'carbon' })).toBe('stop');
    expect(clamped('fork bag', { forkMaterial: 'steel' })).toBeUndefined();
    const hung = plan({ seatpostMaterial: 'carbon' }, [sampleBag('seat', 'seat pack')]);
    expect(found(hung, 'mounting')).toMatchObject([
      { severity: 'check', message: 'seat hangs on a carbon seatpost.' },
    ]);
  });

  test('a bolted fork bag asks for its own leg’s mount, once mounts are entered at all', () => {
    expect(messages(plan({}, [fork()]), 'mounting')).toEqual([]);
    expect(messages(plan({ mounts: [mount('right fork leg')] }, [fork()]), 'mounting')).toEqual([
      'fork is bolted to a fork leg that has no mount entered.',
    ]);
    expect(messages(plan({ mounts: [mount('left fork leg')] }, [fork()]), 'mounting')).toEqual([]);
    expect(
      messages(plan({ mounts: [mount('down tube')] }, [fork({ attachment: 'straps' })]), 'mounting'),
    ).toEqual([]);
  });

  test('straps over paint are named together, and bolts are not', () => {
    const bags = [
      sampleBag('frame', 'frame bag'),
      sampleBag('top', 'top tube bag'),
      sampleBag('under', 'down tube', {}, { attachment: 'bolts' }),
    ];
    expect(messages(plan({}, bags), 'straps over paint')).toEqual([
      'frame and top strap over paint: tape the tubes first.',
    ]);
  });
});

describe('lamps behind bags', () => {
  const big = sampleBag('roll', 'bar roll', { solid: { kind: 'cylinder', lengthMm: 400, diameterMm: 180 } });

  test('a lamp on the bar is hidden by a big roll, free above a low one, and on the crown never asked after', () => {
    expect(messages(plan({ frontLight: 'on the bar' }, [big]), 'hidden lamp')).toHaveLength(1);
    expect(messages(plan({ frontLight: 'on the bar' }, [{ ...big, alongMm: 110 }]), 'hidden lamp')).toEqual(
      [],
    );
    expect(messages(plan({ frontLight: 'on the fork crown' }, [big]), 'hidden lamp')).toEqual([]);
  });

  test('a lamp on the seatpost is hidden by a pack that hangs before it', () => {
    const low = sampleBag('seat', 'seat pack', {
      solid: {
        kind: 'taper',
        lengthMm: 400,
        noseWidthMm: 100,
        noseHeightMm: 120,
        mouthWidthMm: 220,
        mouthHeightMm: 330,
      },
    });
    expect(messages(plan({ rearLight: 'on the seatpost' }, [low]), 'hidden lamp')).toEqual([
      'seat hides the rear light on the seatpost.',
    ]);
    expect(messages(plan({ rearLight: 'on the seatstay' }, [low]), 'hidden lamp')).toEqual([]);
  });
});

describe('sentences about gaps', () => {
  /** The first finding of a kind of clearance: there is one for each that is not free, in their order. */
  const one = (of: Plan, kind: ClearanceKind): Finding => {
    const facts = factsOf(of);
    const near = facts.clearances.filter((clearance) => verdictOf(clearance) !== 'free');
    return findingsOf(tooNear, facts, formatterFor('metric'))[
      near.findIndex((clearance) => clearance.kind === kind)
    ]!;
  };

  test('name what was taken off, give every figure, and follow the rider’s unit', () => {
    const of = plan({ fork: 'suspension', forkTravelMm: 140 }, [
      sampleBag(
        'roll',
        'bar roll',
        { solid: { kind: 'cylinder', lengthMm: 400, diameterMm: 180 } },
        { massG: 500 },
      ),
    ]);
    const finding = one(of, 'front tyre');
    expect(finding.message).toMatch(/^roll meets the front tyre, \d+ mm deep with sag and fork travel\.$/);
    expect(finding.figures.map(({ label }) => label)).toEqual([
      'gap at the worst',
      'at rest',
      'sag',
      'fork travel',
      'should be at least',
    ]);
    expect(finding.figures[2]!.value).toBeCloseTo(2, 6);
    const imperial = evaluate(of, formatterFor('imperial')).findings.find(({ id }) => id === finding.id)!;
    expect(imperial.message).toMatch(/\d\.\d in deep/);
    expect(imperial.figures).toEqual(finding.figures);
  });

  test('a bag wider than the knees leave, and one longer than its place', () => {
    const wide = sampleBag('frame', 'frame bag', {
      solid: {
        kind: 'polygon',
        corners: [
          { x: 0, z: 0 },
          { x: 30, z: -110 },
          { x: 640, z: 90 },
          { x: 640, z: 200 },
        ],
        widthMm: 150,
      },
    });
    const of = plan({}, [wide]);
    expect(one(of, 'knees').message).toBe('frame is 25 mm wider than your knees leave.');
    expect(one(of, 'frame').message).toMatch(
      /over the tubes of the main triangle: it is longer than its place/,
    );
    // The half bag that is offered frees the knees, and is no longer than its place.
    const fix = one(of, 'knees').fixes[0]!;
    expect(fix.label).toMatch(/^Make it a half bag/);
    const applied = applyEdit(of, (fix as Extract<typeof fix, { edit: unknown }>).edit);
    expect(applied.ok && found(applied.value.plan, 'too near')).toEqual([]);
  });

  test('rear suspension and a frame bag under the top tube: the shock’s usual place is a look, never a stop', () => {
    const of = plan({ rearTravelMm: 120 }, [sampleBag('frame', 'frame bag')]);
    expect(one(of, 'shock')).toMatchObject({
      severity: 'check',
      message: expect.stringMatching(/lies in the place where such a bike usually has its shock/),
    });
    expect(one(plan({}, [sampleBag('frame', 'frame bag')]), 'shock')).toBeUndefined();
  });

  test('a bottle that a bag displaces can go under the down tube', () => {
    const full = sampleBag('frame', 'frame bag', {
      solid: {
        kind: 'polygon',
        corners: [
          { x: 0, z: 0 },
          { x: 70, z: -250 },
          { x: 380, z: 40 },
          { x: 400, z: 130 },
        ],
        widthMm: 60,
      },
    });
    const cage = sampleBag('cage', 'bottle cage', {
      solid: { kind: 'cylinder', lengthMm: 180, diameterMm: 74 },
    });
    const finding = one(plan({}, [full, cage]), 'bottle');
    expect(finding.message).toBe('frame displaces cage.');
    expect(finding.fixes.map(({ label }) => label)).toContainEqual(
      expect.stringMatching(/half bag|under the down tube/),
    );
  });
});

test('room for bottles is noted for each mount in the triangle, and a cage in use makes it a look', () => {
  const mounts = [mount('down tube'), mount('seat tube')];
  const full = factsOf(plan({ mounts }, []));
  expect(full.bottles.map(({ mount: { place } }) => place)).toEqual(['down tube', 'seat tube']);
  expect(found(plan({ mounts }, []), 'bottle room')).toEqual([]);
});
