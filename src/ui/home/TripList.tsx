'use client';

import { ActionIcon, Button, FileButton, Menu, Modal, TextInput } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { parsePlanFile, planFileValue } from '@/core/formats/planFile';
import { LIMITS } from '@/core/plan/limits';
import { Empty } from '@/ui/shared/States';
import { Next, type NextTrip } from './Next';
import { Unused, type UnusedItem } from './Unused';
import styles from './TripList.module.css';

export interface ListedTrip {
  id: string;
  name: string;
  startDate: string | null;
  nights: number;
  hasSetOut: boolean;
  things: number;
  loaded: number;
}

type Wish = { from: 'trip'; tripId: string; name: string } | { from: 'file'; plan: unknown };

/** All trips of the account, and the ways to begin another. */
export function TripList(props: {
  trips: ListedTrip[];
  next: NextTrip | null;
  unused: UnusedItem[];
  units: 'metric' | 'imperial';
}) {
  const { trips, next, unused, units } = props;
  const router = useRouter();
  const [problems, setProblems] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const [naming, setNaming] = useState<ListedTrip | null>(null);
  const [deleting, setDeleting] = useState<ListedTrip | null>(null);

  const send = async (url: string, init: RequestInit): Promise<{ tripId?: string } | null> => {
    setBusy(true);
    setProblems([]);
    try {
      const response = await fetch(url, init);
      const body = (await response.json()) as { tripId?: string; error?: string; problems?: string[] };
      if (response.ok) return body;
      setProblems(body.problems ?? [body.error ?? 'That did not work.']);
    } catch {
      setProblems(['Gorvin cannot be reached. Nothing was changed; try again.']);
    } finally {
      setBusy(false);
    }
    return null;
  };
  const make = async (wish: Wish) => {
    const made = await send('/api/trips', { method: 'POST', body: JSON.stringify(wish) });
    if (made?.tripId) router.push(`/trips/${made.tripId}/${wish.from === 'file' ? 'load' : 'trip'}`);
  };
  const openFile = async (file: File | null) => {
    if (!file) return;
    if (file.size > LIMITS.planFileBytes) {
      setProblems([
        `${file.name} has ${(file.size / 1024 / 1024).toFixed(0)} MB; a plan has at most ${LIMITS.planFileBytes / 1024 / 1024} MB. Is it the right file?`,
      ]);
      return;
    }
    const parsed = parsePlanFile(await file.text());
    if (parsed.ok) await make({ from: 'file', plan: planFileValue(parsed.value) });
    else setProblems(parsed.error);
  };
  const remove = async (trip: ListedTrip) => {
    setDeleting(null);
    if (await send(`/api/trips/${trip.id}`, { method: 'DELETE' })) router.refresh();
  };

  const removeOwned = async (items: readonly UnusedItem[]) => {
    const ids = (kind: UnusedItem['kind']) => items.flatMap((item) => (item.kind === kind ? [item.id] : []));
    const body = JSON.stringify({ thing: ids('thing'), bag: ids('bag'), bike: ids('bike') });
    if (await send('/api/inventory', { method: 'DELETE', body })) router.refresh();
  };

  return (
    <main className={styles.page}>
      <header className={styles.header}>
        <h1>Gorvin</h1>
        <p className="quiet">What goes in which bag, whether it fits, and what stays at home.</p>
      </header>
      <div className={styles.actions}>
        <Button component={Link} href="/trips/new">
          New trip
        </Button>
        <FileButton onChange={(file) => void openFile(file)} accept="application/json,.json">
          {(props) => (
            <Button {...props} variant="default" loading={busy}>
              Open a plan file
            </Button>
          )}
        </FileButton>
        <Button component={Link} href="/inventory" variant="default">
          Inventory
        </Button>
        <Button component={Link} href="/account" variant="subtle">
          Account
        </Button>
      </div>
      {problems.length > 0 && (
        <section role="alert" className={styles.problems}>
          <strong>That was not taken; nothing was changed.</strong>
          <ul>
            {problems.map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
          </ul>
        </section>
      )}
      {next && <Next trip={next} />}
      {trips.length === 0 ? (
        <Empty
          title="No trips yet"
          actions={
            <Button component={Link} href="/trips/new">
              Plan a trip
            </Button>
          }
        >
          Answer five questions and take the packing list for such a trip, or open a plan file that you saved
          or were given.
        </Empty>
      ) : (
        <ul className={styles.list} aria-label="Trips">
          {trips.map((trip) => (
            <li key={trip.id} className={styles.trip}>
              <Link href={`/trips/${trip.id}/load`} className={styles.name}>
                {trip.name}
              </Link>
              <span className="quiet">
                {trip.startDate ?? 'no date yet'} · {trip.nights === 1 ? '1 night' : `${trip.nights} nights`}
              </span>
              <span className={styles.count}>
                {trip.hasSetOut ? 'set out' : `${trip.loaded} of ${trip.things} things in bags`}
              </span>
              <Menu position="bottom-end">
                <Menu.Target>
                  <ActionIcon variant="subtle" color="gray" aria-label={`More for ${trip.name}`}>
                    <IconDots size={18} />
                  </ActionIcon>
                </Menu.Target>
                <Menu.Dropdown>
                  <Menu.Item onClick={() => setNaming(trip)}>Another trip with this kit</Menu.Item>
                  <Menu.Item component="a" href={`/api/trips/${trip.id}/plan`}>
                    Save as a file
                  </Menu.Item>
                  <Menu.Item color="brick" onClick={() => setDeleting(trip)}>
                    Delete
                  </Menu.Item>
                </Menu.Dropdown>
              </Menu>
            </li>
          ))}
        </ul>
      )}
      <Unused items={unused} units={units} busy={busy} onDelete={(items) => void removeOwned(items)} />
      {naming && (
        <NameTrip
          like={naming}
          onClose={() => setNaming(null)}
          onName={(name) => {
            setNaming(null);
            void make({ from: 'trip', tripId: naming.id, name });
          }}
        />
      )}
      {deleting && (
        <Modal opened onClose={() => setDeleting(null)} title="Delete this trip">
          <p className={styles.ask}>
            {deleting.name} will be gone, with its load and history. Its bike, bags and things stay yours.
            This cannot be undone; save it as a file first if you may want it again.
          </p>
          <div className={styles.actions}>
            <Button color="brick" onClick={() => void remove(deleting)}>
              Delete {deleting.name}
            </Button>
            <Button variant="default" onClick={() => setDeleting(null)}>
              Keep it
            </Button>
          </div>
        </Modal>
      )}
    </main>
  );
}

function NameTrip(props: { like: ListedTrip; onClose: () => void; onName: (name: string) => void }) {
  const [name, setName] = useState(`${props.like.name}, again`);
  const usable = name.trim().length > 0 && name.length <= 120;
  return (
    <Modal opened onClose={props.onClose} title="Another trip with this kit">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (usable) props.onName(name.trim());
        }}
      >
        <TextInput
          data-autofocus
          label="Name"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.currentTarget.value)}
          description="Bike, bags and things are the same ones; nothing is loaded yet."
        />
        <div className={styles.actions}>
          <Button type="submit" disabled={!usable}>
            Begin
          </Button>
        </div>
      </form>
    </Modal>
  );
}
