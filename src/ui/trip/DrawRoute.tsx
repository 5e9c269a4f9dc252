'use client';

import { Button } from '@mantine/core';
import L from 'leaflet';
import { useEffect, useRef, useState } from 'react';
import { distanceM } from '@/core/trip/route/geo';
import { usePlan } from '@/ui/plan/PlanProvider';
import { baseMap } from './baseMap';
import styles from './RouteSection.module.css';
import { onRouteWorker } from './routeWorker';

/** Where the map opens: the middle of the land that the simulated services know. */
const OPENS_AT: L.LatLngTuple = [45, -30];

/** A route drawn point by point on the map; heights come from the elevation service. */
export function DrawRoute({ onDone }: { onDone: () => void }) {
  const { store, format } = usePlan();
  const box = useRef<HTMLDivElement>(null);
  const line = useRef<L.Polyline | null>(null);
  const [points, setPoints] = useState<readonly L.LatLngTuple[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [isMaking, setMaking] = useState(false);

  useEffect(() => {
    const map = baseMap(box.current!).setView(OPENS_AT, 12);
    line.current = L.polyline([], { color: '#1f4d3d', weight: 3.5 }).addTo(map);
    map.on('click', ({ latlng }) => setPoints((known) => [...known, [latlng.lat, latlng.lng]]));
    return () => {
      map.remove();
    };
  }, []);
  useEffect(() => {
    line.current?.setLatLngs(points as L.LatLngTuple[]);
  }, [points]);

  const lengthM = points.reduce((sum, [lat, lon], i) => {
    const before = points[i - 1];
    return before ? sum + distanceM(before[0], before[1], lat, lon) : sum;
  }, 0);
  const take = async () => {
    setMaking(true);
    setProblem(null);
    try {
      const made = await onRouteWorker(
        async (api) =>
          await api.draw(
            points.map(([lat]) => lat),
            points.map(([, lon]) => lon),
          ),
      );
      if (!made.ok) setProblem(made.error);
      else if (store.edit({ kind: 'set route', route: made.value })) return onDone();
    } catch (error) {
      setProblem(`${(error as Error).message} What you drew is still here; try again.`);
    }
    setMaking(false);
  };
  return (
    <section aria-label="Draw a route">
      <p className="quiet" role="status">
        {points.length === 0
          ? 'Click on the map where the route begins, then along the way.'
          : `${points.length} ${points.length === 1 ? 'point' : 'points'}, ${format.distance(lengthM)}`}
      </p>
      <div ref={box} className={styles.map} role="region" aria-label="Map to draw on" />
      <div className={styles.buttons}>
        <Button disabled={points.length < 2} loading={isMaking} onClick={() => void take()}>
          Take this route
        </Button>
        <Button
          variant="default"
          disabled={points.length === 0}
          onClick={() => setPoints(points.slice(0, -1))}
        >
          Undo the last point
        </Button>
        <Button variant="default" onClick={onDone}>
          Cancel
        </Button>
      </div>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}
