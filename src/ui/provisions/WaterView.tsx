'use client';

import { Button } from '@mantine/core';
import Link from 'next/link';
import { useMemo } from 'react';
import { fillForStart } from '@/core/commands/water';
import { enoughOf } from '@/core/enough/enough';
import { conditionsOf } from '@/core/facts/conditions';
import { rideOf } from '@/core/facts/ride';
import { doubtfulSaves, RESERVE_L, waterPlan, type WaterPlan } from '@/core/facts/water';
import { costWithAndWithout } from '@/core/water/alternatives';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Empty } from '@/ui/shared/States';
import { WaterStrip } from './WaterStrip';
import stage from '@/ui/shared/stage.module.css';
import styles from './Provisions.module.css';

/** Where to fill how much, and why. */
export function WaterView() {
  const { evaluation, draft, store, format } = usePlan();
  const ride = rideOf(evaluation);
  const conditions = conditionsOf(evaluation);
  const { taken } = enoughOf(evaluation);
  const plan = useMemo(() => ride && waterPlan(ride, conditions, taken), [ride, conditions, taken]);
  const doubtful = useMemo(
    () => (ride ? doubtfulSaves(ride, conditions, taken) : []),
    [ride, conditions, taken],
  );
  if (!ride || !plan)
    return (
      <Empty
        title="No water is known on the way"
        actions={<Link href={`/trips/${store.tripId}/trip`}>Add a route and its places</Link>}
      >
        With a route and the taps, springs and wells along it, Gorvin says where to fill how much, so that you
        neither run dry nor carry a litre too much.
      </Empty>
    );
  const litres = (l: number) => format.volume(1000 * l);
  const startL = plan.outcome.ok ? plan.outcome.plan.fills[0]!.leavesWithL : null;
  const carriedL = taken.reduce((sum, { quantity, waterMl }) => sum + quantity * waterMl, 0) / 1000;
  const fill = startL === null ? null : fillForStart(evaluation, Math.ceil(20 * startL) * 50);
  return (
    <div className={stage.parts}>
      <section className={`${stage.part} ${stage.wide}`} aria-label="Water plan">
        {plan.outcome.ok ? (
          <p className={styles.lead}>
            Set out with {litres(startL!)}
            {plan.outcome.plan.fills.slice(1).map(({ at, leavesWithL }) => (
              <span key={at}>
                , leave {plan.legs[at]!.source!.place.name} with {litres(leavesWithL)}
              </span>
            ))}
            . That is the least time for stops and carrying: {Math.round(plan.outcome.plan.costMin)} min, with{' '}
            {litres(RESERVE_L)} left whenever you reach water.
          </p>
        ) : (
          <p className={styles.answer} data-given>
            Your vessels are {litres(plan.outcome.problem.missingL)} too small after{' '}
            {plan.legs[plan.outcome.problem.at]!.source?.place.name ?? 'the start'}. Take one more vessel, set
            out earlier in the cool, or ask about a source on the way.
          </p>
        )}
        <p className="quiet">
          You drink {litres(ride.drinkLPerH)} an hour of riding at {format.temperature(10)},{' '}
          {draft.plan.rider.drinkLPerH === null
            ? 'as is usual; log what you drink, and the next plan knows better.'
            : 'as your trips taught (under Review).'}
        </p>
        <WaterStrip plan={plan} lengthM={ride.line.lengthM} days={ride.days} />
        {fill && Math.abs(carriedL - startL!) > 0.1 && (
          <p>
            You set out with {litres(carriedL)}.{' '}
            <Button size="compact-sm" variant="default" onClick={() => store.edit(fill)}>
              Set out with {litres(Math.ceil(20 * startL!) / 20)}
            </Button>
          </p>
        )}
      </section>
      <section className={stage.part} aria-label="Places to fill">
        <h2>Places to fill</h2>
        <Sources plan={plan} />
      </section>
      <section className={stage.part} aria-label="Water you cannot count on">
        <h2>Water you cannot count on</h2>
        {doubtful.length === 0 ? (
          <p className="quiet">No place of the route is marked as one that may be dry.</p>
        ) : (
          <ul>
            {doubtful.map(({ place: { place, alongM }, savesMin }) => (
              <li key={place.id}>
                {place.name}, at {format.distance(alongM)}:{' '}
                {savesMin === null
                  ? 'with it running you would get through. Ask before you rely on it.'
                  : savesMin > 0.5
                    ? `if it runs, it saves ${Math.round(savesMin)} min. The plan works without it.`
                    : 'it would save nothing.'}
                {place.note && ` ${place.note}.`}
              </li>
            ))}
          </ul>
        )}
        <p className="quiet">
          Boil, filter or disinfect water that you do not know, and have a second way: a filter that froze
          does not work. Drink to thirst.
        </p>
      </section>
    </div>
  );
}

function Sources({ plan }: { plan: WaterPlan }) {
  const { format } = usePlan();
  const { legs, outcome, capacityL } = plan;
  const best = outcome.ok ? outcome.plan.costMin : 0;
  const fills = new Map(outcome.ok ? outcome.plan.fills.map(({ at, leavesWithL }) => [at, leavesWithL]) : []);
  const more = (minutes: number) =>
    minutes === Infinity ? 'not possible' : `+${Math.round(minutes - best)} min`;
  return (
    <table className={stage.table}>
      <thead>
        <tr>
          <th scope="col">Place</th>
          <th scope="col" data-number>
            Leave with
          </th>
          <th scope="col" data-number>
            To the next
          </th>
          <th scope="col" data-number>
            Otherwise
          </th>
        </tr>
      </thead>
      <tbody>
        {legs.map(({ source, fromM, demandL }, at) => {
          const leaves = fills.get(at);
          const other = at === 0 || !outcome.ok ? null : costWithAndWithout(legs, at, RESERVE_L, capacityL);
          return (
            <tr key={source?.place.id ?? 'start'}>
              <td>
                {source?.place.name ?? 'The start'}, {format.distance(fromM)}
              </td>
              <td data-number>{leaves === undefined ? 'pass' : format.volume(1000 * leaves)}</td>
              <td data-number>{format.volume(1000 * demandL)}</td>
              <td data-number>
                {other === null
                  ? ''
                  : leaves === undefined
                    ? `fill: ${more(other.filling)}`
                    : `pass: ${more(other.passing)}`}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
