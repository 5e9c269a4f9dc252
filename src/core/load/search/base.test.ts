import { DEMO_BAGS } from '@/core/demo/bags';
import { samplePlan, sampleThing } from '../../../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { Annealer } from '../anneal/anneal';
import { LEAVE_POINTS } from '@/core/packing/costs';
import { FittedState } from './fitted';
import { compileInstance } from '../model/instance';
import { Base } from './base';

const things = (['should', 'nice', 'nice'] as const).map((need, i) =>
  sampleThing(`thing-${i}`, { volumeMl: 300, form: { kind: 'soft', looseMl: 300 }, need }),
);
const instance = compileInstance(samplePlan({ bags: [...DEMO_BAGS], things }));
const { should, nice } = LEAVE_POINTS;
const free = [0, 1, 2];
/** One leaves what should come, the other both that would be nice. */
const [withoutOne, withoutTwo] = [Int32Array.of(-1, 0, 0), Int32Array.of(0, -1, -1)];

/** A base begun from the first, with another looked at after; and what the annealing would say of the first. */
function base(timesOf: (i: number) => number, first: Int32Array, then: Int32Array) {
  const fitted = new FittedState(instance);
  const annealer = new Annealer(instance, free, 0, seededRandom(1));
  const own = new Base(fitted, annealer, free);
  own.priceLeaving(timesOf);
  own.begin(first);
  annealer.start(first);
  const price = own.price;
  fitted.restore(free, then);
  own.consider();
  return { where: own.where, price, told: annealer.bestTotal() };
}

describe('the load a round begins from', () => {
  test('is the one of least points, where leaving costs what it does', () => {
    expect(should).toBeGreaterThan(2 * nice + 20);
    expect(base(() => 1, withoutOne, withoutTwo).where).toEqual(withoutTwo);
    expect(base(() => 1, withoutTwo, withoutOne).where).toEqual(withoutTwo);
  });

  test('is another where leaving some costs more, and the annealing is told the same', () => {
    const dearNice = (i: number) => (instance.leave[i] === nice ? 2 : 1);
    expect(2 * 2 * nice).toBeGreaterThan(should + 20);
    expect(base(dearNice, withoutTwo, withoutOne).where).toEqual(withoutOne);
    const [plain, dear] = [() => 1, dearNice].map((timesOf) => base(timesOf, withoutTwo, withoutTwo));
    expect(dear!.price - plain!.price).toBeCloseTo(2 * nice, 9);
    expect(dear!.told - plain!.told).toBeCloseTo(2 * nice, 9);
  });

  test('begun anew forgets what was met before', () => {
    const fitted = new FittedState(instance);
    const own = new Base(fitted, new Annealer(instance, free, 0, seededRandom(1)), free);
    own.begin(withoutTwo);
    own.begin(withoutOne);
    expect(own.where).toEqual(withoutOne);
  });
});
