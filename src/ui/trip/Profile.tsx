'use client';

import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import { useComputedColorScheme } from '@mantine/core';
import { useEffect, useMemo, useRef, useState, type PointerEvent } from 'react';
import { Line } from 'react-chartjs-2';
import type { Ride } from '@/core/facts/ride';
import { usePlan } from '@/ui/plan/PlanProvider';
import { colour } from '@/ui/shared/chartColour';
import styles from './RouteSection.module.css';

Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;
Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

/** So many points are drawn; more than a screen has columns. */
const POINTS = 800;
/** A day's end is taken hold of within so many pixels. */
const GRIP_PX = 8;
/** Rise over run that is shown as steep. */
const STEEP = 0.08;

interface Props {
  ride: Ride;
  atM: number | null;
  onPoint: (alongM: number) => void;
  onMoveEnd: (index: number, toM: number) => void;
}

/** Heights along the route, with where the days end, what is steep, and what is pointed at. */
export function Profile({ ride, atM, onPoint, onMoveEnd }: Props) {
  const { units } = usePlan();
  const scheme = useComputedColorScheme();
  const { line, days } = ride;
  const [perDistance, perHeight] = units === 'metric' ? [1000, 1] : [1609.344, 0.3048];
  const data = useMemo(() => {
    const steep = colour('--stop');
    const every = Math.max(1, Math.floor(line.height.length / POINTS));
    const points = [];
    for (let i = 0; i < line.height.length; i += every)
      points.push({ x: (i * line.stepM) / perDistance, y: line.height[i]! / perHeight });
    return {
      datasets: [
        {
          data: points,
          borderColor: colour('--accent'),
          borderWidth: 1.5,
          backgroundColor: colour('--accent-soft'),
          fill: 'start',
          pointRadius: 0,
          segment: {
            borderColor: ({
              p0,
              p1,
            }: {
              p0: { parsed: { x: number | null; y: number | null } };
              p1: { parsed: { x: number | null; y: number | null } };
            }) => {
              const rise =
                ((p1.parsed.y! - p0.parsed.y!) * perHeight) / ((p1.parsed.x! - p0.parsed.x!) * perDistance);
              return rise > STEEP ? steep : undefined;
            },
          },
        },
      ],
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the colours are those of the scheme
  }, [line, perDistance, perHeight, scheme]);
  // A chart takes its plugins when it is made: what they draw comes from here, and is drawn anew.
  const ends = days.slice(0, -1).map(({ toM }) => toM);
  /** The end of a day that is being dragged, and where it is now. */
  const [dragged, setDragged] = useState<{ index: number; toM: number } | null>(null);
  const marked = useRef({ ends, atM });
  const chart = useRef<Chart<'line'>>(null);
  useEffect(() => {
    marked.current = { ends: ends.map((toM, i) => (i === dragged?.index ? dragged.toM : toM)), atM };
    chart.current?.draw();
  });
  const marks: Plugin<'line'> = useMemo(
    () => ({
      id: 'marks',
      afterDatasetsDraw({ ctx, chartArea: { top, bottom }, scales: { x } }) {
        const upright = (alongM: number, ink: string, dash: number[]) => {
          const at = x!.getPixelForValue(alongM / perDistance);
          ctx.save();
          ctx.beginPath();
          ctx.setLineDash(dash);
          ctx.strokeStyle = ink;
          ctx.moveTo(at, top);
          ctx.lineTo(at, bottom);
          ctx.stroke();
          ctx.restore();
          return at;
        };
        const { ends, atM } = marked.current;
        ends.forEach((toM, i) => {
          const at = upright(toM, colour('--ink-soft'), [4, 3]);
          ctx.fillStyle = colour('--ink-soft');
          ctx.fillText(`night ${i + 1}`, at + 4, top + 10);
        });
        if (atM !== null) upright(atM, colour('--stop'), []);
      },
    }),
    [perDistance],
  );
  const options = useMemo(
    (): ChartOptions<'line'> => ({
      animation: false,
      maintainAspectRatio: false,
      parsing: false,
      events: ['mousemove', 'touchmove', 'click'],
      onHover: ({ x }, _elements, chart) => {
        if (x !== null)
          onPoint(Math.max(0, Math.min(line.lengthM, chart.scales.x!.getValueForPixel(x)! * perDistance)));
      },
      scales: {
        x: {
          type: 'linear',
          max: line.lengthM / perDistance,
          title: { display: true, text: units === 'metric' ? 'km' : 'mi', color: colour('--ink-soft') },
          grid: { color: colour('--line') },
          ticks: { color: colour('--ink-soft') },
        },
        y: {
          title: { display: true, text: units === 'metric' ? 'm' : 'ft', color: colour('--ink-soft') },
          grid: { color: colour('--line') },
          ticks: { color: colour('--ink-soft') },
        },
      },
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the colours are those of the scheme
    [line, units, perDistance, onPoint, scheme],
  );
  const alongAt = (event: PointerEvent): number =>
    chart.current!.scales.x!.getValueForPixel(event.nativeEvent.offsetX)! * perDistance;
  /** The end of a day that is within reach of the pointer. */
  const endNear = (event: PointerEvent): number => {
    const { x } = chart.current!.scales;
    return ends.findIndex(
      (toM) => Math.abs(x!.getPixelForValue(toM / perDistance) - event.nativeEvent.offsetX) < GRIP_PX,
    );
  };
  return (
    <div
      className={styles.profile}
      onPointerDown={(event) => {
        const index = endNear(event);
        if (index < 0) return;
        (event.target as Element).setPointerCapture(event.pointerId);
        setDragged({ index, toM: ends[index]! });
      }}
      onPointerMove={(event) => {
        if (dragged) setDragged({ ...dragged, toM: alongAt(event) });
        else event.currentTarget.style.cursor = endNear(event) < 0 ? '' : 'ew-resize';
      }}
      onPointerUp={() => {
        if (dragged && Math.abs(dragged.toM - ends[dragged.index]!) > 50)
          onMoveEnd(dragged.index, dragged.toM);
        setDragged(null);
      }}
      onPointerCancel={() => setDragged(null)}
    >
      <Line
        ref={chart}
        key={`${units} ${scheme}`}
        role="img"
        aria-label="Heights along the route"
        data={data}
        options={options}
        plugins={[marks]}
      />
    </div>
  );
}
