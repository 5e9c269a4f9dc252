'use client';

import { ActionIcon } from '@mantine/core';
import { IconPin, IconX } from '@tabler/icons-react';
import { useEffect, useRef } from 'react';
import { thingMassG } from '@/core/kit/thing';
import { neededMl } from '@/core/load/volume';
import { SystemGlyph } from '@/ui/shared/systems';
import { ThingOption } from './ThingOption';
import { useBoard } from './useBoard';
import styles from './BagSection.module.css';

/** The chosen bag cut open along its fill axis: what lies nearest the mouth stands on top. */
export function BagSection() {
  const board = useBoard();
  const { bag, evaluation, format, thingId, chooseThing, chooseBag, entryOf } = board;
  const element = useRef<HTMLElement>(null);
  const open = bag?.id;
  useEffect(() => {
    if (open) element.current?.scrollIntoView({ block: 'nearest' });
  }, [open]);
  if (!bag) return null;
  const own = evaluation.compartments.filter(({ spot }) => spot.bag.id === bag.id);
  return (
    <section ref={element} className={styles.section} aria-label={`Inside ${bag.name}`}>
      <header className={styles.header}>
        <h2>{bag.name}</h2>
        <span className="quiet">
          {bag.place}, weighs {format.mass(bag.massG)}
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
      {own.map(({ spot, things, neededMl: needed }) => (
        <div key={spot.id} className={styles.cut}>
          <div className={styles.end}>
            <span>
              mouth{own.length > 1 && ` of ${spot.compartment.name}`}; reached {spot.compartment.reach},{' '}
              {spot.compartment.weather}
            </span>
            <span>
              {spot.capacityMl > needed ? `${format.volume(spot.capacityMl - needed)} free` : 'full'}
            </span>
          </div>
          {things.length === 0 ? (
            <p className={styles.empty}>Empty. Choose a thing and press {spot.letter}, or drag it here.</p>
          ) : (
            <ul
              role="listbox"
              tabIndex={0}
              aria-label={`In ${spot.name}, from the mouth to the bottom`}
              aria-activedescendant={
                things.some((thing) => thing.id === thingId) ? `thing-${thingId}` : undefined
              }
              className={styles.list}
            >
              {things.map((thing) => (
                <ThingOption
                  key={thing.id}
                  id={thing.id}
                  selected={thing.id === thingId}
                  onChoose={() => chooseThing(thing.id)}
                  className={styles.thing}
                  // Bands as high as their share of the compartment, as far as their names leave them readable.
                  style={{
                    flexGrow: neededMl(thing),
                    flexBasis: `${(120 * neededMl(thing)) / Math.max(spot.capacityMl, 1)}px`,
                  }}
                  label={`${thing.name}, ${format.mass(thingMassG(thing))}`}
                >
                  <SystemGlyph system={thing.system} />
                  <span className={styles.name}>
                    {thing.name}
                    {thing.quantity > 1 && ` × ${thing.quantity}`}
                  </span>
                  {entryOf(thing.id)?.pinned && <IconPin size={14} aria-label="pinned" />}
                  <span className={styles.figure}>{format.volume(neededMl(thing))}</span>
                  <span className={styles.figure}>{format.mass(thingMassG(thing))}</span>
                </ThingOption>
              ))}
            </ul>
          )}
          <div className={styles.end}>
            <span>bottom</span>
          </div>
        </div>
      ))}
    </section>
  );
}
