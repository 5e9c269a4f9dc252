'use client';

import { Button, NativeSelect } from '@mantine/core';
import { IconPin, IconPinnedOff } from '@tabler/icons-react';
import { memo, useMemo } from 'react';
import { TRAIT_WORDS, thingMassG, type Thing } from '@/core/kit/thing';
import { offersFor } from '@/core/advice/offer';
import { neededMl } from '@/core/packing/volume';
import { compartmentName } from '@/core/plan/edit';
import type { Facts } from '@/core/facts/facts';
import { whereIn } from '@/core/plan/where';
import type { Formatter } from '@/core/units/format';
import { SystemGlyph } from '@/ui/shared/systems';
import { useNextBreath } from '@/ui/shared/useNextBreath';
import { useLoaderView } from './LoaderProvider';
import { secondBestWords } from './secondBestWords';
import { Wishes } from './Wishes';
import { useBoard, type BoardActions } from './useBoard';
import styles from './ThingInHand.module.css';

/** The thing in hand: what it is, where it is and why, and where else it could go. */
export function ThingInHand() {
  const board = useBoard();
  const { thing } = board;
  if (!thing) {
    return (
      <p className={styles.none}>
        Choose a thing with the arrows or the pointer; put it in a bag by the bag&apos;s letter, or drag it
        there.
      </p>
    );
  }
  return <Chosen board={board} thing={thing} />;
}

function Chosen({ board, thing }: { board: BoardActions; thing: Thing }) {
  const { evaluation, format, entryOf, put, pin, store } = board;
  const { state } = useLoaderView();
  // How it would lie in each bag is worked out after the move itself has been shown.
  const asked = useNextBreath(useMemo(() => ({ facts: evaluation, thing }), [evaluation, thing]));
  const entry = entryOf(thing.id);
  const packed = entry !== undefined && entry.to !== 'home';
  const here = evaluation.compartmentOf.get(thing.id);
  const holder = evaluation.thingById.get(evaluation.holders.get(thing.id) ?? '');
  const reason =
    state.kind === 'done'
      ? state.proposal.reasons.find(
          (candidate) => candidate.thingId === thing.id && candidate.compartmentId === here,
        )
      : undefined;
  const second = reason?.secondBest && compartmentName(board.draft.plan, reason.secondBest.compartmentId);
  return (
    <section className={styles.hand} aria-label="Thing in hand">
      <div className={styles.title}>
        <SystemGlyph system={thing.system} size={18} />
        <h2>
          {thing.name}
          {thing.quantity > 1 && ` × ${thing.quantity}`}
        </h2>
        <span className={styles.where}>{whereIn(board.draft.plan)(thing)}</span>
      </div>
      <p className={styles.facts}>
        {thing.massSource === 'estimate' && '≈ '}
        {format.mass(thingMassG(thing))}, takes {thing.volumeSource === 'estimate' && '≈ '}
        {format.volume(neededMl(thing))}, {thing.form.kind}; needed: {thing.call}
        {thing.dry === 'must' && (thing.inDrySack ? '; in a dry sack' : '; must stay dry')}
        {thing.traits.map((trait) => `; ${TRAIT_WORDS[trait]}`)}
      </p>
      {reason && (
        <p className={styles.facts}>
          The loader put it here: {reason.because}.
          {second &&
            reason.secondBest &&
            ` ${second} would be ${secondBestWords(reason.secondBest.extraPoints)}.`}
        </p>
      )}
      <div className={styles.actions}>
        {holder && (
          <span className={styles.facts}>
            Packed inside {holder.name}, and goes where that goes.{' '}
            <Button
              size="xs"
              variant="default"
              onClick={() =>
                store.edit({ kind: 'decide things', changes: [{ id: thing.id, patch: { inside: null } }] })
              }
            >
              Take it out
            </Button>
          </span>
        )}
        {thing.carry === 'bike' && !holder && (
          <PutIn
            {...asked}
            here={evaluation.compartmentOf.get(asked.thing.id) ?? ''}
            format={format}
            onPut={(compartmentId) => put(asked.thing.id, { compartmentId })}
          />
        )}
        {entry && (
          <Button size="xs" variant="default" onClick={() => put(thing.id, 'floor')}>
            To the floor
          </Button>
        )}
        {entry?.to !== 'home' && thing.carry === 'bike' && !holder && (
          <Button size="xs" variant="default" onClick={() => put(thing.id, 'home')}>
            Leave at home
          </Button>
        )}
        {packed && (
          <Button
            size="xs"
            variant="default"
            leftSection={entry.pinned ? <IconPinnedOff size={14} /> : <IconPin size={14} />}
            onClick={() => pin(thing.id)}
          >
            {entry.pinned ? 'Unpin' : 'Pin'}
          </Button>
        )}
        {thing.carry === 'bike' && !holder && <Wishes board={board} thing={thing} />}
      </div>
    </section>
  );
}

interface PutInProps {
  facts: Facts;
  thing: Thing;
  here: string;
  format: Formatter;
  onPut: (compartmentId: string) => void;
}

/** Every bag with what the thing would find there. */
const PutIn = memo(
  function PutIn({ facts, thing, here, format, onPut }: PutInProps) {
    const offers = useMemo(() => offersFor(facts, thing, format), [facts, thing, format]);
    return (
      <NativeSelect
        size="xs"
        aria-label={`Put ${thing.name} in`}
        className={styles.select}
        value={here}
        onChange={(event) => onPut(event.currentTarget.value)}
      >
        <option value="" disabled>
          Put it in …
        </option>
        {offers.map(({ spot, fits, words }) => (
          <option key={spot.id} value={spot.id}>
            {fits ? '' : '✕ '}
            {spot.letter} {spot.name}: {words}
          </option>
        ))}
      </NativeSelect>
    );
  },
  // What putting does follows from the thing; a new function for the same one changes nothing shown.
  (a, b) => a.facts === b.facts && a.thing === b.thing && a.here === b.here && a.format === b.format,
);
