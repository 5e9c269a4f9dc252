'use client';

import { Button } from '@mantine/core';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { rideOf, type Ride } from '@/core/facts/ride';
import { CLIMB_METHOD } from '@/core/trip/route/elevation';
import { GROUNDS, type Ground, type RoutePatch } from '@/core/trip/route/route';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { indexAt } from './along';
import { Days } from './Days';
import { Places } from './Places';
import { RouteImport } from './RouteImport';
import { WeatherSection } from './WeatherSection';
import styles from './RouteSection.module.css';

const RouteMap = dynamic(() => import('./RouteMap').then((module) => module.RouteMap), { ssr: false });
const Profile = dynamic(() => import('./Profile').then((module) => module.Profile), { ssr: false });

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
        <RouteImport />
        <WeatherSection />
      </>
    );
  const { route, line, days } = ride;
  const change = (patch: RoutePatch) => store.edit({ kind: 'change route', patch });
  const moveEnd = (index: number, toM: number) => {
    const stops = days.slice(0, -1).map((day) => day.toM);
    // A rest day ends where the day before it does: they move together.
    const [own, same] = [stops[index]!, (stop: number) => Math.abs(stop - stops[index]!) < 1];
    const least = Math.max(0, ...stops.filter((stop) => stop < own && !same(stop))) + 500;
    const most = Math.min(line.lengthM, ...stops.filter((stop) => stop > own && !same(stop))) - 500;
    const moved = Math.round(Math.max(least, Math.min(most, toM)));
    change({ stops: stops.map((stop) => (same(stop) ? moved : stop)) });
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
      <Profile ride={ride} atM={atM} onPoint={setAtM} onMoveEnd={moveEnd} />
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
      <Days ride={ride} moveEnd={moveEnd} />
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
      <RouteImport />
      <WeatherSection />
      <Places ride={ride} here={here} />
    </>
  );
}

const heightAt = (ride: Ride, alongM: number): number => ride.line.height[indexAt(ride, alongM)]!;
const groundAt = (ride: Ride, alongM: number): Ground =>
  ride.route.stretches.filter(({ fromM }) => fromM <= alongM + 50).at(-1)?.ground ?? ride.ground;
