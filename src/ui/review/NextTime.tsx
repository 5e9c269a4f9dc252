import { Button } from '@mantine/core';
import { useMemo } from 'react';
import type { ThingHistory } from '@/core/learning/histories';
import { nextTime, type Advice } from '@/core/learning/nextTime';
import { kindOf } from '@/core/kit/kinds/kinds';
import { understand } from '@/core/kit/kinds/understand';
import { thingOfKind } from '@/core/kit/kinds/newThing';
import { usePlan, useSaving } from '@/ui/plan/PlanProvider';
import stage from '@/ui/shared/stage.module.css';
import styles from './Review.module.css';

const TITLES: Record<Advice['kind'], string> = {
  leave: 'Leave at home',
  take: 'Take along',
  replace: 'Replace',
  move: 'Pack elsewhere',
};

/** What to do otherwise, with the reason, and one press for what this trip can do about it. */
export function NextTime({
  histories,
  missed,
}: {
  histories: readonly ThingHistory[];
  missed: readonly string[];
}) {
  const { draft, store, evaluation } = usePlan();
  const { departedAt } = useSaving();
  const { plan } = draft;
  const advice = useMemo(() => nextTime(plan, histories, missed), [plan, histories, missed]);
  const add = (name: string) => {
    const { kind, ...understood } = understand(name);
    // What is not known by name is taken as big as a fist until its rider says more.
    const known = kind ?? kindOf('something-fist')!;
    const thing = thingOfKind(crypto.randomUUID(), known, understood);
    store.edit({ kind: 'put things', things: [{ ...thing, name, toGet: true }] });
  };
  const home = new Set(evaluation.home.map(({ id }) => id));
  if (advice.length === 0)
    return (
      <p className="quiet">
        Nothing yet. Review a trip that you rode: what goes unused on two trips, and what you missed, is named
        here.
      </p>
    );
  return (
    <div className={stage.parts}>
      {departedAt && (
        <p className={`quiet ${stage.wide}`}>
          This trip has set out and stays as it was. Begin the next one from it on the page of trips; what is
          said here waits there.
        </p>
      )}
      {(Object.keys(TITLES) as Advice['kind'][]).map((kind) => {
        const own = advice.filter((each) => each.kind === kind);
        if (own.length === 0) return null;
        return (
          <section key={kind} className={stage.part} aria-label={TITLES[kind]}>
            <h2>{TITLES[kind]}</h2>
            <ul className={styles.advice}>
              {own.map(({ thingId, what, why }) => (
                <li key={what}>
                  <span>
                    <strong>{what}</strong> <span className="quiet">{why}</span>
                  </span>
                  {!departedAt && kind === 'leave' && thingId !== null && !home.has(thingId) && (
                    <Button
                      size="compact-sm"
                      variant="default"
                      onClick={() => store.edit({ kind: 'place', moves: [{ thingId, to: 'home' }] })}
                    >
                      Leave<span className="visually-hidden"> {what}</span>
                    </Button>
                  )}
                  {!departedAt && kind === 'take' && (
                    <Button size="compact-sm" variant="default" onClick={() => add(what)}>
                      Add to the kit<span className="visually-hidden"> {what}</span>
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}
