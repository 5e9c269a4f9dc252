'use client';

import { closingWords } from '@/core/explain/closing';
import { useDroppable } from '@dnd-kit/core';
import { memo } from 'react';
import type { BagFacts, CompartmentFacts } from '@/core/facts/facts';
import type { Formatter } from '@/core/units/format';
import { useBoard } from './useBoard';
import styles from './BagRows.module.css';

/** Every compartment with what is in it against what it takes. */
export function BagRows() {
  const { evaluation, format, bagId, chooseBag } = useBoard();
  return (
    <div className={styles.rows}>
      <table className={styles.table}>
        <caption className="visually-hidden">Compartments: volume and mass against their limits</caption>
        <thead>
          <tr>
            <th scope="col">Bag</th>
            <th scope="col">Room</th>
            <th scope="col" className={styles.number}>
              Volume
            </th>
            <th scope="col" className={styles.number}>
              Bag carries
            </th>
            <th scope="col">Closes</th>
          </tr>
        </thead>
        <tbody>
          {evaluation.compartments.map((compartment) => {
            const { contentsG, limitG, limitAssumed } = evaluation.byBag.get(compartment.spot.bag.id)!;
            return (
              <Row
                key={compartment.spot.id}
                compartment={compartment}
                {...{ contentsG, limitG, limitAssumed }}
                open={compartment.spot.bag.id === bagId}
                onOpen={chooseBag}
                format={format}
              />
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

interface RowProps extends Pick<BagFacts, 'contentsG' | 'limitG' | 'limitAssumed'> {
  compartment: CompartmentFacts;
  open: boolean;
  onOpen: (bagId: string | null) => void;
  format: Formatter;
}

/** Drawn anew only where something in the bag changed: there are a dozen, and a move concerns two. */
const Row = memo(function Row(props: RowProps) {
  const { compartment, contentsG, limitG, limitAssumed, open, onOpen, format } = props;
  const { spot, neededMl, closes } = compartment;
  const { setNodeRef, isOver } = useDroppable({
    id: `row:${spot.id}`,
    data: { to: { compartmentId: spot.id } },
  });
  const share = spot.capacityMl > 0 ? neededMl / spot.capacityMl : neededMl > 0 ? 2 : 0;
  return (
    <tr ref={setNodeRef} data-open={open || undefined} data-over={isOver || undefined}>
      <th scope="row">
        <button
          type="button"
          className={styles.bag}
          aria-expanded={open}
          onClick={() => onOpen(open ? null : spot.bag.id)}
        >
          <span className={styles.letter}>{spot.letter}</span>
          <span className={styles.name}>{spot.name}</span>
        </button>
      </th>
      <td>
        <div className={styles.gauge} data-over-full={!closes || undefined} aria-hidden="true">
          <span style={{ width: `${Math.min(100, share * 100)}%` }} />
        </div>
      </td>
      <td className={styles.number}>
        {format.volume(neededMl)} <span className="quiet">/ {format.volume(spot.capacityMl)}</span>
      </td>
      <td className={styles.number} data-bad={contentsG > limitG || undefined}>
        {format.mass(contentsG)}{' '}
        <span className="quiet">
          / {limitAssumed && '≈ '}
          {format.mass(limitG)}
        </span>
      </td>
      <td className={styles.closes} data-bad={!closes || undefined}>
        {closingWords(compartment, format)}
      </td>
    </tr>
  );
});
