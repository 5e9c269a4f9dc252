'use client';

import { ActionIcon } from '@mantine/core';
import { IconPin, IconX } from '@tabler/icons-react';
import { useRef } from 'react';
import type { CompartmentFacts } from '@/core/facts/facts';
import { closingWords } from '@/core/explain/closing';
import { thingMassG } from '@/core/kit/thing';
import { neededMl } from '@/core/packing/volume';
import { SystemGlyph } from '@/ui/shared/systems';
import { useScrollTo } from '@/ui/shared/useScrollTo';
import { isWide, SectionDrawing } from './SectionDrawing';
import { ThingOption } from './ThingOption';
import { useBoard, type BoardActions } from './useBoard';
import { spokenName } from './spokenName';
import styles from './BagSection.module.css';

/** The chosen bag cut open along its fill axis: what lies nearest the mouth stands on top. */
export function BagSection() {
  const board = useBoard();
  const { bag, evaluation, format, chooseBag } = board;
  const element = useRef<HTMLElement>(null);
  useScrollTo(element, bag?.id);
  if (!bag) return null;
  const own = evaluation.compartments.filter(({ spot }) => spot.bag.id === bag.id);
  const { contentsG, limitG, limitAssumed } = evaluation.byBag.get(bag.id)!;
  return (
    <section ref={element} className={styles.section} aria-label={`Inside ${bag.name}`}>
      <header className={styles.header}>
        <h2>{bag.name}</h2>
        <span className="quiet">
          {bag.place}, carries {format.mass(contentsG)} of {limitAssumed && '≈ '}
          {format.mass(limitG)}, weighs {format.mass(bag.massG)}
        </span>
        <ActionIcon
          variant="subtle"
          color="gray"
          aria-label={`Close ${bag.name}`}
          onClick={() => chooseBag(null)}
        >
          <IconX size={16} />
        </ActionIcon>
      </header>
      {own.map((compartment) => (
        <Cut key={compartment.spot.id} board={board} compartment={compartment} several={own.length > 1} />
      ))}
    </section>
  );
}

interface CutProps {
  board: BoardActions;
  compartment: CompartmentFacts;
  /** The bag has more than one, so that this one's name is needed. */
  several: boolean;
}

/** One compartment: as it lies, and the same in words from the mouth down. */
function Cut({ board, compartment, several }: CutProps) {
  const { evaluation, format, thingId, chooseThing, entryOf } = board;
  const { spot, things, fit } = compartment;
  const numbers = new Map(
    things.filter(({ id }) => !evaluation.holders.has(id)).map((thing, i) => [thing.id, i + 1]),
  );
  const nameOf = (id: string) => evaluation.thingById.get(id)!.name;
  return (
    <div className={styles.cut}>
      <div className={styles.end}>
        <span>
          {several && `${spot.compartment.name}: `}reached {spot.compartment.reach},{' '}
          {spot.compartment.weather}
          {spot.chamber.faceOpen ? '; opens along its side' : '; mouth on top'}
        </span>
        <span>{closingWords(compartment, format)}</span>
      </div>
      {things.length === 0 ? (
        <p className={styles.empty}>Empty. Choose a thing and press {spot.letter}, or drag it here.</p>
      ) : (
        <div className={styles.inside} data-wide={isWide(compartment) || undefined}>
          <SectionDrawing
            compartment={compartment}
            numbers={numbers}
            selected={thingId}
            onChoose={chooseThing}
          />
          <ul
            role="listbox"
            tabIndex={0}
            aria-label={`In ${spot.name}, from the mouth to the bottom`}
            aria-activedescendant={
              things.some((thing) => thing.id === thingId) ? `thing-${thingId}` : undefined
            }
            className={styles.list}
          >
            {things.map((thing) => {
              const holder = evaluation.holders.get(thing.id);
              const over = fit.under.find(([id]) => id === thing.id)?.[1];
              const note = fit.noPlace.includes(thing.id)
                ? 'finds no place'
                : over
                  ? `under ${nameOf(over)}`
                  : null;
              return (
                <ThingOption
                  key={thing.id}
                  id={thing.id}
                  selected={thing.id === thingId}
                  onChoose={() => chooseThing(thing.id)}
                  className={styles.thing}
                  label={`${spokenName(thing, format)}${
                    holder ? `, inside ${nameOf(holder)}` : ''
                  }${note ? `, ${note}` : ''}`}
                >
                  <span className={styles.place}>{holder ? '↳' : numbers.get(thing.id)}</span>
                  <SystemGlyph system={thing.system} />
                  <span className={styles.name}>
                    {thing.name}
                    {thing.quantity > 1 && ` × ${thing.quantity}`}
                    {note && <span className={styles.note}> {note}</span>}
                  </span>
                  {entryOf(thing.id)?.pinned && <IconPin size={14} aria-label="pinned" />}
                  <span className={styles.figure}>
                    {!holder && thing.volumeSource === 'estimate' && '≈ '}
                    {!holder && format.volume(neededMl(thing))}
                  </span>
                  <span className={styles.figure}>
                    {thing.massSource === 'estimate' && '≈ '}
                    {format.mass(thingMassG(thing))}
                  </span>
                </ThingOption>
              );
            })}
          </ul>
        </div>
      )}
    </div>
  );
}
