import { demoPlan } from '@/core/demo/plan';
import { parsePlanFile, planFileText } from '@/core/formats/planFile';
import { runLoader } from '@/core/load';
import { applyEdit } from '@/core/plan/apply';
import { evaluate } from '@/core/evaluation/evaluate';
import type { Edit } from '@/core/plan/edit';
import { brokenReferences, withFreshIds, type Plan } from '@/core/plan/plan';
import { carriedBy, joinEdit, leaveEdit } from '@/core/commands/fellows';
import { carriersOf, planOf, sharesOf } from '@/core/plan/riders';
import { loaded, partyOf, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { whereIn } from '@/core/plan/where';

function after(plan: Plan, edit: Edit): Plan {
  const applied = applyEdit(plan, edit);
  if (!applied.ok) throw new Error(applied.error);
  const back = applyEdit(applied.value.plan, applied.value.inverse);
  expect(back.ok && back.value.plan).toEqual(plan);
  return applied.value.plan;
}

let made = 0;
const fresh = (plan: Plan) => withFreshIds(plan, () => `id-${(made += 1)}`);
const robin = { id: 'robin', name: 'Robin', share: 1 };
/** Two riders with one bag of 4 litres each, and four stoves of a kilogram that anyone may carry. */
const party = (share = 1): Plan => {
  const mine = samplePlan({
    bags: [sampleBag('frame', 'frame bag', { statedMl: 4000 })],
    things: [1, 2, 3, 4].map((k) => sampleThing(`stove-${k}`, { massG: 1000 })),
  });
  const theirs = fresh(samplePlan({ bags: [sampleBag('frame', 'frame bag', { statedMl: 4000 })] }));
  const joined = after(mine, joinEdit(mine, { ...robin, share }, theirs));
  return { ...joined, wishes: mine.things.flatMap(({ id }) => carriedBy([], id, 'any')) };
};
const carried = (plan: Plan) => evaluate(plan).riders.map(({ carriedG }) => carriedG);

test('a fellow comes with bike, bags, kit and load, and goes with them; undo takes each back', () => {
  const mine = demoPlan();
  const theirs = fresh(loaded(demoPlan(), { 'spare-tube': 'frame-main' }));
  const both = after(mine, joinEdit(mine, robin, theirs));
  expect(both.things).toHaveLength(2 * mine.things.length);
  expect(brokenReferences(both)).toEqual([]);
  const tube = theirs.things.find(({ name }) => name === 'Spare tube')!;
  expect(whereIn(both)(tube)).toBe('Robin: Half frame bag, main');
  // What is theirs is no business of mine: my facts are as they were.
  const [own, fellow] = evaluate(both).riders;
  expect(own!.facts.totals).toEqual(evaluate(mine).totals);
  expect(own!.facts.floor).toEqual(evaluate(mine).floor);
  expect(fellow!.facts.totals.thingsG).toBe(tube.massG);
  expect(after(both, leaveEdit(both, 'robin'))).toEqual(mine);
});

test('a plan file keeps fellow riders, and fresh ids leave nothing that hangs together apart', () => {
  const plan = partyOf(demoPlan(), 1);
  const read = parsePlanFile(planFileText(plan));
  expect(read).toEqual({ ok: true, value: plan });
  const renamed = fresh(plan);
  expect(brokenReferences(renamed)).toEqual([]);
  const counts = (of: Plan) =>
    ['any', of.fellows[0]!.id, null].map((by) => [...carriersOf(of).values()].filter((v) => v === by).length);
  expect(counts(renamed)).toEqual(counts(plan));
});

test('who may carry what: mine, theirs, shared; what is packed inside goes along; the theirs of one who is gone is mine', () => {
  const plan = { ...party(), wishes: [] };
  const pot = { ...plan.things[0]!, hollow: null };
  const things = [pot, sampleThing('burner', { inside: pot.id }), ...plan.things.slice(1)];
  const wishes = carriedBy(carriedBy([], pot.id, 'any'), 'stove-2', 'robin');
  const carriers = carriersOf({ ...plan, things, wishes });
  expect(['stove-1', 'burner', 'stove-2', 'stove-3'].map((id) => carriers.get(id))).toEqual([
    'any',
    'any',
    'robin',
    null,
  ]);
  expect(carriersOf({ ...plan, things, wishes, fellows: [] }).get('stove-2')).toBeNull();
  expect(carriedBy(wishes, pot.id, null)).toEqual(carriedBy([], 'stove-2', 'robin'));
});

test('alone the plan is itself, so that what is known of it is found again', () => {
  const plan = demoPlan();
  expect(planOf(plan, null)).toBe(plan);
  expect(sharesOf(plan)).toEqual([1]);
});

test('two bags with one id are refused, whosever they are', () => {
  const plan = party();
  const own = plan.fellows[0]!.bags[0]!;
  const refused = applyEdit(plan, { kind: 'put bags', bags: [own] });
  expect(refused.ok).toBe(false);
  expect(!refused.ok && refused.error).toMatch(/^Two bags have the id/);
});

test('the loader shares by what was agreed: half each, or three to one', () => {
  for (const [share, mine, theirs] of [
    [1, 2000, 2000],
    [1 / 3, 3000, 1000],
    [0, 4000, 0],
  ] as const) {
    const plan = party(share);
    const proposal = runLoader(plan, { effort: 0.2 });
    const done = after(plan, proposal.edit);
    expect(carried(done)).toEqual([mine, theirs]);
    expect(proposal.terms.fair).toBeCloseTo(0, 9);
    expect(evaluate(done).findings.filter(({ check }) => check === 'uneven shares')).toEqual([]);
  }
});

test('one who carries 2 kg beyond the share is told, with the figures', () => {
  const plan = party();
  const all = loaded(plan, Object.fromEntries(plan.things.map(({ id }) => [id, 'frame-main'])));
  const [finding] = evaluate(all).findings.filter(({ check }) => check === 'uneven shares');
  expect(finding!.message).toBe('You carry 4.00 kg, 2.00 kg beyond the agreed share.');
  expect(finding!.figures.map(({ value }) => value)).toEqual([4000, 2000]);
  expect(finding!.fixes).toEqual([{ label: 'Load for me', action: 'load for me' }]);
  // Where nothing may go to the other, the loader could not mend it: first something is to be shared.
  const mine = { ...all, wishes: [] };
  const uneven = (plan: Plan) => evaluate(plan).findings.find(({ check }) => check === 'uneven shares')!;
  const [share] = uneven(mine).fixes as { label: string; edit: Edit }[];
  expect(share!.label).toMatch(/^Share /);
  expect(uneven(after(mine, share!.edit)).fixes).toEqual(finding!.fixes);
});

test('whose thing it is holds for the loader: mine never goes on their bike, however full mine is', () => {
  const plan = { ...party(), wishes: [] };
  const things = [
    ...plan.things,
    sampleThing('fifth', { volumeMl: 1500, form: { kind: 'soft', looseMl: 1500 } }),
  ];
  const proposal = runLoader({ ...plan, things }, { effort: 0.1 });
  expect(proposal.leave).toHaveLength(1);
  const shared = runLoader({ ...plan, things, wishes: carriedBy([], 'fifth', 'any') }, { effort: 0.1 });
  expect(shared.leave).toEqual([]);
});

test('findings for their bags come with their name, and only with what mends them here', () => {
  const plan = partyOf(demoPlan(), 1);
  const { things } = plan;
  const seat = plan.fellows[0]!.bags.find(({ place }) => place === 'seat pack')!.compartments[0]!.id;
  const stuffed = loaded(plan, Object.fromEntries(things.slice(0, 30).map(({ id }) => [id, seat])));
  const theirs = evaluate(stuffed).findings.filter(({ message }) => message.startsWith('Robin: '));
  expect(theirs.some(({ check }) => check === 'bag over mass')).toBe(true);
  for (const { fixes } of theirs)
    for (const fix of fixes) if ('edit' in fix) expect(fix.edit.kind).toBe('place');
});
