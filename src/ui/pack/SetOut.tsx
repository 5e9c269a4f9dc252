import { Button } from '@mantine/core';
import { useState } from 'react';
import { testAnswers, testKey, type Tested } from '@/core/entries/entry';
import { testRide, type TestStep } from '@/core/instructions/testRide';
import { usePlan, useSaving } from '@/ui/plan/PlanProvider';
import { ask } from '@/ui/shared/ask';
import type { EntryStore, Recorded } from './entryStore';
import styles from './PackStage.module.css';

interface Props {
  entries: EntryStore;
  recorded: Recorded;
  /** Things of the load that are not ticked off. */
  unticked: number;
  /** Answers on earlier trips, of whatever bike. */
  earlier: readonly Tested[];
}

/** The test ride round the block, then the card for the bar bag, then departure. */
export function SetOut({ entries, recorded, unticked, earlier }: Props) {
  const { evaluation, store } = usePlan();
  const { departedAt, unsaved } = useSaving();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const bikeId = evaluation.plan.bike?.id ?? null;
  const steps = testRide(evaluation);
  const now = testAnswers(recorded.tested, bikeId ?? '');
  const before = testAnswers(earlier, bikeId ?? '');
  const floor = evaluation.floor.length;
  const stops = evaluation.findings.filter(({ severity }) => severity === 'stop');
  const depart = async () => {
    setBusy(true);
    const failed = await ask('PUT', `/api/trips/${store.tripId}/departure`);
    setProblem(failed);
    if (failed === null) await store.reload(true);
    setBusy(false);
  };
  return (
    <div className={styles.setOut}>
      <section aria-label="Test ride">
        <h2>Test ride</h2>
        <p>
          Packed as for the trip, once round the block. Ride where there is no traffic; stop at once when
          something touches a wheel.
        </p>
        {bikeId === null ? (
          <p className="quiet">Describe your bike first; answers are kept for each bag on it.</p>
        ) : (
          <ol className={styles.trials}>
            {steps.map((step) => (
              <Trial
                key={step.check}
                step={step}
                now={now}
                before={before}
                onAnswer={(bagId, isGood) => entries.answer(step.check, bikeId, bagId, isGood)}
              />
            ))}
          </ol>
        )}
      </section>
      <section aria-label="Set out">
        <h2>Packing card</h2>
        <p>
          One page with every bag in order, where first aid and repair are, tyre pressures, and a line for
          whom to call. Print it and keep it where others find it.
        </p>
        <div className={styles.others}>
          <Button component="a" variant="default" href={`/api/trips/${store.tripId}/card`} target="_blank">
            Packing card, A4
          </Button>
          <Button
            component="a"
            variant="default"
            href={`/api/trips/${store.tripId}/card?paper=letter`}
            target="_blank"
          >
            US letter
          </Button>
        </div>
        <h2>Set out</h2>
        {departedAt === null ? (
          <>
            <p>
              Setting out keeps the plan as it is now: later changes to your kit leave this trip alone. You
              can go back to planning within a day.
            </p>
            <ul>
              {stops.map(({ id, message }) => (
                <li key={id}>{message}</li>
              ))}
              {floor > 0 && (
                <li>{floor === 1 ? '1 thing is' : `${floor} things are`} still on the floor, in no bag.</li>
              )}
              {unticked > 0 && (
                <li>{unticked === 1 ? '1 thing is' : `${unticked} things are`} not ticked off.</li>
              )}
              {unsaved > 0 && <li>Some changes are not saved yet; this waits for them.</li>}
            </ul>
            <Button size="lg" loading={busy} disabled={unsaved > 0} onClick={() => void depart()}>
              {stops.length + floor + unticked > 0 ? 'Set out all the same' : 'Set out'}
            </Button>
          </>
        ) : (
          <p>This trip has set out. Have a good ride.</p>
        )}
        {problem && (
          <p role="alert" className={styles.over}>
            {problem}
          </p>
        )}
      </section>
    </div>
  );
}

interface TrialProps {
  step: TestStep;
  now: ReadonlyMap<string, Tested>;
  before: ReadonlyMap<string, Tested>;
  onAnswer: (bagId: string | null, isGood: boolean) => void;
}

/** One check of the test ride: good, or which bag is the cause and what to do. */
function Trial({ step, now, before, onAnswer }: TrialProps) {
  const [asked, setAsked] = useState(false);
  const subjects: { id: string | null; name: string }[] =
    step.bags.length > 0 ? step.bags.map(({ id, name }) => ({ id, name })) : [{ id: null, name: 'The bike' }];
  const answerOf = (answers: ReadonlyMap<string, Tested>, id: string | null) =>
    answers.get(testKey(step.check, id));
  const bad = subjects.filter(({ id }) => answerOf(now, id)?.isGood === false);
  const isGood = subjects.every(({ id }) => answerOf(now, id)?.isGood);
  const remembered = subjects.filter(({ id }) => answerOf(before, id)?.isGood === false);
  const notGood = () => {
    if (subjects.length === 1) onAnswer(subjects[0]!.id, false);
    else setAsked(!asked);
  };
  return (
    <li aria-label={step.check}>
      <p>
        <strong>{step.check[0]!.toUpperCase() + step.check.slice(1)}.</strong> {step.words}
      </p>
      {remembered.length > 0 && (
        <p className="quiet">On an earlier trip not good: {remembered.map(({ name }) => name).join(', ')}.</p>
      )}
      <div className={styles.others}>
        <Button
          size="compact-md"
          variant={isGood ? 'filled' : 'default'}
          aria-pressed={isGood}
          onClick={() => subjects.forEach(({ id }) => onAnswer(id, true))}
        >
          Good
        </Button>
        <Button
          size="compact-md"
          variant={bad.length > 0 ? 'filled' : 'default'}
          color={bad.length > 0 ? 'brick' : undefined}
          aria-pressed={bad.length > 0}
          onClick={notGood}
        >
          Not good
        </Button>
      </div>
      {asked && (
        <div className={styles.others} role="group" aria-label="Which bag">
          {subjects.map(({ id, name }) => (
            <Button
              key={id}
              size="compact-md"
              variant="default"
              onClick={() => (onAnswer(id, false), setAsked(false))}
            >
              {name}
            </Button>
          ))}
        </div>
      )}
      {bad.length > 0 && (
        <p role="status">
          {bad.map(({ name }) => name).join(', ')}: {step.whenNot}
        </p>
      )}
    </li>
  );
}
