'use client';

import { Button, Checkbox } from '@mantine/core';
import { Fragment } from 'react';
import { farFromHelp } from '@/core/facts/help';
import { STOPS_SHARE, type Ride, type RideDay } from '@/core/facts/ride';
import { GROUNDS, type RoutePatch } from '@/core/trip/route/route';
import { MOST_NIGHTS } from '@/core/trip/trip';
import { clock, duration } from '@/core/units/format';
import { usePlan } from '@/ui/plan/PlanProvider';
import { TimeField } from '@/ui/shared/TimeField';
import { AsLearned } from '@/ui/shared/AsLearned';
import styles from './RouteSection.module.css';

/** Keys move a day's end by this. */
const STEP_M = 1000;
/** A train home, where nothing is known of it. */
const USUAL_TRAIN_MIN = 17 * 60;

interface Props {
  ride: Ride;
  moveEnd: (index: number, toM: number) => void;
}

/** How the route is divided: each day with what it asks, and ways to change it. */
export function Days({ ride, moveEnd }: Props) {
  const { draft, store, format } = usePlan();
  const { route, days } = ride;
  const { nights } = draft.plan.trip;
  const change = (patch: RoutePatch) => store.edit({ kind: 'change route', patch });
  const stops = days.slice(0, -1).map(({ toM }) => toM);
  /** Other days, and as many nights: one step of the history. */
  const divide = (label: string, next: number[]) =>
    store.edit({
      kind: 'several',
      label,
      edits: [
        { kind: 'change route', patch: { stops: next } },
        { kind: 'set trip', patch: { nights: next.length } },
      ],
    });
  return (
    <>
      <h2 className={styles.sub}>Days</h2>
      <table className={styles.days} aria-label="Days">
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">Distance</th>
            <th scope="col">Climb</th>
            <th scope="col">Moving</th>
            <th scope="col">Arrives</th>
            <th scope="col">Sunset</th>
            <th scope="col">Sleeps at</th>
            <th scope="col">
              <span className="visually-hidden">Move the end</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {days.map((day, i) => (
            <Fragment key={day.day}>
              <tr>
                <th scope="row">{day.day}</th>
                <td>{day.toM > day.fromM ? format.distance(day.toM - day.fromM) : 'rest day'}</td>
                <td>{format.height(day.climbM)}</td>
                <td>{duration(day.movingS)}</td>
                <td data-late={(day.sunsetMin !== null && day.arrivalMin > day.sunsetMin) || undefined}>
                  {clock(day.arrivalMin)}
                </td>
                <td>{day.sunsetMin === null ? '–' : clock(day.sunsetMin)}</td>
                <td>
                  {i === days.length - 1
                    ? 'the end'
                    : (day.sleepsAt?.name ?? (
                        <span className="quiet">at {format.distance(day.toM)}, no known place</span>
                      ))}
                </td>
                <td className={styles.moves}>
                  {i < days.length - 1 && (
                    <>
                      <Button
                        size="compact-xs"
                        variant="default"
                        aria-label={`End day ${day.day} ${format.distance(STEP_M)} earlier`}
                        onClick={() => moveEnd(i, day.toM - STEP_M)}
                      >
                        −
                      </Button>
                      <Button
                        size="compact-xs"
                        variant="default"
                        aria-label={`End day ${day.day} ${format.distance(STEP_M)} later`}
                        onClick={() => moveEnd(i, day.toM + STEP_M)}
                      >
                        +
                      </Button>
                      <Button
                        size="compact-xs"
                        variant="default"
                        disabled={nights >= MOST_NIGHTS}
                        aria-label={`Rest day after day ${day.day}`}
                        onClick={() =>
                          divide('Rest day added', [...stops.slice(0, i + 1), day.toM, ...stops.slice(i + 1)])
                        }
                      >
                        Rest
                      </Button>
                      <Button
                        size="compact-xs"
                        variant="default"
                        aria-label={`Drop night ${day.day}`}
                        onClick={() =>
                          divide(
                            `Night ${day.day} dropped`,
                            stops.filter((_, k) => k !== i),
                          )
                        }
                      >
                        ×
                      </Button>
                    </>
                  )}
                </td>
              </tr>
              {day.toM > day.fromM && (
                <tr className={styles.detail}>
                  <td />
                  <td colSpan={7}>
                    <div className={styles.within}>
                      <DayDetail ride={ride} day={day} />
                    </div>
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
        </tbody>
      </table>
      <div className={styles.times}>
        <TimeField
          label="Days begin at"
          value={route.startMin}
          onCommit={(startMin) => change({ startMin })}
        />
        <TimeField
          label="The first day begins at"
          value={route.firstStartMin ?? route.startMin}
          onCommit={(firstStartMin) => change({ firstStartMin })}
        />
        <Checkbox
          label="There is a train to catch on the last day"
          checked={route.endByMin !== null}
          onChange={(event) => change({ endByMin: event.currentTarget.checked ? USUAL_TRAIN_MIN : null })}
        />
        {route.endByMin !== null && (
          <TimeField
            label="Be there by"
            value={route.endByMin}
            onCommit={(endByMin) => change({ endByMin })}
          />
        )}
      </div>
      <p className="quiet">
        Times are for {format.mass(1000 * ride.cyclist.massKg)} in all at {ride.cyclist.powerW} W, with stops
        of {60 * STOPS_SHARE} minutes in each hour of riding. One more kilogram costs{' '}
        {duration(ride.secondsPerKg)}.{' '}
        {ride.isSuggested
          ? 'The days are suggested: the hardest is as easy as can be.'
          : 'The days end where you set them.'}
      </p>
      <AsLearned share={draft.plan.rider.paceShare} of="time" />
    </>
  );
}

/** The rest of a day's figures, and where to turn when something goes wrong. */
function DayDetail({ ride, day }: { ride: Ride; day: RideDay }) {
  const { format } = usePlan();
  const far = farFromHelp(ride, day);
  const parts = [
    GROUNDS.filter((ground) => day.grounds[ground] >= 50)
      .map((ground) => `${format.distance(day.grounds[ground])} ${ground}`)
      .join(', '),
    `${duration(day.totalS)} with stops`,
    `about ${format.energy(day.energyKJ)} for the riding`,
    ...(day.walkedM >= 50 ? [`${format.distance(day.walkedM)} walked`] : []),
    ...(day.duskMin === null ? [] : [`dark from ${clock(day.duskMin)}`]),
  ];
  return (
    <>
      {parts.join(' · ')}.
      {far &&
        ` Furthest from help at ${format.distance(far.alongM)}: ${format.distance(far.distanceM)} ${
          far.isBack ? 'back' : 'on'
        } to ${far.place.name}.`}
    </>
  );
}
