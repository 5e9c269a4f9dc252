import { PLACES, SIDES, type Bag, type Place, type Side } from '@/core/bag/bag';
import { sampleBag } from '@/core/plan/samples';
import { DEFAULT_GEOMETRY } from './bike';
import { placeBags } from './places';
import { sideView } from './sideView';

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
