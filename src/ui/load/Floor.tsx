'use client';

import { useDroppable } from '@dnd-kit/core';
import { memo } from 'react';
import { SYSTEMS, thingMassG, type Form, type Thing } from '@/core/kit/thing';
import { thingSilhouette } from '@/core/kit/silhouette';
import type { Formatter } from '@/core/units/format';
import { SystemGlyph } from '@/ui/shared/systems';
import { ThingOption } from './ThingOption';
import { useBoard } from './useBoard';
import { spokenName } from './spokenName';
import styles from './Floor.module.css';

/** What is not on the bike yet, drawn to one scale and grouped as it would lie on a garage floor. */
export function Floor() {
  const { evaluation, thingId, chooseThing, format } = useBoard();
  const { floor, home, totals } = evaluation;
  const { setNodeRef, isOver } = useDroppable({ id: 'floor', data: { to: 'floor' } });
  const groups = SYSTEMS.map(
    (system) => [system, floor.filter((thing) => thing.system === system)] as const,
  ).filter(([, things]) => things.length > 0);
  return (
    <>
      <section
        ref={setNodeRef}
        className={styles.floor}
        data-over={isOver || undefined}
        aria-label="The floor"
      >
        <header className={styles.header}>
          <h2>On the floor</h2>
          <span className="quiet">
            {floor.length === 0
              ? 'nothing'
              : `${floor.length === 1 ? '1 thing' : `${floor.length} things`}, ${format.mass(totals.floorG)}`}
          </span>
        </header>
        {floor.length === 0 ? (
          <p className={styles.bare}>
            Everything is packed or left at home. Drag something here to take it out.
          </p>
        ) : (
          <div
            role="listbox"
            tabIndex={0}
            aria-label="Things on the floor"
            aria-activedescendant={
              floor.some((thing) => thing.id === thingId) ? `thing-${thingId}` : undefined
            }
          >
            {groups.map(([system, things]) => (
              <div key={system} role="group" aria-label={system} className={styles.group}>
                <div className={styles.system} aria-hidden="true">
                  <SystemGlyph system={system} /> {system}
                </div>
                <ul className={styles.tiles} role="presentation">
                  {things.map((thing) => (
                    <Tile
                      key={thing.id}
                      thing={thing}
                      selected={thing.id === thingId}
                      onChoose={chooseThing}
                      format={format}
                    />
                  ))}
                </ul>
              </div>
            ))}
          </div>
        )}
      </section>
      <Home things={home} />
    </>
  );
}

interface TileProps {
  thing: Thing;
  selected: boolean;
  onChoose: (id: string) => void;
  format: Formatter;
}

const Tile = memo(function Tile({ thing, selected, onChoose, format }: TileProps) {
  return (
    <ThingOption
      id={thing.id}
      selected={selected}
      onChoose={() => onChoose(thing.id)}
      className={styles.tile}
      label={spokenName(thing, format)}
    >
      <Silhouette form={thing.form} volumeMl={thing.volumeMl} />
      <span className={styles.name}>
        {thing.name}
        {thing.quantity > 1 && ` × ${thing.quantity}`}
      </span>
      <span className={styles.mass}>
        {thing.massSource === 'estimate' && '≈ '}
        {format.mass(thingMassG(thing))}
      </span>
    </ThingOption>
  );
});

function Home({ things }: { things: readonly Thing[] }) {
  const { thingId, chooseThing, format } = useBoard();
  const { setNodeRef, isOver } = useDroppable({ id: 'home', data: { to: 'home' } });
  return (
    <section
      ref={setNodeRef}
      className={styles.home}
      data-over={isOver || undefined}
      aria-label="Left at home"
    >
      <header className={styles.header}>
        <h2>Left at home</h2>
        <span className="quiet">
          {things.length === 0 ? 'Drop things here to leave them at home' : `${things.length}`}
        </span>
      </header>
      {things.length > 0 && (
        <ul role="listbox" tabIndex={0} aria-label="Things left at home" className={styles.homeList}>
          {things.map((thing) => (
            <ThingOption
              key={thing.id}
              id={thing.id}
              selected={thing.id === thingId}
              onChoose={() => chooseThing(thing.id)}
              className={styles.homeThing}
              label={spokenName(thing, format)}
            >
              {thing.name}{' '}
              <span className="quiet">
                {thing.massSource === 'estimate' && '≈ '}
                {format.mass(thingMassG(thing))}
              </span>
            </ThingOption>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Pixels for a millimetre on the floor: one scale for all things. */
const SCALE = 0.2;

const Silhouette = memo(function Silhouette({ form, volumeMl }: { form: Form; volumeMl: number }) {
  const { widthMm, heightMm, roundedMm } = thingSilhouette(form, volumeMl);
  const [width, height] = [widthMm * SCALE, heightMm * SCALE];
  return (
    <svg
      width={width + 2}
      height={height + 2}
      aria-hidden="true"
      className={styles.silhouette}
      data-form={form.kind}
    >
      <rect x={1} y={1} width={width} height={height} rx={roundedMm * SCALE} />
    </svg>
  );
});
