import { DEMO_SETUPS } from '@/core/demo/bikes';
import { demoPlan } from '@/core/demo/plan';
import { formatterFor } from '@/core/units/format';
import { placesOf, setupFacts, withSetup } from './compare';
import { planSchema } from '@/core/plan/plan';

const format = formatterFor('metric');

test('two set-ups side by side: litres and limits per place, masses, and each one’s own findings', () => {
  const [hardtail, , small] = DEMO_SETUPS.map((setup) => setupFacts(demoPlan(), setup, format));
  expect(placesOf(hardtail!, small!)).toEqual([
    'bar roll',
    'bar bag',
    'stem bag',
    'top tube bag',
    'frame bag',
    'down tube',
    'bottle cage',
    'fork bag',
    'seat pack',
  ]);
  // By hand: two fork bags of π/4 · 132² · 310 mm.
  expect(hardtail!.litresMl['fork bag']! / 1000).toBeCloseTo(2 * 4.242, 2);
  expect(hardtail!.limitsG['fork bag']).toBe(5000);
  expect(hardtail!.bagsG).toBe(2221);
  expect(small!.litresMl['fork bag']).toBeUndefined();
  const nearRearTyre = /(meets|comes within .* of) the rear tyre/;
  expect(small!.findings.some(({ message }) => nearRearTyre.test(message))).toBe(true);
  expect(hardtail!.findings.some(({ message }) => nearRearTyre.test(message))).toBe(false);
  for (const { stage } of [...hardtail!.findings, ...small!.findings]) expect(stage).toBe('bike');
});

test('every demo set-up makes a sound plan', () => {
  for (const setup of DEMO_SETUPS)
    expect(planSchema.safeParse(withSetup(demoPlan(), setup)).success).toBe(true);
});
