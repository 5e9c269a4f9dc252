import { demoPlan } from '@/core/demo/plan';
import { evaluate } from '@/core/evaluation/evaluate';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';

const demo = demoPlan();
const found = (plan: Plan) => evaluate(plan).findings.find(({ check }) => check === 'bolts turned');
const withAxles = (tool: 'hex 6' | 'hex 8'): Plan => ({
  ...demo,
  bike: { ...demo.bike!, build: { ...demo.bike!.build, bolts: { axles: tool } } },
});

test('a multitool with the usual sizes turns the usual bolts', () => {
  expect(found(demo)).toBeUndefined();
  expect(found(withAxles('hex 6'))).toBeUndefined();
});

test('an axle that the rider knows to be larger is named, and the key at home that turns it', () => {
  expect(found(withAxles('hex 8'))).toMatchObject({
    severity: 'check',
    message: 'None of your tools turns the axles (hex 8).',
  });
  const multitool = demo.things.find(({ name }) => name === 'Multitool')!;
  const key = { ...multitool, id: 'key', name: 'Long key', purposes: ['hex 8'] };
  let plan: Plan = { ...withAxles('hex 8'), things: [...demo.things, key] };
  plan = { ...plan, load: [...plan.load, { thingId: 'key', to: 'home', pinned: false }] };
  const [fix] = found(plan)!.fixes;
  expect(fix!.label).toBe('Take Long key');
  if (!('edit' in fix!)) throw new Error('This fix is an edit.');
  const after = applyEdit(plan, fix.edit);
  expect(after.ok && found(after.value.plan)).toBeUndefined();
});

test('a small tool lacks the star key that most disc bikes need, which is only a note; no known sizes is silent', () => {
  const renamed = (purposes: string[]): Plan => ({
    ...demo,
    things: demo.things.map((thing) => (thing.name === 'Multitool' ? { ...thing, purposes } : thing)),
  });
  expect(found(renamed(['hex 4-6']))).toMatchObject({ severity: 'note' });
  expect(found(renamed(['turn bolts']))).toBeUndefined();
});
