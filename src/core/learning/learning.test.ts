import { demoPlan } from '@/core/demo/plan';
import { demoRidden } from '@/core/demo/ridden';
import type { Entry } from '@/core/entries/entry';
import { evaluate } from '@/core/evaluation/evaluate';
import { movesOnTheWay } from '@/core/advice/movesOnTheWay';
import { todayOf } from '@/core/explain/today';
import { formatterFor } from '@/core/units/format';
import { enoughOf } from '@/core/enough/enough';
import { worthLeaving } from '@/core/needs/leave';
import { learnedChance, needId, regrets, type Regret } from '@/core/needs/met';
import type { NeedRule } from '@/core/needs/table';
import { calledFor } from './calledFor';
import { doubtOf, logWords } from './logWords';
import { likelyAnswers, nextTime } from './nextTime';
import { normalMean } from './normalMean';
import { learnedRates, swayFound, swayLimit, thingHistories, type Ridden } from './ridden';
import { tripSummary } from './summary';

const format = formatterFor('metric');
const trips = demoRidden();
const [june, september] = trips as [Ridden, Ridden];

test('the worked example of methods 18', () => {
  const seen = { value: 0.62, error: 0.12 };
  const learned = normalMean({ value: 0.45, error: 0.15 }, [seen, seen, seen]);
  expect(learned.value).toBeCloseTo(0.59, 2);
  expect(learned.error).toBeCloseTo(0.06, 2);
  expect(normalMean(seen, [])).toEqual({ value: 0.62, error: expect.closeTo(0.12, 9) });
});

test('drinking by hand: 6.75 l in the hours of June, less what its warmth asks for', () => {
  const hours = hoursOf(june);
  const [drinking] = learnedRates([june]);
  expect(drinking!.seen[0]!.value).toBeCloseTo(6.75 / hours - 0.03 * meanWarmth(june), 2);
  expect(learnedRates(trips)[0]!.seen).toHaveLength(2);
});

/** In the saddle, all days together. */
function hoursOf({ plan }: Ridden): number {
  const facts = evaluate(plan);
  return [1, 2, 3].reduce((sum, day) => sum + todayOf(facts, day, null).day!.movingS / 3600, 0);
}
/** Its weather is one figure for the whole trip. */
const meanWarmth = ({ plan }: Ridden): number => plan.trip.dayMaximumC - 10;

test('a log that says nothing teaches nothing, and 40 l in a day is not learned from', () => {
  const silent: Ridden = { ...june, entries: [] };
  expect(learnedRates([silent]).every(({ seen }) => seen.length === 0)).toBe(true);
  expect(learnedRates([silent])[0]!.learned.value).toBeCloseTo(0.35, 9);
  const line = june.entries.find((entry) => entry.kind === 'logged' && entry.what === 'drank')! as Extract<
    Entry,
    { kind: 'logged' }
  >;
  const slipped: Ridden = { ...june, entries: [{ ...line, amount: 40_000 }] };
  expect(learnedRates([slipped])[0]!.seen).toEqual([]);
  expect(doubtOf('drank', 40_000, format)).toMatch(/40\.0 l in one day/);
  expect(doubtOf('drank', 4_000, format)).toBeNull();
});

test('the seat pack swayed in June and was calm with less in September: the limit lies between', () => {
  const [pack] = swayFound(trips).filter(({ name }) => name === 'Seat pack');
  expect(pack!.swayedKgM!).toBeGreaterThan(pack!.calmKgM!);
  const limit = swayLimit(pack!)!;
  expect(limit).toBeCloseTo((pack!.swayedKgM! + pack!.calmKgM!) / 2, 9);
  expect(swayLimit({ swayedKgM: null, calmKgM: 0.8 })).toBeNull();
  expect(swayLimit({ swayedKgM: 0.7, calmKgM: 0.9 })).toBe(0.7);
  const withLimit = {
    ...june.plan,
    bags: june.plan.bags.map((bag) => (bag.id === pack!.bagId ? { ...bag, swaysFromKgM: limit } : bag)),
  };
  const said = (plan: typeof june.plan) =>
    evaluate(plan).findings.find(({ check }) => check === 'tail-heavy');
  expect(said(withLimit)!.message).toMatch(/on your rides it swayed above/);
  expect(
    said({ ...withLimit, bags: withLimit.bags.map((bag) => ({ ...bag, swaysFromKgM: 5 })) }),
  ).toBeUndefined();
});

test('what is learned is planned with: who drinks more carries more, who is slower arrives later', () => {
  const demo = demoPlan();
  const more = evaluate({ ...demo, rider: { ...demo.rider, drinkLPerH: 0.9 } });
  const slower = evaluate({ ...demo, rider: { ...demo.rider, paceShare: 1.2 } });
  const usual = evaluate(demo);
  expect(todayOf(more, 1, null).water!.neededL).toBeGreaterThan(todayOf(usual, 1, null).water!.neededL);
  const start = todayOf(usual, 1, null).day!;
  expect(todayOf(slower, 1, null).day!.movingS / start.movingS).toBeGreaterThan(1.15);
});

test('the review begins with likely answers: eaten was used, what is for the worst was not, and answers stand', () => {
  const log = september.entries.filter(({ kind }) => kind === 'logged');
  const likely = likelyAnswers(september.plan, log);
  expect(likely.get('oat-bars')).toBe('used');
  expect(likely.get('chews')).toBe('unused');
  expect(likely.get('first-aid-pouch')).toBe('unused');
  expect(likely.get('down-quilt')).toBe('used');
  expect(likely.has('folding-chair')).toBe(false);
  expect(likelyAnswers(september.plan, september.entries).get('paperback')).toBe('unused');
});

test('next time: unused twice is left, what is for the worst is not, what was missed is taken', () => {
  const advice = nextTime(demoPlan(), thingHistories(trips), ['Warm mittens', 'Insect spray', 'Mug']);
  const of = (kind: string) => advice.filter((each) => each.kind === kind).map(({ what }) => what);
  expect(of('leave').sort()).toEqual(['Guy lines', 'Paperback']);
  expect(of('take')).toEqual(['Warm mittens', 'Insect spray']);
  expect(advice.find(({ what }) => what === 'Paperback')!.why).toBe('Unused on 2 trips of 2.');
});

test('two trips side by side: systems add up to the kit, and trouble is named', () => {
  const summary = tripSummary(june);
  expect(Object.values(summary.bySystemG).reduce((sum, massG) => sum + massG, 0)).toBeCloseTo(
    summary.kitG,
    6,
  );
  expect(summary.trouble).toEqual(['Seat pack sways, day 2']);
  expect(summary.missed).toEqual(['Insect spray']);
  expect(tripSummary(september).things).toBe(summary.things - 3);
});

test('every line of the logs in words; what is gone is still told', () => {
  const lines = september.entries.flatMap((entry) =>
    entry.kind === 'logged' ? [logWords(entry, september.plan, format)] : [],
  );
  expect(lines).toContain('Drank 1.50 l');
  expect(lines).toContain('Ate 3 × Oat bars');
  expect(lines).toContain('Bar roll: rattles');
  const gone = { ...september.plan, things: [] };
  const ate = september.entries.find((entry) => entry.kind === 'logged' && entry.what === 'ate')!;
  expect(ate.kind === 'logged' && logWords(ate, gone, format)).toBe('Ate 3 × something');
});

test('the day’s food for riding goes to where it is reached, and no further', () => {
  const plan = { ...june.plan, trip: { ...demoPlan().trip, nights: 2 } };
  const inSeatPack = {
    ...plan,
    load: plan.load.map((entry) =>
      entry.thingId === 'oat-bars' ? { ...entry, to: { compartmentId: LAY_SEAT } } : entry,
    ),
  };
  const moves = movesOnTheWay(evaluate(inSeatPack)).flatMap(({ moves: own }) => own);
  const bars = moves.filter(({ words }) => words.includes('Oat bars'));
  expect(bars).toHaveLength(3);
  expect(bars[0]!.words).toMatch(
    /^(Move 2 portions of Oat bars from Seat pack, main to |Take 2 portions of Oat bars into a pocket)/,
  );
  expect(new Set(moves.map(({ id }) => id)).size).toBe(moves.length);
});
const LAY_SEAT = 'seat-pack-main';

test('needs that trips never called for weigh less, and the worked example of methods 15', () => {
  const counts = calledFor(trips);
  expect(counts['first aid']).toEqual({ called: 0, trips: 2 });
  expect(counts['sleep warm']).toEqual({ called: 2, trips: 2 });
  expect(calledFor([])).toEqual({});
  const { needs, taken } = enoughOf(evaluate(demoPlan()));
  const chanceOf = (rule: NeedRule) => {
    const { called, trips: n } = counts[needId(rule)] ?? { called: 0, trips: 0 };
    return learnedChance(rule.chance, called, n);
  };
  const of = (list: Regret[], name: string) => list.find(({ thing }) => thing.name === name)!.regret;
  const [before, after] = [regrets(needs, taken), regrets(needs, taken, chanceOf)];
  expect(of(after, 'First aid pouch')).toBeLessThan(of(before, 'First aid pouch'));
  expect(of(after, 'First aid pouch')).toBeGreaterThan(0);
  // Little regret never offers what is for danger.
  expect(worthLeaving(needs, taken, chanceOf).map(({ thing }) => thing.name)).not.toContain(
    'First aid pouch',
  );
});
