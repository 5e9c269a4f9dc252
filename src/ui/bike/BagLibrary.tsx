'use client';

import { Button } from '@mantine/core';
import { useMemo } from 'react';
import { capacityMl, PAIRED_PLACES, type Bag, type Place } from '@/core/bag/bag';
import { BAG_LIBRARY, fromLibrary } from '@/core/bag/library';
import { verdictOf, type Clearance } from '@/core/clearance/clearance';
import { trialClearances } from '@/core/advice/trial';
import type { Formatter } from '@/core/units/format';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Verdict } from '@/ui/shared/Verdict';
import styles from './Panels.module.css';

/** Generic bags for a place, each tried on this bike before it is added. */
export function BagLibrary({ place }: { place: Place }) {
  const { draft, evaluation, store, format } = usePlan();
  // Where there is one place and it is taken, a bag of the library is tried, and put, instead of what hangs there.
  const old = SHARED_PLACES.has(place) ? undefined : draft.plan.bags.find((bag) => bag.place === place);
  const rows = useMemo(
    () =>
      BAG_LIBRARY.filter((entry) => entry.place === place).map((entry) => {
        const fresh = fromLibrary(entry, draft.plan.bags, () => crypto.randomUUID());
        const bag = old ? insteadOf(old, fresh) : fresh;
        return { entry, bag, clearances: trialClearances(evaluation, bag) };
      }),
    [draft.plan.bags, evaluation, old, place],
  );
  const put = (bag: Bag) => {
    // It stays open: a set is chosen one bag after the other.
    store.edit({ kind: 'put bags', bags: [bag] });
  };
  if (rows.length === 0)
    return <p className="quiet">The library has no bag for this place. Add one and enter its measures.</p>;
  return (
    <>
      {old && <p className="quiet">One of these in place of {old.name}; what lies in it stays in.</p>}
      <table className={styles.table} aria-label={`Bags for the place ${place}`}>
        <thead>
          <tr>
            <th scope="col">Bag</th>
            <th scope="col">Holds</th>
            <th scope="col">Weighs</th>
            <th scope="col">Carries</th>
            <th scope="col">On this bike</th>
            <th scope="col">
              <span className="visually-hidden">Add</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ entry, bag, clearances }) => (
            <tr key={entry.key}>
              <th scope="row">{entry.name}</th>
              <td>{format.volume(bag.compartments.reduce((sum, c) => sum + capacityMl(c), 0))}</td>
              <td>{format.mass(entry.massG)}</td>
              <td>{entry.limitG === null ? 'not known' : format.mass(entry.limitG)}</td>
              <td className={styles.words}>
                <Fits clearances={clearances} format={format} />
              </td>
              <td>
                <Button size="compact-sm" variant="default" onClick={() => put(bag)}>
                  {old ? 'Swap in' : 'Add'}
                  <span className="visually-hidden"> {entry.name}</span>
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** Places where several bags hang side by side. */
const SHARED_PLACES: ReadonlySet<Place> = new Set([
  ...PAIRED_PLACES,
  'bottle cage',
  'down tube',
  'strap outside',
  'body',
]);

/** The new bag under the old one's id: what lies in the main compartment stays in it. */
const insteadOf = (old: Bag, bag: Bag): Bag => ({
  ...bag,
  id: old.id,
  side: old.side,
  compartments: bag.compartments.map((compartment, i) =>
    i === 0 ? { ...compartment, id: old.compartments[0]!.id } : compartment,
  ),
});

function Fits({ clearances, format }: { clearances: readonly Clearance[]; format: Formatter }) {
  const trouble = clearances.filter((clearance) => verdictOf(clearance) !== 'free');
  if (trouble.length === 0) return <>hangs free</>;
  const worst = trouble.find((clearance) => verdictOf(clearance) === 'stop') ?? trouble[0]!;
  return (
    <>
      <Verdict kind={verdictOf(worst) === 'stop' ? 'stop' : 'check'} />{' '}
      {trouble.map(({ other, gapMm }) => `${format.length(gapMm)} to ${other}`).join('; ')}
    </>
  );
}
