import { DEFAULT_BUILD } from './bike';
import { toolsNamed, toolsNeeded } from './bolts';

test('tools are read with ranges, units and other words for them', () => {
  expect(toolsNamed('hex 2–4')).toEqual(['hex 2', 'hex 2.5', 'hex 3', 'hex 4']);
  expect(toolsNamed('Allen 5 mm to 8 mm, torx 25')).toEqual(['hex 5', 'hex 6', 'hex 8', 'T25']);
  expect(toolsNamed('turn bolts, tyre 29, spanner 15')).toEqual(['spanner 15']);
  expect(toolsNamed('hex 7')).toEqual([]);
});

test('a bike asks for what its bolts usually are, unless its rider looked', () => {
  const of = (build: Partial<typeof DEFAULT_BUILD>) =>
    toolsNeeded({ ...DEFAULT_BUILD, ...build }).map(({ bolt, tool }) => `${bolt} ${tool}`);
  expect(of({})).toContain('brake discs T25');
  expect(of({ brakes: 'rim' })).not.toContain('brake discs T25');
  expect(of({ bolts: { axles: 'no tool' } })).toContain('axles no tool');
  expect(of({ gears: 'single speed' }).join()).not.toContain('gears');
});
