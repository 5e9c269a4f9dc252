'use client';

import { memo, useId, useMemo, useRef, type PointerEvent, type ReactNode } from 'react';
import { dimensionsOf } from '@/core/bike/dimensions';
import { measureLine, type Measurable } from '@/core/bike/measureLines';
import { drawingOf, slideMm, type Drawing } from '@/core/drawing/sideDrawing';
import type { Point } from '@/core/geometry/polygon';
import type { DrawnBag } from '@/core/drawing/sideDrawing';
import type { Facts } from '@/core/facts/facts';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import { BagShape } from './BagShape';
import { GapMarks } from './GapMarks';
import { path, viewBox } from './paper';
import { Hatch } from './Hatch';
import styles from './BikeDrawing.module.css';

interface Props {
  facts: Facts;
  /** Bag drawn as chosen. */
  selected?: string | null;
  onSelect?: (bagId: string) => void;
  /** Wraps a bag's shapes, to make them a place to drop things. */
  wrapBag?: (bag: DrawnBag, shapes: ReactNode) => ReactNode;
  /** Lets bags be drawn along their place: told while it goes on, and at its end. */
  onSlide?: (bagId: string, alongMm: number, done: boolean) => void;
  showGaps?: boolean;
  showDimensions?: boolean;
  /** What is to be measured: where is shown. */
  measure?: Measurable | null;
  /** An outline drawn over the bike: a frame bag being cut. */
  cut?: readonly Point[] | null;
}

interface Drag {
  bagId: string;
  axis: Point;
  from: Point;
  alongMm: number;
}

/** The rider's bike from its right side, to scale, with its bags filled by what is in them. */
export const BikeDrawing = memo(function BikeDrawing(props: Props) {
  const { facts, selected = null, onSelect, wrapBag, onSlide } = props;
  const { format } = usePlanContext();
  const drawing = useMemo(() => drawingOf(facts), [facts]);
  const texture = useId();
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<Drag | null>(null);

  const pointOf = (event: PointerEvent): Point => {
    const matrix = svg.current!.getScreenCTM()!.inverse();
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return { x, z: -y };
  };
  const along = (bagId: string) => facts.plan.bags.find((bag) => bag.id === bagId)!.alongMm;
  const begin = (drawn: DrawnBag, event: PointerEvent) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = {
      bagId: drawn.bagId,
      axis: drawn.axis,
      from: pointOf(event),
      alongMm: along(drawn.bagId),
    };
  };
  const slid = (event: PointerEvent): number => {
    const { axis, from, alongMm } = drag.current!;
    return alongMm + slideMm(axis, from, pointOf(event));
  };

  const bag = (drawn: DrawnBag) => {
    const shapes = (
      <BagShape
        key={drawn.bagId}
        bag={drawn}
        texture={texture}
        selected={selected === drawn.bagId}
        onSelect={onSelect}
        slide={
          onSlide && {
            alongMm: along(drawn.bagId),
            onBegin: (event) => begin(drawn, event),
            onMove: (event) => drag.current && onSlide(drawn.bagId, slid(event), false),
            onEnd: (event) => {
              if (!drag.current) return;
              const to = slid(event);
              drag.current = null;
              onSlide(drawn.bagId, to, true);
            },
            onStep: (mm) => onSlide(drawn.bagId, along(drawn.bagId) + mm, true),
          }
        }
      />
    );
    return wrapBag ? wrapBag(drawn, shapes) : shapes;
  };
  return (
    <svg
      ref={svg}
      className={styles.drawing}
      viewBox={viewBox(drawing.frame)}
      role="group"
      aria-label={`${facts.plan.bike?.name ?? 'An average bike'} from its right side, to scale`}
    >
      <Hatch id={texture} spacing={16} />
      {drawing.bags.filter((drawn) => drawn.far).map(bag)}
      <Frame drawing={drawing} />
      {drawing.bags.filter((drawn) => !drawn.far).map(bag)}
      {props.measure && <Measure facts={facts} of={props.measure} />}
      {props.cut && <polygon points={path(props.cut)} className={styles.cut} />}
      {props.showDimensions ? (
        <Dimensions facts={facts} length={format.length} />
      ) : (
        <>
          <Balance drawing={drawing} mass={format.mass} />
          <ScaleBar drawing={drawing} label={format.length(500)} />
        </>
      )}
      {props.showGaps && <Ghosts ghosts={drawing.ghosts} />}
      {props.showGaps && <GapMarks gaps={drawing.gaps} length={format.length} />}
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
      <polyline points={path(drawing.bar)} className={styles.bar} />
      <circle cx={drawing.bar[0]!.x} cy={-drawing.bar[0]!.z} r={16} className={styles.barEnd} />
    </g>
  );
}

/** Tyres at full travel and packs at their lowest, faint: what the gaps are measured between. */
function Ghosts({ ghosts }: { ghosts: Drawing['ghosts'] }) {
  return (
    <g aria-hidden="true" className={styles.ghosts}>
      {ghosts.tyres.map(({ centre, radiusMm }) => (
        <circle key={centre.x} cx={centre.x} cy={-centre.z} r={radiusMm} />
      ))}
      {ghosts.outlines.map((outline, i) => (
        <polygon key={i} points={path(outline)} />
      ))}
    </g>
  );
}

/** Centre of mass with the rider, and what each wheel carries. */
function Balance({ drawing, mass }: { drawing: Drawing; mass: (massG: number) => string }) {
  const { centre } = drawing;
  if (!centre) return null;
  return (
    <g className={styles.balance}>
      <g>
        <title>Centre of mass with the rider</title>
        <circle cx={centre.x} cy={-centre.z} r={20} />
        <path d={`M${centre.x - 34} ${-centre.z}h68M${centre.x} ${-centre.z - 34}v68`} />
      </g>
      {drawing.wheels.map(
        (wheel) =>
          wheel.loadG !== null && (
            <text key={wheel.centre.x} x={wheel.centre.x} y={-drawing.groundZ + 62} className={styles.load}>
              ▲ {mass(wheel.loadG)}
            </text>
          ),
      )}
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

/** From where to where a figure is measured. */
function Measure({ facts, of }: { facts: Facts; of: Measurable }) {
  const line = measureLine(facts.view, of);
  if (!line) return null;
  const { from, to } = line;
  return (
    <g className={styles.measure} data-measure={of}>
      <line x1={from.x} y1={-from.z} x2={to.x} y2={-to.z} />
      <circle cx={from.x} cy={-from.z} r={11} />
      <circle cx={to.x} cy={-to.z} r={11} />
    </g>
  );
}

function Dimensions({ facts, length }: { facts: Facts; length: (mm: number) => string }) {
  const lines = useMemo(() => dimensionsOf(facts.view, facts.figures), [facts]);
  return (
    <g className={styles.dimensions}>
      {lines.map(({ label, mm, from, to, text, assumed }) => (
        <g key={label}>
          <line x1={from.x} y1={-from.z} x2={to.x} y2={-to.z} />
          <circle cx={from.x} cy={-from.z} r={7} />
          <circle cx={to.x} cy={-to.z} r={7} />
          <text x={text.x} y={-text.z - 8}>
            {label} {assumed && '≈ '}
            {length(mm)}
          </text>
        </g>
      ))}
    </g>
  );
}
