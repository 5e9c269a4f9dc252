import { demoPlan } from '@/core/demo/plan';
import { demoRidden } from '@/core/demo/ridden';
import type { Entry } from '@/core/entries/entry';
import { evaluate } from '@/core/evaluation/evaluate';
import { movesOnTheWay } from '@/core/advice/movesOnTheWay';
import { todayOf } from '@/core/explain/today';
import { formatterFor } from '@/core/units/format';
import { enoughOf } from '@/core/enough/enough';
import { needsOf } from '@/core/facts/food';
import { applyEdit } from '@/core/plan/apply';
import type { Edit } from '@/core/plan/edit';
import { worthLeaving } from '@/core/needs/leave';
import { learnedChance, needId, regrets, type Regret } from '@/core/needs/met';
import type { NeedRule } from '@/core/needs/table';
import { calledFor } from './calledFor';
import { dayDoubts, wasBefore } from './doubts';
import { thingHistories } from './histories';
import { lastDone } from './lastDone';
import { limitOf, limitsFound } from './limits';
import { logWords } from './logWords';
import { likelyAnswers, nextTime } from './nextTime';
import { normalMean } from './normalMean';
import { learnedRates, RATE_RULES } from './rates';
import type { Ridden } from './ridden';
import { takeOver } from './takeOver';
import { tripSummary } from './summary';

const format = formatterFor('metric');
const trips = demoRidden();
const [june, september] = trips as [Ridden, Ridden];
const BIKE = june.plan.bike!.id;

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
  // In the hours it really took, by the arrivals of two days.
  const pace = learnedRates([june]).find(({ rate }) => rate === 'pace')!.seen[0]!.value;
  expect(drinking!.seen[0]!.value).toBeCloseTo(6.75 / (hours * pace) - 0.03 * meanWarmth(june), 2);
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
  const doubts = (change: Partial<typeof line>, day = 1) =>
    dayDoubts([{ ...line, ...change }], day, 3, june.plan.trip.startDate, format);
  expect(doubts({ amount: 40_000 })).toEqual([expect.stringMatching(/40\.0 l in one day/)]);
  expect(doubts({ amount: 4_000 })).toEqual([]);
  expect(doubts({ day: 4 }, 4)).toEqual([
    expect.stringMatching(/The trip has 3 days/),
    expect.stringMatching(/before that day began/),
  ]);
  // The evening before is the first day already, east of here.
  expect(wasBefore({ at: '2027-04-15T12:00:00Z', day: 1 }, '2027-04-16')).toBe(false);
  expect(wasBefore({ at: '2027-04-15T09:00:00Z', day: 1 }, '2027-04-16')).toBe(true);
  expect(wasBefore({ at: '2020-01-01T09:00:00Z', day: 1 }, null)).toBe(false);
});

test('the seat pack swayed in June and was calm with less in September: the limit lies between', () => {
  const [pack] = limitsFound(trips, BIKE).filter(
    ({ name, limit }) => name === 'Seat pack' && limit === 'sway',
  );
  expect(pack!.wrong!).toBeGreaterThan(pack!.well!);
  const limit = limitOf(pack!)!;
  expect(limit).toBeCloseTo((pack!.wrong! + pack!.well!) / 2, 9);
  expect(limitsFound(trips, 'another bike')).toEqual([]);
  expect(limitOf({ limit: 'sway', wrong: null, well: 0.8, usual: 1.2 })).toBeNull();
  expect(limitOf({ limit: 'sway', wrong: 0.7, well: 0.9, usual: 1.2 })).toBe(0.7);
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

test('a roll that touched the tyre sags at least as far as it takes to touch, and the clearance then says so', () => {
  const roll = limitsFound(trips, BIKE).find(({ bagId, limit }) => bagId === 'bar-roll' && limit === 'sag')!;
  const { plan } = september;
  expect(tyreGap(plan).gapMm).toBeGreaterThan(0);
  expect(roll.wrong!).toBeGreaterThan(4);
  expect(roll.trips).toBe(2);
  const sagging = {
    ...plan,
    bags: plan.bags.map((bag) => (bag.id === 'bar-roll' ? { ...bag, sagMmPerKg: roll.wrong } : bag)),
  };
  expect(tyreGap(sagging).gapMm).toBeCloseTo(0, 2);
  expect(
    evaluate(sagging).findings.find(
      ({ check, subject }) => check === 'too near' && subject.ids.includes('bar-roll'),
    )!.message,
  ).toMatch(/the sag found on your trips/);
  const sag = (wrong: number, well: number) => limitOf({ limit: 'sag', wrong, well, usual: 4 });
  expect([sag(8, 11), sag(8, 7), sag(2, 1)]).toEqual([9.5, 8, 4]);
  // No strap gives by eight times the usual: that roll slipped.
  expect(limitOf(roll)).toBeNull();
  expect(sag(13, 11)).toBeNull();
});

const tyreGap = (plan: Ridden['plan']) =>
  evaluate(plan).clearances.find(({ bagId, kind }) => bagId === 'bar-roll' && kind === 'front tyre')!;

test('gas by hand: what is gone from the canister over what was calculated', () => {
  const gas = learnedRates(trips).find(({ rate }) => rate === 'gas')!;
  const { fuel } = enoughOf(evaluate(june.plan));
  expect(gas.seen[0]!.value).toBeCloseTo((fuel!.hasG - 51) / fuel!.neededG, 9);
  expect(gas.seen).toHaveLength(2);
  // Nothing is learned from what was not weighed.
  const unweighed = june.entries.filter((entry) => entry.kind !== 'logged' || entry.what !== 'gas left');
  expect(learnedRates([{ ...june, entries: unweighed }]).find(({ rate }) => rate === 'gas')!.seen).toEqual(
    [],
  );
});

test('what a trip had taken over already makes no difference to what it teaches', () => {
  const taken = trips.map((trip) => ({
    ...trip,
    plan: {
      ...trip.plan,
      rider: {
        ...trip.plan.rider,
        ...{ drinkLPerH: 0.6, eatShare: 0.8, fuelShare: 1.4, chargeShare: 0.7 },
        // Where no arrival is logged, the hours are those of the plan.
        paceShare: trip === june ? 1.15 : null,
      },
      bags: trip.plan.bags.map((bag) => (bag.id === 'bar-roll' ? { ...bag, sagMmPerKg: 7 } : bag)),
    },
  }));
  for (const [k, rate] of learnedRates(taken).entries()) {
    const usual = learnedRates(trips)[k]!;
    expect(rate.seen.length).toBeGreaterThan(0);
    for (const [n, { value }] of rate.seen.entries()) expect(value).toBeCloseTo(usual.seen[n]!.value, 6);
  }
  const sagOf = (own: Ridden[]) => limitsFound(own, BIKE).find(({ limit }) => limit === 'sag')!.wrong;
  expect(sagOf(taken)).toBeCloseTo(sagOf(trips)!, 9);
});

function after(plan: Ridden['plan'], edit: Edit): Ridden['plan'] {
  const applied = applyEdit(plan, edit);
  if (!applied.ok) throw new Error(String(applied.error));
  return applied.value.plan;
}

test('a new plan takes over what was learned, and not what was rejected', () => {
  const demo = demoPlan();
  const rates = learnedRates(trips);
  const limits = limitsFound(trips, BIKE).map((found) =>
    found.limit === 'sag' && found.bagId === 'bar-roll' ? { ...found, wrong: 9, well: 12 } : found,
  );
  const edit = takeOver(demo, rates, limits, new Set(['pace', 'sway seat-pack']))!;
  const plan = after(demo, edit);
  for (const { rate, learned } of rates)
    expect(plan.rider[RATE_RULES[rate].field]).toBe(
      rate === 'pace' ? null : Math.round(100 * learned.value) / 100,
    );
  const bag = (id: string) => plan.bags.find((each) => each.id === id)!;
  expect(bag('seat-pack').swaysFromKgM).toBeNull();
  expect(bag('bar-roll').sagMmPerKg).toBe(10.5);
  // Said twice it changes nothing; rejected later, it is the usual again.
  expect(takeOver(plan, rates, limits, new Set(['pace', 'sway seat-pack']))).toBeNull();
  const all = new Set(['drinking', 'eating', 'gas', 'charge', 'pace', 'sway seat-pack', 'sag bar-roll']);
  expect(after(plan, takeOver(plan, rates, limits, all)!)).toEqual(demo);
  expect(takeOver(demo, learnedRates([]), limitsFound([], BIKE), new Set())).toBeNull();
  // A limit that was found otherwise stays, where the trips on this bike say nothing against it.
  const known = {
    ...demo,
    bags: demo.bags.map((each) => (each.id === 'seat-pack' ? { ...each, swaysFromKgM: 0.6 } : each)),
  };
  const calm = limits.filter(({ limit }) => limit === 'sway').map((found) => ({ ...found, wrong: null }));
  expect(takeOver(known, [], calm, new Set())).toBeNull();
  // Needs that the rider never has; what a danger is about is asked on every trip.
  const never = takeOver(
    demo,
    [],
    [],
    new Set(['need insects', 'need call without a phone', 'need sleep warm', 'need x']),
  )!;
  expect(after(demo, never).trip.dismissed.sort()).toEqual(['insects']);
});

test('what is learned is planned with: who drinks more carries more, who is slower arrives later', () => {
  const demo = demoPlan();
  const more = evaluate({ ...demo, rider: { ...demo.rider, drinkLPerH: 0.9 } });
  const rider = (change: Partial<Ridden['plan']['rider']>) =>
    evaluate({ ...demo, rider: { ...demo.rider, ...change } });
  const slower = evaluate({ ...demo, rider: { ...demo.rider, paceShare: 1.2 } });
  const usual = evaluate(demo);
  expect(todayOf(more, 1, null).water!.neededL).toBeGreaterThan(todayOf(usual, 1, null).water!.neededL);
  const start = todayOf(usual, 1, null).day!;
  expect(todayOf(slower, 1, null).day!.movingS / start.movingS).toBeGreaterThan(1.15);
  const enough = (change: Partial<Ridden['plan']['rider']>) => enoughOf(rider(change));
  expect(enough({ fuelShare: 1.5 }).fuel!.neededG).toBeCloseTo(1.5 * enough({}).fuel!.neededG, 9);
  expect(enough({ chargeShare: 2 }).charge!.needWh).toBeCloseTo(2 * enough({}).charge!.needWh, 9);
  expect(needsOf(rider({ eatShare: 0.8 })).days[0]!.needKJ).toBeCloseTo(
    0.8 * needsOf(usual).days[0]!.needKJ,
    9,
  );
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
  expect(summary.trouble).toEqual(['Seat pack sways, day 2', 'Bar roll rattles, day 3']);
  expect(summary.missed).toEqual(['Insect spray']);
  expect(tripSummary(september).things).toBe(summary.things - 3);
});

test('every line of the logs in words; what is gone is still told', () => {
  const lines = september.entries.flatMap((entry) =>
    entry.kind === 'logged' ? [logWords(entry, september.plan, format)] : [],
  );
  expect(lines).toContain('Drank 1.50 l');
  expect(lines).toContain('Ate 3 × Oat bars');
  expect(lines).toContain('Bar roll: touches the tyre');
  expect(lines).toContain('Gas left in Gas canister: 77 g');
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

test('a check of the bike was last done before the last trip that had it ticked', () => {
  const of = (taskId: string) => lastDone(trips).find((each) => each.taskId === taskId);
  expect(of('bike chain')).toEqual({ bikeId: BIKE, taskId: 'bike chain', on: '2026-09-05' });
  expect(of('bike brakes')!.on).toBe('2026-06-12');
  const takenBack: Entry = {
    id: 'back',
    at: '2026-09-06T08:00:00Z',
    kind: 'done',
    taskId: 'bike chain',
    done: false,
  };
  const again = [june, { ...september, entries: [...september.entries, takenBack] }];
  expect(lastDone(again).find(({ taskId }) => taskId === 'bike chain')!.on).toBe('2026-06-12');
});
