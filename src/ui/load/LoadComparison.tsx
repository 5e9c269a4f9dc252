'use client';

import { Button } from '@mantine/core';
import { takeLoad } from '@/core/commands/takeLoad';
import { compareLoads } from '@/core/evaluation/compareLoads';
import type { LoadEntry } from '@/core/plan/plan';
import { useBoard } from './useBoard';
import styles from './LoadComparison.module.css';

interface Props {
  kept: { load: readonly LoadEntry[]; name: string };
  onClose: () => void;
  onForget: () => void;
}

/** A kept load and the one on the bike, side by side. */
export default function LoadComparison({ kept, onClose, onForget }: Props) {
  const { draft, store, format, chooseThing } = useBoard();
  const { plan } = draft;
  const { figures, terms, sums, moved, onlyFirst, onlySecond } = compareLoads(
    plan,
    kept.load,
    plan.load,
    format,
  );
  const take = () => {
    if (store.edit(takeLoad(plan, kept.load))) onClose();
  };
  return (
    <section className={styles.comparison} aria-label="Two loads compared">
      <header className={styles.header}>
        <h2>The load {kept.name}, and as it is now</h2>
        <Button size="compact-sm" onClick={take} disabled={moved.length === 0}>
          Take the kept one
        </Button>
        <Button size="compact-sm" variant="default" onClick={onForget}>
          Forget it
        </Button>
        <Button size="compact-sm" variant="subtle" onClick={onClose}>
          Close
        </Button>
      </header>
      <div className={styles.columns}>
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">Figure</th>
              <th scope="col">kept</th>
              <th scope="col">now</th>
              <th scope="col">difference</th>
            </tr>
          </thead>
          <tbody>
            {figures.map(({ label, first, second, difference }) => (
              <tr key={label}>
                <th scope="row">{label}</th>
                <td>{first}</td>
                <td>{second}</td>
                <td>{difference || '0'}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">Points, fewer are better</th>
              <th scope="col">kept</th>
              <th scope="col">now</th>
            </tr>
          </thead>
          <tbody>
            {terms
              .filter(({ first, second }) => first > 0.05 || second > 0.05)
              .map(({ term, first, second }) => (
                <tr key={term}>
                  <th scope="row">{term}</th>
                  <td>{first.toFixed(1)}</td>
                  <td>{second.toFixed(1)}</td>
                </tr>
              ))}
            <tr className={styles.sum}>
              <th scope="row">sum</th>
              <td>{sums.first.toFixed(1)}</td>
              <td>{sums.second.toFixed(1)}</td>
            </tr>
          </tbody>
        </table>
        <div className={styles.list}>
          <h3>
            {moved.length === 0
              ? 'Everything lies in the same place'
              : moved.length === 1
                ? '1 thing lies elsewhere'
                : `${moved.length} things lie elsewhere`}
          </h3>
          <ul>
            {moved.map(({ thing, first, second }) => (
              <li key={thing.id}>
                <button type="button" className={styles.thing} onClick={() => chooseThing(thing.id)}>
                  {thing.name}
                </button>
                : {first} → {second}
              </li>
            ))}
          </ul>
          {onlyFirst.length > 0 && <h3>Only the kept one</h3>}
          <ul>
            {onlyFirst.map(({ id, message }) => (
              <li key={id}>{message}</li>
            ))}
          </ul>
          {onlySecond.length > 0 && <h3>Only the one now</h3>}
          <ul>
            {onlySecond.map(({ id, message }) => (
              <li key={id}>{message}</li>
            ))}
          </ul>
        </div>
      </div>
    </section>
  );
}
