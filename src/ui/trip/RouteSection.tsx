'use client';

import { Button, TextInput } from '@mantine/core';
import dynamic from 'next/dynamic';
import { useState, type SubmitEvent } from 'react';
import { rideOf, STOPS_SHARE, type Ride } from '@/core/facts/ride';
import type { RoutePatch } from '@/core/trip/route/route';
import { CLIMB_METHOD } from '@/core/trip/route/elevation';
import {
  GROUNDS,
  PLACE_KINDS,
  placeSchema,
  type Ground,
  type Place,
  type PlaceKind,
} from '@/core/trip/route/route';
import { plainText } from '@/core/units/text';
import { clock, duration } from '@/core/units/format';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { TimeField } from '@/ui/shared/TimeField';
import { RouteImport } from './RouteImport';
import { PLACE_SIGNS } from './placeSigns';
import styles from './RouteSection.module.css';

const RouteMap = dynamic(() => import('./RouteMap').then((module) => module.RouteMap), { ssr: false });
const Profile = dynamic(() => import('./Profile').then((module) => module.Profile), { ssr: false });

/** Keys move a day's end by this. */
const STEP_M = 1000;

/** The way: on a map, as a profile, and divided into days that can be ridden with this load. */
export function RouteSection() {
  const { evaluation, store, format } = usePlan();
  const ride = rideOf(evaluation);
  /** What is pointed at, on the map or the profile. */
  const [atM, setAtM] = useState<number | null>(null);
  if (!ride)
    return (
      <>
        <p className="quiet">
          With a route Gorvin divides the trip into days, and times them with the load that is on the bike.
          Without one, nights and temperatures are enough.
        </p>
        <RouteImport hasRoute={false} />
      </>
    );
  const { route, line, days } = ride;
  const change = (patch: RoutePatch) => store.edit({ kind: 'change route', patch });
  const moveEnd = (index: number, byM: number) => {
    const stops = days.slice(0, -1).map(({ toM }) => toM);
    const [least, most] = [(stops[index - 1] ?? 0) + 500, (stops[index + 1] ?? line.lengthM) - 500];
    stops[index] = Math.max(least, Math.min(most, stops[index]! + byM));
    change({ stops });
  };
  const here = atM ?? 0;
  const groundHere = groundAt(ride, here);
  const setGround = (ground: Ground) => {
    const others = route.stretches.filter(({ fromM }) => Math.abs(fromM - here) > 50);
    change({ stretches: [...others, { fromM: Math.round(here), ground }].sort((a, b) => a.fromM - b.fromM) });
  };
  return (
    <>
      <p>
        <strong>{route.name}</strong>: {format.distance(line.lengthM)}, {format.height(line.cleaned.climbM)}{' '}
        of climb.{' '}
        <span className="quiet">
          As recorded {format.height(route.recorded.climbM)} over {route.recorded.points} points, heights from{' '}
          {route.heightsFrom}. {CLIMB_METHOD}
        </span>
      </p>
      <RouteMap ride={ride} atM={atM} onPoint={setAtM} />
      <Profile ride={ride} atM={atM} onPoint={setAtM} />
      <div className={styles.cursor}>
        <label>
          Along the route
          <input
            type="range"
            min={0}
            max={line.lengthM}
            step={100}
            value={here}
            onChange={(event) => setAtM(Number(event.currentTarget.value))}
            aria-valuetext={`${format.distance(here)}, ${format.height(heightAt(ride, here))}`}
          />
        </label>
        <span className={styles.reading}>
          {format.distance(here)}, {format.height(heightAt(ride, here))}
        </span>
        <Choice label="Ground from here on" value={groundHere} options={GROUNDS} onChoose={setGround} />
      </div>
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
            <tr key={day.day}>
              <th scope="row">{day.day}</th>
              <td>{format.distance(day.toM - day.fromM)}</td>
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
                      onClick={() => moveEnd(i, -STEP_M)}
                    >
                      −
                    </Button>
                    <Button
                      size="compact-xs"
                      variant="default"
                      aria-label={`End day ${day.day} ${format.distance(STEP_M)} later`}
                      onClick={() => moveEnd(i, STEP_M)}
                    >
                      +
                    </Button>
                  </>
                )}
              </td>
            </tr>
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
      </div>
      <p className="quiet">
        Times are for {format.mass(1000 * ride.cyclist.massKg)} in all at {ride.cyclist.powerW} W, with stops
        of {60 * STOPS_SHARE} minutes in each hour of riding. One more kilogram costs{' '}
        {duration(ride.secondsPerKg)}.{' '}
        {ride.isSuggested
          ? 'The days are suggested: the hardest is as easy as can be.'
          : 'The days end where you set them.'}
      </p>
      <div className={styles.buttons}>
        {!ride.isSuggested && (
          <Button variant="default" onClick={() => change({ stops: null })}>
            Suggest the days
          </Button>
        )}
        <Button variant="default" component="a" href={`/api/trips/${store.tripId}/route?format=gpx`}>
          Save as GPX
        </Button>
        <Button variant="default" component="a" href={`/api/trips/${store.tripId}/route?format=days`}>
          GPX, a track for each day
        </Button>
        <Button variant="default" component="a" href={`/api/trips/${store.tripId}/route?format=geojson`}>
          GeoJSON
        </Button>
        <Button variant="default" onClick={() => store.edit({ kind: 'set route', route: null })}>
          Remove the route
        </Button>
      </div>
      <RouteImport hasRoute />
      <Places ride={ride} here={here} onPlaces={(places) => change({ places })} />
    </>
  );
}

interface PlacesProps {
  ride: Ride;
  /** Where the cursor along the route is. */
  here: number;
  onPlaces: (places: Place[]) => void;
}

/** What lies along the way, when it is passed, and a form for one more. */
function Places({ ride, here, onPlaces }: PlacesProps) {
  const { format } = usePlan();
  const { route, line } = ride;
  const [kind, setKind] = useState<PlaceKind>('water');
  const [name, setName] = useState('');
  const add = (event: SubmitEvent) => {
    event.preventDefault();
    const k = indexAt(ride, here);
    const place = placeSchema.safeParse({
      id: crypto.randomUUID(),
      name: plainText(name) || kind,
      kind,
      lat: line.lat[k],
      lon: line.lon[k],
    });
    if (!place.success) return;
    onPlaces([...route.places, place.data]);
    setName('');
  };
  return (
    <>
      <h2 className={styles.sub}>Places on the way</h2>
      <table className={styles.days} aria-label="Places">
        <thead>
          <tr>
            <th scope="col">Place</th>
            <th scope="col">What</th>
            <th scope="col">At</th>
            <th scope="col">Off the route</th>
            <th scope="col">Passed</th>
            <th scope="col">
              <span className="visually-hidden">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {ride.places.map(({ place, alongM, offM, day, passMin }) => (
            <tr key={place.id}>
              <th scope="row">
                {place.name} {place.note && <span className="quiet">{place.note}</span>}
              </th>
              <td>
                <span className={styles.letter} aria-hidden>
                  {PLACE_SIGNS[place.kind]}
                </span>{' '}
                {place.kind}
              </td>
              <td>{format.distance(alongM)}</td>
              <td>{offM < 100 ? 'on it' : format.distance(offM)}</td>
              <td>
                day {day}, {clock(passMin)}
              </td>
              <td>
                <Button
                  size="compact-xs"
                  variant="default"
                  aria-label={`Remove ${place.name}`}
                  onClick={() => onPlaces(route.places.filter(({ id }) => id !== place.id))}
                >
                  ×
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <form className={styles.times} onSubmit={add}>
        <Choice label="What is there" value={kind} options={PLACE_KINDS} onChoose={setKind} />
        <TextInput
          label="Called"
          value={name}
          maxLength={120}
          autoComplete="off"
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <Button type="submit" variant="default">
          Add a place at {format.distance(here)}
        </Button>
      </form>
    </>
  );
}

const indexAt = ({ line }: Ride, alongM: number): number =>
  Math.max(0, Math.min(line.height.length - 1, Math.round(alongM / line.stepM)));
const heightAt = (ride: Ride, alongM: number): number => ride.line.height[indexAt(ride, alongM)]!;
const groundAt = (ride: Ride, alongM: number): Ground =>
  ride.route.stretches.filter(({ fromM }) => fromM <= alongM + 50).at(-1)?.ground ?? ride.ground;
