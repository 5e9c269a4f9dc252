'use client';

import { Button, FileButton, NativeSelect } from '@mantine/core';
import { useEffect, useState } from 'react';
import { parsePlanFile } from '@/core/formats/planFile';
import type { Setup } from '@/core/commands/putOnTrip';
import { withSetup } from '@/core/evaluation/compare';
import { LIMITS } from '@/core/plan/limits';
import { emptyPlan, withFreshIds, type Fellow, type Plan } from '@/core/plan/plan';
import { joinEdit, leaveEdit } from '@/core/commands/fellows';
import { sharesOf } from '@/core/plan/riders';
import { usePlan } from '@/ui/plan/PlanProvider';
import { fetchSetups } from '@/ui/bike/setups';
import { needsName, TextField } from '@/ui/shared/TextField';
import styles from './Fellows.module.css';

const SHARES = [0.5, 0.75, 1, 1.25, 1.5] as const;

/** Who else rides along, with which bike and bags, and how the load is shared. */
export function Fellows() {
  const { draft, store, evaluation, format } = usePlan();
  const { plan } = draft;
  const [setups, setSetups] = useState<Setup[]>([]);
  const [name, setName] = useState('');
  const [from, setFrom] = useState('mine');
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    // Without an answer a copy of this bike and a plan file are still offered.
    fetchSetups().then(setSetups, () => undefined);
  }, []);

  const join = (theirs: Plan) => {
    const fresh = withFreshIds(theirs, () => crypto.randomUUID());
    const fellow = { id: crypto.randomUUID(), name: name.trim() || 'Fellow rider', share: 1 };
    if (store.edit(joinEdit(plan, fellow, fresh))) setName('');
  };
  const takeAlong = () => {
    setProblem(null);
    const setup = setups.find(({ id }) => id === from) ?? plan;
    join(withSetup({ ...emptyPlan('Theirs'), rider: plan.rider }, setup));
  };
  const read = async (file: File | null) => {
    if (!file) return;
    const parsed = parsePlanFile(await file.text());
    setProblem(
      parsed.ok ? null : `${file.name} was not read. ${parsed.error.join(' ')} Nothing was changed.`,
    );
    if (parsed.ok) join(parsed.value);
  };
  const change = (fellow: Fellow) =>
    store.edit({
      kind: 'set fellows',
      fellows: plan.fellows.map((other) => (other.id === fellow.id ? fellow : other)),
    });
  const shares = sharesOf(plan);
  return (
    <section aria-label="Fellow riders" className={styles.fellows}>
      {plan.fellows.length > 0 && (
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">Rider</th>
              <th scope="col">Bike</th>
              <th scope="col">Bags hold</th>
              <th scope="col">Share of the load (yours is 1)</th>
              <th scope="col">Of the load</th>
              <th scope="col">
                <span className="visually-hidden">What to do</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {plan.fellows.map((fellow, k) => (
              <tr key={fellow.id}>
                <td>
                  <TextField
                    aria-label={`Name of ${fellow.name}`}
                    value={fellow.name}
                    maxLength={120}
                    check={needsName}
                    onCommit={(next) => change({ ...fellow, name: next })}
                  />
                </td>
                <td>{fellow.bike?.name ?? 'an average bike'}</td>
                <td>
                  {format.volume(evaluation.riders[k + 1]!.facts.totals.capacityMl)} in {fellow.bags.length}{' '}
                  bags
                </td>
                <td>
                  <NativeSelect
                    aria-label={`Share of ${fellow.name}`}
                    value={String(fellow.share)}
                    data={[...new Set([...SHARES, fellow.share])].map(String)}
                    onChange={(event) => change({ ...fellow, share: Number(event.currentTarget.value) })}
                  />
                </td>
                <td>{Math.round(shares[k + 1]! * 100)} %</td>
                <td>
                  <Button
                    size="compact-sm"
                    variant="default"
                    onClick={() => store.edit(leaveEdit(plan, fellow.id))}
                  >
                    Stays at home<span className="visually-hidden">: {fellow.name}</span>
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {plan.fellows.length < LIMITS.fellows && (
        <div className={styles.add}>
          <TextField
            label="Who rides along"
            value={name}
            maxLength={120}
            placeholder="A name"
            onCommit={setName}
          />
          <NativeSelect
            label="With which bike and bags"
            value={from}
            onChange={(event) => setFrom(event.currentTarget.value)}
          >
            <option value="mine">the same as yours</option>
            {setups.map((setup) => (
              <option key={setup.id} value={setup.id}>
                set-up: {setup.name}
              </option>
            ))}
          </NativeSelect>
          <Button variant="default" onClick={takeAlong}>
            Take along
          </Button>
          <FileButton accept=".json,application/json" onChange={(file) => void read(file)} resetRef={null}>
            {(props) => (
              <Button variant="default" {...props}>
                From their plan file
              </Button>
            )}
          </FileButton>
        </div>
      )}
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
      <p className="quiet">
        Each thing is carried by whose it is, until you share it on the board under Wishes: then it may go on
        any bike, and Load for me keeps what each carries near the shares. A plan file brings their kit and
        load too.
      </p>
    </section>
  );
}
