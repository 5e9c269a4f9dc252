'use client';

import { Button, Checkbox, FileButton } from '@mantine/core';
import { proxy, type Remote } from 'comlink';
import dynamic from 'next/dynamic';
import { useEffect, useRef, useState } from 'react';
import type { Edit } from '@/core/plan/edit';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Working } from '@/ui/shared/States';
import type { RouteWorker, Understood } from '@/workers/route.worker';
import styles from './RouteSection.module.css';
import { startRouteWorker, today, type RouteThread } from './routeWorker';

const DrawRoute = dynamic(() => import('./DrawRoute').then((module) => module.DrawRoute), { ssr: false });

const MOST_BYTES = 100 * 1024 * 1024;

/** Opens a GPX or GeoJSON file, shows what was understood, and takes the tracks that the rider chooses. */
export function RouteImport() {
  const { draft, store, format } = usePlan();
  const { route, trip } = draft.plan;
  const hasRoute = route !== null;
  const date = trip.startDate ?? today();
  const [isDrawing, setDrawing] = useState(false);
  const [file, setFile] = useState<{ name: string; understood: Understood } | null>(null);
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [done, setDone] = useState<number | null>(null);
  const worker = useRef<RouteThread | null>(null);
  const stop = () => {
    worker.current?.stop();
    worker.current = null;
    setDone(null);
  };
  useEffect(() => stop, []);

  const reader = (): Remote<RouteWorker> => {
    worker.current ??= startRouteWorker();
    return worker.current.api;
  };
  const open = async (picked: File | null) => {
    if (!picked) return;
    setFile(null);
    setProblem(null);
    if (picked.size > MOST_BYTES)
      return setProblem(
        `${picked.name} has ${Math.round(picked.size / 1024 / 1024)} MB; at most 100 MB are read. Export fewer tracks. The route stays as it is.`,
      );
    setDone(0);
    try {
      const result = await reader().read(await picked.text(), proxy(setDone));
      if (!result.ok) setProblem(`${picked.name}: ${result.error} The route stays as it is.`);
      else {
        setFile({ name: picked.name, understood: result.value });
        setChosen(result.value.tracks.map((_, i) => i));
      }
    } catch {
      setProblem(`${picked.name} could not be read. The route stays as it is.`);
    }
    setDone(null);
  };
  const take = async () => {
    setDone(1);
    try {
      const made = await reader().make([...chosen], date);
      if (!made.ok) setProblem(made.error);
      else {
        const edit: Edit = { kind: 'set route', route: made.value };
        if (store.edit(edit)) setFile(null);
      }
    } catch (error) {
      setProblem(`${(error as Error).message} The route stays as it is; try again.`);
    }
    setDone(null);
  };

  /** The places of a file that has no line, on the route that is there. */
  const addPlaces = async () => {
    const places = [...route!.places, ...(await reader().places(date))];
    if (store.edit({ kind: 'change route', patch: { places } })) setFile(null);
  };

  if (isDrawing) return <DrawRoute onDone={() => setDrawing(false)} />;
  const isOnlyPlaces = file?.understood.tracks.length === 0;
  return (
    <div className={styles.import}>
      <FileButton
        onChange={(picked) => void open(picked)}
        accept=".gpx,.geojson,.json,.csv,application/gpx+xml,text/csv"
      >
        {(props) => (
          <Button {...props} variant={hasRoute ? 'default' : 'filled'}>
            {hasRoute ? 'Open another route, or places (CSV)' : 'Open a route (GPX or GeoJSON)'}
          </Button>
        )}
      </FileButton>
      <Button variant="default" onClick={() => setDrawing(true)}>
        {hasRoute ? 'Draw another' : 'Draw it on the map'}
      </Button>
      {done !== null && <Working label="Reading the route" done={done} onCancel={stop} />}
      {problem && <p role="alert">{problem}</p>}
      {file && (
        <section aria-label="What was understood" className={styles.understood}>
          <h3>{file.name}</h3>
          {file.understood.tracks.map(({ name, points, lengthM, climbM }, i) => (
            <Checkbox
              key={i}
              checked={chosen.includes(i)}
              onChange={(event) =>
                setChosen(
                  event.currentTarget.checked ? [...chosen, i] : chosen.filter((index) => index !== i),
                )
              }
              label={`${name || `Track ${i + 1}`}: ${format.distance(lengthM)}, ${points} points, ${
                climbM === null
                  ? 'no heights (they are looked up)'
                  : `${format.height(climbM)} of climb as recorded`
              }`}
            />
          ))}
          <p className="quiet">
            {isOnlyPlaces
              ? hasRoute
                ? 'There is no line to ride in this file; its places can be added to your route.'
                : 'There is no line to ride in this file. Open or draw a route first.'
              : 'Ridden in the order in which they are ticked.'}{' '}
            {waypointWords(file.understood)} {file.understood.leftOut.join(' ')}
          </p>
          <div className={styles.buttons}>
            {isOnlyPlaces ? (
              <Button disabled={!hasRoute} onClick={() => void addPlaces()}>
                Add these places
              </Button>
            ) : (
              <Button disabled={chosen.length === 0} onClick={() => void take()}>
                Take this route
              </Button>
            )}
            <Button variant="default" onClick={() => setFile(null)}>
              Cancel
            </Button>
          </div>
        </section>
      )}
    </div>
  );
}

function waypointWords({ waypoints }: Understood): string {
  if (waypoints.length === 0) return 'No waypoints.';
  const counts = new Map<string, number>();
  for (const { kind } of waypoints) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return `Waypoints: ${[...counts].map(([kind, count]) => `${count} × ${kind}`).join(', ')}.`;
}
