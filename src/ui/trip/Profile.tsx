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
import { useEffect, useMemo, useRef } from 'react';
import { Line } from 'react-chartjs-2';
import type { Ride } from '@/core/facts/ride';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './RouteSection.module.css';

Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;
Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

/** So many points are drawn; more than a screen has columns. */
const POINTS = 800;

interface Props {
  ride: Ride;
  atM: number | null;
  onPoint: (alongM: number) => void;
}

/** Heights along the route, with where the days end, what is steep, and what is pointed at. */
export function Profile({ ride, atM, onPoint }: Props) {
  const { units } = usePlan();
  const { line, days } = ride;
  const [perDistance, perHeight] = units === 'metric' ? [1000, 1] : [1609.344, 0.3048];
  const data = useMemo(() => {
    const every = Math.max(1, Math.floor(line.height.length / POINTS));
    const points = [];
    for (let i = 0; i < line.height.length; i += every)
      points.push({ x: (i * line.stepM) / perDistance, y: line.height[i]! / perHeight });
    return {
      datasets: [
        {
          data: points,
          borderColor: '#1f4d3d',
          borderWidth: 1.5,
          backgroundColor: 'rgba(31, 77, 61, 0.14)',
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
              return rise > 0.08 ? '#963221' : undefined;
            },
          },
        },
      ],
    };
  }, [line, perDistance, perHeight]);
  // A chart takes its plugins when it is made: what they draw comes from here, and is drawn anew.
  const marked = useRef({ days, atM });
  const chart = useRef<Chart<'line'>>(null);
  useEffect(() => {
    marked.current = { days, atM };
    chart.current?.draw();
  }, [days, atM]);
  const marks: Plugin<'line'> = useMemo(
    () => ({
      id: 'marks',
      afterDatasetsDraw({ ctx, chartArea: { top, bottom }, scales: { x } }) {
        const upright = (alongM: number, colour: string, dash: number[]) => {
          const at = x!.getPixelForValue(alongM / perDistance);
          ctx.save();
          ctx.beginPath();
          ctx.setLineDash(dash);
          ctx.strokeStyle = colour;
          ctx.moveTo(at, top);
          ctx.lineTo(at, bottom);
          ctx.stroke();
          ctx.restore();
          return at;
        };
        const { days, atM } = marked.current;
        days.slice(0, -1).forEach(({ day, toM }) => {
          const at = upright(toM, '#5a584f', [4, 3]);
          ctx.fillStyle = '#5a584f';
          ctx.fillText(`night ${day}`, at + 4, top + 10);
        });
        if (atM !== null) upright(atM, '#963221', []);
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
          title: { display: true, text: units === 'metric' ? 'km' : 'mi' },
        },
        y: { title: { display: true, text: units === 'metric' ? 'm' : 'ft' } },
      },
    }),
    [line, units, perDistance, onPoint],
  );
  return (
    <div className={styles.profile}>
      <Line
        ref={chart}
        key={units}
        role="img"
        aria-label="Heights along the route"
        data={data}
        options={options}
        plugins={[marks]}
      />
    </div>
  );
}
