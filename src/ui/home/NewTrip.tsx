'use client';

import { Button, Checkbox, TextInput } from '@mantine/core';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { planFileValue } from '@/core/formats/planFile';
import { kindOf, type Kind } from '@/core/kit/kinds/kinds';
import { SYSTEMS } from '@/core/kit/thing';
import { starterList, thingsOf, type StarterEntry } from '@/core/needs/starter';
import { emptyPlan } from '@/core/plan/plan';
import { COOKING, MOST_NIGHTS, RAIN, SLEEPING, tripSchema, type Trip } from '@/core/trip/trip';
import { formatTemperature, formatterFor } from '@/core/units/format';
import { BARE_UNIT, parseQuantity, type UnitSystem } from '@/core/units/parse';
import { Choice } from '@/ui/shared/Choice';
import { CountField } from '@/ui/shared/CountField';
import { SystemGlyph } from '@/ui/shared/systems';
import styles from './NewTrip.module.css';

/** Days from first to last may be as many. */
const MOST_PEOPLE = 8;

/** What the rider changed of the list: ticks and other kinds, by entry. */
interface Changes {
  ticked: Readonly<Record<string, boolean>>;
  kinds: Readonly<Record<string, string>>;
}
const NO_CHANGES: Changes = { ticked: {}, kinds: {} };

/** Five questions, and the packing list that such a trip usually takes. */
export function NewTrip({ units }: { units: UnitSystem }) {
  const router = useRouter();
  const [name, setName] = useState('');
  const [trip, setTrip] = useState<Trip>(() => ({ ...emptyPlan('Trip').trip, nights: 1 }));
  const [cold, setCold] = useState<string | null>(null);
  const [people, setPeople] = useState(1);
  const [changes, setChanges] = useState(NO_CHANGES);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const set = (patch: Partial<Trip>) => setTrip((now) => ({ ...now, ...patch }));
  const format = useMemo(() => formatterFor(units), [units]);

  const temperature = cold === null ? null : parseQuantity(cold, 'temperature', BARE_UNIT.temperature[units]);
  const asked: Trip = {
    ...trip,
    name: name.trim() || defaultName(trip),
    nightMinimumC: temperature?.ok ? temperature.value : trip.nightMinimumC,
  };
  // The day that is expected by default is a mild one.
  asked.dayMaximumC = Math.max(asked.dayMaximumC, asked.nightMinimumC + 5);
  const sound = tripSchema.safeParse(asked);
  const entries = useMemo(
    () => starterList(asked, people).map((entry) => changed(entry, changes)),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the list follows from these answers alone
    [asked.nights, asked.sleeping, asked.cooking, asked.rain, asked.nightMinimumC, people, changes],
  );
  const taken = entries.filter(({ isTaken }) => isTaken);
  const massG = taken.reduce((sum, { kind, quantity }) => sum + quantity * kind.massG, 0);

  const make = async (list: readonly StarterEntry[]) => {
    if (!sound.success) return setProblem(sound.error.issues[0]!.message);
    setBusy(true);
    setProblem(null);
    const plan = {
      ...emptyPlan(asked.name),
      trip: sound.data,
      things: thingsOf(list, () => crypto.randomUUID()),
    };
    try {
      const response = await fetch('/api/trips', {
        method: 'POST',
        body: JSON.stringify({ from: 'list', plan: planFileValue(plan) }),
      });
      const body = (await response.json()) as { tripId?: string; error?: string };
      if (response.ok && body.tripId) return router.push(`/trips/${body.tripId}/bike`);
      setProblem(body.error ?? 'That did not work. Nothing was saved.');
    } catch {
      setProblem('Gorvin cannot be reached. Nothing was saved; try again.');
    }
    setBusy(false);
  };

  return (
    <main className={styles.page}>
      <p>
        <Link href="/">All trips</Link>
      </p>
      <h1>New trip</h1>
      <section className={styles.questions} aria-label="Five questions">
        <fieldset>
          <legend>When, and how many nights?</legend>
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
        </fieldset>
        <fieldset>
          <legend>How do you sleep?</legend>
          <Choice
            label="Sleeping in a"
            value={trip.sleeping}
            options={SLEEPING}
            onChoose={(sleeping) => set({ sleeping })}
          />
        </fieldset>
        <fieldset>
          <legend>How do you eat?</legend>
          <Choice
            label="Cooking"
            value={trip.cooking}
            options={COOKING}
            words={{ stove: 'I cook on a stove', 'no stove': 'cold food, no stove' }}
            onChoose={(cooking) => set({ cooking })}
          />
        </fieldset>
        <fieldset>
          <legend>How cold and wet?</legend>
          <TextInput
            label="Coldest night expected"
            value={cold ?? formatTemperature(trip.nightMinimumC, units)}
            error={temperature && !temperature.ok ? temperature.error : null}
            description="The lowest you would not be surprised by"
            onChange={(event) => setCold(event.currentTarget.value)}
          />
          <Choice label="Rain" value={trip.rain} options={RAIN} onChoose={(rain) => set({ rain })} />
        </fieldset>
        <fieldset>
          <legend>Alone, or with whom?</legend>
          <CountField
            label="People sharing tent and stove"
            value={people}
            least={1}
            most={MOST_PEOPLE}
            what="people"
            onCommit={setPeople}
          />
        </fieldset>
        <fieldset>
          <legend>What is it called?</legend>
          <TextInput
            label="Name"
            placeholder={defaultName(trip)}
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.currentTarget.value)}
          />
        </fieldset>
      </section>
      <section className={styles.list} aria-label="Packing list">
        <header className={styles.head}>
          <h2>What such a trip usually takes</h2>
          <span className="quiet">
            {taken.length} things, ≈ {format.mass(massG)} without water. Estimates: weigh what matters later.
          </span>
        </header>
        <div className={styles.actions}>
          <Button loading={busy} onClick={() => void make(taken)}>
            Take this list
          </Button>
          <Button variant="default" disabled={busy} onClick={() => void make([])}>
            Begin with an empty list
          </Button>
        </div>
        {problem && (
          <p role="alert" className={styles.problem}>
            {problem}
          </p>
        )}
        {SYSTEMS.filter((system) => entries.some(({ kind }) => kind.system === system)).map((system) => (
          <div key={system}>
            <h3>
              <SystemGlyph system={system} size={16} /> {system}
            </h3>
            <ul>
              {entries
                .filter(({ kind }) => kind.system === system)
                .map((entry) => (
                  <Entry key={entry.id} entry={entry} changes={changes} onChange={setChanges} />
                ))}
            </ul>
          </div>
        ))}
        <div className={styles.actions}>
          <Button loading={busy} onClick={() => void make(taken)}>
            Take this list of {taken.length}
          </Button>
        </div>
      </section>
      <p className={styles.caution}>
        Camping, fires and riding are legal only where they are: ask the landowner or the authority. A list
        does not replace your own judgement of weather and distance to help.
      </p>
    </main>
  );
}

function Entry(props: { entry: StarterEntry; changes: Changes; onChange: (changes: Changes) => void }) {
  const { entry, changes, onChange } = props;
  const { id, kind, others, quantity, why, need, isTaken } = entry;
  return (
    <li className={styles.entry}>
      <Checkbox
        checked={isTaken}
        label={`${kind.name}${quantity > 1 ? ` × ${quantity}` : ''}`}
        onChange={(event) =>
          onChange({ ...changes, ticked: { ...changes.ticked, [id]: event.currentTarget.checked } })
        }
      />
      <span className="quiet">
        {need === 'must' ? '' : `${need === 'nice' ? 'Nice to have' : 'Should come'}. `}
        {why}
      </span>
      {others.length > 0 && (
        <Choice
          size="xs"
          aria-label={`Instead of ${kind.name}`}
          value={kind.id}
          options={[kind.id, ...others.map((other) => other.id)]}
          words={Object.fromEntries([kind, ...others].map((one) => [one.id, one.name]))}
          onChoose={(chosen) => onChange({ ...changes, kinds: { ...changes.kinds, [id]: chosen } })}
        />
      )}
    </li>
  );
}

/** An entry with the rider's tick, and another kind chosen for it. */
function changed(entry: StarterEntry, { ticked, kinds }: Changes): StarterEntry {
  const all: Kind[] = [entry.kind, ...entry.others];
  // A quilt that was chosen stays a quilt when a colder night asks for a warmer one.
  const family = kindOf(kinds[entry.id] ?? null)?.family;
  const kind =
    all.find(({ id }) => id === kinds[entry.id]) ?? all.find((one) => one.family === family) ?? entry.kind;
  return {
    ...entry,
    kind,
    others: all.filter((other) => other !== kind),
    isTaken: ticked[entry.id] ?? entry.isTaken,
  };
}

const defaultName = ({ nights }: Trip): string =>
  nights === 0 ? 'Day ride' : nights === 1 ? 'Overnight' : `${nights} nights`;
