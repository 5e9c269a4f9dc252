import fc from 'fast-check';
import { DEMO_BAGS } from '@/core/demo/bags';
import { signedAreaMm2 } from '@/core/geometry/polygon';
import { randomThings, sampleBag, sampleThing } from '../../../tests/support/samples';
import { seededRandom } from '@/core/random';
import { chamberOf } from './chamberOf';
import { fitIn } from './fit';
import { sectionOf } from './section';

const seeds = fc.integer({ min: 1, max: 1_000_000 });
const area = (corners: Parameters<typeof signedAreaMm2>[0]) => Math.abs(signedAreaMm2(corners));

describe('the section of a compartment', () => {
  test('of a cylinder is its length by its diameter, with the pot at the bottom and the jacket round it', () => {
    const bag = sampleBag('bag', 'bar bag', {
      solid: { kind: 'cylinder', lengthMm: 300, diameterMm: 130 },
      statedMl: null,
    });
    const chamber = chamberOf(bag, bag.compartments[0]!);
    const pot = sampleThing('pot', { form: { kind: 'cylinder', lengthMm: 118, diameterMm: 112 } });
    const jacket = sampleThing('jacket', { volumeMl: 1900, form: { kind: 'soft', looseMl: 3000 } });
    const { outline, bands, blocks } = sectionOf(chamber, fitIn(chamber, [pot, jacket]));
    expect(outline).toEqual([
      { x: -65, z: 0 },
      { x: 65, z: 0 },
      { x: 65, z: 300 },
      { x: -65, z: 300 },
    ]);
    expect(blocks).toMatchObject([{ thingId: 'pot', low: 0, high: 118, round: false }]);
    expect(blocks[0]!.right - blocks[0]!.left).toBeCloseTo(112, 9);
    expect(bands.map(({ thingId }) => thingId)).toEqual(['jacket']);
    expect(Math.min(...bands[0]!.corners.map(({ z }) => z))).toBe(0);
  });

  test('of a taper narrows from the mouth to the nose; a cylinder seen from its end is a disc', () => {
    const bag = sampleBag('bag', 'seat pack', {
      solid: {
        kind: 'taper',
        lengthMm: 400,
        noseWidthMm: 90,
        noseHeightMm: 90,
        mouthWidthMm: 200,
        mouthHeightMm: 200,
      },
      statedMl: null,
    });
    const chamber = chamberOf(bag, bag.compartments[0]!);
    const { outline } = sectionOf(chamber, fitIn(chamber, []));
    expect(outline.map(({ x }) => Math.round(x))).toEqual([-45, 45, 100, -100]);
    const fit = fitIn(chamber, [
      sampleThing('pump', { form: { kind: 'cylinder', lengthMm: 30, diameterMm: 30 } }),
    ]);
    const [lying] = fit.lying;
    // However it was laid: turned towards the eye its length is the depth of the cut.
    const turned = { ...lying!, upright: false, u1: lying!.u0 + 30, v1: lying!.v0 + 30 };
    expect(sectionOf(chamber, { ...fit, lying: [turned] }).blocks[0]!.round).toBe(true);
  });

  test('shows every piece and every layer once, within the outline, whatever lies there', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 0, max: DEMO_BAGS.length - 1 }), (seed, k) => {
        const bag = DEMO_BAGS[k]!;
        const chamber = chamberOf(bag, bag.compartments[0]!);
        const fit = fitIn(chamber, randomThings(seededRandom(seed), 6));
        const { outline, bands, blocks } = sectionOf(chamber, fit);
        expect(blocks.map(({ thingId, index }) => `${thingId}/${index}`).sort()).toEqual(
          fit.lying.map(({ piece }) => `${piece.thingId}/${piece.index}`).sort(),
        );
        expect(bands.map(({ thingId }) => thingId)).toEqual(fit.layers.map(({ thingId }) => thingId));
        const xs = outline.map(({ x }) => x);
        const zs = outline.map(({ z }) => z);
        for (const { left, right, low, high } of blocks) {
          expect(left).toBeGreaterThanOrEqual(Math.min(...xs) - 1e-6);
          expect(right).toBeLessThanOrEqual(Math.max(...xs) + 1e-6);
          expect(low).toBeGreaterThanOrEqual(Math.min(...zs) - 1e-6);
          expect(high).toBeLessThanOrEqual(Math.max(...zs) + 1e-6);
        }
        // Bands are cut from the outline one over the other: together no more than it.
        const sum = bands.reduce((all, { corners }) => all + area(corners), 0);
        if (fit.closes) expect(sum).toBeLessThanOrEqual(area(outline) + 1e-6);
      }),
      { numRuns: 150 },
    );
  });
});
