import { kitsOf, kitsOver, summaryOf } from './kits';

test('kits are every seed with every number of things', () => {
  expect(kitsOf('1-3, 7', '60,80')).toEqual([
    ...[1, 2, 3, 7].map((seed) => ({ seed, things: 60 })),
    ...[1, 2, 3, 7].map((seed) => ({ seed, things: 80 })),
  ]);
  for (const wrong of ['', '1-', '3-1', '0', '1.5', 'all', '1,,2'])
    expect(() => kitsOf(wrong, '60')).toThrow('--seeds takes whole numbers and spans');
  expect(() => kitsOf('1', '-60')).toThrow('--things takes whole numbers and spans');
});

test('a summary by fit tells the mean, the middle, how many are near and the worst first', () => {
  const lines = [1, 1.03, 1.004, 1.016].map((over1s, k) => ({
    seed: k + 1,
    things: 60,
    firstMs: 4 + k,
    over1s,
  }));
  expect(summaryOf(lines)).toEqual({
    bench: 'load by fit, all kits',
    kits: 4,
    mean: 1.0125,
    median: 1.01,
    within: { 1: 1, 1.01: 2, 1.02: 3 },
    worst: [
      { kit: '2/60', ratio: 1.03 },
      { kit: '4/60', ratio: 1.016 },
      { kit: '3/60', ratio: 1.004 },
      { kit: '1/60', ratio: 1 },
    ],
    firstMs: 7,
  });
});

test('a summary beside HiGHS has its own ratio, and none without HiGHS', () => {
  const line = { seed: 1, things: 40, firstMs: 3, oursMs: 700 };
  expect(summaryOf([{ ...line, ratio: 0.98 }])).toMatchObject({
    bench: 'load, all kits',
    mean: 0.98,
    oursMs: 700,
  });
  expect(summaryOf([{ ...line, ratio: null }])).toEqual({
    bench: 'load, all kits',
    kits: 1,
    firstMs: 3,
    oursMs: 700,
  });
});

test('of a kit that was asked several times the middle counts', () => {
  const line = (seed: number, over1s: number) => ({ seed, things: 60, firstMs: 3, over1s });
  const lines = [line(1, 1.03), line(2, 1.002), line(1, 1.001), line(1, 1.004)];
  expect(kitsOver(lines.slice(0, 2), 1.01)).toEqual([{ seed: 1, things: 60 }]);
  expect(summaryOf(lines)).toMatchObject({
    kits: 2,
    mean: 1.003,
    within: { 1: 0, 1.01: 2, 1.02: 2 },
    worst: [
      { kit: '1/60', ratio: 1.004, each: [1.03, 1.001, 1.004] },
      { kit: '2/60', ratio: 1.002 },
    ],
  });
});
