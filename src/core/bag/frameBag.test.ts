import { DEFAULT_GEOMETRY } from '@/core/bike/bike';
import { offsetFrom } from '@/core/geometry/line';
import { tubeLines, TUBE_MM, triangleInside } from '@/core/bike/mainTriangle';
import { placeBags } from './places';
import { sideView } from '@/core/bike/sideView';
import { solidVolumeMl } from '@/core/geometry/solid';
import { signedAreaMm2 } from '@/core/geometry/polygon';
import { sampleBag } from '../../../tests/support/samples';
import { bagSchema } from './bag';
import { DEFAULT_FRAME_BAG, frameBagCut, type FrameBagWish } from './frameBag';
import { BAG_LIBRARY, fromLibrary } from './library';

const view = sideView(DEFAULT_GEOMETRY);
const mounts = [{ place: 'down tube' as const, bolts: 3, lowestMm: 175, limitG: null }];
const cut = (change: Partial<FrameBagWish>, knees = 130) => {
  const made = frameBagCut(view, { ...DEFAULT_FRAME_BAG, ...change }, mounts, knees);
  if (!made.ok) throw new Error(made.error);
  return made.value;
};

test('a full bag without set-backs is the triangle’s inside; its litres are area times width', () => {
  const none = { top: 0, head: 0, down: 0, seat: 0 };
  const full = cut({ half: false, setBackMm: none, rearWidthMm: 60, frontWidthMm: 60 });
  expect(full.areaMm2).toBeCloseTo(Math.abs(signedAreaMm2(triangleInside(view))), 3);
  expect(full.volumeMl).toBeCloseTo((full.areaMm2 * 60) / 1000, 6);
  expect(full.bolts).toHaveLength(3);
});

test('a half bag ends just so far below the top tube, and lies where it was cut once it is hung', () => {
  const half = cut({ half: true, dropMm: 100 });
  const top = tubeLines(view).top;
  const deep = Math.max(...half.outline.map((p) => offsetFrom(top, p) - TUBE_MM.top / 2));
  expect(deep).toBeCloseTo(100 + DEFAULT_FRAME_BAG.setBackMm.top, 6);
  expect(half.bolts).toHaveLength(0);
  const [hung] = placeBags(view, [sampleBag('frame', 'frame bag', { solid: half.solid })], mounts, {
    x: 0,
    z: 0,
  });
  hung!.outline!.forEach((p, i) => {
    expect(p.x).toBeCloseTo(half.outline[i]!.x, 6);
    expect(p.z).toBeCloseTo(half.outline[i]!.z, 6);
  });
});

test('knees cut the rear width, by hand: (80 − 2 × 5) ÷ 1.1', () => {
  const slim = cut({ rearWidthMm: 75, frontWidthMm: 70 }, 80);
  expect(slim.kneeLimitMm).toBeCloseTo(70 / 1.1, 9);
  expect(slim.solid.widthMm).toBeCloseTo(70 / 1.1, 9);
  expect(cut({ rearWidthMm: 55 }).kneeLimitMm).toBeNull();
});

test('set-backs that leave nothing are refused with a sentence', () => {
  const made = frameBagCut(
    view,
    { ...DEFAULT_FRAME_BAG, setBackMm: { top: 200, head: 200, down: 200, seat: 200 } },
    [],
    130,
  );
  expect(made).toMatchObject({ ok: false, error: expect.stringMatching(/Nothing is left/) });
});

test('the library: some thirty sound bags, each near the litres printed on it', () => {
  expect(BAG_LIBRARY.length).toBeGreaterThanOrEqual(30);
  expect(new Set(BAG_LIBRARY.map(({ key }) => key)).size).toBe(BAG_LIBRARY.length);
  for (const entry of BAG_LIBRARY) {
    let n = 0;
    const bag = fromLibrary(entry, [], () => `id-${(n += 1)}`);
    expect(bagSchema.safeParse(bag).success).toBe(true);
    const [main] = bag.compartments;
    if (main!.statedMl !== null)
      expect(Math.abs(solidVolumeMl(main!.solid) / main!.statedMl - 1)).toBeLessThan(0.25);
  }
});

test('the second of a pair takes the other side', () => {
  const fork = BAG_LIBRARY.find(({ place }) => place === 'fork bag')!;
  let n = 0;
  const makeId = () => `id-${(n += 1)}`;
  const left = fromLibrary(fork, [], makeId);
  const right = fromLibrary(fork, [left], makeId);
  expect([left.side, left.name, right.side]).toEqual(['left', 'Left fork bag, slim', 'right']);
});
