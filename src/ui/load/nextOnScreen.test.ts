import fc from 'fast-check';
import { nextOnScreen, type Shown } from './nextOnScreen';

/** Two rows of three in one list, a row of two in another below, and one far down. */
const tile = (id: string, list: string, left: number, top: number): Shown => ({ id, list, left, top });
const shown = [
  tile('a', 'floor', 0, 0),
  tile('b', 'floor', 100, 1),
  tile('c', 'floor', 200, 0),
  tile('d', 'floor', 0, 40),
  tile('e', 'floor', 110, 42),
  tile('f', 'bag', 100, 41),
  tile('g', 'bag', 0, 90),
  tile('h', 'bag', 205, 90),
];

describe('the thing an arrow leads to', () => {
  test('left and right follow the page, and stop at its ends', () => {
    expect(nextOnScreen(shown, 'b', 'ArrowRight')).toBe('c');
    expect(nextOnScreen(shown, 'c', 'ArrowRight')).toBe('d');
    expect(nextOnScreen(shown, 'a', 'ArrowLeft')).toBeNull();
    expect(nextOnScreen(shown, 'h', 'ArrowRight')).toBeNull();
  });

  test('down goes to the next row, to what is below in the same list, not to the nearer one of another', () => {
    expect(nextOnScreen(shown, 'a', 'ArrowDown')).toBe('d');
    expect(nextOnScreen(shown, 'b', 'ArrowDown')).toBe('e');
    expect(nextOnScreen(shown, 'c', 'ArrowDown')).toBe('e');
    expect(nextOnScreen(shown, 'e', 'ArrowDown')).toBe('h');
  });

  test('up comes back by rows; tiles a pixel apart are one row', () => {
    expect(nextOnScreen(shown, 'h', 'ArrowUp')).toBe('f');
    expect(nextOnScreen(shown, 'e', 'ArrowUp')).toBe('b');
    expect(nextOnScreen(shown, 'b', 'ArrowUp')).toBeNull();
    expect(nextOnScreen(shown, 'g', 'ArrowDown')).toBeNull();
  });

  test('nothing is chosen from where nothing is', () => {
    expect(nextOnScreen(shown, 'nowhere', 'ArrowDown')).toBeNull();
    expect(nextOnScreen([], 'a', 'ArrowLeft')).toBeNull();
  });

  test('whatever the layout, down and up go on strictly and end', () => {
    const tiles = fc.array(fc.tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 0, max: 30 })), {
      minLength: 1,
      maxLength: 25,
    });
    fc.assert(
      fc.property(tiles, (places) => {
        const all = places.map(([left, row], i) => tile(`t${i}`, i % 2 ? 'floor' : 'bag', left, row * 20));
        for (const [key, way] of [
          ['ArrowDown', 1],
          ['ArrowUp', -1],
        ] as const) {
          let at = 't0';
          for (let steps = 0; ; steps += 1) {
            expect(steps).toBeLessThanOrEqual(31);
            const next = nextOnScreen(all, at, key);
            if (next === null) break;
            const [before, after] = [at, next].map((id) => all.find((one) => one.id === id)!);
            expect(way * (after!.top - before!.top)).toBeGreaterThan(0);
            at = next;
          }
          // It ended at the outermost row.
          const outermost = Math[way === 1 ? 'max' : 'min'](...all.map(({ top }) => top));
          expect(all.find(({ id }) => id === at)!.top).toBe(outermost);
        }
      }),
    );
  });
});
