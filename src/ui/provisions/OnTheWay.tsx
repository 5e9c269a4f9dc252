'use client';

import {
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { useComputedColorScheme } from '@mantine/core';
import Link from 'next/link';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { onTheWay, worstMoments, type AtMoment, type WorstMoment } from '@/core/checks/onTheWay';
import { clock, type Formatter } from '@/core/units/format';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Empty } from '@/ui/shared/States';
import { Verdict } from '@/ui/shared/Verdict';
import { colour } from '@/ui/shared/chartColour';
import stage from '@/ui/shared/stage.module.css';
import styles from './Provisions.module.css';

Chart.register(CategoryScale, LinearScale, LineController, LineElement, PointElement, Legend, Tooltip);
Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;

/** The load at every moment of the trip, and each limit at its own worst moment. */
export function OnTheWay() {
  const { evaluation, store, format, setMomentId } = usePlan();
  const all = useMemo(() => onTheWay(evaluation, format), [evaluation, format]);
  const worst = useMemo(() => worstMoments(all), [all]);
  if (evaluation.plan.load.length === 0)
    return (
      <Empty
        title="Nothing is in a bag yet"
        actions={<Link href={`/trips/${store.tripId}/load`}>Load the bike</Link>}
      >
        Once things are in bags, this shows what the bike weighs and how full each bag is at every stop and
        camp.
      </Empty>
    );
  return (
    <div className={stage.parts}>
      <section className={`${stage.part} ${stage.wide}`} aria-label="Load over the trip">
        <LoadChart all={all} />
        <table className={stage.table} aria-label="Load at each moment">
          <thead>
            <tr>
              <th scope="col">Moment</th>
              <th scope="col" data-number>
                Bike loaded
              </th>
              <th scope="col" data-number className={styles.hideable}>
                Water
              </th>
              <th scope="col" data-number className={styles.hideable}>
                Free room
              </th>
              <th scope="col" data-number className={styles.hideable}>
                Front wheel
              </th>
              <th scope="col">New then</th>
            </tr>
          </thead>
          <tbody>
            {all.map(({ moment, facts, findings }) => (
              <tr key={moment.id} data-warn={findings.length > 0 || undefined}>
                <td>
                  <Link href={`/trips/${store.tripId}/load`} onClick={() => setMomentId(moment.id)}>
                    {moment.label}
                  </Link>
                  {moment.clockMin !== null && <span className="quiet">, {clock(moment.clockMin)}</span>}
                </td>
                <td data-number>{format.mass(facts.totals.bikeLoadedG)}</td>
                <td data-number className={styles.hideable}>
                  {format.volume(facts.totals.waterG)}
                </td>
                <td data-number className={styles.hideable}>
                  {format.volume(facts.totals.capacityMl - facts.totals.usedMl)}
                </td>
                <td data-number className={styles.hideable}>
                  {facts.handling ? `${(100 * facts.handling.frontShare).toFixed(0)} %` : ''}
                </td>
                <td>
                  {findings.map(({ id, severity, message }) => (
                    <div key={id}>
                      <Verdict kind={severity === 'stop' ? 'stop' : 'check'} /> {message}
                    </div>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section className={stage.part} aria-label="Worst moments">
        <h2>Each limit at its worst moment</h2>
        <table className={stage.table}>
          <tbody>
            {worst
              .filter(({ unit }) => unit !== 'share')
              .map((each) => (
                <tr key={each.what} data-warn={isOver(each) || undefined}>
                  <td>{each.what}</td>
                  <td data-number>
                    {valueOf(each, format)}
                    {each.limit !== null && <span className="quiet"> of {format.mass(each.limit)}</span>}
                  </td>
                  <td>{each.at.label}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </section>
      <section className={stage.part} aria-label="How full">
        <h2>How full, at the fullest</h2>
        <table className={stage.table}>
          <tbody>
            {worst
              .filter(({ unit }) => unit === 'share')
              .map((each) => (
                <tr key={each.what}>
                  <td>{each.what.replace('How full: ', '')}</td>
                  <td data-number>{Math.round(100 * each.value)} %</td>
                  <td>{each.at.label}</td>
                </tr>
              ))}
          </tbody>
        </table>
        <p className="quiet">Above 100 % what is soft is pressed.</p>
      </section>
    </div>
  );
}

const isOver = ({ value, limit }: WorstMoment): boolean => limit !== null && value > limit;
const valueOf = ({ value, unit }: WorstMoment, format: Formatter): string =>
  unit === 'g' ? format.mass(value) : format.moment(value);

function LoadChart({ all }: { all: readonly AtMoment[] }) {
  const { units } = usePlan();
  const scheme = useComputedColorScheme();
  const [perMass, massUnit] = units === 'metric' ? [1000, 'kg'] : [453.59237, 'lb'];
  const data = useMemo(
    () => ({
      labels: all.map(({ moment }) => moment.label.replace('Day ', '').split(', ')),
      datasets: [
        {
          label: `Bike loaded, ${massUnit}`,
          data: all.map(({ facts }) => facts.totals.bikeLoadedG / perMass),
          borderColor: colour('--accent'),
          backgroundColor: colour('--accent'),
          pointStyle: 'circle' as const,
          yAxisID: 'mass',
        },
        {
          label: 'Free room in the bags, l',
          data: all.map(({ facts }) => (facts.totals.capacityMl - facts.totals.usedMl) / 1000),
          borderColor: colour('--check'),
          backgroundColor: colour('--check'),
          borderDash: [6, 4],
          pointStyle: 'rect' as const,
          yAxisID: 'room',
        },
      ],
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the colours are those of the scheme
    [all, perMass, massUnit, scheme],
  );
  const options = useMemo((): ChartOptions<'line'> => {
    const ink = colour('--ink-soft');
    const grid = { color: colour('--line') };
    return {
      animation: false,
      maintainAspectRatio: false,
      plugins: { legend: { labels: { color: ink, usePointStyle: true } } },
      scales: {
        x: { ticks: { color: ink, maxRotation: 0, autoSkip: true }, grid },
        mass: { position: 'left', ticks: { color: ink }, grid, grace: '10%' },
        room: { position: 'right', min: 0, ticks: { color: ink }, grid: { drawOnChartArea: false } },
      },
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the colours are those of the scheme
  }, [scheme]);
  return (
    <div className={stage.chart}>
      <Line
        data={data}
        options={options}
        role="img"
        aria-label="Mass of the loaded bike and free room over the trip; the figures are in the table below"
      />
    </div>
  );
}
