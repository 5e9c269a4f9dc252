'use client';

import L from 'leaflet';
import { useEffect, useRef } from 'react';
import type { Ride } from '@/core/facts/ride';
import { nearestOnLine } from '@/core/trip/route/geo';
import { baseMap } from './baseMap';
import { PLACE_SIGNS } from './placeSigns';
import styles from './RouteSection.module.css';

interface Props {
  ride: Ride;
  atM: number | null;
  onPoint: (alongM: number) => void;
}

/** The route on a map, with its places and where the days end. */
export function RouteMap({ ride, atM, onPoint }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const map = useRef<L.Map | null>(null);
  const marker = useRef<L.CircleMarker | null>(null);
  const point = useRef(onPoint);
  useEffect(() => {
    point.current = onPoint;
  }, [onPoint]);
  const { line, route } = ride;
  const stops = ride.days.slice(0, -1).map(({ toM }) => toM);
  const ends = stops.join(' ');

  useEffect(() => {
    const made = baseMap(box.current!);
    map.current = made;
    const points = Array.from(line.lat, (lat, i): [number, number] => [lat, line.lon[i]!]);
    const casing = L.polyline(points, { color: '#fbf8f0', weight: 7, opacity: 0.9 }).addTo(made);
    L.polyline(points, { color: '#1f4d3d', weight: 3.5 }).addTo(made);
    marker.current = L.circleMarker(points[0]!, {
      radius: 7,
      color: '#963221',
      fillColor: '#fbf8f0',
      fillOpacity: 1,
    }).addTo(made);
    for (const place of route.places)
      L.marker([place.lat, place.lon], {
        icon: L.divIcon({ className: styles.sign, html: PLACE_SIGNS[place.kind], iconSize: [20, 20] }),
        title: `${place.name}: ${place.kind}`,
        alt: `${place.name}: ${place.kind}`,
        keyboard: false,
      }).addTo(made);
    made.fitBounds(casing.getBounds(), { padding: [16, 16] });
    made.on('mousemove click', (event) => {
      const { latlng } = event as L.LeafletMouseEvent;
      const { alongM, offM } = nearestOnLine(line.lat, line.lon, line.stepM, latlng.lat, latlng.lng);
      if (offM < 2000) point.current(alongM);
    });
    return () => {
      made.remove();
      map.current = null;
    };
  }, [line, route.places]);

  useEffect(() => {
    const shown = ends
      .split(' ')
      .filter((text) => text !== '')
      .map((text, i) => {
        const k = Math.round(Number(text) / line.stepM);
        return L.marker([line.lat[k]!, line.lon[k]!], {
          icon: L.divIcon({ className: styles.night, html: `${i + 1}`, iconSize: [24, 24] }),
          title: `Night ${i + 1}`,
          alt: `Night ${i + 1}`,
          keyboard: false,
          zIndexOffset: 1000,
        }).addTo(map.current!);
      });
    return () => shown.forEach((each) => each.remove());
  }, [ends, line, route.places]);

  useEffect(() => {
    const k = Math.max(0, Math.min(line.lat.length - 1, Math.round((atM ?? 0) / line.stepM)));
    marker.current?.setLatLng([line.lat[k]!, line.lon[k]!]);
  }, [atM, line]);

  return <div ref={box} className={styles.map} role="region" aria-label="Map of the route" />;
}
