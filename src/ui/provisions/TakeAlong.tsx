'use client';

import { Button } from '@mantine/core';
import { useMemo } from 'react';
import { pageForHome, planByHour, shoppingLists } from '@/core/explain/takeAlong';
import { clock } from '@/core/units/format';
import { usePlan } from '@/ui/plan/PlanProvider';
import stage from '@/ui/shared/stage.module.css';
import styles from './Provisions.module.css';

/** Shopping lists, the plan by hour, and a page for someone at home. */
export function TakeAlong() {
  const { evaluation, draft, store, format } = usePlan();
  const lists = useMemo(() => shoppingLists(evaluation, format), [evaluation, format]);
  const hours = useMemo(() => planByHour(evaluation, format), [evaluation, format]);
  const home = useMemo(() => pageForHome(evaluation, format), [evaluation, format]);
  const save = (as: string, label: string) => (
    <Button
      size="compact-sm"
      variant="default"
      component="a"
      href={`/api/trips/${store.tripId}/along?as=${as}`}
    >
      {label}
    </Button>
  );
  return (
    <div className={stage.parts}>
      <section className={stage.part} aria-label="Shopping">
        <h2>Shopping</h2>
        {lists.length === 0 ? (
          <p className="quiet">
            {draft.plan.trip.menu.length === 0
              ? 'No menu yet. Fill it from the pantry or say that you buy on the way, and what is to be bought is listed here.'
              : 'Nothing to buy: all that the menu uses is in the kit.'}
          </p>
        ) : (
          <>
            {lists.map(({ where, day, items }) => (
              <div key={`${where} ${day}`}>
                <h3>
                  {where}
                  {day !== null && `, day ${day}`}
                </h3>
                <ul>
                  {items.map((item) => (
                    <li key={item}>{item}</li>
                  ))}
                </ul>
              </div>
            ))}
            <p className={styles.links}>{save('shopping.txt', 'Save the lists')}</p>
          </>
        )}
      </section>
      <section className={stage.part} aria-label="By hour">
        <h2>The plan by hour</h2>
        {hours === null ? (
          <p className="quiet">The plan has no hours without a first day and a route. Set both on Trip.</p>
        ) : (
          <>
            <ul>
              {hours.map(({ id, date, fromMin, title, detail }) => (
                <li key={id}>
                  <strong>
                    {date.slice(5)} {clock(fromMin)}
                  </strong>{' '}
                  {title}. <span className="quiet">{detail}</span>
                </li>
              ))}
            </ul>
            <p className={styles.links}>
              {save('calendar', 'Save as a calendar')}
              {save('days.pdf', 'Save a card for each day')}
            </p>
          </>
        )}
      </section>
      <section className={stage.part} aria-label="For someone at home">
        <h2>For someone at home</h2>
        {home.map((line, i) =>
          line.startsWith('# ') ? <h3 key={i}>{line.slice(2)}</h3> : <p key={i}>{line}</p>,
        )}
        <p className={styles.links}>
          {save('home.pdf', 'Save as PDF')}
          {save('home.txt', 'Save as text')}
        </p>
      </section>
    </div>
  );
}
