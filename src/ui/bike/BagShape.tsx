import { MOST_ALONG_MM } from '@/core/bag/bag';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { DrawnBag } from '@/core/drawing/sideDrawing';
import { path } from './paper';
import styles from './BikeDrawing.module.css';

interface Props {
  bag: DrawnBag;
  texture: string;
  selected: boolean;
  /** Its middle lies behind the wheel or another bag, where letters would be cut in half. */
  covered?: boolean;
  onSelect?: (bagId: string) => void;
  slide?: {
    alongMm: number;
    onBegin: (event: PointerEvent) => void;
    onMove: (event: PointerEvent) => void;
    onEnd: (event: PointerEvent) => void;
    onStep: (mm: number) => void;
  };
}

const STEPS: Record<string, number> = {
  ArrowUp: 5,
  ArrowRight: 5,
  ArrowDown: -5,
  ArrowLeft: -5,
  PageUp: 20,
  PageDown: -20,
};

/** One bag: its outline, how full it is, its letters. Where it can be slid it is a slider, by pointer and by keys. */
export function BagShape({ bag, texture, selected, covered = false, onSelect, slide }: Props) {
  const percent = `${Math.round(bag.share * 100)} %`;
  const keys = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step !== undefined) {
      event.preventDefault();
      slide!.onStep(step);
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onSelect?.(bag.bagId);
    }
  };
  return (
    <g
      className={styles.bag}
      data-bag={bag.bagId}
      data-selected={selected || undefined}
      data-far={bag.far || undefined}
      data-open={!bag.closes || undefined}
      data-slides={slide ? true : undefined}
      onClick={onSelect && (() => onSelect(bag.bagId))}
      {...(slide && {
        role: 'slider',
        tabIndex: 0,
        'aria-label': `${bag.name}, along its place`,
        'aria-valuenow': slide.alongMm,
        'aria-valuemin': -MOST_ALONG_MM,
        'aria-valuemax': MOST_ALONG_MM,
        'aria-valuetext': `${slide.alongMm} mm`,
        onKeyDown: keys,
        onPointerDown: slide.onBegin,
        onPointerMove: slide.onMove,
        onPointerUp: slide.onEnd,
        onPointerCancel: slide.onEnd,
      })}
    >
      <title>{`${bag.name}, ${percent} full${bag.closes ? '' : ', does not close'}`}</title>
      <polygon points={path(bag.outline)} className={styles.cloth} />
      {bag.filled.length > 2 && <polygon points={path(bag.filled)} fill={`url(#${texture})`} />}
      <polygon points={path(bag.outline)} className={styles.seam} />
      {!covered && (
        <text x={bag.label.x} y={-bag.label.z + 2} className={styles.letter}>
          {bag.letters}
          {!bag.closes && ' ✕'}
          <tspan x={bag.label.x} dy={34} className={styles.percent}>
            {percent}
          </tspan>
        </text>
      )}
    </g>
  );
}
