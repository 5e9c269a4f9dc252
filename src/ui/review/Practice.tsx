'use client';

import { Button } from '@mantine/core';
import { proxy, wrap } from 'comlink';
import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import type { Term } from '@/core/packing/costs';
import type { Score } from '@/core/practice/score';
import { usePlan, useSaving } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { Working } from '@/ui/shared/States';
import type { PracticeWorker } from '@/workers/practice.worker';
import stage from '@/ui/shared/stage.module.css';
import styles from './Review.module.css';

type State =
  | { kind: 'idle' }
  | { kind: 'working'; done: number }
  | { kind: 'scored'; score: Score }
  | { kind: 'failed'; why: string };

const BECAUSE: Record<Term, string> = {
  handling: 'the bike handles better',
  reach: 'you reach it when you need it',
  dry: 'it stays dry',
  'usual place': 'riders usually carry it there',
  together: 'its system stays together',
  'food bags': 'food shares fewer bags',
  apart: 'it lies apart from what it could harm',
  tight: 'the bag is less tight',
  balance: 'left and right weigh more alike',
  order: 'you dig less for it',
  fair: 'the load is shared more fairly',
  wishes: 'it is as you wished',
  'left behind': 'it comes along',
};

/** Levels are how much lies on the floor to be packed. */
const LEVELS = ['sleep and shelter', 'what you ride with', 'everything'] as const;
type Level = (typeof LEVELS)[number];
const WORDS: Record<Level, string> = {
  'sleep and shelter': 'Easy: sleep and shelter',
  'what you ride with': 'Middling: all but food and cooking',
  everything: 'Hard: everything',
};
const OF_LEVEL: Record<Level, (system: string) => boolean> = {
  'sleep and shelter': (system) => system === 'sleep' || system === 'shelter',
  'what you ride with': (system) => system !== 'food' && system !== 'cook',
  everything: () => true,
};

/** A load packed by hand against the loader's: the score, and the moves that would gain most. */
export function Practice() {
  const { draft, store } = usePlan();
  const { departedAt } = useSaving();
  const [level, setLevel] = useState<Level>('everything');
  const [state, setState] = useState<State>({ kind: 'idle' });
  const thread = useRef<Worker | null>(null);
  const stop = () => {
    thread.current?.terminate();
    thread.current = null;
  };
  useEffect(() => stop, []);
  const { plan } = draft;
  const inPlay = plan.things.filter(({ system, carry }) => carry === 'bike' && OF_LEVEL[level](system));
  const placed = inPlay.filter(({ id, inside }) =>
    plan.load.some(({ thingId, to }) => thingId === (inside ?? id) && to !== 'home'),
  );

  const score = async () => {
    stop();
    const worker = new Worker(new URL('../../workers/practice.worker.ts', import.meta.url), {
      type: 'module',
    });
    thread.current = worker;
    setState({ kind: 'working', done: 0 });
    // What is not in play stays at home, for the score alone.
    const ids = new Set(inPlay.map(({ id }) => id));
    const asked = {
      ...plan,
      things: plan.things.filter(({ id, carry }) => ids.has(id) || carry === 'worn'),
      load: plan.load.filter(({ thingId }) => ids.has(thingId)),
    };
    try {
      const found = await new Promise<Score>((resolve, reject) => {
        worker.onerror = (event) => reject(new Error(event.message));
        wrap<PracticeWorker>(worker)
          .score(
            asked,
            proxy((done: number) => setState({ kind: 'working', done })),
          )
          .then(resolve, reject);
      });
      setState({ kind: 'scored', score: found });
    } catch (error) {
      setState({ kind: 'failed', why: error instanceof Error ? error.message : 'no reason given' });
    } finally {
      stop();
    }
  };
  const clear = () =>
    store.edit({ kind: 'place', moves: inPlay.map(({ id }) => ({ thingId: id, to: 'floor' as const })) });

  return (
    <div className={stage.parts}>
      <section className={stage.part} aria-label="Practice">
        <h2>Pack by hand, against the loader</h2>
        <p>
          Put things into bags on the board as you would at home, then have it scored: 100 is as good as the
          loader’s load, 0 as good as bags filled without thinking.
        </p>
        <div className={styles.row}>
          <Choice label="Level" value={level} options={LEVELS} words={WORDS} onChoose={setLevel} />
        </div>
        <p>
          {placed.length} of {inPlay.length} things are packed.{' '}
          <Link href={`/trips/${store.tripId}/load`}>Pack on the board</Link>
        </p>
        <div className={styles.row}>
          <Button onClick={() => void score()} disabled={placed.length === 0 || state.kind === 'working'}>
            Score my load
          </Button>
          {!departedAt && placed.length > 0 && (
            <Button variant="default" onClick={clear}>
              Put everything on the floor
            </Button>
          )}
        </div>
        {state.kind === 'working' && (
          <Working
            label="Packing it myself, well and badly, to compare"
            done={state.done}
            onCancel={() => {
              stop();
              setState({ kind: 'idle' });
            }}
          />
        )}
        {state.kind === 'failed' && (
          <p role="alert">The score could not be found ({state.why}). Your load stays as it is; try again.</p>
        )}
      </section>
      {state.kind === 'scored' && (
        <section className={stage.part} aria-label="Score" role="status">
          <p className={styles.score}>
            <strong>{Math.round(state.score.score)}</strong> of 100
          </p>
          {state.score.gains.length === 0 ? (
            <p>No single move would make it better. What is left needs two things to change places.</p>
          ) : (
            <>
              <h2>What would gain most</h2>
              <ol>
                {state.score.gains.map(({ thingId, label, because, points }) => (
                  <li key={thingId}>
                    {label}: {BECAUSE[because]}.{' '}
                    <span className="quiet">
                      +
                      {Math.max(
                        1,
                        Math.round((100 * points) / Math.max(1, state.score.worst - state.score.best)),
                      )}{' '}
                      of 100
                    </span>
                  </li>
                ))}
              </ol>
            </>
          )}
          <details>
            <summary>Why</summary>
            <p className="quiet">
              Points of the load, fewer is better: yours {Math.round(state.score.yours)}, the loader’s{' '}
              {Math.round(state.score.best)}, loads filled at random {Math.round(state.score.worst)}. Score =
              100·(random − yours)/(random − loader). Numbers don’t replace a test ride.
            </p>
          </details>
        </section>
      )}
    </div>
  );
}
