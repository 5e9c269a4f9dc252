'use client';

import {
  DndContext,
  DragOverlay,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragOverEvent,
} from '@dnd-kit/core';
import { memo, useEffect, useRef, useState } from 'react';
import { offerAt } from '@/core/advice/offer';
import type { Facts } from '@/core/facts/facts';
import { BagRows } from './BagRows';
import { BagSection } from './BagSection';
import { DropBag } from './DropBag';
import { Floor } from './Floor';
import { LoadBar } from './LoadBar';
import { MomentControl } from './MomentControl';
import { useLoader } from './LoaderProvider';
import { RiderSwitch } from './RiderSwitch';
import { ThingInHand } from './ThingInHand';
import { useBoard, type Destination } from './useBoard';
import { useNextBreath } from '@/ui/shared/useNextBreath';
import { useBoardKeys } from './useBoardKeys';
import { BikeDrawing } from '@/ui/bike/BikeDrawing';
import styles from './Board.module.css';

/** Has the loader look ahead while the board is open and the rider rests. */
function useLookingAhead() {
  const { ready, busy } = useLoader();
  useEffect(() => {
    const leave = ready();
    const events = ['keydown', 'pointerdown'] as const;
    for (const event of events) window.addEventListener(event, busy, { capture: true, passive: true });
    return () => {
      for (const event of events) window.removeEventListener(event, busy, { capture: true });
      leave();
    };
  }, [ready, busy]);
}

/** The bike with its bags, the floor, and moving things between them. */
export function Board() {
  const board = useBoard();
  const { evaluation, format, bagId, chooseBag, chooseRider, chooseThing, put } = board;
  // What was pressed shows first, in the bag and its figures; the drawing follows in the next breath.
  const drawn = useNextBreath(evaluation);
  const [dragged, setDragged] = useState<string | null>(null);
  /** Why what is dragged does not go where it is held. */
  const [refused, setRefused] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    // A touch that moves at once scrolls; one that rests first picks up.
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  useBoardKeys(board);
  useLookingAhead();
  // Every other stage is about the rider's own bike.
  const ownBike = useRef(() => chooseRider(null));
  useEffect(() => ownBike.current, []);

  const hold = ({ active, over }: DragOverEvent) => {
    const to = over?.data.current?.to as Destination | undefined;
    const thing = evaluation.thingById.get(String(active.id));
    const spot = typeof to === 'object' && evaluation.byCompartment.get(to.compartmentId)?.spot;
    const offer = thing && spot ? offerAt(evaluation, thing, spot, format) : null;
    setRefused(offer && !offer.fits ? offer.words : null);
  };
  const drop = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    setRefused(null);
    const to = over?.data.current?.to as Destination | undefined;
    if (to !== undefined) put(String(active.id), to);
  };

  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      // Keyboard and screen reader have their own way on this board; the library's would be a second one.
      accessibility={{ screenReaderInstructions: { draggable: '' } }}
      onDragStart={({ active }) => {
        setDragged(String(active.id));
        chooseThing(String(active.id));
      }}
      onDragOver={hold}
      onDragCancel={() => {
        setDragged(null);
        setRefused(null);
      }}
      onDragEnd={drop}
    >
      <div className={styles.board} data-refused={refused !== null || undefined}>
        <h1 className="visually-hidden">Load</h1>
        <div className={`${styles.bars} screen-only`}>
          <LoadBar />
          <RiderSwitch />
          <MomentControl />
        </div>
        <div className={styles.picture}>
          <Picture facts={drawn} bagId={bagId} chooseBag={chooseBag} />
        </div>
        <BagRows />
        <div className={`${styles.hand} screen-only`}>
          <ThingInHand />
          <div className={styles.lower}>
            <BagSection />
            <Floor />
          </div>
        </div>
      </div>
      <DragOverlay dropAnimation={null}>
        {dragged && (
          <span className={styles.dragged}>
            {evaluation.thingById.get(dragged)?.name}
            {refused && `: ${refused}`}
          </span>
        )}
      </DragOverlay>
    </DndContext>
  );
}

interface PictureProps {
  facts: Facts;
  bagId: string | null;
  chooseBag: (bagId: string | null) => void;
}

/** The bike with its bags, each to be opened or dropped on. */
const Picture = memo(function Picture({ facts, bagId, chooseBag }: PictureProps) {
  return (
    <BikeDrawing
      facts={facts}
      selected={bagId}
      onSelect={(id) => chooseBag(id === bagId ? null : id)}
      wrapBag={(bag, shapes) => (
        <DropBag
          key={bag.bagId}
          bagId={bag.bagId}
          compartmentId={facts.plan.bags.find(({ id }) => id === bag.bagId)!.compartments[0]!.id}
        >
          {shapes}
        </DropBag>
      )}
    />
  );
});
