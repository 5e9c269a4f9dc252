'use client';

import {
  DndContext,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useMemo } from 'react';
import { leaveSpareFood } from '@/core/commands/menu';
import { menuOf } from '@/core/facts/food';
import type { MenuEntry } from '@/core/food/menuSchema';
import type { Slot } from '@/core/food/pantry';
import { portionOf } from '@/core/menu/portion';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Button } from '@mantine/core';
import { DayColumn } from './DayColumn';
import { FillMenu } from './FillMenu';
import { AsLearned } from '@/ui/shared/AsLearned';
import stage from '@/ui/shared/stage.module.css';
import styles from './Provisions.module.css';

/** The menu by day and meal, against what each day asks for. */
export function FoodView() {
  const { evaluation, draft, store, format } = usePlan();
  const menu = useMemo(() => menuOf(evaluation), [evaluation]);
  const entries = draft.plan.trip.menu;
  const set = (next: MenuEntry[]) => store.edit({ kind: 'set trip', patch: { menu: next } });
  // A press is not a drag: buttons in a line stay buttons.
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 6 } }),
  );
  const drop = ({ active, over }: DragEndEvent) => {
    const to = over?.data.current as { day: number; slot: Slot } | undefined;
    const index = Number(active.id);
    if (to) set(entries.map((entry, k) => (k === index ? { ...entry, ...to } : entry)));
  };
  const copyDay = (from: number, to: number) =>
    set([
      ...entries.filter(({ day, locked }) => day !== to || locked),
      ...entries.filter(({ day }) => day === from).map((entry) => ({ ...entry, day: to, locked: false })),
    ]);
  // Tablets and tea bags are nobody's meal.
  const spare = menu.spare.filter(({ thing }) => (portionOf(thing)?.energyKJ ?? 0) > 100);
  const leave = useMemo(() => leaveSpareFood(evaluation), [evaluation]);
  return (
    <div className={stage.split}>
      <DndContext sensors={sensors} onDragEnd={drop}>
        <div className={styles.days}>
          {menu.days.map((day) => (
            <DayColumn
              key={day.need.day}
              menu={day}
              days={menu.days.length}
              onChange={(index, patch) =>
                set(
                  entries.flatMap((entry, k) =>
                    k !== index ? [entry] : patch === null ? [] : [{ ...entry, ...patch }],
                  ),
                )
              }
              onAdd={(entry) => set([...entries, entry])}
              onCopy={(to) => copyDay(day.need.day, to)}
            />
          ))}
        </div>
      </DndContext>
      <aside className={stage.aside} aria-label="Menu">
        <FillMenu />
        {spare.length > 0 && (
          <section>
            <h2>In no meal</h2>
            <ul>
              {spare.map(({ thing, portions }) => (
                <li key={thing.id}>
                  {thing.name}: {portions === 1 ? '1 portion' : `${portions} portions`}
                </li>
              ))}
            </ul>
            {leave && entries.length > 0 && (
              <Button mt="xs" size="compact-sm" variant="default" onClick={() => store.edit(leave)}>
                Leave what no meal uses
              </Button>
            )}
          </section>
        )}
        <p className="quiet">
          Food comes along as things of the kit: you weigh it, load it and leave it like all others.{' '}
          {menu.isRideKnown ? '' : 'Without a route, four steady hours of riding a day are assumed. '}
          All together: {format.mass(menu.days.reduce((sum, { massG }) => sum + massG, 0))}.
        </p>
        <AsLearned share={draft.plan.rider.eatShare} of="need for food" />
      </aside>
    </div>
  );
}
