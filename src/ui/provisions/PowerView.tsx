'use client';

import { useMemo } from 'react';
import { specOf } from '@/core/kit/specs';
import { enoughOf } from '@/core/enough/enough';
import { menuOf } from '@/core/facts/food';
import { momentsOf } from '@/core/facts/moments';
import { duration } from '@/core/units/format';
import { usePlan } from '@/ui/plan/PlanProvider';
import { AsLearned } from '@/ui/shared/AsLearned';
import stage from '@/ui/shared/stage.module.css';
import styles from './Provisions.module.css';

/** Gas by boils, and charge day by day. */
export function PowerView() {
  return (
    <div className={stage.parts}>
      <Fuel />
      <Charge />
    </div>
  );
}

function Fuel() {
  const { evaluation, draft, format } = usePlan();
  const { fuel } = enoughOf(evaluation);
  const menu = useMemo(() => menuOf(evaluation), [evaluation]);
  const mornings = momentsOf(evaluation).filter(({ kind }) => kind === 'morning');
  return (
    <section className={stage.part} aria-label="Fuel">
      <h2>Fuel</h2>
      {draft.plan.trip.cooking !== 'stove' ? (
        <p>You take no stove on this trip.</p>
      ) : !fuel ? (
        <p className="quiet">
          No canister with a known filling is in the kit. Enter its grams of gas, or weigh it: what it weighs
          less what it weighs empty is what is left.
        </p>
      ) : (
        <>
          <p className={styles.lead}>
            {format.mass(fuel.neededG)} of gas for {fuel.litres.toFixed(1)} l of boiling; you have{' '}
            {format.mass(fuel.hasG)}
            {fuel.verdict === 'enough'
              ? '.'
              : fuel.verdict === 'doubtful'
                ? ', which is close.'
                : ', which is not enough.'}
          </p>
          <table className={stage.table}>
            <thead>
              <tr>
                <th scope="col">Camp</th>
                <th scope="col" data-number>
                  Burnt until then
                </th>
                <th scope="col" data-number>
                  Left
                </th>
              </tr>
            </thead>
            <tbody>
              {mornings.map(({ id, label, burntG }) => (
                <tr key={id}>
                  <td>{label}</td>
                  <td data-number>{format.mass(burntG)}</td>
                  <td data-number>{format.mass(Math.max(0, fuel.hasG - burntG))}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="quiet">
            {menu.days.some(({ boilMl }) => boilMl > 0)
              ? `The menu boils ${menu.days.map(({ boilMl }) => format.volume(boilMl)).join(', ')} on its days. `
              : ''}
            A litre takes {format.mass(fuel.perLitreG)} in this wind; shield the flame, never close a tent
            around it, and ask about fire bans.
          </p>
          <AsLearned share={draft.plan.rider.fuelShare} of="gas" />
        </>
      )}
    </section>
  );
}

function Charge() {
  const { evaluation, draft } = usePlan();
  const { power } = enoughOf(evaluation);
  const days = power?.days ?? [];
  const empty = days.find(({ emptyAfterH }) => emptyAfterH !== null);
  const wh = (value: number) => `${value.toFixed(1)} Wh`;
  return (
    <section className={stage.part} aria-label="Power">
      <h2>Power</h2>
      {!power ? (
        <p className="quiet">Nothing in the kit is known to use charge, or the trip has no night.</p>
      ) : (
        <>
          <p className={styles.lead}>
            {empty
              ? `The charge runs out on day ${empty.day}, after ${duration(3600 * empty.emptyAfterH!)} of riding.`
              : `The charge lasts; ${wh(days.at(-1)!.left)} ${days.at(-1)!.left === 0 ? 'are' : 'is'} left at the end.`}
          </p>
          <table className={stage.table}>
            <thead>
              <tr>
                <th scope="col">Day</th>
                <th scope="col" data-number>
                  Used
                </th>
                <th scope="col" data-number>
                  Made
                </th>
                <th scope="col" data-number>
                  Left
                </th>
                <th scope="col">Night</th>
              </tr>
            </thead>
            <tbody>
              {days.map(({ day, used, made, left, hasSocket, emptyAfterH }) => (
                <tr key={day} data-warn={emptyAfterH !== null || undefined}>
                  <td>Day {day}</td>
                  <td data-number>{wh(used)}</td>
                  <td data-number>{wh(made)}</td>
                  <td data-number>{wh(left)}</td>
                  <td>{hasSocket ? 'socket' : ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            Charge first what you cannot do without: lights and what you call for help with. Then, by what
            they use in a day:{' '}
            {power.devices
              .map((thing) => `${thing.name} ${wh(thing.quantity * (specOf(thing, 'drawWhPerDay') ?? 0))}`)
              .join(', ')}
            .
          </p>
          <p className="quiet">
            Screen off, radio off and offline maps use less. Keep batteries warm at night: the cold takes some
            of their charge.
          </p>
          <AsLearned share={draft.plan.rider.chargeShare} of="charge" />
        </>
      )}
    </section>
  );
}
