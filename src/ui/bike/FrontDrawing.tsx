'use client';

import { memo, useId, useMemo } from 'react';
import type { DrawnBag } from '@/core/drawing/sideDrawing';
import { frontDrawingOf } from '@/core/drawing/frontDrawing';
import type { Facts } from '@/core/facts/facts';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import { BagShape } from './BagShape';
import { GapMarks } from './GapMarks';
import { path, viewBox } from './paper';
import { Hatch } from './Hatch';
import styles from './BikeDrawing.module.css';

interface Props {
  facts: Facts;
  selected?: string | null;
  onSelect?: (bagId: string) => void;
}

/** The bike from the front, to scale: widths, hands, knees, and left against right. */
export const FrontDrawing = memo(function FrontDrawing({ facts, selected, onSelect }: Props) {
  const { format } = usePlanContext();
  const drawing = useMemo(() => frontDrawingOf(facts), [facts]);
  const texture = useId();
  const { frame, groundZ, bar, free, knees, pedals } = drawing;
  const shape = (bag: DrawnBag, covered: boolean) => (
    <BagShape
      key={bag.bagId}
      bag={bag}
      texture={texture}
      selected={selected === bag.bagId}
      covered={covered}
      onSelect={onSelect}
    />
  );
  return (
    <svg
      className={styles.drawing}
      viewBox={viewBox(frame)}
      role="group"
      aria-label={`${facts.plan.bike?.name ?? 'An average bike'} from the front, to scale`}
    >
      <Hatch id={texture} spacing={16} />
      <line
        x1={frame.left}
        x2={frame.left + frame.width}
        y1={-groundZ}
        y2={-groundZ}
        className={styles.ground}
      />
      <g aria-hidden="true">
        <line
          x1={pedals.from.x}
          y1={-pedals.from.z}
          x2={pedals.to.x}
          y2={-pedals.to.z}
          className={styles.crank}
        />
      </g>
      {drawing.behind.map((bag) => shape(bag, true))}
      <g aria-hidden="true">
        <polygon points={path(drawing.tyre)} className={styles.tread} />
        {drawing.fork.map((leg, i) => (
          <polygon key={i} points={path(leg)} className={styles.leg} />
        ))}
        <polygon points={path(drawing.headTube)} className={styles.leg} />
        <line
          x1={bar.from.x}
          y1={-bar.from.z}
          x2={bar.to.x}
          y2={-bar.to.z}
          className={styles.tube}
          strokeWidth={26}
        />
      </g>
      {drawing.ahead.map((bag) => shape(bag, false))}
      <g className={styles.dimensions}>
        {[
          { name: 'free for hands', line: free },
          { name: 'between the knees', line: knees },
        ].map(({ name, line }) => (
          <g key={name}>
            <line x1={line.from.x} y1={-line.from.z} x2={line.to.x} y2={-line.to.z} />
            <circle cx={line.from.x} cy={-line.from.z} r={6} />
            <circle cx={line.to.x} cy={-line.to.z} r={6} />
            <text x={line.to.x + 14} y={-line.to.z - 10} className={styles.beside}>
              {name} {format.length(line.mm)}
            </text>
          </g>
        ))}
      </g>
      <GapMarks gaps={drawing.gaps} length={format.length} />
      <text x={frame.left + frame.width - 20} y={-groundZ + 60} className={styles.beside} textAnchor="end">
        your left →
      </text>
    </svg>
  );
});
