'use client';

import { Button } from '@mantine/core';
import { useState } from 'react';
import { conditionsOf } from '@/core/facts/conditions';
import { rideOf } from '@/core/facts/ride';
import { SCENARIO_WORDS, weatherDaySchema, type WeatherDay } from '@/core/trip/weather';
import { usePlan } from '@/ui/plan/PlanProvider';
import { CountField } from '@/ui/shared/CountField';
import { QuantityField } from '@/ui/shared/QuantityField';
import styles from './RouteSection.module.css';

/** The weather day by day: from the weather service, typed, or one figure for the whole trip. */
export function WeatherSection() {
  const { draft, evaluation, store, format } = usePlan();
  const { trip } = draft.plan;
  const ride = rideOf(evaluation);
  const conditions = conditionsOf(evaluation);
  const [problem, setProblem] = useState<string | null>(null);
  const [isAsking, setAsking] = useState(false);
  const set = (weather: WeatherDay[] | null) => store.edit({ kind: 'set trip', patch: { weather } });

  const typeByDay = () =>
    set(
      Array.from({ length: trip.nights + 1 }, () => ({
        minC: trip.nightMinimumC,
        maxC: trip.dayMaximumC,
        rainChance: trip.rain === 'likely' ? 60 : 10,
        rainMm: 0,
        windKmh: 10,
        heightM: null,
      })),
    );
  const ask = async () => {
    if (!ride || trip.startDate === null) return;
    setAsking(true);
    setProblem(null);
    try {
      const { line, days } = ride;
      const response = await fetch('/api/weather', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          days: days.map(({ toM, date }) => {
            const k = Math.min(line.lat.length - 1, Math.round(toM / line.stepM));
            return { lat: line.lat[k], lon: line.lon[k], date };
          }),
        }),
      });
      if (!response.ok) throw new Error();
      const answer = weatherDaySchema.array().parse(((await response.json()) as { days: unknown }).days);
      set(answer);
    } catch {
      setProblem('The weather service does not answer. What was entered stays; try again, or type it.');
    }
    setAsking(false);
  };

  const count = trip.nights + 1;
  /** Days beyond those entered are like the last one, and become entries once one of them is changed. */
  const days =
    trip.weather && Array.from({ length: count }, (_, i) => trip.weather![i] ?? trip.weather!.at(-1)!);
  const change = (index: number, patch: Partial<WeatherDay>) =>
    set(days!.map((day, i) => (i === index ? { ...day, ...patch } : day)));
  const heights = [
    ...new Set((days ?? []).flatMap(({ heightM }) => (heightM === null ? [] : [format.height(heightM)]))),
  ];
  const canAsk = ride !== null && trip.startDate !== null;
  return (
    <section aria-label="Weather">
      <h2 className={styles.sub}>Weather</h2>
      {days ? (
        <table className={styles.days} aria-label="Weather by day">
          <thead>
            <tr>
              <th scope="col">Day</th>
              <th scope="col">Warmest</th>
              <th scope="col">Rain, %</th>
              <th scope="col">Rain, mm</th>
              <th scope="col">Wind, km/h</th>
              <th scope="col">Coldest at night</th>
              <th scope="col">On the way</th>
              <th scope="col">At camp</th>
            </tr>
          </thead>
          <tbody>
            {days.map((day, i) => {
              const name = `day ${i + 1}`;
              const night = conditions.nights[i];
              return (
                <tr key={i}>
                  <th scope="row">{i + 1}</th>
                  <td>
                    <QuantityField
                      className={styles.narrow}
                      aria-label={`Warmest, ${name}`}
                      dimension="temperature"
                      value={day.maxC}
                      onCommit={(maxC) => maxC !== null && change(i, { maxC })}
                    />
                  </td>
                  <td>
                    <CountField
                      className={styles.narrow}
                      aria-label={`Chance of rain, ${name}`}
                      value={day.rainChance}
                      least={0}
                      most={100}
                      what="per cent"
                      onCommit={(rainChance) => change(i, { rainChance })}
                    />
                  </td>
                  <td>
                    <CountField
                      className={styles.narrow}
                      aria-label={`Rain in millimetres, ${name}`}
                      value={Math.round(day.rainMm)}
                      least={0}
                      most={500}
                      what="millimetres"
                      onCommit={(rainMm) => change(i, { rainMm })}
                    />
                  </td>
                  <td>
                    <CountField
                      className={styles.narrow}
                      aria-label={`Wind in km/h, ${name}`}
                      value={Math.round(day.windKmh)}
                      least={0}
                      most={200}
                      what="km/h"
                      onCommit={(windKmh) => change(i, { windKmh })}
                    />
                  </td>
                  <td>
                    <QuantityField
                      className={styles.narrow}
                      aria-label={`Coldest, night ${i + 1}`}
                      dimension="temperature"
                      value={day.minC}
                      onCommit={(minC) => minC !== null && change(i, { minC })}
                      doubt={day.minC > day.maxC ? 'Warmer than the day.' : undefined}
                    />
                  </td>
                  <td>{format.temperature(Math.round(conditions.days[i]!.warmestC))}</td>
                  <td>{night ? format.temperature(Math.round(night.coldestC)) : '–'}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      ) : (
        <p className="quiet">
          One figure holds for the whole trip.{' '}
          {canAsk ? '' : 'With a route and a first day the weather service can be asked.'}
        </p>
      )}
      {days && (
        <p className="quiet">
          {heights.length > 0
            ? `The temperatures entered are for ${heights.join(', ')} above the sea. `
            : 'The temperatures entered are those at the camp. '}
          The last two columns are what every check reads: {SCENARIO_WORDS[trip.scenario]}
          {ride && ', 6.5 °C colder for every 1000 m higher'}. A forecast is never certain: look again before
          you leave.
        </p>
      )}
      <div className={styles.buttons}>
        {canAsk && (
          <Button variant="default" loading={isAsking} onClick={() => void ask()}>
            Ask the weather service
          </Button>
        )}
        {days ? (
          <Button variant="default" onClick={() => set(null)}>
            One figure for the whole trip
          </Button>
        ) : (
          <Button variant="default" onClick={typeByDay}>
            Enter it day by day
          </Button>
        )}
      </div>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}
