'use client';

import { Button, Checkbox } from '@mantine/core';
import { useMemo, useState } from 'react';
import { movesOnTheWay } from '@/core/advice/movesOnTheWay';
import { logOf } from '@/core/entries/entry';
import { todayOf } from '@/core/explain/today';
import { SLOT_WORDS } from '@/core/food/pantry';
import { rideOf } from '@/core/facts/ride';
import { nearestOnLine } from '@/core/trip/route/geo';
import { clock, duration } from '@/core/units/format';
import { FindThing } from '@/ui/pack/FindThing';
import { useRecorded } from '@/ui/pack/useRecorded';
import { usePlan, useSaving } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { ask } from '@/ui/shared/ask';
import { LogButtons } from './LogButtons';
import { LogList } from './LogList';
import stage from '@/ui/shared/stage.module.css';
import styles from './Ride.module.css';

/** Today at a glance, what to move, and the log. Needs no network. */
export function RideStage() {
  const { evaluation, draft, store, format } = usePlan();
  const { departedAt } = useSaving();
  const { entries, recorded } = useRecorded(store.tripId);
  const { plan } = draft;
  const ride = rideOf(evaluation);
  const dayCount = ride?.days.length ?? plan.trip.nights + 1;
  const [chosen, setChosen] = useState<number | null>(null);
  const day = chosen ?? Math.min(dayCount, daysSince(departedAt) + 1);
  const [alongM, setAlongM] = useState<number | null>(null);
  const [lost, setLost] = useState<string | null>(null);
  const today = useMemo(() => todayOf(evaluation, day, alongM), [evaluation, day, alongM]);
  const stops = useMemo(
    () => movesOnTheWay(evaluation).filter(({ moment }) => moment.day === day),
    [evaluation, day],
  );
  const log = useMemo(() => logOf(recorded.all), [recorded.all]);

  const locate = () => {
    if (!ride) return;
    if (!('geolocation' in navigator))
      return setLost('This phone does not tell where it is. Choose a place instead.');
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        const { lat, lon, stepM } = ride.line;
        const found = nearestOnLine(lat, lon, stepM, coords.latitude, coords.longitude);
        if (found.offM > 5000)
          return setLost(`You are ${format.distance(found.offM)} from the route. Choose a place instead.`);
        setLost(null);
        setAlongM(found.alongM);
      },
      () => setLost('The phone did not say where you are. Choose a place instead.'),
      { timeout: 10_000 },
    );
  };
  const places = ride?.places.filter((each) => each.day === day) ?? [];
  return (
    <div className={stage.page}>
      <header className={stage.header}>
        <h1>Ride</h1>
        <Choice
          aria-label="Day"
          value={String(day)}
          options={Array.from({ length: dayCount }, (_, k) => String(k + 1))}
          words={Object.fromEntries(
            Array.from({ length: dayCount }, (_, k) => [String(k + 1), `Day ${k + 1}`]),
          )}
          onChoose={(next) => {
            setChosen(Number(next));
            setAlongM(null);
          }}
        />
        {recorded.unsent > 0 && (
          <span className="quiet">
            {recorded.unsent === 1 ? '1 entry' : `${recorded.unsent} entries`} kept on this phone
          </span>
        )}
        <FindThing />
      </header>
      {!departedAt && (
        <p className="quiet">
          You have not set out yet. Set out under Pack: from then on the plan stays as it was.
        </p>
      )}
      {recorded.problem && recorded.unsent > 0 && (
        <p className={styles.problem} role="alert">
          {recorded.problem} What you log is kept on this phone
          {recorded.isStuck ? '.' : ' and sent by itself later.'}
        </p>
      )}
      <div className={styles.columns}>
        <section className={stage.part} aria-label="Today">
          {today.day ? (
            <>
              <p className={styles.lead}>
                <strong>{format.distance(today.leftM)}</strong> to go, about {duration(today.leftS)}.{' '}
                {today.sunsetMin !== null && (
                  <>
                    Sunset {clock(today.sunsetMin)}
                    {today.duskMin !== null && `, dark by ${clock(today.duskMin)}`}.
                  </>
                )}
              </p>
              {today.water && (
                <p className={styles.lead}>
                  <strong>{format.volume(1000 * today.water.neededL)}</strong> of water to reach{' '}
                  {today.water.to}, in {format.distance(today.water.inM)}
                  {today.water.leaveWithL !== null &&
                    `. The plan leaves here with ${format.volume(1000 * today.water.leaveWithL)}`}
                  .
                </p>
              )}
              <ul className={styles.next} aria-label="Next places">
                {today.next.map(({ each: { place, passMin }, inM }) => (
                  <li key={place.id}>
                    <strong>{format.distance(inM)}</strong> {place.name}{' '}
                    <span className="quiet">
                      {place.kind}, about {clock(passMin)}
                      {place.water === 'doubtful' && place.kind === 'water' && '; may be dry'}
                    </span>
                  </li>
                ))}
              </ul>
              <div className={styles.where}>
                <Choice
                  label="Where you are"
                  value={places.some(({ alongM: at }) => at === alongM) ? String(alongM) : ''}
                  options={['', ...places.map(({ alongM: at }) => String(at))]}
                  words={{
                    '': alongM === null ? 'at the start of the day' : format.distance(alongM),
                    ...Object.fromEntries(places.map(({ place, alongM: at }) => [String(at), place.name])),
                  }}
                  onChoose={(at) => setAlongM(at === '' ? null : Number(at))}
                />
                <Button variant="default" onClick={locate}>
                  Find me
                </Button>
              </div>
              {lost && (
                <p className="quiet" role="status">
                  {lost}
                </p>
              )}
            </>
          ) : (
            <p className="quiet">
              Without a route there is nothing to tell of the way. The log works without one.
            </p>
          )}
          <h2>To eat</h2>
          {today.food.length === 0 ? (
            <p className="quiet">No menu for this day.</p>
          ) : (
            <ul className={styles.next}>
              {today.food.map(({ entry, thing, index }) => (
                <li key={index}>
                  {SLOT_WORDS[entry.slot]}: {entry.portions > 1 && `${entry.portions} × `}
                  {thing.name}
                </li>
              ))}
            </ul>
          )}
          <h2>To move</h2>
          {stops.length === 0 ? (
            <p className="quiet">Nothing: what you need today is where you reach it.</p>
          ) : (
            stops.map(({ moment, moves }) => (
              <div key={moment.id}>
                <h3>{moment.label}</h3>
                <ul className={styles.ticks}>
                  {moves.map(({ id, words, why }) => (
                    <li key={id}>
                      <Checkbox
                        label={words}
                        description={why}
                        checked={recorded.done.has(`move ${id}`)}
                        onChange={(event) => entries.finish(`move ${id}`, event.currentTarget.checked)}
                      />
                    </li>
                  ))}
                </ul>
              </div>
            ))
          )}
          {ride && <HeadUnit tripId={store.tripId} />}
        </section>
        <section className={stage.part} aria-label="Log">
          <h2>Log</h2>
          <LogButtons
            plan={plan}
            food={today.food}
            onLog={(line) =>
              entries.record({
                kind: 'logged',
                day,
                amount: null,
                thingId: null,
                bagId: null,
                trouble: null,
                note: '',
                alongM: alongM ?? null,
                ...line,
              })
            }
          />
          <LogList
            plan={plan}
            lines={log}
            dayCount={dayCount}
            isRead={recorded.isRead}
            onStrike={(entryId) => entries.record({ kind: 'struck', entryId })}
          />
        </section>
      </div>
    </div>
  );
}

/** Whole days since setting out. */
function daysSince(departedAt: string | null): number {
  if (departedAt === null) return 0;
  const midnight = (at: Date) => new Date(at.getFullYear(), at.getMonth(), at.getDate()).getTime();
  return Math.max(0, Math.round((midnight(new Date()) - midnight(new Date(departedAt))) / 86_400_000));
}

function HeadUnit({ tripId }: { tripId: string }) {
  const [said, setSaid] = useState<string | null>(null);
  const send = async () => {
    setSaid('Sending …');
    const problem = await ask('POST', `/api/trips/${tripId}/head-unit`);
    setSaid(problem ?? 'All days are on the head unit. Open one there before you leave.');
  };
  return (
    <>
      <h2>Head unit</h2>
      <p className={styles.where}>
        <Button variant="default" onClick={() => void send()}>
          Put the days on it
        </Button>
        <Button variant="default" component="a" href={`/api/trips/${tripId}/route?format=days`}>
          Save them as GPX
        </Button>
      </p>
      {said && <p role="status">{said}</p>}
    </>
  );
}
