import { Button } from '@mantine/core';
import { swayLimit, type Rate, type SwayFound } from '@/core/learning/ridden';
import { usePlan, useSaving } from '@/ui/plan/PlanProvider';
import stage from '@/ui/shared/stage.module.css';

const NAMES: Record<Rate['rate'], string> = {
  drinking: 'Drinking',
  eating: 'Eating',
  pace: 'Time on the way',
  charge: 'Charge',
};
const trips = (n: number) => (n === 1 ? '1 trip' : `${n} trips`);

/** Rates and limits from the log, each with its spread and the number of trips; used from the next plan on, where the rider says so. */
export function Learned({ rates, sways }: { rates: readonly Rate[]; sways: readonly SwayFound[] }) {
  const { draft, store, format } = usePlan();
  // A trip that has set out stays as it was; the next one takes over what it taught.
  const isPlanned = useSaving().departedAt === null;
  const { rider, bags } = draft.plan;
  const used = (rate: Rate): number | null =>
    rate.rate === 'drinking' ? rider.drinkLPerH : rate.rate === 'pace' ? rider.paceShare : null;
  const use = (rate: Rate, value: number | null) =>
    store.edit({
      kind: 'set rider',
      patch: rate.rate === 'drinking' ? { drinkLPerH: value } : { paceShare: value },
    });
  const two = (value: number) => value.toFixed(2);
  return (
    <div className={stage.parts}>
      <section className={`${stage.part} ${stage.wide}`} aria-label="Rates">
        <h2>Rates</h2>
        <table className={stage.table}>
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
            </tr>
          </thead>
          <tbody>
            {rates.map((rate) => {
              const now = used(rate);
              const learned = Number(two(rate.learned.value));
              return (
                <tr key={rate.rate}>
                  <td>
                    {NAMES[rate.rate]}
                    <br />
                    <span className="quiet">{rate.unit}</span>
                  </td>
                  <td data-number>{two(rate.prior.value)}</td>
                  <td>
                    {rate.seen.length === 0
                      ? 'nothing logged yet'
                      : rate.seen.map(({ trip, tripId, value }) => (
                          <div key={tripId}>
                            {two(value)} <span className="quiet">{trip}</span>
                          </div>
                        ))}
                  </td>
                  <td data-number>
                    {rate.seen.length === 0 ? '' : `${two(rate.learned.value)} ± ${two(rate.learned.error)}`}
                    {rate.seen.length > 0 && <div className="quiet">from {trips(rate.seen.length)}</div>}
                  </td>
                  <td>
                    {rate.rate !== 'drinking' && rate.rate !== 'pace' ? (
                      <span className="quiet">to know</span>
                    ) : now !== null ? (
                      <>
                        planned with {two(now)}{' '}
                        {isPlanned && (
                          <Button size="compact-xs" variant="default" onClick={() => use(rate, null)}>
                            Use the usual<span className="visually-hidden"> for {NAMES[rate.rate]}</span>
                          </Button>
                        )}
                      </>
                    ) : !isPlanned ? (
                      <span className="quiet">take it over in your next plan</span>
                    ) : rate.seen.length > 0 ? (
                      <Button size="compact-xs" variant="default" onClick={() => use(rate, learned)}>
                        Plan with {two(rate.learned.value)}
                        <span className="visually-hidden"> for {NAMES[rate.rate]}</span>
                      </Button>
                    ) : (
                      'the usual'
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <p className="quiet">
          One trip moves a rate a little; each further one more. Nothing changes in a plan until you say so,
          and a trip that was ridden stays as it was.
        </p>
      </section>
      <section className={stage.part} aria-label="Limits found">
        <h2>Limits found on the way</h2>
        {sways.length === 0 ? (
          <p className="quiet">
            No bag behind the saddle was ridden yet. Log it under Ride when one sways, or answer the test
            ride.
          </p>
        ) : (
          <ul>
            {sways.map((found) => {
              const limit = swayLimit(found);
              const bag = bags.find(({ id }) => id === found.bagId);
              const isUsed = bag !== undefined && bag.swaysFromKgM !== null;
              return (
                <li key={found.bagId}>
                  <strong>{found.name}</strong>:{' '}
                  {found.swayedKgM === null
                    ? `calm with up to ${format.moment(found.calmKgM!)} on ${trips(found.trips)}.`
                    : `swayed with ${format.moment(found.swayedKgM)}${found.calmKgM === null ? '' : `, calm with ${format.moment(found.calmKgM)}`}.`}{' '}
                  {isPlanned && limit !== null && bag && !isUsed && (
                    <Button
                      size="compact-xs"
                      variant="default"
                      onClick={() =>
                        store.edit({
                          kind: 'change bags',
                          changes: [{ id: bag.id, patch: { swaysFromKgM: Number(limit.toFixed(2)) } }],
                        })
                      }
                    >
                      Warn from {format.moment(limit)} on
                    </Button>
                  )}
                  {isUsed && (
                    <>
                      Checks warn from {format.moment(bag.swaysFromKgM!)} on.{' '}
                      <Button
                        size="compact-xs"
                        variant="default"
                        disabled={!isPlanned}
                        onClick={() =>
                          store.edit({
                            kind: 'change bags',
                            changes: [{ id: bag.id, patch: { swaysFromKgM: null } }],
                          })
                        }
                      >
                        Use the usual limit
                      </Button>
                    </>
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
