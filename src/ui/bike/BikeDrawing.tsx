'use client';

import { memo, useId, useMemo, type ReactNode } from 'react';
import { drawingOf, type Drawing, type DrawnBag } from '@/core/bike/drawing';
import type { Point } from '@/core/geometry/polygon';
import type { Facts } from '@/core/plan/facts';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import styles from './BikeDrawing.module.css';

interface Props {
  facts: Facts;
  /** Bag drawn as chosen. */
  selected?: string | null;
  onSelect?: (bagId: string) => void;
  /** Wraps a bag's shapes, to make them a place to drop things. */
  wrapBag?: (bag: DrawnBag, shapes: ReactNode) => ReactNode;
}

// Screens count down, bikes stand up: z is turned here and nowhere else.
const at = ({ x, z }: Point): string => `${x.toFixed(1)},${(-z).toFixed(1)}`;
const path = (corners: readonly Point[]): string => corners.map(at).join(' ');

/** The rider's bike from its right side, to scale, with its bags filled by what is in them. */
export const BikeDrawing = memo(function BikeDrawing({ facts, selected = null, onSelect, wrapBag }: Props) {
  const { format } = usePlanContext();
  const drawing = useMemo(() => drawingOf(facts), [facts]);
  const texture = useId();
  const { frame } = drawing;
  const bag = (drawn: DrawnBag) => {
    const shapes = (
      <BagShape
        key={drawn.bagId}
        bag={drawn}
        texture={texture}
        selected={selected === drawn.bagId}
        onSelect={onSelect}
      />
    );
    return wrapBag ? wrapBag(drawn, shapes) : shapes;
  };
  return (
    <svg
      className={styles.drawing}
      viewBox={`${frame.left} ${-frame.top} ${frame.width} ${frame.height}`}
      role="group"
      aria-label={`${facts.plan.bike?.name ?? 'A middling bike'} from its right side, to scale`}
    >
      <defs>
        <pattern
          id={texture}
          width="16"
          height="16"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(35)"
        >
          <path d="M0 4H16M0 12H16" className={styles.thread} />
        </pattern>
      </defs>
      {drawing.bags.filter((drawn) => drawn.far).map(bag)}
      <Frame drawing={drawing} />
      {drawing.bags.filter((drawn) => !drawn.far).map(bag)}
      <Balance drawing={drawing} mass={format.mass} />
      <ScaleBar drawing={drawing} label={format.length(500)} />
    </svg>
  );
});

function Frame({ drawing }: { drawing: Drawing }) {
  return (
    <g aria-hidden="true">
      <line
        x1={drawing.frame.left}
        x2={drawing.frame.left + drawing.frame.width}
        y1={-drawing.groundZ}
        y2={-drawing.groundZ}
        className={styles.ground}
      />
      {drawing.wheels.map(({ centre, radiusMm, tyreMm }) => (
        <g key={centre.x}>
          <circle
            cx={centre.x}
            cy={-centre.z}
            r={radiusMm - tyreMm / 2}
            strokeWidth={tyreMm}
            className={styles.tyre}
          />
          <circle cx={centre.x} cy={-centre.z} r={radiusMm - tyreMm - 12} className={styles.rim} />
          <circle cx={centre.x} cy={-centre.z} r={22} className={styles.hub} />
        </g>
      ))}
      {drawing.tubes.map(({ from, to, widthMm }, i) => (
        <line
          key={i}
          x1={from.x}
          y1={-from.z}
          x2={to.x}
          y2={-to.z}
          strokeWidth={widthMm}
          className={styles.tube}
        />
      ))}
      <circle cx={0} cy={0} r={62} className={styles.ring} />
      <line x1={0} y1={0} x2={128} y2={118} className={styles.crank} />
      <polygon points={path(drawing.saddle)} className={styles.saddle} />
    </g>
  );
}

function BagShape(props: {
  bag: DrawnBag;
  texture: string;
  selected: boolean;
  onSelect?: (bagId: string) => void;
}) {
  const { bag, texture, selected, onSelect } = props;
  const percent = `${Math.round(bag.share * 100)} %`;
  return (
    <g
      className={styles.bag}
      data-selected={selected || undefined}
      data-far={bag.far || undefined}
      data-open={!bag.closes || undefined}
      onClick={onSelect && (() => onSelect(bag.bagId))}
    >
      <title>{`${bag.name}, ${percent} full${bag.closes ? '' : ', does not close'}`}</title>
      <polygon points={path(bag.outline)} className={styles.cloth} />
      {bag.filled.length > 2 && <polygon points={path(bag.filled)} fill={`url(#${texture})`} />}
      <polygon points={path(bag.outline)} className={styles.seam} />
      <text x={bag.label.x} y={-bag.label.z + 2} className={styles.letter}>
        {bag.letters}
        {!bag.closes && ' ✕'}
        <tspan x={bag.label.x} dy={34} className={styles.percent}>
          {percent}
        </tspan>
      </text>
    </g>
  );
}

/** Centre of mass with the rider, and what each wheel carries. */
function Balance({ drawing, mass }: { drawing: Drawing; mass: (massG: number) => string }) {
  const { centre } = drawing;
  return (
    <g className={styles.balance}>
      <g>
        <title>Centre of mass with the rider</title>
        <circle cx={centre.x} cy={-centre.z} r={20} />
        <path d={`M${centre.x - 34} ${-centre.z}h68M${centre.x} ${-centre.z - 34}v68`} />
      </g>
      {drawing.wheels.map((wheel) => (
        <text key={wheel.centre.x} x={wheel.centre.x} y={-drawing.groundZ + 62} className={styles.load}>
          ▲ {mass(wheel.loadG)}
        </text>
      ))}
    </g>
  );
}

function ScaleBar({ drawing, label }: { drawing: Drawing; label: string }) {
  const x = (drawing.wheels[0]!.centre.x + drawing.wheels[1]!.centre.x) / 2 - 250;
  const y = -drawing.groundZ + 40;
  return (
    <g aria-hidden="true" className={styles.scale}>
      <path d={`M${x} ${y - 10}v20M${x} ${y}h500M${x + 500} ${y - 10}v20`} />
      <text x={x + 250} y={y + 38}>
        {label}
      </text>
    </g>
  );
}
