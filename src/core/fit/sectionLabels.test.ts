import fc from 'fast-check';
import { DEMO_BAGS } from '@/core/demo/bags';
import { extentOf, isInside, rectangle } from '@/core/geometry/polygon';
import { randomThings } from '../../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { chamberOf } from './chamberOf';
import { fitIn } from './fit';
import { sectionOf, type Section } from './section';
import { labelsOf, type LabelSize, type SectionLabel } from './sectionLabels';

const SIZE: LabelSize = { wide: 16, high: 12 };
const outline = rectangle(200, 100);
const block = (thingId: string, left: number, right: number, low: number, high: number) => ({
  thingId,
  index: 0,
  ...{ left, right, low, high },
  round: false,
});

test('worked by hand: on the thing where it shows, beside what is nearer, outside where it does not show', () => {
  const section: Section = {
    outline,
    bands: [
      { thingId: 'jacket', corners: outline },
      { thingId: 'hat', corners: [] },
    ],
    // The pot is behind the lid, but for its left half; the fuel wholly behind the pot.
    blocks: [block('fuel', -70, -40, -40, -10), block('pot', -80, 0, -50, 0), block('lid', -40, 0, -50, 0)],
  };
  const labels = new Map(labelsOf(section, SIZE).map((label) => [label.thingId, label]));
  const { at: onPot } = labels.get('pot')!;
  expect(onPot.x + SIZE.wide / 2).toBeLessThanOrEqual(-40);
  // As near to the pot's middle as what is before it lets.
  expect(onPot.x).toBeGreaterThan(-40 - SIZE.wide);
  expect(labels.get('lid')).toEqual({ thingId: 'lid', at: { x: -20, z: -25 }, leadsTo: null });
  // Three quarters across, to half a step of sixteen, and half-way up.
  expect(Math.abs(labels.get('jacket')!.at.x - 50)).toBeLessThanOrEqual(200 / 16 / 2);
  expect(labels.get('jacket')!.at.z).toBeCloseTo(0, -1);
  for (const hidden of ['fuel', 'hat']) {
    expect(labels.get(hidden)!.at.x).toBeGreaterThan(100 + SIZE.wide / 2);
    expect(labels.get(hidden)!.leadsTo).not.toBeNull();
  }
  expect(labels.get('fuel')!.leadsTo!.x).toBeGreaterThan(-70);
  expect(labels.get('fuel')!.leadsTo!.x).toBeLessThan(-40);
});

test('everything in a section has a label, on itself or led to; no two lie over each other, and nothing over one', () => {
  let [on, aside] = [0, 0];
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1_000_000 }),
      fc.integer({ min: 0, max: DEMO_BAGS.length - 1 }),
      (seed, k) => {
        const bag = DEMO_BAGS[k]!;
        const chamber = chamberOf(bag, bag.compartments[0]!);
        const section = sectionOf(chamber, fitIn(chamber, randomThings(seededRandom(seed), 9)));
        const labels = labelsOf(section, SIZE);
        const { bands, blocks } = section;
        const shown = new Set([...bands, ...blocks].map(({ thingId }) => thingId));
        expect(new Set(labels.map(({ thingId }) => thingId))).toEqual(shown);
        const overlap = ({ at: a }: SectionLabel, { at: b }: SectionLabel) =>
          Math.abs(a.x - b.x) < SIZE.wide - 1e-6 && Math.abs(a.z - b.z) < SIZE.high - 1e-6;
        expect(labels.filter((one, i) => labels.slice(0, i).some((other) => overlap(one, other)))).toEqual(
          [],
        );
        for (const { thingId, at, leadsTo } of labels) {
          if (leadsTo) {
            aside += 1;
            expect(at.x - SIZE.wide / 2).toBeGreaterThan(extentOf(section.outline).right);
            continue;
          }
          on += 1;
          const covers = (own: (typeof blocks)[0]) =>
            own.left < at.x && at.x < own.right && own.low < at.z && at.z < own.high;
          const nearest = blocks.findLast(covers);
          if (nearest) expect(nearest.thingId).toBe(thingId);
          else {
            const under = bands.filter(({ corners }) => isInside(at, corners));
            expect(under.map((band) => band.thingId)).toContain(thingId);
          }
        }
      },
    ),
    { numRuns: 200 },
  );
  expect(on).toBeGreaterThan(500);
  expect(aside).toBeGreaterThan(20);
});
