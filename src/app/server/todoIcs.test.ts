import ICAL from 'ical.js';
import { demoPlan } from '@/core/demo/plan';
import { evaluate } from '@/core/evaluation/evaluate';
import { todoList } from '@/core/readiness/todo';
import { formatterFor } from '@/core/units/format';
import { todoIcs } from './todoIcs';

test('an independent reader finds every entry, on its day, once', () => {
  const todos = todoList(evaluate(demoPlan()), formatterFor('metric'));
  const calendar = new ICAL.Component(ICAL.parse(todoIcs('loop', 'Loop; with, marks', todos)) as unknown[]);
  const events = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(events.map(({ summary }) => summary)).toEqual(todos.map(({ words }) => words));
  expect(events.map(({ startDate }) => startDate.toString())).toEqual(todos.map(({ latest }) => latest));
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(todos.length);
  expect(events[0]!.description).toContain('(Loop; with, marks)');
});

test('a trip without a date has an empty calendar', () => {
  const todos = todoList(
    evaluate({ ...demoPlan(), trip: { ...demoPlan().trip, startDate: null } }),
    formatterFor('metric'),
  );
  expect(todoIcs('loop', 'Loop', todos)).not.toContain('VEVENT');
});
