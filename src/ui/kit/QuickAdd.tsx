import { Button, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { Kind } from '@/core/kit/kinds/kinds';
import { BIG_AS, thingFrom, thingOfKind, thingOfSize } from '@/core/kit/kinds/newThing';
import { sentenceOf } from '@/core/kit/kinds/sentence';
import { suggest, understand } from '@/core/kit/kinds/understand';
import { readQuickAdd } from '@/core/kit/quickAdd';
import type { Thing } from '@/core/kit/thing';
import { LIMITS } from '@/core/plan/limits';
import { formatterFor } from '@/core/units/format';
import { useUnits } from '@/ui/plan/units';
import styles from './QuickAdd.module.css';

/** From so sure on no other kinds are offered. */
const SURE = 0.9;

/**
 * A line that adds a thing by its name. Shows what was understood while it is typed, and kinds it may be; asks how big
 * something is that nobody knows.
 */
export function QuickAdd({ onAdd, full }: { onAdd: (thing: Thing) => boolean; full: boolean }) {
  const format = formatterFor(useUnits());
  const [line, setLine] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const [asking, setAsking] = useState(false);
  const typed = line.trim();
  const understood = useMemo(() => understand(typed.slice(0, 300)), [typed]);
  const others = useMemo(
    () =>
      understood.score > SURE
        ? []
        : suggest(typed.slice(0, 300))
            .filter(({ id }) => id !== understood.kind?.id)
            .slice(0, 3),
    [typed, understood],
  );
  const clear = () => {
    setLine('');
    setAsking(false);
    setWrong(null);
  };
  const add = (thing: Thing) => {
    if (!full && onAdd(thing)) clear();
  };
  const submit = () => {
    if (!typed || full) return;
    const figures = readQuickAdd(typed);
    if (!figures.ok) return setWrong(figures.error);
    const thing = thingFrom(crypto.randomUUID(), understood);
    if (thing) add(thing);
    else setAsking(true);
  };
  const choose = (kind: Kind) => {
    // Where only the beginning was typed, the kind's own name is the better one.
    const name = understood.kind ? understood.name : kind.name;
    add(thingOfKind(crypto.randomUUID(), kind, { ...understood, name }));
  };
  return (
    <form
      className={styles.add}
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <div className={styles.line}>
        <TextInput
          aria-label="Add a thing"
          aria-describedby="understood"
          placeholder="Add a thing: 2x tube 29, or Mug 78 g 0.4 l"
          value={line}
          onChange={(event) => {
            setLine(event.currentTarget.value);
            setAsking(false);
            setWrong(null);
          }}
          error={full ? `A kit holds at most ${LIMITS.things} things.` : wrong}
          className={styles.input}
        />
        <Button type="submit" disabled={!typed || full}>
          Add
        </Button>
      </div>
      {typed && (
        <div id="understood" className={styles.understood} aria-live="polite">
          {asking ? (
            <>
              <span>How big is {understood.name}? As big as</span>
              {BIG_AS.map((bigAs) => (
                <Button
                  key={bigAs}
                  size="compact-sm"
                  variant="default"
                  onClick={() => add(thingOfSize(crypto.randomUUID(), bigAs, understood))}
                >
                  {bigAs}
                </Button>
              ))}
            </>
          ) : (
            <>
              <span className="quiet">{sentenceOf(understood, format)}</span>
              {others.length > 0 && <span className="quiet">Or:</span>}
              {others.map((kind) => (
                <Button key={kind.id} size="compact-sm" variant="default" onClick={() => choose(kind)}>
                  {kind.name}
                </Button>
              ))}
            </>
          )}
        </div>
      )}
    </form>
  );
}
