import { Button, Checkbox, MultiSelect } from '@mantine/core';
import { wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { menuEdit, menuProblem } from '@/core/commands/menu';
import { AIMS, type Eating } from '@/core/food/menuSchema';
import { ALLERGENS, DIETS } from '@/core/food/pantry';
import type { GivenUp } from '@/core/menu/menuProgram';
import type { MenuFound } from '@/core/menu/solveMenu';
import { COOKING } from '@/core/trip/trip';
import type { Formatter } from '@/core/units/format';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { CountField } from '@/ui/shared/CountField';
import type { MenuWorker } from '@/workers/menu.worker';
import stage from '@/ui/shared/stage.module.css';
import styles from './Provisions.module.css';

type State =
  | { kind: 'idle' }
  | { kind: 'working'; stop: () => void }
  | { kind: 'found'; found: MenuFound }
  | { kind: 'failed'; why: string };

/** How the rider eats, and the solver that fills the menu accordingly. */
export function FillMenu() {
  const { evaluation, draft, store, format } = usePlan();
  const { trip } = draft.plan;
  const { eating } = trip;
  const [usesPantry, setUsesPantry] = useState(true);
  const [state, setState] = useState<State>({ kind: 'idle' });
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), []);
  const set = (patch: Partial<Eating>) =>
    store.edit({ kind: 'set trip', patch: { eating: { ...eating, ...patch } } });

  const fill = async () => {
    const problem = menuProblem(evaluation, usesPantry);
    const thread = new Worker(new URL('../../workers/menu.worker.ts', import.meta.url), { type: 'module' });
    let isStopped = false;
    stop.current = () => {
      isStopped = true;
      thread.terminate();
      setState({ kind: 'idle' });
    };
    setState({ kind: 'working', stop: () => stop.current() });
    try {
      const found = await new Promise<MenuFound | null>((resolve, reject) => {
        thread.onerror = (event) => reject(new Error(event.message));
        wrap<MenuWorker>(thread).solve(problem).then(resolve, reject);
      });
      if (isStopped) return;
      if (!found || found.portions.length === 0) {
        setState({
          kind: 'failed',
          why: 'No menu was found: nothing that you eat is left to choose from. Your menu stays as it was. Take the pantry, or allow more.',
        });
        return;
      }
      store.edit(menuEdit(evaluation, found.portions, () => crypto.randomUUID()));
      setState({ kind: 'found', found });
    } catch (error) {
      if (!isStopped)
        setState({
          kind: 'failed',
          why: `The solver failed (${error instanceof Error ? error.message : 'no reason given'}). Your menu stays as it was.`,
        });
    } finally {
      thread.terminate();
      stop.current = () => undefined;
    }
  };

  return (
    <section className={stage.aside} aria-label="Fill the menu">
      <Choice
        label="You eat"
        value={trip.cooking}
        options={COOKING}
        words={{
          stove: 'cooked on a stove',
          'no stove': 'without a stove',
          'buy on the way': 'bought on the way',
        }}
        onChoose={(cooking) => store.edit({ kind: 'set trip', patch: { cooking } })}
      />
      <Choice label="Diet" value={eating.diet} options={DIETS} onChoose={(diet) => set({ diet })} />
      <MultiSelect
        label="You avoid"
        placeholder={eating.avoids.length === 0 ? 'nothing' : ''}
        data={[...ALLERGENS]}
        value={eating.avoids}
        onChange={(avoids) => set({ avoids: avoids as Eating['avoids'] })}
      />
      <CountField
        label="Eat less than you use by, %"
        description="Up to 20 % is usual for a weekend"
        value={eating.deficitPercent}
        least={0}
        most={40}
        what="per cent"
        onCommit={(deficitPercent) => set({ deficitPercent })}
      />
      <Choice label="Choose for" value={eating.aim} options={AIMS} onChoose={(aim) => set({ aim })} />
      <Checkbox
        label="Take foods that are not in the kit"
        checked={usesPantry}
        onChange={(event) => setUsesPantry(event.currentTarget.checked)}
      />
      {state.kind === 'working' ? (
        <Button variant="default" onClick={state.stop}>
          Looking for a menu; press to stop
        </Button>
      ) : (
        <Button onClick={() => void fill()}>Fill the menu for me</Button>
      )}
      <div role="status">
        {state.kind === 'found' && <Found found={state.found} format={format} />}
        {state.kind === 'failed' && (
          <p className={styles.answer} data-given>
            {state.why}
          </p>
        )}
      </div>
    </section>
  );
}

function Found({ found, format }: { found: MenuFound; format: Formatter }) {
  const given = found.givenUp.map((each) => givenWords(each, format));
  return (
    <p className={styles.answer} data-given={given.length > 0 || undefined}>
      {given.length === 0
        ? 'A menu that meets every wish. '
        : `Not every wish can be met. Given up: ${given.join('; ')}. `}
      {found.isProven
        ? 'No other is better for what you chose.'
        : `Another might be ${(100 * found.gap).toFixed(1)} % better at most.`}{' '}
      Locked lines stayed. Undo brings the old menu back.
    </p>
  );
}

function givenWords({ wish, day, by, unit }: GivenUp, format: Formatter): string {
  const amount = unit === 'kJ' ? format.energy(by) : unit === 'g' ? `${Math.ceil(by)} g` : null;
  if (amount === null) return `${wish} on day ${day}`;
  return `${amount} of ${wish} on day ${day}`;
}
