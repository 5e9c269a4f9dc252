'use client';

import { Button, Checkbox } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { ThingHistory } from '@/core/learning/histories';
import { needKey } from '@/core/learning/takeOver';
import { learnedChance, needId } from '@/core/needs/met';
import { enoughOf } from '@/core/enough/enough';
import { panelsOf, type Panel } from '@/core/explain/panels';
import { thingMassG, thingVolumeMl } from '@/core/kit/thing';
import { whyLeave, worthLeaving } from '@/core/needs/leave';
import { usePlan } from '@/ui/plan/PlanProvider';
import { reject } from '@/ui/shared/reject';
import { useLearned, type WhatTripsSay } from '@/ui/shared/useLearned';
import { Verdict } from '@/ui/shared/Verdict';
import { FindingItem } from '@/ui/shell/FindingItem';
import styles from './EnoughView.module.css';

/** So many things to leave are named. */
const TOLD = 8;

/** For each system: is it enough for this trip, what decides that, and what to do about it. */
export function EnoughView() {
  const { evaluation, draft, store, format } = usePlan();
  const panels = useMemo(() => panelsOf(evaluation, evaluation.findings, format), [evaluation, format]);
  const { dismissed } = draft.plan.trip;
  const learned = useLearned();
  return (
    <div className={styles.view}>
      <div className={styles.panels}>
        {panels.map((panel) => (
          <PanelSection key={panel.name} panel={panel} />
        ))}
      </div>
      <section className={styles.aside} aria-label="What to leave">
        <h2>What you could leave</h2>
        <Leave learned={learned} />
        <Checkbox
          mt="md"
          label="You sleep cold"
          description="Counts as 3 °C"
          checked={draft.plan.rider.coldSleeper}
          onChange={(event) =>
            store.edit({ kind: 'set rider', patch: { coldSleeper: event.currentTarget.checked } })
          }
        />
        {dismissed.length > 0 && <Dismissed rejected={learned.rejected} />}
      </section>
    </div>
  );
}

function PanelSection({ panel }: { panel: Panel }) {
  const { name, verdict, headline, figures, needs, findings, caution } = panel;
  const open = needs.filter(({ isDismissed }) => !isDismissed);
  return (
    <section className={styles.panel} aria-label={name}>
      <h2>
        {name} {verdict === 'unknown' ? <span className="quiet">not known</span> : <Verdict kind={verdict} />}
      </h2>
      <p className={styles.headline}>{headline}</p>
      {figures.length > 0 && (
        <dl className={styles.figures}>
          {figures.map(({ label, value, why }) => (
            <div key={label}>
              <dt>{label}</dt>
              <dd>{value}</dd>
              <dd className={styles.why}>{why}</dd>
            </div>
          ))}
        </dl>
      )}
      {findings.length > 0 && (
        <ul className={styles.findings} aria-label={`${name}: findings`}>
          {findings.map((finding) => (
            <FindingItem key={finding.id} finding={finding} />
          ))}
        </ul>
      )}
      {open.length > 0 && (
        <details>
          <summary>
            {open.filter(({ by }) => by.length > 0).length} of {open.length} needs met
          </summary>
          <ul className={styles.needs}>
            {open.map(({ what, by, isSingle, spare }) => (
              <li key={what} data-missing={by.length === 0 || undefined}>
                {what}: {by.length > 0 ? by.join(', ') : 'nothing'}
                {isSingle && spare && <span className="quiet">. {spare}</span>}
              </li>
            ))}
          </ul>
        </details>
      )}
      {caution && <p className={styles.caution}>{caution}</p>}
    </section>
  );
}

const unusedWords = (history: ThingHistory | undefined): string =>
  history && history.used === 0
    ? ` Unused on ${history.trips === 1 ? 'your last trip' : `${history.trips} trips of ${history.trips}`}.`
    : '';

/** What the rider said this trip does not need: asked for again, or on new trips no more either. What a danger is about always is. */
function Dismissed({ rejected }: { rejected: readonly string[] }) {
  const { evaluation, draft, store } = usePlan();
  const [said, setSaid] = useState<string | null>(null);
  const { dismissed } = draft.plan.trip;
  const own = enoughOf(evaluation).needs.filter(({ isDismissed }) => isDismissed);
  const forGood = own.filter(({ id, rule }) => rule.harm !== 'danger' && !rejected.includes(needKey(id)));
  const ask = async () => {
    for (const id of dismissed) await reject(needKey(id), false);
    store.edit({ kind: 'set trip', patch: { dismissed: [] } });
  };
  const never = async () => {
    const problems = await Promise.all(forGood.map(({ id }) => reject(needKey(id), true)));
    setSaid(problems.find((problem) => problem !== null) ?? 'New trips do not ask for it.');
  };
  return (
    <section aria-label="Not needed">
      <h2>Not needed</h2>
      <p>{own.map(({ rule }) => rule.what).join(', ') || 'Nothing that this trip would ask for.'}</p>
      <Button size="compact-sm" variant="default" onClick={() => void ask()}>
        Ask again ({dismissed.length})
      </Button>{' '}
      {forGood.length > 0 && said === null && (
        <Button size="compact-sm" variant="default" onClick={() => void never()}>
          Do not ask on new trips either
        </Button>
      )}
      {said && <p role="status">{said}</p>}
    </section>
  );
}

/** What would be missed least for the room and mass that it frees; nothing whose lack is a danger. */
function Leave({ learned: { calledFor, histories } }: { learned: WhatTripsSay }) {
  const { evaluation, store, format } = usePlan();
  const { needs, taken, isJudged } = enoughOf(evaluation);
  const found = useMemo(
    () =>
      worthLeaving(needs, taken, (rule) => {
        const { called, trips } = calledFor[needId(rule)] ?? { called: 0, trips: 0 };
        return learnedChance(rule.chance, called, trips);
      }).slice(0, TOLD),
    [needs, taken, calledFor],
  );
  if (!isJudged || found.length === 0)
    return <p className="quiet">Nothing stands out that you would not miss.</p>;
  return (
    <>
      <p className="quiet">
        Little regretted for what they weigh and take up. Luxuries are your own to judge.
      </p>
      <ul className={styles.leave} aria-label="What you could leave">
        {found.map((regret) => (
          <li key={regret.thing.id}>
            <span>
              <strong>{regret.thing.name}</strong>{' '}
              <span className="quiet">
                {format.mass(thingMassG(regret.thing))}, {format.volume(thingVolumeMl(regret.thing))}.{' '}
                {whyLeave(regret)}
                {unusedWords(histories.find(({ thingId }) => thingId === regret.thing.id))}
              </span>
            </span>
            <Button
              size="compact-sm"
              variant="default"
              onClick={() => store.edit({ kind: 'place', moves: [{ thingId: regret.thing.id, to: 'home' }] })}
            >
              Leave<span className="visually-hidden"> {regret.thing.name} at home</span>
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
