'use client';

import { useMemo } from 'react';
import type { Setup } from '@/core/commands/putOnTrip';
import { placesOf, setupFacts, withSetup, type SetupFacts } from '@/core/evaluation/compare';
import { factsOf } from '@/core/facts/facts';
import type { Plan } from '@/core/plan/plan';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Verdict } from '@/ui/shared/Verdict';
import { BikeDrawing } from './BikeDrawing';
import styles from './Panels.module.css';

/** Two set-ups side by side: the drawings, litres per place, masses, limits and findings. */
export function SetupComparison({ plan, a, b }: { plan: Plan; a: Setup; b: Setup }) {
  const { format } = usePlan();
  const [left, right] = useMemo(
    () => [a, b].map((setup) => setupFacts(plan, setup, format)) as [SetupFacts, SetupFacts],
    [plan, a, b, format],
  );
  const drawings = useMemo(() => [a, b].map((setup) => factsOf(withSetup(plan, setup))), [plan, a, b]);
  const rows: [string, (facts: SetupFacts) => string][] = [
    ['Bike', ({ bikeName, bikeG }) => `${bikeName}, ${format.mass(bikeG)}`],
    ...placesOf(left, right).map((place): [string, (facts: SetupFacts) => string] => [
      place,
      ({ litresMl, limitsG }) =>
        litresMl[place] === undefined
          ? '–'
          : `${format.volume(litresMl[place])}, carries ${format.mass(limitsG[place] ?? 0)}`,
    ]),
    ['All bags hold', ({ totalMl }) => format.volume(totalMl)],
    ['All bags weigh', ({ bagsG }) => format.mass(bagsG)],
    ['All bags carry', ({ limitG, limitAssumed }) => `${limitAssumed ? '≈ ' : ''}${format.mass(limitG)}`],
  ];
  return (
    <section aria-label={`${left.name} against ${right.name}`}>
      <h3 className={styles.heading}>
        {left.name} against {right.name}
      </h3>
      <div className={styles.pair}>
        {drawings.map((facts, i) => (
          <BikeDrawing key={i} facts={facts} showGaps />
        ))}
      </div>
      <table className={styles.table} aria-label="Figures of both">
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Figure</span>
            </th>
            <th scope="col">{left.name}</th>
            <th scope="col">{right.name}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, cell]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{cell(left)}</td>
              <td>{cell(right)}</td>
            </tr>
          ))}
          <tr>
            <th scope="row">Findings</th>
            {[left, right].map((facts) => (
              <td key={facts.name} className={styles.words}>
                {facts.findings.length === 0
                  ? 'none'
                  : facts.findings.map((finding) => (
                      <p key={finding.id}>
                        <Verdict kind={finding.severity} /> {finding.message}
                      </p>
                    ))}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </section>
  );
}
