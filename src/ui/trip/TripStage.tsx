'use client';

import { TextInput } from '@mantine/core';
import dynamic from 'next/dynamic';
import { DEFAULT_POWER_W } from '@/core/ride/power';
import { riderSchema } from '@/core/plan/plan';
import { COOKING, FILLING_WORDS, FILLINGS, MOST_NIGHTS, RAIN, SLEEPING, type Trip } from '@/core/trip/trip';
import { SCENARIO_WORDS, SCENARIOS } from '@/core/trip/weather';
import { SURFACES } from '@/core/bike/tyrePressure';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { CountField } from '@/ui/shared/CountField';
import { RIDER_MASS } from '@/ui/shared/fieldUses';
import { QuantityField } from '@/ui/shared/QuantityField';
import { needsName, TextField } from '@/ui/shared/TextField';
import { Circumstances } from './Circumstances';
import { RouteSection } from './RouteSection';
import styles from './TripStage.module.css';

const Fellows = dynamic(() => import('./Fellows').then((module) => module.Fellows), { ssr: false });

/** Where, when and how: what everything later is judged against. */
export function TripStage() {
  const { draft, store } = usePlan();
  const { trip, rider } = draft.plan;
  const warmNight =
    trip.nightMinimumC > trip.dayMaximumC
      ? 'Warmer than the warmest day. It is taken; check the two.'
      : undefined;
  const set = (patch: Partial<Trip>) => store.edit({ kind: 'set trip', patch });
  return (
    <div className={styles.page}>
      <h1>Trip</h1>
      <p className="quiet">
        Nights and weather decide what the kit is judged against; your mass, how the bike balances.
      </p>
      <div className={styles.columns}>
        <section className={`${styles.fields} ${styles.trip}`} aria-label="The trip">
          <TextField
            className={styles.full}
            label="Name"
            value={trip.name}
            maxLength={120}
            check={needsName}
            onCommit={(name) => set({ name })}
          />
          <TextInput
            type="date"
            label="First day"
            value={trip.startDate ?? ''}
            onChange={(event) => set({ startDate: event.currentTarget.value || null })}
          />
          <CountField
            label="Nights"
            value={trip.nights}
            least={0}
            most={MOST_NIGHTS}
            what="nights"
            onCommit={(nights) => set({ nights })}
          />
          <Choice
            label="Sleeping in a"
            value={trip.sleeping}
            options={SLEEPING}
            onChoose={(sleeping) => set({ sleeping })}
          />
          <Choice
            label="Eating"
            value={trip.cooking}
            options={COOKING}
            words={{ stove: 'cooking on a stove', 'no stove': 'cold food, no stove' }}
            onChoose={(cooking) => set({ cooking })}
          />
          <Choice
            label="Most of the route is"
            value={trip.surface}
            options={SURFACES}
            onChoose={(surface) => set({ surface })}
          />
          {trip.weather === null && (
            <>
              <QuantityField
                label="Coldest night expected"
                dimension="temperature"
                value={trip.nightMinimumC}
                hint="The lowest you would not be surprised by"
                doubt={warmNight}
                onCommit={(value) => value !== null && set({ nightMinimumC: value })}
              />
              <QuantityField
                label="Warmest day expected"
                dimension="temperature"
                value={trip.dayMaximumC}
                onCommit={(value) => value !== null && set({ dayMaximumC: value })}
              />
              <Choice label="Rain" value={trip.rain} options={RAIN} onChoose={(rain) => set({ rain })} />
            </>
          )}
          <Choice
            label="Judge the trip in"
            description="Every check reads the weather you choose here"
            value={trip.scenario}
            options={SCENARIOS}
            words={SCENARIO_WORDS}
            onChoose={(scenario) => set({ scenario })}
          />
        </section>
        <section className={styles.route} aria-label="Route">
          <h2>Route</h2>
          <RouteSection />
        </section>
        <div className={styles.rest}>
          <h2 className={styles.sub}>Rider and load</h2>
          <section className={styles.fields} aria-label="Rider and load">
            <QuantityField
              label="Your mass"
              use={RIDER_MASS}
              dimension="mass"
              value={rider.massG}
              schema={riderSchema.shape.massG}
              hint="Without what you wear from the kit. 74 kg, 163 lb"
              onCommit={(value) =>
                value !== null && store.edit({ kind: 'set rider', patch: { massG: value } })
              }
            />
            <CountField
              label="Watts you keep up all day"
              value={rider.powerW ?? DEFAULT_POWER_W}
              least={40}
              most={500}
              what="watts"
              onCommit={(powerW) => store.edit({ kind: 'set rider', patch: { powerW } })}
            />
            <Choice
              label="Bags are filled"
              description="What matters most to the loader"
              value={trip.filling}
              options={FILLINGS}
              words={FILLING_WORDS}
              onChoose={(filling) => set({ filling })}
            />
          </section>
          <h2 className={styles.sub}>Land and law</h2>
          <Circumstances />
          <h2 className={styles.sub}>Fellow riders</h2>
          <Fellows />
        </div>
      </div>
      <p className={styles.caution}>
        Being wet or tired makes a night colder than its figure. Camping and riding are legal only where they
        are: ask the landowner or the authority.
      </p>
    </div>
  );
}
