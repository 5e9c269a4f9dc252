'use client';

import { Button } from '@mantine/core';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { bagAtPlace, PLACES, type Place } from '@/core/bag/bag';
import { tightest, verdictOf } from '@/core/clearance/clearance';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { Verdict } from '@/ui/shared/Verdict';
import { useSelection } from '@/ui/shared/SelectionProvider';
import { BagEditor } from './BagEditor';
import styles from './BikeStage.module.css';

const BagLibrary = dynamic(() => import('./BagLibrary').then((m) => m.BagLibrary));

/** Every bag on the bike with what it holds and how near it comes; and ways to add one. */
export function BagList() {
  const { draft, evaluation, store, format } = usePlan();
  const { bagId, chooseBag } = useSelection();
  const [place, setPlace] = useState<Place>('seat pack');
  const [library, setLibrary] = useState(false);
  const { bags } = draft.plan;

  const addBag = () => {
    const bag = bagAtPlace(place, bags, () => crypto.randomUUID());
    if (store.edit({ kind: 'put bags', bags: [bag] })) chooseBag(bag.id);
  };

  return (
    <section className={styles.bags} aria-label="Bags">
      <div className={styles.bagsHead}>
        <h2>Bags</h2>
        <Choice aria-label="Place of the new bag" value={place} options={PLACES} onChoose={setPlace} />
        <Button variant="default" onClick={addBag}>
          Add a bag
        </Button>
        <Button variant="default" aria-expanded={library} onClick={() => setLibrary(!library)}>
          From the library
        </Button>
      </div>
      {library && <BagLibrary place={place} />}
      {bags.length === 0 ? (
        <p className="quiet">None yet. Choose a place and add the bag that hangs there.</p>
      ) : (
        <ul className={styles.list}>
          {bags.map((bag) => {
            const open = bag.id === bagId;
            const own = evaluation.compartments.filter(({ spot }) => spot.bag.id === bag.id);
            const facts = evaluation.byBag.get(bag.id)!;
            const worst = tightest(evaluation.clearances.filter((clearance) => clearance.bagId === bag.id));
            const verdict = worst ? verdictOf(worst) : 'free';
            return (
              <li key={bag.id} data-open={open || undefined}>
                <button
                  type="button"
                  className={styles.bag}
                  aria-expanded={open}
                  onClick={() => chooseBag(open ? null : bag.id)}
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
                  <span className={styles.clears}>
                    {verdict === 'free' ? 'clear' : <Verdict kind={verdict} />}
                  </span>
                </button>
                {open && <BagEditor bag={bag} />}
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
