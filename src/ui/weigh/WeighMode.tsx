'use client';

import { Button, Checkbox, Modal, TextInput } from '@mantine/core';
import { useCallback, useEffect, useRef, useState, type SubmitEvent } from 'react';
import { CONDITION_WORDS, type OwnedThing } from '@/core/kit/thing';
import { formatterFor } from '@/core/units/format';
import { readField } from '@/core/units/reading';
import type { MassSource } from '@/core/units/uncertainty';
import { steadyMass, type Reading } from '@/core/weighing/steady';
import { unitSlip } from '@/core/weighing/unitSlip';
import { CountField } from '@/ui/shared/CountField';
import { useUnits } from '@/ui/plan/units';
import { bluetoothScale, hasBluetooth, simulatedScale, type LiveScale } from './scales';
import styles from './WeighMode.module.css';

/** Grams as they are typed: a bare figure is grams, or kilograms where it is too small for that. */
const TYPED = { bare: ['g'], usual: [0.1, 60_000], bounds: [0.1, 60_000] } as const;

interface Props {
  /** In the order in which they are to be weighed. */
  things: readonly OwnedThing[];
  /** Why a thing is asked for, by its id. */
  reasons?: ReadonlyMap<string, string>;
  onWeigh: (thing: OwnedThing, massG: number, source: MassSource) => void;
  onClose: () => void;
}

/**
 * Weighing with full hands: the next thing in large type, put it on, wait until the figure stands still, press Enter. Or type what a
 * scale without a radio shows.
 */
export function WeighMode({ things: given, reasons, onWeigh, onClose }: Props) {
  const format = formatterFor(useUnits());
  /** As it was when weighing began: what is weighed does not move things about. */
  const [things] = useState(given);
  const [index, setIndex] = useState(0);
  const [pieces, setPieces] = useState(1);
  const [tareG, setTareG] = useState(0);
  const [typed, setTyped] = useState('');
  const [readings, setReadings] = useState<readonly Reading[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [slip, setSlip] = useState<{ read: number; massG: number; unit: string } | null>(null);
  const [isAutomatic, setAutomatic] = useState(false);
  const [scale, setScale] = useState<LiveScale | null>(null);
  const [weighed, setWeighed] = useState(0);
  const field = useRef<HTMLInputElement>(null);
  const thing = things[index];

  useEffect(() => () => scale?.disconnect(), [scale]);
  useEffect(() => {
    if (!scale || !thing) return;
    let own: Reading[] = [];
    scale.listen({ thingId: thing.id, pieces }, (reading) => {
      if (!reading.ok) return setProblem(reading.error);
      setProblem(null);
      own = [...own.slice(-40), { massG: reading.value.massG, atMs: performance.now() }];
      setReadings(own);
    });
    return () => scale.rest();
  }, [scale, thing, pieces]);

  const steady = steadyMass(readings);
  const shownG = readings.at(-1)?.massG ?? null;

  const go = useCallback(
    (to: number) => {
      setIndex(Math.max(0, Math.min(things.length, to)));
      setTyped('');
      setSlip(null);
      setProblem(null);
      setPieces(1);
      setReadings([]);
      field.current?.focus();
    },
    [things.length],
  );
  const take = useCallback(
    (grossG: number) => {
      if (!thing) return;
      const massG = (grossG - tareG) / pieces;
      if (massG <= 0)
        return setProblem('That leaves nothing once the container is taken off. Weigh it again.');
      onWeigh(thing, Math.round(massG * 10) / 10, 'kitchen scale');
      setWeighed((count) => count + 1);
      go(index + 1);
    },
    [thing, tareG, pieces, onWeigh, go, index],
  );
  /** Takes a reading, or asks first where it would only make sense in another unit. */
  const offer = useCallback(
    (grossG: number) => {
      const found = thing ? unitSlip((grossG - tareG) / pieces, thing.massG) : null;
      if (found) setSlip({ read: grossG, ...found });
      else take(grossG);
    },
    [thing, tareG, pieces, take],
  );
  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the scale is outside: what stands still on it is an event
    if (isAutomatic && steady !== null && slip === null) offer(steady);
  }, [isAutomatic, steady, slip, offer]);

  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    if (slip) return take(slip.massG * pieces + tareG);
    if (typed.trim() === '') {
      if (steady !== null) offer(steady);
      else
        setProblem(
          scale
            ? 'The figure does not stand still yet. Wait a moment, or skip this one.'
            : 'Type what the scale shows, or connect one.',
        );
      return;
    }
    const read = readField(typed, 'mass', TYPED);
    if (!read.ok) return setProblem(read.error);
    offer(read.value.value);
  };
  const connect = (make: () => Promise<LiveScale>) =>
    make().then(setScale, () => setProblem('No scale was connected. Type the figures instead.'));

  return (
    <Modal opened onClose={onClose} size="lg" title="Weigh things">
      {!thing ? (
        <div className={styles.end} role="status">
          <p className={styles.name}>
            {weighed === 1 ? '1 thing was weighed.' : `${weighed} things were weighed.`}
          </p>
          <Button onClick={onClose}>Done</Button>
        </div>
      ) : (
        <form onSubmit={submit} className={styles.form}>
          <p className="quiet" role="status">
            {index + 1} of {things.length}
          </p>
          <p className={styles.name}>{thing.name}</p>
          <p className="quiet">
            {thing.massSource === 'estimate' ? 'Estimated' : 'So far'}: {format.mass(thing.massG)}
            {thing.condition !== 'fine' && `, ${CONDITION_WORDS[thing.condition]}`}. {reasons?.get(thing.id)}
          </p>
          {scale && (
            <p className={styles.reading} data-steady={steady !== null || undefined} aria-live="polite">
              {shownG === null ? '–' : format.mass(shownG)}
              <span className="quiet"> {steady === null ? 'waiting' : 'steady: press Enter'}</span>
            </p>
          )}
          <TextInput
            ref={field}
            label="The scale shows"
            data-autofocus
            value={typed}
            placeholder={scale ? 'or type it' : '870 g, 30.7 oz'}
            autoComplete="off"
            error={problem}
            onChange={(event) => {
              setTyped(event.currentTarget.value);
              setSlip(null);
              setProblem(null);
            }}
          />
          {slip && (
            <p role="alert" className={styles.slip}>
              {format.mass(slip.read)} is far from what was expected; in {slip.unit} it would be{' '}
              {format.mass(slip.massG)}. Press Enter to take that, or{' '}
              <Button size="compact-sm" variant="default" onClick={() => take(slip.read)}>
                take {format.mass(slip.read)} as it is
              </Button>
            </p>
          )}
          <div className={styles.options}>
            <CountField
              key={`${index} pieces`}
              label="Pieces on the scale"
              value={pieces}
              least={1}
              most={200}
              what="pieces"
              onCommit={setPieces}
            />
            <CountField
              label="Less, g"
              description="Container, or an empty canister"
              value={Math.round(tareG)}
              least={0}
              most={20_000}
              what="grams"
              onCommit={setTareG}
            />
          </div>
          <div className={styles.options}>
            <Button type="submit">Take it, and next</Button>
            <Button variant="default" onClick={() => go(index - 1)} disabled={index === 0}>
              Back
            </Button>
            <Button variant="default" onClick={() => go(index + 1)}>
              Skip
            </Button>
          </div>
          <div className={styles.options}>
            {!scale && (
              <Button variant="default" onClick={() => void connect(() => Promise.resolve(simulatedScale()))}>
                Use the simulated scale
              </Button>
            )}
            {!scale && hasBluetooth() && (
              <Button variant="default" onClick={() => void connect(bluetoothScale)}>
                Connect a Bluetooth scale
              </Button>
            )}
            {scale && (
              <>
                <Checkbox
                  label="Take a steady reading by itself"
                  checked={isAutomatic}
                  onChange={(event) => setAutomatic(event.currentTarget.checked)}
                />
                <Button
                  variant="default"
                  disabled={shownG === null}
                  onClick={() => shownG !== null && setTareG(shownG)}
                >
                  Tare: only the container is on it
                </Button>
                <Button variant="default" onClick={() => setScale(null)}>
                  Disconnect
                </Button>
              </>
            )}
          </div>
        </form>
      )}
    </Modal>
  );
}
