import { PLACES, SIDES, type Bag, type Place, type Side } from './bag';
import { sampleBag } from '../../../tests/support/samples';
import { DEFAULT_GEOMETRY } from '@/core/bike/bike';
import { offsetFrom } from '@/core/geometry/line';
import { TUBE_MM, tubeLines } from '@/core/bike/mainTriangle';
import { placeBags } from './places';
import { sideView } from '@/core/bike/sideView';

const bag = (place: Place, side: Side, id = `${place}-${side}`.replace(/ /g, '-')): Bag =>
  sampleBag(id, place, {}, { side });

const view = sideView(DEFAULT_GEOMETRY);
const rider = { x: -100, z: 900 };
const at = (place: Place, side: Side = 'middle') => placeBags(view, [bag(place, side)], [], rider)[0]!;

test('every place gives a position, above the ground, with the mouth away from the bottom', () => {
  for (const place of PLACES) {
    for (const side of SIDES) {
      const placedBag = at(place, side);
      const { bottom, mouth } = placedBag.fill;
      expect(Math.hypot(mouth.x - bottom.x, mouth.z - bottom.z)).toBeGreaterThan(10);
      for (const point of placedBag.outline ?? []) expect(point.z).toBeGreaterThan(view.groundZ);
      expect(placedBag.outline === null).toBe(place === 'body');
    }
  }
});

test('left and right mirror each other', () => {
  for (const place of ['fork bag', 'pannier', 'stem bag'] as const) {
    expect(at(place, 'left').centre.y).toBeCloseTo(-at(place, 'right').centre.y, 9);
    expect(at(place, 'left').centre.y).toBeGreaterThan(0);
  }
});

test('seat pack behind the seatpost, bar roll ahead of the bar, and only the front turns with it', () => {
  expect(at('seat pack').centre.x).toBeLessThan(view.seatpostClamp.x);
  expect(at('bar roll').centre.x).toBeGreaterThan(view.bar.x);
  expect(at('bar roll').steers).toBe(true);
  expect(at('frame bag').steers).toBe(false);
  // The roll keeps off the front tyre on the middling bike it is drawn on.
  const lowest = Math.min(...at('bar roll').outline!.map((p) => p.z));
  expect(lowest).toBeGreaterThan(view.frontAxle.z + view.frontWheel.radiusMm);
});

test('a second bag at the same place is not drawn on top of the first', () => {
  const [first, second] = placeBags(
    view,
    [bag('bottle cage', 'middle', 'a'), bag('bottle cage', 'middle', 'b')],
    [],
    rider,
  );
  expect(first!.centre).not.toEqual(second!.centre);
});

test('every place lets a bag be moved along it by just what is asked, and keeps its shape', () => {
  for (const place of PLACES) {
    const still = bag(place, 'left');
    const [before] = placeBags(view, [still], [], rider);
    const [after] = placeBags(view, [{ ...still, alongMm: 42 }], [], rider);
    if (!before!.outline) continue;
    expect(Math.hypot(before!.axis.x, before!.axis.z)).toBeCloseTo(1, 9);
    before!.outline.forEach((p, i) => {
      expect(after!.outline![i]!.x - p.x).toBeCloseTo(42 * before!.axis.x, 9);
      expect(after!.outline![i]!.z - p.z).toBeCloseTo(42 * before!.axis.z, 9);
    });
    expect(after!.centre.x - before!.centre.x).toBeCloseTo(42 * before!.axis.x, 6);
  }
});

test('by hand: a spacer of 40 mm puts a roll of 150 mm 16 + 40 + 75 mm ahead of the bar’s middle', () => {
  const roll = sampleBag(
    'roll',
    'bar roll',
    { solid: { kind: 'cylinder', lengthMm: 400, diameterMm: 150 } },
    { standOffMm: 40 },
  );
  const [placed] = placeBags(view, [roll], [], rider);
  expect(placed!.disc).toEqual({ centre: { x: view.bar.x + 131, z: view.bar.z - 25 }, radiusMm: 75 });
  // A pouch hangs on the roll: 16 + 150 + 40 mm, and half its own width.
  const pouch = sampleBag('pouch', 'bar bag', {
    solid: { kind: 'box', lengthMm: 250, widthMm: 80, heightMm: 140 },
  });
  const [, hung] = placeBags(view, [roll, pouch], [], rider);
  expect(hung!.centre.x).toBeCloseTo(view.bar.x + 16 + 190 + 40, 6);
});

test('a bottle stands on its mount: 75 mm below the lowest bolt, 5 mm off the tube', () => {
  const cage = sampleBag('cage', 'bottle cage', {
    solid: { kind: 'cylinder', lengthMm: 205, diameterMm: 74 },
  });
  const at = (lowestMm: number) =>
    placeBags(view, [cage], [{ place: 'down tube', bolts: 2, lowestMm, limitG: null }], rider)[0]!;
  const [low, high] = [at(150), at(200)];
  expect(Math.hypot(high.centre.x - low.centre.x, high.centre.z - low.centre.z)).toBeCloseTo(50, 6);
  const foot = Math.min(
    ...low.outline!.map(
      (p) =>
        (p.x * view.downTubeFront.x + p.z * view.downTubeFront.z) /
        Math.hypot(view.downTubeFront.x, view.downTubeFront.z),
    ),
  );
  expect(foot).toBeCloseTo(75, 6);
});

test('a frame bag of another slope is turned to lie along the top tube, and pushed off the seat tube', () => {
  const flat = sampleBag('frame', 'frame bag', {
    solid: {
      kind: 'polygon',
      corners: [
        { x: 0, z: 0 },
        { x: 0, z: -100 },
        { x: 400, z: -80 },
        { x: 400, z: 0 },
      ],
      widthMm: 60,
    },
  });
  const { outline } = placeBags(view, [flat], [], rider)[0]!;
  const [first, last] = [outline![0]!, outline!.at(-1)!];
  const slope = Math.atan2(
    view.topTubeFront.z - view.topTubeRear.z,
    view.topTubeFront.x - view.topTubeRear.x,
  );
  expect(Math.atan2(last.z - first.z, last.x - first.x)).toBeCloseTo(slope, 9);
  const seat = tubeLines(view).seat;
  const free = outline!.map((p) => offsetFrom(seat, p) - TUBE_MM.seat / 2);
  expect(Math.min(...free)).toBeCloseTo(0, 6);
});
