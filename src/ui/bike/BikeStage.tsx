'use client';

import { Button } from '@mantine/core';
import { bagAtPlace, PLACES, type Place } from '@/core/bag/bag';
import { DEFAULT_GEOMETRY } from '@/core/bike/bike';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { Empty } from '@/ui/shared/States';
import { useSelection } from '@/ui/shell/SelectionProvider';
import { useState } from 'react';
import { BagEditor } from './BagEditor';
import { BikeDrawing } from './BikeDrawing';
import { BikeFields } from './BikeFields';
import styles from './BikeStage.module.css';

/** The rider's own bike, and the bags on it. */
export function BikeStage() {
  const { draft, evaluation, store, format } = usePlan();
  const { bagId, chooseBag } = useSelection();
  const [place, setPlace] = useState<Place>('seat pack');
  const { bike, bags } = draft.plan;
  const toggle = (id: string) => chooseBag(id === bagId ? null : id);

  const addBag = () => {
    const bag = bagAtPlace(place, bags, () => crypto.randomUUID());
    if (store.edit({ kind: 'put bags', bags: [bag] })) chooseBag(bag.id);
  };

  return (
    <div className={styles.page}>
      <header className={styles.header}>
        <h1>Bike</h1>
        {bike && (
          <span className="quiet">
            {bike.name}, {format.mass(bike.massG)}; {bags.length} bags hold{' '}
            {format.volume(evaluation.totals.capacityMl)} and weigh {format.mass(evaluation.totals.bagsG)}
          </span>
        )}
      </header>
      <div className={styles.picture}>
        <BikeDrawing facts={evaluation} selected={bagId} onSelect={toggle} />
      </div>
      {!bike && (
        <Empty
          title="No bike yet"
          actions={
            <Button
              onClick={() =>
                store.edit({
                  kind: 'set bike',
                  bike: {
                    id: crypto.randomUUID(),
                    name: 'My bike',
                    massG: 13_000,
                    massSource: 'estimate',
                    greatestTotalG: null,
                    geometry: DEFAULT_GEOMETRY,
                  },
                })
              }
            >
              Start from a middling hardtail
            </Button>
          }
        >
          The drawing shows a middling bike. Start from it and put in your own bike&apos;s figures.
        </Empty>
      )}
      <section className={styles.bags} aria-label="Bags">
        <div className={styles.bagsHead}>
          <h2>Bags</h2>
          <Choice aria-label="Place of the new bag" value={place} options={PLACES} onChoose={setPlace} />
          <Button variant="default" onClick={addBag}>
            Add a bag
          </Button>
        </div>
        {bags.length === 0 ? (
          <p className="quiet">None yet. Choose a place and add the bag that hangs there.</p>
        ) : (
          <ul className={styles.list}>
            {bags.map((bag) => {
              const open = bag.id === bagId;
              const own = evaluation.compartments.filter(({ spot }) => spot.bag.id === bag.id);
              const facts = evaluation.byBag.get(bag.id)!;
              return (
                <li key={bag.id} data-open={open || undefined}>
                  <button
                    type="button"
                    className={styles.bag}
                    aria-expanded={open}
                    onClick={() => toggle(bag.id)}
                  >
                    <span className={styles.letters}>{own.map(({ spot }) => spot.letter).join(' ')}</span>
                    <span className={styles.name}>{bag.name}</span>
                    <span className="quiet">
                      {bag.place}
                      {bag.side !== 'middle' && `, ${bag.side}`}
                    </span>
                    <span>{format.volume(own.reduce((sum, { spot }) => sum + spot.capacityMl, 0))}</span>
                    <span>{format.mass(bag.massG)}</span>
                    <span>
                      carries {facts.limitAssumed ? '≈ ' : ''}
                      {format.mass(facts.limitG)}
                    </span>
                  </button>
                  {open && <BagEditor bag={bag} />}
                </li>
              );
            })}
          </ul>
        )}
      </section>
      {bike && <BikeFields bike={bike} />}
      <p className={styles.caution}>
        Never go over a maker&apos;s limit for a mount, fork, rack, frame or rim; many carbon forks and
        seatposts must not be clamped or loaded. Where no limit is known, Gorvin assumes little and says so.
      </p>
    </div>
  );
}
