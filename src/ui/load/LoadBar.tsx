'use client';

import { Button } from '@mantine/core';
import { lazy, Suspense, useState } from 'react';
import { enoughOf } from '@/core/enough/enough';
import { TERMS } from '@/core/packing/costs';
import type { LoadProposal } from '@/core/load';
import { compartmentName } from '@/core/plan/edit';
import { FILLING_WORDS, FILLINGS } from '@/core/trip/trip';
import { compartmentsOf } from '@/core/plan/where';
import { loadSummary } from '@/core/evaluation/loadSummary';
import { dangerOfLeaving, regretsTogether, whyLeave } from '@/core/needs/leave';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { Working } from '@/ui/shared/States';
import { useNextBreath } from '@/ui/shared/useNextBreath';
import { secondBestWords } from './secondBestWords';
import { Limits } from './Limits';
import { useLoader, useLoaderView } from './LoaderProvider';
import type { LoaderState } from './loaderStore';
import { useBoard } from './useBoard';
import styles from './LoadBar.module.css';

const LoadComparison = lazy(() => import('./LoadComparison'));

/** Without a label beside it, so each choice says what it does. */
const FILL_WORDS = Object.fromEntries(FILLINGS.map((filling) => [filling, `fill ${FILLING_WORDS[filling]}`]));

/** Load for me: start, progress, cancel, what came of it, and comparing it with another load. */
export function LoadBar() {
  const { run, take, cancel, keep, forget } = useLoader();
  const { state, kept } = useLoaderView();
  const { draft, store } = useBoard();
  const [comparing, setComparing] = useState(false);
  return (
    <div className={styles.bar}>
      {state.kind === 'working' ? (
        <div className={styles.working}>
          <Working label={workingWords(state)} done={state.progress?.done ?? 0} onCancel={cancel} />
          {state.progress && (
            <Button size="compact-sm" onClick={take}>
              Use the best so far
            </Button>
          )}
        </div>
      ) : (
        <>
          <Button onClick={() => run()}>
            Load for me <kbd className={styles.kbd}>.</kbd>
          </Button>
          <Choice
            aria-label="Bags are filled"
            value={draft.plan.trip.filling}
            options={FILLINGS}
            words={FILL_WORDS}
            onChoose={(filling) => store.edit({ kind: 'set trip', patch: { filling } })}
          />
          {draft.plan.load.length > 0 && (
            <Button
              size="compact-sm"
              variant="default"
              onClick={() => keep(draft.plan.load, `kept, ${draft.plan.load.length} placed`)}
            >
              Keep to compare
            </Button>
          )}
          {draft.plan.load.length > 0 && (
            <Button size="compact-sm" variant="default" component="a" href={`/lists/${store.tripId}`}>
              List by bag
            </Button>
          )}
          {kept && (
            <Button
              size="compact-sm"
              variant={comparing ? 'filled' : 'default'}
              aria-expanded={comparing}
              onClick={() => setComparing(!comparing)}
            >
              Compare with the load {kept.name}
            </Button>
          )}
          {state.kind === 'failed' && (
            <p role="alert" className={styles.failed}>
              {state.reason}
            </p>
          )}
          {state.kind === 'done' && <Outcome proposal={state.proposal} onClose={cancel} />}
        </>
      )}
      {kept && comparing && (
        <Suspense fallback={null}>
          <LoadComparison
            kept={kept}
            onClose={() => setComparing(false)}
            onForget={() => {
              setComparing(false);
              forget();
            }}
          />
        </Suspense>
      )}
    </div>
  );
}

function workingWords(state: Extract<LoaderState, { kind: 'working' }>): string {
  if (!state.progress) return 'Laying out the bags';
  const { left } = state.progress;
  const rest = left === 0 ? 'everything fits' : left === 1 ? '1 thing left over' : `${left} things left over`;
  return `Best load so far: ${rest}`;
}

function Outcome({ proposal, onClose }: { proposal: LoadProposal; onClose: () => void }) {
  const { draft, store, format } = useBoard();
  const { run, findChanges } = useLoader();
  const { changes } = useLoaderView();
  // What the loader left may have been decided meanwhile.
  const open = proposal.leave.filter(
    ({ thingId }) =>
      draft.plan.things.some(({ id }) => id === thingId) &&
      !draft.plan.load.some((entry) => entry.thingId === thingId),
  );
  const names = open.map(({ name }) => name).join(', ');
  const placed = compartmentsOf(draft.plan);
  // What was moved on since, by the rider, is no longer the loader's to put back.
  const standing = proposal.moves.filter(({ thingId, to }) => (placed.get(thingId) ?? null) === to);
  const moved = proposal.moved === 1 ? '1 thing moved' : `${proposal.moved} things moved`;
  // With the whole of it undone, what it left and what limited it is not of the load that is there.
  if (proposal.moves.length > 0 && standing.length === 0)
    return (
      <div className={styles.outcome} role="status">
        <p>{moved}, then undone.</p>
        <div className={styles.actions}>
          <Button size="compact-sm" variant="subtle" onClick={onClose}>
            Close
          </Button>
        </div>
      </div>
    );
  return (
    <div className={styles.outcome} role="status">
      <p>
        {proposal.moved === 0 ? 'Nothing better was found; the load stays as it is.' : `${moved}.`}{' '}
        {open.length > 0 && (
          <>
            Leave {open.length === 1 ? 'this' : 'these'} behind and the rest fits: <strong>{names}</strong> (
            {format.mass(open.reduce((sum, { massG }) => sum + massG, 0))},{' '}
            {format.volume(open.reduce((sum, { volumeMl }) => sum + volumeMl, 0))}).
          </>
        )}
      </p>
      {open.length > 0 && <WhyLeave ids={open.map(({ thingId }) => thingId)} />}
      <Summary />
      <div className={styles.actions}>
        {open.length > 0 && (
          <Button
            size="compact-sm"
            onClick={() =>
              store.edit({
                kind: 'place',
                moves: open.map(({ thingId }) => ({ thingId, to: 'home' as const })),
              })
            }
          >
            Leave {open.length === 1 ? 'it' : 'them'} at home
          </Button>
        )}
        {open.length > 0 && changes.kind === 'idle' && (
          <Button size="compact-sm" variant="default" onClick={findChanges}>
            What would let it fit?
          </Button>
        )}
        <Button size="compact-sm" variant="default" onClick={() => run(true)}>
          Keep searching
        </Button>
        <Weighed proposal={proposal} />
        {proposal.limits.length > 0 && <Limits proposal={proposal} />}
        {proposal.moves.length > 0 && <Moves proposal={proposal} standing={standing} />}
        <Button size="compact-sm" variant="subtle" onClick={onClose}>
          Close
        </Button>
      </div>
      <Changes />
    </div>
  );
}

/** So many reasons are told at once; the rest is under Kit, "Is it enough?". */
const REASONS_TOLD = 4;

/** What leaving things would mean; a danger before anything else. */
function WhyLeave({ ids }: { ids: readonly string[] }) {
  const { evaluation } = usePlan();
  const { needs, taken, isJudged } = enoughOf(useNextBreath(evaluation));
  if (!isJudged) return null;
  const left = regretsTogether(needs, taken, new Set(ids));
  const dangers = left.flatMap((regret) => {
    const danger = dangerOfLeaving(regret);
    return danger === null ? [] : [{ name: regret.thing.name, danger }];
  });
  return (
    <>
      {dangers.map(({ name, danger }) => (
        <p key={name} role="alert" className={styles.danger}>
          Do not leave {name}. {danger}
        </p>
      ))}
      <p className="quiet">
        {left
          .filter((regret) => dangerOfLeaving(regret) === null)
          .slice(0, REASONS_TOLD)
          .map((regret) => `${regret.thing.name}: ${whyLeave(regret)}`)
          .join(' ')}
      </p>
    </>
  );
}

/** The smallest changes that would let everything in. */
function Changes() {
  const { cancel } = useLoader();
  const { changes } = useLoaderView();
  const { store, format } = useBoard();
  if (changes.kind === 'idle') return null;
  if (changes.kind === 'working')
    return <Working label="Trying small changes" done={changes.done} onCancel={cancel} />;
  const { found } = changes;
  return (
    <div className={styles.changes}>
      <p>
        {found.changes.length === 0
          ? 'No single small change was found that lets everything in.'
          : 'Everything goes in with one of these; each was tried:'}{' '}
        {found.leastMl > 0 &&
          `By volume alone ${format.volume(found.leastMl)} are short, so nothing that makes less room can do.`}
      </p>
      <ul>
        {found.changes.map((change) => (
          <li key={change.words}>
            {change.words}: makes {format.volume(change.freesMl)} of room.
            {change.edit && (
              <Button
                size="compact-xs"
                variant="default"
                onClick={() => change.edit && store.edit(change.edit)}
              >
                Do this<span className="visually-hidden">: {change.words}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What the load comes to, in the rider's terms. */
function Summary() {
  const { evaluation } = usePlan();
  const { fits, reach, handling, split } = loadSummary(useNextBreath(evaluation));
  return (
    <p className="quiet">
      {fits} {reach} {handling} {split}
    </p>
  );
}

function Weighed({ proposal }: { proposal: LoadProposal }) {
  const { objective, bound, before, terms } = proposal;
  return (
    <details className={styles.terms}>
      <summary>How this load scores</summary>
      <dl>
        {TERMS.map((term) => (
          <div key={term}>
            <dt>{term}</dt>
            <dd>{terms[term].toFixed(1)}</dd>
          </div>
        ))}
        <div>
          <dt>sum, lower is better</dt>
          <dd>{objective.toFixed(1)}</dd>
        </div>
        <div>
          <dt>before</dt>
          <dd>{before.toFixed(1)}</dd>
        </div>
        <div>
          <dt>at most from the best possible</dt>
          <dd>{(objective - bound).toFixed(1)}</dd>
        </div>
      </dl>
    </details>
  );
}

/** Each move with its reason and what the next best place would cost; any of them can be put back. */
function Moves({ proposal, standing }: { proposal: LoadProposal; standing: LoadProposal['moves'] }) {
  const { draft, store } = useBoard();
  const spotName = (id: string | null) => (id === null ? 'the floor' : compartmentName(draft.plan, id));
  const reasons = new Map(proposal.reasons.map((reason) => [reason.thingId, reason]));
  return (
    <details className={styles.moves}>
      <summary>Its moves, one by one</summary>
      <ul>
        {standing.map(({ thingId, name, from, to }) => {
          const reason = reasons.get(thingId);
          return (
            <li key={thingId}>
              <span>
                <strong>{name}</strong>: {spotName(from)} → {spotName(to)}
                {reason && <span className="quiet"> ({reason.because}</span>}
                {reason?.secondBest && (
                  <span className="quiet">
                    ; {spotName(reason.secondBest.compartmentId)} would be{' '}
                    {secondBestWords(reason.secondBest.extraPoints)}
                  </span>
                )}
                {reason && <span className="quiet">)</span>}
              </span>
              <Button
                size="compact-xs"
                variant="default"
                onClick={() =>
                  store.edit({
                    kind: 'place',
                    moves: [{ thingId, to: from === null ? 'floor' : { compartmentId: from } }],
                  })
                }
              >
                Put back<span className="visually-hidden"> {name}</span>
              </Button>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
