'use client';

import { useId } from 'react';
import type { CompartmentFacts } from '@/core/plan/facts';
import { sectionOf } from '@/core/fit/section';
import { clipAlong } from '@/core/geometry/clip';
import { centroid, extentOf, signedAreaMm2, type Point } from '@/core/geometry/polygon';
import { Hatch } from '@/ui/bike/Hatch';
import styles from './SectionDrawing.module.css';

/** Pixels that a section may take across and up; one that is much wider than high lies over the list. */
const WIDTH = 168;
const HEIGHT = 236;
const WIDE = { width: 336, height: 150 };

/** Whether a compartment's cut is so wide that the list belongs under it, not beside. */
export function isWide({ spot }: CompartmentFacts): boolean {
  const { v, lengthMm } = spot.chamber;
  return v[1] - v[0] > 1.3 * lengthMm;
}

/** A label is left out where its shape is smaller than this on the screen, or lower than the label is. */
const READABLE = 130;
const READABLE_PX = 9;

interface Props {
  compartment: CompartmentFacts;
  /** Number that stands for each thing in the list beside. */
  numbers: ReadonlyMap<string, number>;
  selected: string | null;
  onChoose: (thingId: string) => void;
}

/** A compartment cut open along its fill axis, mouth on top, everything to scale where it lies. */
export function SectionDrawing({ compartment, numbers, selected, onChoose }: Props) {
  const hatch = useId();
  const { outline, bands, blocks } = sectionOf(compartment.spot.chamber, compartment.fit);
  const { left, right, low, high } = extentOf(outline);
  const room = isWide(compartment) ? WIDE : { width: WIDTH, height: HEIGHT };
  const scale = Math.min(room.width / Math.max(1, right - left), room.height / Math.max(1, high - low));
  const [width, height] = [(right - left) * scale + 8, (high - low) * scale + 8];
  const at = ({ x, z }: Point) => ({ x: (x - left) * scale + 4, y: (high - z) * scale + 4 });
  const points = (corners: readonly Point[]) =>
    corners.map((p) => `${at(p).x.toFixed(1)},${at(p).y.toFixed(1)}`).join(' ');
  const label = (id: string, middle: Point, areaMm2: number, highMm: number) =>
    areaMm2 * scale * scale > READABLE &&
    highMm * scale > READABLE_PX && (
      <text x={at(middle).x} y={at(middle).y} className={styles.number}>
        {numbers.get(id)}
      </text>
    );
  const shape = (id: string) => ({
    'data-selected': id === selected || undefined,
    'data-lies': id,
    onClick: () => onChoose(id),
  });
  return (
    <svg width={width} height={height} className={styles.section} aria-hidden="true">
      <Hatch id={hatch} spacing={7} />
      <polygon points={points(outline)} className={styles.inside} />
      {bands.map(({ thingId, corners }) =>
        corners.length < 3 ? null : (
          <g key={thingId} className={styles.soft} {...shape(thingId)}>
            <polygon points={points(corners)} />
            <polygon points={points(corners)} fill={`url(#${hatch})`} className={styles.cloth} />
            {label(thingId, asideOf(corners), Math.abs(signedAreaMm2(corners)), heightOf(corners))}
          </g>
        ),
      )}
      {blocks.map(({ thingId, index, round, ...box }) => {
        const corner = at({ x: box.left, z: box.high });
        const [w, h] = [(box.right - box.left) * scale, (box.high - box.low) * scale];
        return (
          <g key={`${thingId}-${index}`} className={styles.stiff} {...shape(thingId)}>
            <rect x={corner.x} y={corner.y} width={w} height={h} rx={round ? w / 2 : 2} />
            {label(
              thingId,
              { x: (box.left + box.right) / 2, z: (box.low + box.high) / 2 },
              (box.right - box.left) * (box.high - box.low),
              box.high - box.low,
            )}
          </g>
        );
      })}
      <polygon points={points(outline)} className={styles.seam} />
    </svg>
  );
}

function heightOf(corners: readonly Point[]): number {
  const { low, high } = extentOf(corners);
  return high - low;
}

/** To the right of the middle of what is soft: in the middle lies what is stiff. */
function asideOf(corners: readonly Point[]): Point {
  const { x, z } = centroid(corners);
  // As wide as it is there: a taper's mouth is wider than its middle.
  const strip = clipAlong(clipAlong(corners, { x: 0, z: 1 }, z + 1), { x: 0, z: -1 }, 1 - z);
  const { left, right } = extentOf(strip.length > 2 ? strip : corners);
  return { x: x + 0.36 * (right - left), z };
}
