import ICAL from 'ical.js';
import { demoPlan } from '@/core/demo/plan';
import { evaluate } from '@/core/evaluation/evaluate';
import { dayCards } from '@/core/explain/dayCards';
import { pageForHome, planByHour, shoppingLists } from '@/core/explain/takeAlong';
import { formatterFor } from '@/core/units/format';
import { planIcs } from './planIcs';
import { textPdf } from './textPdf';

const format = formatterFor('metric');
const demo = demoPlan();

test('an independent reader finds the plan by hour, in order, on its days', () => {
  const hours = planByHour(evaluate(demo), format)!;
  const calendar = new ICAL.Component(ICAL.parse(planIcs('loop', 'Loop', hours)) as unknown[]);
  const events = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(events.map(({ summary }) => summary)).toEqual(hours.map(({ title }) => title));
  expect(events.map(({ startDate }) => startDate.toString().slice(0, 10))).toEqual(
    hours.map(({ date }) => date),
  );
  expect(events[0]!.startDate.toString()).toBe('2027-04-16T10:30:00');
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(hours.length);
  expect(hours.map(({ title }) => title)).toEqual(
    expect.arrayContaining(['Dinner: Dinners, dried, Chocolate', 'Breakfast: Breakfast oats']),
  );
});

test('what passes midnight is on the next day; without a date or a route there are no hours', () => {
  const late = { id: 'late', date: '2027-04-30', fromMin: 1470, minutes: 45, title: 'Late', detail: '' };
  const calendar = new ICAL.Component(ICAL.parse(planIcs('loop', 'Loop', [late])) as unknown[]);
  expect(new ICAL.Event(calendar.getFirstSubcomponent('vevent')!).startDate.toString()).toBe(
    '2027-05-01T00:30:00',
  );
  expect(planByHour(evaluate({ ...demo, route: null }), format)).toBeNull();
  expect(planByHour(evaluate({ ...demo, trip: { ...demo.trip, startDate: null } }), format)).toBeNull();
});

test('the page for someone at home has each day, when to expect a message, and what to do without one', async () => {
  const lines = pageForHome(evaluate(demo), format);
  expect(lines.filter((line) => line.startsWith('# '))).toEqual([
    '# Plateau and river loop',
    '# Day 1, 2027-04-16',
    '# Day 2, 2027-04-17',
    '# Day 3, 2027-04-18',
    '# If you hear nothing',
  ]);
  expect(lines.join('\n')).toMatch(/at Plateau meadow about \d+:\d\d/);
  expect(lines.join('\n')).toMatch(/Expect a message by/);
  expect((await textPdf(lines, 'Loop')).subarray(0, 5).toString()).toBe('%PDF-');
  expect(pageForHome(evaluate({ ...demo, route: null }), format).join(' ')).toMatch(
    /route is not planned yet/,
  );
});

test('a card for each day: places by their hours, where to fill, what to eat and to move', () => {
  const lines = dayCards(evaluate(demo), format);
  const first = lines.slice(0, lines.indexOf('# Day 2, 2027-04-17'));
  expect(first.slice(0, 4)).toEqual([
    '# Day 1, 2027-04-16',
    expect.stringMatching(/^28\.7 km, \d+ m up\. Set out about 10:30, arrive about .* at Plateau meadow\.$/),
    expect.stringMatching(/^Sunset 18:\d\d, dark by 19:\d\d\.$/),
    expect.stringMatching(/^Set out with 1\.\d\d l of water\.$/),
  ]);
  const hours = first.flatMap((line) => /^(\d\d:\d\d)  /.exec(line)?.[1] ?? []);
  expect(hours).toEqual([...hours].sort());
  expect(hours.length).toBeGreaterThan(4);
  expect(lines.join('\n')).toMatch(/Cattle trough, water; 0\.2 km off the route; may be dry/);
  expect(lines.join('\n')).toMatch(/River bend tap, water; leave with 1\.\d\d l/);
  expect(first).toContainEqual(expect.stringMatching(/^Dinner: /));
  expect(dayCards(evaluate({ ...demo, route: null }), format)).toEqual([]);
});

test('what is still to get is on the list for before leaving; the demo eats what it has', () => {
  expect(shoppingLists(evaluate(demo), format)).toEqual([]);
  const [first, ...rest] = demo.things;
  const lists = shoppingLists(evaluate({ ...demo, things: [{ ...first!, toGet: true }, ...rest] }), format);
  expect(lists).toEqual([
    { where: 'Before leaving', day: null, items: [expect.stringContaining(first!.name)] },
  ]);
});
