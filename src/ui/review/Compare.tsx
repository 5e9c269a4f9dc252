'use client';

import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  type ChartOptions,
} from 'chart.js';
import { Button, useComputedColorScheme } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { Bar } from 'react-chartjs-2';
import { SYSTEMS } from '@/core/kit/thing';
import { tripSummary, type TripSummary } from '@/core/learning/summary';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { colour } from '@/ui/shared/chartColour';
import stage from '@/ui/shared/stage.module.css';
import styles from './Review.module.css';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Legend);
Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;

/** Two trips side by side: the one that is open, and one that was ridden. */
export function Compare({ trips }: { trips: readonly TripSummary[] }) {
  const { draft, store, format } = usePlan();
  const { plan } = draft;
  const others = trips.filter(({ tripId }) => tripId !== store.tripId);
  const [otherId, setOtherId] = useState(others.at(-1)?.tripId ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const router = useRouter();
  const own = useMemo(
    () =>
      trips.find(({ tripId }) => tripId === store.tripId) ??
      tripSummary({ tripId: store.tripId, name: plan.trip.name, plan, entries: [] }),
    [trips, store.tripId, plan],
  );
  const other = others.find(({ tripId }) => tripId === otherId);
  if (!other)
    return (
      <p className="quiet">
        No other trip has been ridden yet. A trip can be compared once it has set out, under Pack.
      </p>
    );
  const again = async () => {
    try {
      const response = await fetch('/api/trips', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          from: 'trip',
          tripId: other.tripId,
          name: `${other.name}, again`.slice(0, 120),
        }),
      });
      const body = (await response.json()) as { tripId?: string; error?: string };
      if (response.ok && body.tripId) router.push(`/trips/${body.tripId}/trip`);
      else setProblem(body.error ?? 'The trip was not made.');
    } catch {
      setProblem('Gorvin cannot be reached. Nothing was changed.');
    }
  };
  const row = (label: string, of: (trip: TripSummary) => string) => (
    <tr key={label}>
      <th scope="row">{label}</th>
      <td>{of(own)}</td>
      <td>{of(other)}</td>
    </tr>
  );
  const list = (names: readonly string[]) => (names.length === 0 ? 'nothing' : names.join(', '));
  return (
    <div className={stage.parts}>
      <section className={stage.part} aria-label="Side by side">
        <div className={styles.row}>
          <Choice
            label="Compare with"
            value={otherId}
            options={others.map(({ tripId }) => tripId)}
            words={Object.fromEntries(others.map(({ tripId, name }) => [tripId, name]))}
            onChoose={setOtherId}
          />
          <Button variant="default" onClick={() => void again()}>
            Begin a trip like it
          </Button>
        </div>
        {problem && <p role="alert">{problem}</p>}
        <table className={stage.table}>
          <thead>
            <tr>
              <th />
              <th scope="col">{own.name}</th>
              <th scope="col">{other.name}</th>
            </tr>
          </thead>
          <tbody>
            {row('First day, nights', ({ startDate, nights }) => `${startDate ?? 'no date'}, ${nights}`)}
            {row('Way', ({ lengthM }) => (lengthM === null ? 'no route' : format.distance(lengthM)))}
            {row(
              'Weather',
              ({ coldestC, warmestC, rain }) =>
                `${format.temperature(Math.round(coldestC))} to ${format.temperature(Math.round(warmestC))}, rain ${rain}`,
            )}
            {row('Things', ({ things, kitG }) => `${things}, ${format.mass(kitG)}`)}
            {row('Loaded bike', ({ bikeLoadedG }) => format.mass(bikeLoadedG))}
            {row(
              'Room used',
              ({ usedMl, capacityMl }) => `${format.volume(usedMl)} of ${format.volume(capacityMl)}`,
            )}
            {row('Seat-pack sway', ({ tailMomentKgM }) =>
              tailMomentKgM === null ? 'not known' : format.moment(tailMomentKgM),
            )}
            {row('Unused', ({ unused }) => list(unused))}
            {row('Missed', ({ missed }) => list(missed))}
            {row('Trouble', ({ trouble }) => list(trouble))}
          </tbody>
        </table>
      </section>
      <section className={stage.part} aria-label="By system">
        <h2>Mass by system</h2>
        <BySystem trips={[own, other]} />
      </section>
    </div>
  );
}

function BySystem({ trips }: { trips: readonly [TripSummary, TripSummary] }) {
  const { units } = usePlan();
  const scheme = useComputedColorScheme();
  const [per, unit] = units === 'metric' ? [1000, 'kg'] : [453.59237, 'lb'];
  const data = useMemo(
    () => ({
      labels: [...SYSTEMS],
      datasets: trips.map(({ name, bySystemG }, k) => ({
        label: `${name}, ${unit}`,
        data: SYSTEMS.map((system) => bySystemG[system] / per),
        backgroundColor: colour(k === 0 ? '--accent' : '--fabric'),
        borderColor: colour('--ink'),
        borderWidth: 1,
      })),
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the colours are those of the scheme
    [trips, per, unit, scheme],
  );
  const options = useMemo((): ChartOptions<'bar'> => {
    const ink = colour('--ink-soft');
    const grid = { color: colour('--line') };
    return {
      indexAxis: 'y',
      animation: false,
      maintainAspectRatio: false,
      plugins: { legend: { labels: { color: ink } } },
      scales: { x: { ticks: { color: ink }, grid }, y: { ticks: { color: ink }, grid } },
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the colours are those of the scheme
  }, [scheme]);
  return (
    <div className={styles.chart}>
      <Bar
        data={data}
        options={options}
        role="img"
        aria-label={`Mass by system of ${trips[0].name} and ${trips[1].name}: ${SYSTEMS.map((system) => `${system} ${(trips[0].bySystemG[system] / per).toFixed(2)} and ${(trips[1].bySystemG[system] / per).toFixed(2)} ${unit}`).join('; ')}`}
      />
    </div>
  );
}
