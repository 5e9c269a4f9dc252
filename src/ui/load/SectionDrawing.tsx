'use client';

import { useId, useMemo } from 'react';
import type { CompartmentFacts } from '@/core/facts/facts';
import { sectionOf } from '@/core/fit/section';
import { labelsOf } from '@/core/fit/sectionLabels';
import { extentOf, type Point } from '@/core/geometry/polygon';
import { Hatch } from '@/ui/bike/Hatch';
import styles from './SectionDrawing.module.css';

/** Pixels that a section may take across and up; one that is much wider than high lies over the list. */
const WIDTH = 168;
const HEIGHT = 236;
const WIDE = { width: 320, height: 150 };

/** Whether a compartment's cut is so wide that the list belongs under it, not beside. */
export function isWide({ spot }: CompartmentFacts): boolean {
  const { v, lengthMm } = spot.chamber;
  return v[1] - v[0] > 1.3 * lengthMm;
}

/** A number and a little round it, in pixels. */
const LABEL = { wide: 15, high: 10.5 };

interface Props {
  compartment: CompartmentFacts;
  /** Number that stands for each thing in the list beside; without a list none is shown. */
  numbers?: ReadonlyMap<string, number>;
  selected: string | null;
  /** Things that are shown; all of them without. */
  only?: ReadonlySet<string>;
  onChoose?: (thingId: string) => void;
}

/** A compartment cut open along its fill axis, mouth on top, everything to scale where it lies. */
export function SectionDrawing({ compartment, numbers, selected, only, onChoose }: Props) {
  const hatch = useId();
  const { section, scale, labels: all } = useMemo(() => drawn(compartment), [compartment]);
  const { outline } = section;
  const isShown = ({ thingId }: { thingId: string }) => only?.has(thingId) ?? true;
  const [bands, blocks] = [section.bands.filter(isShown), section.blocks.filter(isShown)];
  const labels = numbers ? all : [];
  const { left, right, low, high } = extentOf(outline);
  const top = Math.max(high, ...labels.map(({ at: middle }) => middle.z + LABEL.high / 2 / scale));
  const end = Math.max(right, ...labels.map(({ at: middle }) => middle.x + LABEL.wide / 2 / scale));
  const [width, height] = [(end - left) * scale + 8, (top - low) * scale + 8];
  const at = ({ x, z }: Point) => ({ x: (x - left) * scale + 4, y: (top - z) * scale + 4 });
  const points = (corners: readonly Point[]) =>
    corners.map((p) => `${at(p).x.toFixed(1)},${at(p).y.toFixed(1)}`).join(' ');
  const shape = (id: string) => ({
    'data-selected': id === selected || undefined,
    'data-lies': id,
    onClick: () => onChoose?.(id),
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
          </g>
        ),
      )}
      {blocks.map(({ thingId, index, round, ...box }) => {
        const corner = at({ x: box.left, z: box.high });
        const [w, h] = [(box.right - box.left) * scale, (box.high - box.low) * scale];
        return (
          <g key={`${thingId}-${index}`} className={styles.stiff} {...shape(thingId)}>
            <rect x={corner.x} y={corner.y} width={w} height={h} rx={round ? w / 2 : 2} />
          </g>
        );
      })}
      <polygon points={points(outline)} className={styles.seam} />
      {labels.map(({ thingId, at: middle, leadsTo }, k) => {
        const place = at(middle);
        const thing = leadsTo && at(leadsTo);
        return (
          <g key={k}>
            {thing && (
              <>
                <line
                  x1={place.x - LABEL.wide / 2}
                  y1={place.y}
                  x2={thing.x}
                  y2={thing.y}
                  className={styles.lead}
                />
                <circle cx={thing.x} cy={thing.y} r={1.5} className={styles.dot} />
              </>
            )}
            <text {...place} className={styles.number}>
              {numbers?.get(thingId)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** What is shown of a compartment, with its scale and where its numbers stand. */
function drawn(compartment: CompartmentFacts) {
  const section = sectionOf(compartment.spot.chamber, compartment.fit);
  const { left, right, low, high } = extentOf(section.outline);
  const room = isWide(compartment) ? WIDE : { width: WIDTH, height: HEIGHT };
  const scale = Math.min(room.width / Math.max(1, right - left), room.height / Math.max(1, high - low));
  const labels = labelsOf(section, { wide: LABEL.wide / scale, high: LABEL.high / scale });
  return { section, scale, labels };
}
