'use client';

import { Button, TextInput } from '@mantine/core';
import { useState, type SubmitEvent } from 'react';
import { isOpenWhenPassed } from '@/core/facts/open';
import type { PlaceOnRoute, Ride } from '@/core/facts/ride';
import type { Hours } from '@/core/trip/route/hours';
import { PLACE_KINDS, placeSchema, WATERS, type Place, type PlaceKind } from '@/core/trip/route/route';
import { clock } from '@/core/units/format';
import { plainText } from '@/core/units/text';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { PLACE_SIGNS } from './placeSigns';
import { indexAt } from './along';
import styles from './RouteSection.module.css';
import { onRouteWorker, today } from './routeWorker';

interface Props {
  ride: Ride;
  /** Where the cursor along the route is. */
  here: number;
}

/** What lies along the way, when it is passed and whether it is open then, and a form for one more. */
export function Places({ ride, here }: Props) {
  const { store, format } = usePlan();
  const { route, line } = ride;
  const [edited, setEdited] = useState<Place | null>(null);
  const onPlaces = (places: Place[]) => store.edit({ kind: 'change route', patch: { places } });
  const k = indexAt(ride, here);
  const fresh = (): Place => ({
    id: crypto.randomUUID(),
    name: '',
    kind: 'water',
    lat: line.lat[k]!,
    lon: line.lon[k]!,
    note: '',
    water: 'reliable',
    hours: null,
  });
  return (
    <>
      <h2 className={styles.sub}>Places on the way</h2>
      <table className={styles.days} aria-label="Places">
        <thead>
          <tr>
            <th scope="col">Place</th>
            <th scope="col">What</th>
            <th scope="col">At</th>
            <th scope="col">Off the route</th>
            <th scope="col">Passed</th>
            <th scope="col">
              <span className="visually-hidden">Change or remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {ride.places.map((each) => {
            const { place, alongM, offM, day, passMin } = each;
            return (
              <tr key={place.id}>
                <th scope="row">
                  {place.name}{' '}
                  <span className={styles.note}>
                    {place.note} {place.hours && `Open ${place.hours.text}`}
                  </span>
                </th>
                <td>
                  <span className={styles.letter} aria-hidden>
                    {PLACE_SIGNS[place.kind]}
                  </span>{' '}
                  {place.kind}
                  {place.kind === 'water' && place.water !== 'reliable' && `, ${place.water}`}
                </td>
                <td>{format.distance(alongM)}</td>
                <td>{offM < 100 ? 'on it' : format.distance(offM)}</td>
                <td data-late={isOpenWhenPassed(ride, each) === false || undefined}>
                  day {day}, {clock(passMin)}
                  {openWords(ride, each)}
                </td>
                <td className={styles.moves}>
                  <Button
                    size="compact-xs"
                    variant="default"
                    aria-label={`Change ${place.name}`}
                    onClick={() => setEdited(place)}
                  >
                    Change
                  </Button>
                  <Button
                    size="compact-xs"
                    variant="default"
                    aria-label={`Remove ${place.name}`}
                    onClick={() => onPlaces(route.places.filter(({ id }) => id !== place.id))}
                  >
                    ×
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {edited ? (
        <PlaceForm
          key={edited.id}
          place={edited}
          isNew={!route.places.some(({ id }) => id === edited.id)}
          onDone={(place) => {
            setEdited(null);
            if (place)
              onPlaces(
                route.places.some(({ id }) => id === place.id)
                  ? route.places.map((other) => (other.id === place.id ? place : other))
                  : [...route.places, place],
              );
          }}
        />
      ) : (
        <Button variant="default" mt="sm" onClick={() => setEdited(fresh())}>
          Add a place at {format.distance(here)}
        </Button>
      )}
    </>
  );
}

function openWords(ride: Ride, each: PlaceOnRoute): string {
  const open = isOpenWhenPassed(ride, each);
  return open === null ? '' : open ? ', open' : ', closed';
}

interface FormProps {
  place: Place;
  isNew: boolean;
  onDone: (place: Place | null) => void;
}

function PlaceForm({ place, isNew, onDone }: FormProps) {
  const { draft } = usePlan();
  const [kind, setKind] = useState<PlaceKind>(place.kind);
  const [water, setWater] = useState(place.water);
  const [problem, setProblem] = useState<string | null>(null);
  const save = async (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    const entered = new FormData(event.currentTarget);
    const text = (field: string) => plainText(String(entered.get(field) ?? '')).trim();
    let hours: Hours | null = null;
    const typed = text('hours');
    if (typed !== '') {
      const read = await onRouteWorker(
        async (api) => await api.hours(typed, draft.plan.trip.startDate ?? today()),
      );
      if (!read.ok) return setProblem(read.error);
      hours = read.value;
      if (hours.open.length === 0 && !hours.varies)
        return setProblem('With these hours it never opens. Leave them empty if they are not known.');
    }
    const next = placeSchema.safeParse({
      ...place,
      name: text('name') || kind,
      kind,
      water,
      note: text('note'),
      hours,
    });
    if (!next.success) return setProblem(next.error.issues[0]!.message);
    onDone(next.data);
  };
  return (
    <form
      className={styles.times}
      aria-label={isNew ? 'New place' : `Change ${place.name}`}
      onSubmit={(event) => void save(event)}
    >
      <Choice label="What is there" value={kind} options={PLACE_KINDS} onChoose={setKind} />
      <TextInput label="Called" name="name" defaultValue={place.name} maxLength={120} autoComplete="off" />
      {kind === 'water' ? (
        <Choice label="The water is" value={water} options={WATERS} onChoose={setWater} />
      ) : (
        <TextInput
          label="Open"
          name="hours"
          defaultValue={place.hours?.text ?? ''}
          placeholder="Mo-Fr 08:00-18:00; Sa 08:00-12:00"
          maxLength={255}
          autoComplete="off"
          error={problem}
        />
      )}
      <TextInput label="Note" name="note" defaultValue={place.note} maxLength={500} autoComplete="off" />
      <Button type="submit">{isNew ? 'Add the place' : 'Save'}</Button>
      <Button variant="default" onClick={() => onDone(null)}>
        Cancel
      </Button>
    </form>
  );
}
