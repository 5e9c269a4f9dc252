import { demoPlan } from '@/core/demo/plan';
import { applyEdit } from '@/core/plan/apply';
import { factsOf } from '@/core/facts/facts';
import { samplePlan, sampleThing } from '../../../tests/support/samples';
import { formatterFor } from '@/core/units/format';
import { headlines, mainFigures } from './headline';
import { FIGURES, whyFigure } from './why';

const metric = formatterFor('metric');

test.each(FIGURES)('%s: formula, inputs with figures, source and what it cannot know', (figure) => {
  const why = whyFigure(figure, factsOf(demoPlan()), metric);
  expect(why.formula.length).toBeGreaterThan(20);
  expect(why.source.length).toBeGreaterThan(10);
  expect(why.uncertainty.length).toBeGreaterThan(20);
  expect(why.inputs.length).toBeGreaterThan(0);
  for (const [name, value] of why.inputs) {
    expect(name).not.toBe('');
    expect(value).toMatch(/\d/);
    expect(value).not.toMatch(/NaN|undefined|Infinity/);
  }
});

test('the inputs of the loaded bike are the parts it is the sum of', () => {
  const { inputs } = whyFigure('loaded', factsOf(demoPlan()), metric);
  expect(Object.fromEntries(inputs)).toEqual({
    bike: '13.4 kg',
    bags: '2.22 kg',
    things: '0 g',
    water: '0 g',
  });
});

test('why follows the unit the rider reads', () => {
  const { inputs } = whyFigure('front', factsOf(demoPlan()), formatterFor('imperial'));
  expect(inputs[0]).toEqual(['wheelbase', '44.8 in']);
});

describe('headlines', () => {
  const now = factsOf(demoPlan());

  test('one line a figure, in the order of the figures', () => {
    expect(headlines(now, null, metric).map((line) => line.figure)).toEqual([...FIGURES]);
  });

  test('without a state before there are no differences', () => {
    expect(headlines(now, null, metric).every((line) => line.difference === '')).toBe(true);
  });

  test('a change shows its sign; what did not move shows nothing', () => {
    const applied = applyEdit(demoPlan(), {
      kind: 'place',
      moves: [{ thingId: 'spare-tube', to: { compartmentId: 'fork-left-main' } }],
    });
    if (!applied.ok) throw new Error(applied.error);
    const after = headlines(factsOf(applied.value.plan), now, metric);
    const line = (figure: string) => after.find((candidate) => candidate.figure === figure)!;
    expect(line('loaded')).toMatchObject({ value: '15.8 kg', difference: '+205 g' });
    expect(line('side')).toMatchObject({ value: '205 g', difference: '+205 g' });
    expect(line('tail').difference).toBe('');
    const back = headlines(now, factsOf(applied.value.plan), metric).find(
      (candidate) => candidate.figure === 'side',
    )!;
    expect(back.difference).toBe('−205 g');
  });

  test('a sum that leans on estimates is marked as one', () => {
    const plan = samplePlan();
    plan.bike = { ...plan.bike!, massSource: 'estimate' };
    expect(headlines(factsOf(plan), null, metric)[0]!.value).toBe('≈ 13.0 kg');
    expect(headlines(factsOf(samplePlan()), null, metric)[0]!.value).toBe('13.0 kg');
  });

  test('three figures are enough at a glance; the third is the one nearer to where it is felt', () => {
    const placed = (thingId: string, compartmentId: string) => {
      const applied = applyEdit(demoPlan(), { kind: 'place', moves: [{ thingId, to: { compartmentId } }] });
      if (!applied.ok) throw new Error(applied.error);
      return mainFigures(factsOf(applied.value.plan));
    };
    expect(placed('spare-tube', 'fork-left-main')).toEqual(['loaded', 'front', 'side']);
    expect(placed('spare-tube', 'seat-pack-main')).toEqual(['loaded', 'front', 'tail']);
    expect(mainFigures(factsOf(samplePlan({ bike: null })))).toEqual(['loaded', 'rolling']);
  });

  test('a plan with nothing in it gives figures, not faults', () => {
    const bare = factsOf(samplePlan({ bike: null, things: [sampleThing('t')] }));
    for (const line of headlines(bare, null, metric)) expect(line.value).not.toMatch(/NaN|Infinity/);
  });
});
