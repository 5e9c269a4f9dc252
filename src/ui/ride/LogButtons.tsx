import { Button, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { TROUBLES, type Logged, type LoggedWhat } from '@/core/entries/entry';
import type { Planned } from '@/core/facts/food';
import { TROUBLE_WORDS } from '@/core/learning/logWords';
import { specOf } from '@/core/kit/specs';
import { portionOf } from '@/core/menu/portion';
import type { Plan } from '@/core/plan/plan';
import { plainText } from '@/core/units/text';
import { purposesOf } from '@/core/needs/purposes';
import { usePlan } from '@/ui/plan/PlanProvider';
import { QuantityField } from '@/ui/shared/QuantityField';
import styles from './Ride.module.css';

type Line = Partial<Omit<Logged, 'id' | 'at' | 'kind' | 'what'>> & { what: LoggedWhat };

interface Props {
  plan: Plan;
  food: readonly Planned[];
  onLog: (line: Line) => void;
}

const FIRST: readonly (readonly [LoggedWhat, string])[] = [
  ['drank', 'Drank'],
  ['ate', 'Ate'],
  ['filled', 'Filled'],
  ['bought', 'Bought'],
  ['charged', 'Charged'],
  ['gas left', 'Gas left'],
  ['arrived', 'Arrived'],
  ['trouble', 'Trouble'],
  ['repair', 'Repair'],
  ['weather', 'Weather'],
  ['slept', 'Slept'],
  ['note', 'Note'],
];
const ML = [250, 500, 750, 1000, 1500] as const;
const WH = [5, 10, 20, 40] as const;
/** As a float or a shake tells it. */
const FILLS = [
  [1, 'full'],
  [0.75, 'three quarters'],
  [0.5, 'half'],
  [0.25, 'a quarter'],
  [0, 'empty'],
] as const;
const WEATHERS = ['dry', 'rain', 'hot', 'cold', 'wind against you'] as const;
const SLEPT = ['well', 'cold', 'too warm', 'badly'] as const;

/** The log by two presses: what, then how much or which. */
export function LogButtons({ plan, food, onLog }: Props) {
  const { format } = usePlan();
  const [open, setOpen] = useState<LoggedWhat | null>(null);
  /** Which bag has trouble. */
  const [bagId, setBagId] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const log = (line: Line, words: string) => {
    onLog(line);
    setOpen(null);
    setBagId(null);
    setSaid(`${words} logged.`);
  };
  const press = (key: string, label: string, line: Line) => (
    <Button key={key} variant="default" onClick={() => log(line, label)}>
      {label}
    </Button>
  );
  const second = () => {
    switch (open) {
      case 'drank':
      case 'filled':
        return ML.map((ml) => press(String(ml), format.volume(ml), { what: open, amount: ml }));
      case 'charged':
        return WH.map((wh) => press(String(wh), `${wh} Wh`, { what: 'charged', amount: wh }));
      case 'ate': {
        const planned = food.map(({ thing }) => thing);
        const others = plan.things.filter((thing) => portionOf(thing) && !planned.includes(thing));
        return [...new Set([...planned, ...others])]
          .slice(0, 12)
          .map(({ id, name }) => press(id, name, { what: 'ate', amount: 1, thingId: id }));
      }
      case 'gas left':
        return <GasLeft plan={plan} press={press} onLog={log} />;
      case 'trouble': {
        const filled = plan.bags.filter(({ place }) => place !== 'body');
        return bagId === null
          ? filled.map(({ id, name }) => (
              <Button key={id} variant="default" onClick={() => setBagId(id)}>
                {name}
              </Button>
            ))
          : TROUBLES.map((trouble) =>
              press(trouble, TROUBLE_WORDS[trouble], { what: 'trouble', bagId, trouble }),
            );
      }
      case 'repair': {
        const parts = ['tube or tyre', 'chain', 'gears', 'brake', 'bag or strap', 'something else'];
        return parts.map((note) => press(note, note, { what: 'repair', note }));
      }
      case 'weather':
        return WEATHERS.map((note) => press(note, note, { what: 'weather', note }));
      case 'slept':
        return SLEPT.map((note) => press(note, note, { what: 'slept', note }));
      case 'bought':
      case 'note':
        return <Words key={open} what={open} onLog={(note) => log({ what: open, note }, 'Note')} />;
      default:
        return null;
    }
  };
  return (
    <>
      <div className={styles.buttons} data-open={open ?? undefined} role="group" aria-label="What happened">
        {FIRST.map(([what, label]) => (
          <Button
            key={what}
            variant={open === what ? 'filled' : 'default'}
            aria-expanded={open === what}
            onClick={() => {
              setBagId(null);
              // To have arrived is one press: the time is now.
              if (what !== 'arrived') return setOpen(open === what ? null : what);
              const now = new Date();
              log({ what, amount: 60 * now.getHours() + now.getMinutes() }, 'Arrival');
            }}
          >
            {label}
          </Button>
        ))}
      </div>
      {open && (
        <div className={styles.buttons} role="group" aria-label={FIRST.find(([what]) => what === open)![1]}>
          {second()}
        </div>
      )}
      <p className={styles.said} role="status">
        {said}
      </p>
    </>
  );
}

interface GasLeftProps {
  plan: Plan;
  press: (key: string, label: string, line: Line) => ReactNode;
  onLog: (line: Line, words: string) => void;
}

/** What is left in each canister, by how full it feels or by the scale: what was burnt teaches how much a litre takes. */
function GasLeft({ plan, press, onLog }: GasLeftProps) {
  const { format } = usePlan();
  const canisters = plan.things.filter(
    (thing) => purposesOf(thing).includes('fuel') && specOf(thing, 'fuelG') !== null,
  );
  if (canisters.length === 0) return <p className="quiet">No canister is in the kit.</p>;
  return canisters.map((thing) => {
    const fullG = thing.quantity * specOf(thing, 'fuelG')!;
    const { tareG } = thing.specs;
    const line = (amount: number): Line => ({
      what: 'gas left',
      thingId: thing.id,
      amount: Math.round(amount),
    });
    return (
      <div key={thing.id} className={styles.canister}>
        <span>{thing.name}</span>
        {FILLS.map(([share, words]) =>
          press(`${thing.id} ${share}`, `${words}, ${format.mass(share * fullG)}`, line(share * fullG)),
        )}
        {tareG !== undefined && thing.quantity === 1 && (
          <QuantityField
            label="Or it weighs"
            dimension="mass"
            value={null}
            onCommit={(massG) => massG !== null && onLog(line(Math.max(0, massG - tareG)), 'Gas left')}
          />
        )}
      </div>
    );
  });
}

function Words({ what, onLog }: { what: 'bought' | 'note'; onLog: (note: string) => void }) {
  const [text, setText] = useState('');
  const note = plainText(text).slice(0, 300);
  return (
    <form
      className={styles.where}
      onSubmit={(event) => {
        event.preventDefault();
        if (note) onLog(note);
      }}
    >
      <TextInput
        aria-label={what === 'bought' ? 'What you bought' : 'Note'}
        value={text}
        maxLength={300}
        autoComplete="off"
        autoFocus
        onChange={(event) => setText(event.currentTarget.value)}
      />
      <Button type="submit" disabled={!note}>
        Log it
      </Button>
    </form>
  );
}
