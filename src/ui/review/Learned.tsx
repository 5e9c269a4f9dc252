import { Button } from '@mantine/core';
import { useState } from 'react';
import { hasSlipped, limitOf, type LimitFound } from '@/core/learning/limits';
import { RATE_RULES, type Rate } from '@/core/learning/rates';
import { limitKey, limitPatch, ratePatch } from '@/core/learning/takeOver';
import type { Formatter } from '@/core/units/format';
import { usePlan, useSaving } from '@/ui/plan/PlanProvider';
import { reject as sendRejected } from '@/ui/shared/reject';
import stage from '@/ui/shared/stage.module.css';
import styles from './Review.module.css';

const NAMES: Record<Rate['rate'], string> = {
  drinking: 'Drinking',
  eating: 'Eating',
  gas: 'Gas',
  charge: 'Charge',
  pace: 'Time on the way',
};
const trips = (n: number) => (n === 1 ? '1 trip' : `${n} trips`);
const two = (value: number) => value.toFixed(2);

interface Props {
  rates: readonly Rate[];
  limits: readonly LimitFound[];
  rejected: readonly string[];
}

/** Rates and limits from the log, each with its spread and the number of trips; new plans take them over unless the rider rejects them. */
export function Learned({ rates, limits, rejected }: Props) {
  const { draft, store, format } = usePlan();
  // A trip that has set out stays as it was; the next one takes over what it taught.
  const isPlanned = useSaving().departedAt === null;
  const { rider, bags } = draft.plan;
  const [out, setOut] = useState(() => new Set(rejected));
  const reject = (name: string, isRejected: boolean) => {
    setOut((last) => {
      const next = new Set(last);
      if (isRejected) next.add(name);
      else next.delete(name);
      return next;
    });
    void sendRejected(name, isRejected);
  };
  const takeRate = (rate: Rate, isTaken: boolean) => {
    reject(rate.rate, !isTaken);
    if (isPlanned) store.edit({ kind: 'set rider', patch: ratePatch(rate, isTaken) });
  };
  const takeLimit = (found: LimitFound, isTaken: boolean) => {
    reject(limitKey(found), !isTaken);
    const bag = bags.find(({ id }) => id === found.bagId);
    if (isPlanned && bag)
      store.edit({
        kind: 'change bags',
        changes: [{ id: bag.id, patch: limitPatch(found, isTaken) }],
      });
  };
  const shown = limits.filter(({ limit, wrong }) => limit === 'sway' || wrong !== null);
  return (
    <div className={stage.parts}>
      <section className={`${stage.part} ${stage.wide}`} aria-label="Rates">
        <h2>Rates</h2>
        <table className={`${stage.table} ${stage.stacked}`}>
          <thead>
            <tr>
              <th scope="col">Rate</th>
              <th scope="col" data-number>
                Usual
              </th>
              <th scope="col">Seen</th>
              <th scope="col" data-number>
                Learned
              </th>
              <th scope="col">In this plan</th>
              <th scope="col">New plans</th>
            </tr>
          </thead>
          <tbody>
            {rates.map((rate) => (
              <tr key={rate.rate}>
                <td>
                  {NAMES[rate.rate]}
                  <br />
                  <span className="quiet">{rate.unit}</span>
                </td>
                <td data-number data-label="Usual">
                  {two(rate.prior.value)}
                </td>
                <td data-label="Seen">
                  <div>
                    {rate.seen.length === 0
                      ? 'nothing logged yet'
                      : rate.seen.map(({ trip, tripId, value }) => (
                          <div key={tripId}>
                            {two(value)} <span className="quiet">{trip}</span>
                          </div>
                        ))}
                  </div>
                </td>
                <td data-number data-label="Learned">
                  {rate.seen.length > 0 && (
                    <div>
                      {two(rate.learned.value)} ± {two(rate.learned.error)}{' '}
                      <span className={styles.from}>from {trips(rate.seen.length)}</span>
                    </div>
                  )}
                </td>
                <td data-label="In this plan">
                  <div>
                    {rider[RATE_RULES[rate.rate].field] === null
                      ? 'the usual'
                      : `planned with ${two(rider[RATE_RULES[rate.rate].field]!)}`}
                    {isPlanned && rate.seen.length > 0 && (
                      <Take
                        isTaken={rider[RATE_RULES[rate.rate].field] !== null}
                        value={two(rate.learned.value)}
                        of={NAMES[rate.rate]}
                        onTake={(isTaken) => takeRate(rate, isTaken)}
                      />
                    )}
                  </div>
                </td>
                <td data-label="New plans">
                  <div>
                    {rate.seen.length === 0 || out.has(rate.rate) ? (
                      <span className="quiet">the usual</span>
                    ) : (
                      `take over ${two(rate.learned.value)}`
                    )}
                    {!isPlanned && rate.seen.length > 0 && (
                      <Take
                        isTaken={!out.has(rate.rate)}
                        value={two(rate.learned.value)}
                        of={NAMES[rate.rate]}
                        onTake={(isTaken) => takeRate(rate, isTaken)}
                      />
                    )}
                  </div>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="quiet">
          One trip moves a rate a little; each further one more. A new trip takes over what is learned, unless
          you choose the usual. A trip that was ridden stays as it was.
        </p>
      </section>
      <section className={stage.part} aria-label="Limits found">
        <h2>Limits found on the way</h2>
        {shown.length === 0 ? (
          <p className="quiet">
            Nothing yet. Log it under Ride when a bag sways or touches a tyre, or answer the test ride.
          </p>
        ) : (
          <ul>
            {shown.map((found) => {
              const bag = bags.find(({ id }) => id === found.bagId);
              const limit = limitOf(found);
              const used = (found.limit === 'sway' ? bag?.swaysFromKgM : bag?.sagMmPerKg) ?? null;
              return (
                <li key={limitKey(found)}>
                  <strong>{found.name}</strong>: {foundWords(found, format)}{' '}
                  {used !== null && <>{usedWords(found, used, format)} </>}
                  {limit !== null && bag && isPlanned && (
                    <Take
                      isTaken={used !== null}
                      value={found.limit === 'sway' ? format.moment(limit) : format.sag(limit)}
                      of={found.name}
                      onTake={(isTaken) => takeLimit(found, isTaken)}
                    />
                  )}
                </li>
              );
            })}
          </ul>
        )}
      </section>
    </div>
  );
}

function foundWords(found: LimitFound, format: Formatter): string {
  const { limit, wrong, well, trips: n } = found;
  if (hasSlipped(found))
    return `touched the tyre. Straps would have to give by ${format.sag(wrong!)} for that: it most likely slipped. Strap it tighter, and look after the first hour.`;
  if (limit === 'sag')
    return `touched the tyre, so it sags by ${format.sag(wrong!)} or more${well === null ? '' : `; where it did not touch, by less than ${format.sag(well)}`}.`;
  return wrong === null
    ? `calm with up to ${format.moment(well!)} on ${trips(n)}.`
    : `swayed with ${format.moment(wrong)}${well === null ? '' : `, calm with ${format.moment(well)}`}.`;
}

const usedWords = ({ limit }: LimitFound, used: number, format: Formatter): string =>
  limit === 'sway'
    ? `Checks warn from ${format.moment(used)} on.`
    : `Clearances count on ${format.sag(used)}.`;

/** Takes over what was learned, or goes back to the usual. */
function Take(props: { isTaken: boolean; value: string; of: string; onTake: (isTaken: boolean) => void }) {
  const { isTaken, value, of, onTake } = props;
  return (
    <>
      {' '}
      <Button size="compact-xs" variant="default" onClick={() => onTake(!isTaken)}>
        {isTaken ? 'Use the usual' : `Plan with ${value}`}
        <span className="visually-hidden"> for {of}</span>
      </Button>
    </>
  );
}
