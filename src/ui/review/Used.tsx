import { Button, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { ANSWERS, logOf, missedNames, reviewAnswers, type Answer, type Entry } from '@/core/entries/entry';
import { SYSTEMS } from '@/core/kit/thing';
import { logWords } from '@/core/learning/logWords';
import { likelyAnswers } from '@/core/learning/nextTime';
import { plainText } from '@/core/units/text';
import type { EntryStore } from '@/ui/pack/entryStore';
import { usePlan, useSaving } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import stage from '@/ui/shared/stage.module.css';
import styles from './Review.module.css';

/** Each thing that came along: used or not, with a likely answer to begin with; and what was missed. */
export function Used({ entries, all }: { entries: EntryStore; all: readonly Entry[] }) {
  const { draft, format } = usePlan();
  const { departedAt } = useSaving();
  const { plan } = draft;
  const likely = useMemo(() => likelyAnswers(plan, all), [plan, all]);
  const given = useMemo(() => reviewAnswers(all), [all]);
  const missed = useMemo(() => missedNames(all), [all]);
  const log = useMemo(() => logOf(all), [all]);
  const open = [...likely.keys()].filter((id) => !given.has(id));
  const answer = (thingId: string, what: Answer) =>
    entries.record({ kind: 'reviewed', thingId, answer: what });
  return (
    <div className={stage.split}>
      <section>
        <p>
          {open.length === 0
            ? 'Every thing has an answer. Change one at any time; the last one counts.'
            : `${open.length} of ${likely.size} things have no answer yet. Likely ones are filled in, from your log and from what things are for.`}{' '}
          {open.length > 0 && (
            <Button
              size="compact-sm"
              onClick={() => {
                for (const id of open) answer(id, likely.get(id)!);
              }}
            >
              Keep these answers
            </Button>
          )}
        </p>
        <div className={styles.systems}>
          {SYSTEMS.map((system) => {
            const own = plan.things.filter((thing) => thing.system === system && likely.has(thing.id));
            if (own.length === 0) return null;
            return (
              <section key={system} className={styles.system} aria-label={system}>
                <h2>{system}</h2>
                <ul>
                  {own.map(({ id, name }) => (
                    <li key={id} data-open={!given.has(id) || undefined}>
                      <span>{name}</span>
                      <Choice
                        aria-label={`${name} was`}
                        size="xs"
                        value={likely.get(id)!}
                        options={ANSWERS}
                        onChoose={(what) => answer(id, what)}
                      />
                    </li>
                  ))}
                </ul>
              </section>
            );
          })}
        </div>
      </section>
      <aside className={stage.aside}>
        {!departedAt && (
          <p className="quiet">This trip has not set out yet. Answers are kept, and count once it has.</p>
        )}
        <section aria-label="Missed">
          <h2>What did you miss?</h2>
          <Missed onAdd={(name) => entries.record({ kind: 'missed', name })} />
          {missed.length > 0 && (
            <ul>
              {missed.map((name) => (
                <li key={name}>{name}</li>
              ))}
            </ul>
          )}
        </section>
        <section aria-label="From the log">
          <h2>From the log</h2>
          {log.length === 0 ? (
            <p className="quiet">Nothing was logged under Ride.</p>
          ) : (
            <ul>
              {log.map((line) => (
                <li key={line.id}>
                  <span className="quiet">Day {line.day}</span> {logWords(line, plan, format)}
                </li>
              ))}
            </ul>
          )}
        </section>
      </aside>
    </div>
  );
}

function Missed({ onAdd }: { onAdd: (name: string) => void }) {
  const [text, setText] = useState('');
  const name = plainText(text).slice(0, 120);
  return (
    <form
      className={styles.row}
      onSubmit={(event) => {
        event.preventDefault();
        if (!name) return;
        onAdd(name);
        setText('');
      }}
    >
      <TextInput
        aria-label="Missed"
        placeholder="A warmer hat"
        value={text}
        maxLength={120}
        autoComplete="off"
        onChange={(event) => setText(event.currentTarget.value)}
      />
      <Button type="submit" variant="default" disabled={!name}>
        Add
      </Button>
    </form>
  );
}
