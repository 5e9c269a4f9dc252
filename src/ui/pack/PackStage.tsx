'use client';

import { Button, Checkbox } from '@mantine/core';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { offersFor } from '@/core/advice/offer';
import type { Tested } from '@/core/entries/entry';
import { packSteps, type BagSteps, type PackStep } from '@/core/instructions/steps';
import type { Thing } from '@/core/kit/thing';
import { SectionDrawing } from '@/ui/load/SectionDrawing';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Empty } from '@/ui/shared/States';
import { Views } from '@/ui/shared/Views';
import { saveFile } from '@/ui/shared/saveFile';
import { FindThing } from './FindThing';
import { FloorList } from './FloorList';
import { LastMinute } from './LastMinute';
import { SetOut } from './SetOut';
import { TodoList } from './TodoList';
import type { Recorded } from './entryStore';
import { useRecorded } from './useRecorded';
import { WeighBag } from './WeighBag';
import styles from './PackStage.module.css';

const VIEWS = ['Before leaving', 'By bag', 'As laid out', 'Last minute', 'Set out'] as const;

interface Props {
  earlier?: readonly Tested[];
  /** Opens with what is to do before leaving. */
  isBeforeLeaving?: boolean;
}

/**
 * Packing, one thing at a time and bag by bag, with a tick for each thing that is in; then what is left for the last minute, the test
 * ride and departure.
 *
 * @param earlier answers of test rides on other trips
 */
export function PackStage({ earlier = [], isBeforeLeaving = false }: Props) {
  const { evaluation, store } = usePlan();
  const { entries, recorded } = useRecorded(store.tripId);
  const bags = useMemo(() => packSteps(evaluation), [evaluation]);
  /** Put off for now, and asked about again when the others are in. */
  const [later, setLater] = useState<readonly string[]>([]);
  const [view, setView] = useState<(typeof VIEWS)[number]>(isBeforeLeaving ? 'Before leaving' : 'By bag');
  const { packed, unsent, problem, isStuck } = recorded;

  const steps = bags.flatMap((bag) =>
    bag.steps.flatMap((step) => (step.thingId === null ? [] : [{ bag, step, thingId: step.thingId }])),
  );
  const things = [...new Set(steps.map(({ thingId }) => thingId))];
  const open = steps.filter(({ thingId }) => !packed.has(thingId));
  const next = open.find(({ thingId }) => !later.includes(thingId)) ?? open[0];
  const done = things.filter((id) => packed.has(id)).length;

  if (things.length === 0)
    return (
      <div className={styles.page}>
        <h1 className="visually-hidden">Pack</h1>
        <Empty
          title="There is nothing to pack yet"
          actions={<Link href={`/trips/${store.tripId}/load`}>Load the bike</Link>}
        >
          Say which thing goes in which bag first, or have it loaded for you. Then each bag is packed here,
          step by step.
        </Empty>
        <h2 className={styles.before}>Before leaving</h2>
        <TodoList done={recorded.done} onTick={(id, done) => entries.finish(id, done)} />
      </div>
    );
  return (
    <div className={styles.page}>
      <header className={styles.header}>
        <h1>Pack</h1>
        <span role="status">
          {done} of {things.length} packed
        </span>
        {unsent > 0 && (
          <span className="quiet">{unsent === 1 ? '1 entry' : `${unsent} entries`} kept on this phone</span>
        )}
        <FindThing />
      </header>
      {problem && unsent > 0 && (
        <p className={styles.problem} role="alert">
          {problem}{' '}
          {isStuck ? (
            <>
              What you ticked is kept on this phone.{' '}
              <button
                type="button"
                className={styles.save}
                onClick={() => saveFile('not-sent.json', JSON.stringify(entries.unsentEntries(), null, 2))}
              >
                Save it as a file
              </button>
            </>
          ) : (
            'What you tick is kept here and sent by itself later.'
          )}
        </p>
      )}
      <div className={styles.views}>
        <Views
          label="Show"
          value={view}
          onChoose={setView}
          options={VIEWS.map((value) => ({ value, label: value }))}
        />
      </div>
      {view === 'As laid out' && (
        <FloorList bags={bags} packed={packed} onTick={(id, is) => entries.tick(id, is)} />
      )}
      {view === 'Last minute' && (
        <LastMinute done={recorded.done} onTick={(id, done) => entries.finish(id, done)} />
      )}
      {view === 'Before leaving' && (
        <TodoList done={recorded.done} onTick={(id, done) => entries.finish(id, done)} />
      )}
      {view === 'Set out' && (
        <SetOut entries={entries} recorded={recorded} unticked={things.length - done} earlier={earlier} />
      )}
      <div className={styles.body} hidden={view !== 'By bag'}>
        <section className={styles.next} aria-label="Next">
          {next ? (
            <Next
              key={next.step.id}
              bag={next.bag}
              step={next.step}
              thingId={next.thingId}
              packed={packed}
              onPacked={() => entries.tick(next.thingId, true)}
              onLater={() => setLater([...later.filter((id) => id !== next.thingId), next.thingId])}
            />
          ) : (
            <>
              <h2>Everything is packed</h2>
              <p>
                Weigh the bags if you have a scale. Then what is left for the last minute, and the test ride.
              </p>
              <div className={styles.others}>
                <Button onClick={() => setView('Last minute')}>Last minute</Button>
                <Button variant="default" onClick={() => setView('Set out')}>
                  Test ride
                </Button>
              </div>
            </>
          )}
        </section>
        <div className={styles.bags}>
          {bags.map((bag) => (
            <Bag
              key={bag.compartmentId}
              bag={bag}
              recorded={recorded}
              onTick={(id, is) => entries.tick(id, is)}
              onWeigh={(id, massG) => entries.weigh(id, massG)}
            />
          ))}
        </div>
      </div>
    </div>
  );
}

interface NextProps {
  bag: BagSteps;
  step: PackStep;
  thingId: string;
  packed: ReadonlySet<string>;
  onPacked: () => void;
  onLater: () => void;
}

/** The thing whose turn it is, in large type, with where it lies in its bag. */
function Next({ bag, step, thingId, packed, onPacked, onLater }: NextProps) {
  const { evaluation, store, format } = usePlan();
  /** What more is asked: where else it could go, or what goes instead. */
  const [asked, setAsked] = useState<'elsewhere' | 'instead' | null>(null);
  const toggle = (what: typeof asked) => setAsked(asked === what ? null : what);
  const compartment = evaluation.byCompartment.get(bag.compartmentId)!;
  const thing = evaluation.thingById.get(thingId)!;
  const isDouble = compartment.spot.bag.opening === 'both ends';
  const shown = useMemo(() => new Set([...packed, thingId]), [packed, thingId]);
  const first = bag.steps.find(({ kind }) => kind === 'put in') === step;
  const place = (to: 'home' | { compartmentId: string }) =>
    store.edit({ kind: 'place', moves: [{ thingId, to }] });
  return (
    <>
      <h2>
        <span className={styles.letter}>{bag.letter}</span> {bag.name}
      </h2>
      {first && bag.note && <p className="quiet">{bag.note}</p>}
      {first &&
        bag.steps
          .filter(({ kind }) => kind === 'prepare')
          .map(({ id, words }) => (
            <p key={id} className="quiet">
              {words}
            </p>
          ))}
      <p className={styles.words}>{step.words}</p>
      <div className={styles.drawing}>
        <span className="small-label">{isDouble ? 'right mouth' : 'mouth'}</span>
        <SectionDrawing compartment={compartment} selected={thingId} only={shown} />
        <span className="small-label">{isDouble ? 'left mouth' : 'bottom'}</span>
      </div>
      <Button size="xl" fullWidth onClick={onPacked}>
        Packed
      </Button>
      <div className={styles.others}>
        <Button variant="default" onClick={onLater}>
          Can&rsquo;t find it now
        </Button>
        <Button variant="default" aria-expanded={asked === 'elsewhere'} onClick={() => toggle('elsewhere')}>
          Doesn&rsquo;t fit
        </Button>
        <Button variant="default" aria-expanded={asked === 'instead'} onClick={() => toggle('instead')}>
          Swap
        </Button>
        <Button variant="default" onClick={() => place('home')}>
          Leave at home
        </Button>
      </div>
      {asked === 'instead' && (
        <Instead
          thing={thing}
          onSwap={(otherId) =>
            store.edit({
              kind: 'place',
              moves: [
                { thingId, to: 'home' },
                { thingId: otherId, to: { compartmentId: bag.compartmentId } },
              ],
            })
          }
        />
      )}
      {asked === 'elsewhere' && (
        <div className={styles.others} role="group" aria-label="Where else">
          {offersFor(evaluation, thing, format)
            .filter(({ fits, spot }) => fits && spot.id !== bag.compartmentId)
            .sort((a, b) => a.spot.place.centre.x - b.spot.place.centre.x)
            .slice(0, 4)
            .map(({ spot, words }) => (
              <Button key={spot.id} variant="default" onClick={() => place({ compartmentId: spot.id })}>
                {spot.name} <span className="quiet">&nbsp;{words}</span>
              </Button>
            ))}
          <Button component={Link} variant="subtle" href={`/trips/${store.tripId}/load`}>
            Choose on the board
          </Button>
        </div>
      )}
    </>
  );
}

const SWAPS = 5;

/** Things in no bag that could go in a thing's stead: of its system and nearest in volume first. */
function Instead({ thing, onSwap }: { thing: Thing; onSwap: (thingId: string) => void }) {
  const { evaluation, format } = usePlan();
  const rank = (other: Thing) =>
    (other.system === thing.system ? 0 : 1e6) + Math.abs(other.volumeMl - thing.volumeMl);
  const others = [...evaluation.home, ...evaluation.floor].sort((a, b) => rank(a) - rank(b)).slice(0, SWAPS);
  return (
    <div className={styles.others} role="group" aria-label="What goes instead">
      {others.length === 0 && (
        <span className="quiet">
          Nothing else is on the floor or left at home. <Link href="kit">Add it to the kit</Link> first.
        </span>
      )}
      {others.map((other) => (
        <Button key={other.id} variant="default" onClick={() => onSwap(other.id)}>
          {other.name} <span className="quiet">&nbsp;{format.volume(other.volumeMl)}</span>
        </Button>
      ))}
    </div>
  );
}

interface BagProps {
  bag: BagSteps;
  recorded: Recorded;
  onTick: (thingId: string, packed: boolean) => void;
  onWeigh: (bagId: string, massG: number) => void;
}

/** One bag as a list to tick off. */
function Bag({ bag, recorded: { packed, readings }, onTick, onWeigh }: BagProps) {
  const { evaluation } = usePlan();
  const whole = evaluation.byCompartment.get(bag.compartmentId)!.spot.bag;
  const ids = [...new Set(bag.steps.flatMap(({ thingId }) => thingId ?? []))];
  const done = ids.filter((id) => packed.has(id)).length;
  return (
    <section className={styles.bag} aria-label={bag.name} data-done={done === ids.length || undefined}>
      <h2>
        <span className={styles.letter}>{bag.letter}</span> {bag.name}{' '}
        <span className="quiet">
          {done}/{ids.length}
        </span>
      </h2>
      <ol>
        {bag.steps.map(({ id, kind, thingId, words }) => (
          <li key={id} data-kind={kind}>
            {thingId === null ? (
              words
            ) : (
              <Checkbox
                label={words}
                checked={packed.has(thingId)}
                onChange={(event) => onTick(thingId, event.currentTarget.checked)}
              />
            )}
          </li>
        ))}
      </ol>
      {done === ids.length && whole.compartments[0]!.id === bag.compartmentId && (
        <WeighBag
          bag={whole}
          readingG={readings.get(whole.id) ?? null}
          onWeigh={(massG) => onWeigh(whole.id, massG)}
        />
      )}
    </section>
  );
}
