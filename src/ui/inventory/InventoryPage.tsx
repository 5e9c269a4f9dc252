'use client';

import { Button, TextInput } from '@mantine/core';
import { IconArrowBackUp, IconArrowForwardUp, IconSearch } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { filtered, SHOW_ALL, standIns, STATES, type Filter, type Item } from '@/core/kit/inventory/filter';
import {
  asTaken,
  CONDITION_WORDS,
  CONDITIONS,
  ownedOf,
  SYSTEMS,
  type Condition,
  type OwnedThing,
  type System,
  type Thing,
} from '@/core/kit/thing';
import { LIMITS } from '@/core/plan/limits';
import { addDays } from '@/core/trip/trip';
import { formatterFor } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/parse';
import { QuickAdd } from '@/ui/kit/QuickAdd';
import { Choice } from '@/ui/shared/Choice';
import { Empty } from '@/ui/shared/States';
import { UnitsContext } from '@/ui/plan/units';
import { COLUMNS, InventoryGrid } from './InventoryGrid';
import styles from './Inventory.module.css';
import { ThingPanel } from './ThingPanel';
import { useInventory, type Change } from './useInventory';

const KitImport = dynamic(() => import('@/ui/kit/KitImport').then((module) => module.KitImport), {
  ssr: false,
});
const WeighMode = dynamic(() => import('@/ui/weigh/WeighMode').then((module) => module.WeighMode), {
  ssr: false,
});

/** A date needs attention when it comes within so many days. */
const SOON_DAYS = 30;

interface Props {
  initial: readonly Item[];
  units: UnitSystem;
  /** As 2027-04-01, where the server is. */
  today: string;
}

/** Everything owned, whichever trip uses it: looked through, weighed, kept in order, and what is still to be bought. */
export function InventoryPage({ initial, units, today }: Props) {
  const inventory = useInventory(initial);
  const { items } = inventory;
  const format = useMemo(() => formatterFor(units), [units]);
  const [filter, setFilter] = useState<Filter>(SHOW_ALL);
  const [saved, setSaved] = useSavedFilters();
  const [sorted, setSorted] = useState<{ column: number; isDown: boolean } | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [activeId, setActiveId] = useState<string | null>(null);
  const [importing, setImporting] = useState<{ pasted?: string } | null>(null);
  const [weighing, setWeighing] = useState(false);

  // Typing stays quick with thousands of things: the list follows a moment later.
  const asked = useDeferredValue(filter);
  const shown = useMemo(() => {
    const found = filtered(items, asked, addDays(today, SOON_DAYS));
    if (!sorted) return found;
    const { order } = COLUMNS[sorted.column]!;
    return [...found].sort((a, b) => (sorted.isDown ? order(b, a) : order(a, b)));
  }, [items, asked, sorted, today]);
  const selected = useMemo(() => shown.filter(({ thing }) => chosen.has(thing.id)), [shown, chosen]);
  const restedId = useRested(activeId);
  const active = shown.find(({ thing }) => thing.id === restedId) ?? null;
  const owned = items.filter(({ thing }) => !thing.toGet);
  const toGet = items.filter(({ thing }) => thing.toGet);

  useEffect(() => {
    const undo = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || isTyping(event.target))
        return;
      event.preventDefault();
      if (event.shiftKey) inventory.redo();
      else inventory.undo();
    };
    const paste = (event: ClipboardEvent) => {
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (isTyping(event.target) || !text.includes('\n')) return;
      event.preventDefault();
      setImporting({ pasted: text });
    };
    document.addEventListener('keydown', undo);
    document.addEventListener('paste', paste);
    return () => {
      document.removeEventListener('keydown', undo);
      document.removeEventListener('paste', paste);
    };
  }, [inventory]);

  const { change: changeThings } = inventory;
  const change = useCallback(
    (thing: OwnedThing, patch: Change['patch']) =>
      void changeThings(`${thing.name} changed`, [{ id: thing.id, patch }]),
    [changeThings],
  );
  const changeChosen = (patch: Change['patch']) =>
    void inventory.change(
      counted(selected.length, 'changed'),
      selected.map(({ thing }) => ({ id: thing.id, patch })),
    );
  const take = async (things: Thing[]): Promise<boolean> => {
    const known = new Map(items.map(({ thing }) => [thing.id, thing]));
    const fresh = things.filter(({ id }) => !known.has(id)).map(ownedOf);
    const changes = things.flatMap((thing): Change[] => {
      if (!known.has(thing.id)) return [];
      const { id, ...patch } = ownedOf(thing);
      return [{ id, patch }];
    });
    if (fresh.length > 0 && !(await inventory.add(counted(fresh.length, 'added'), fresh))) return false;
    return changes.length === 0 || inventory.change(counted(changes.length, 'changed'), changes);
  };
  const unused = selected.filter(({ trips }) => trips.length === 0);

  return (
    <UnitsContext value={units}>
      <main className={styles.page}>
        <header className={styles.header}>
          <Link href="/">Trips</Link>
          <h1>Inventory</h1>
          <span className="quiet">
            {owned.length} owned, {format.mass(owned.reduce((sum, { thing }) => sum + thing.massG, 0))}
            {toGet.length > 0 && (
              <>
                ; {toGet.length} to get, {priceOf(toGet)}
              </>
            )}
          </span>
          <span className={styles.space} />
          <Button
            variant="default"
            aria-label={inventory.undoLabel ? `Undo: ${inventory.undoLabel}` : 'Nothing to undo'}
            disabled={!inventory.undoLabel}
            onClick={inventory.undo}
          >
            <IconArrowBackUp size={18} />
          </Button>
          <Button
            variant="default"
            aria-label={inventory.redoLabel ? `Redo: ${inventory.redoLabel}` : 'Nothing to redo'}
            disabled={!inventory.redoLabel}
            onClick={inventory.redo}
          >
            <IconArrowForwardUp size={18} />
          </Button>
          <Button variant="default" onClick={() => setWeighing(true)} disabled={items.length === 0}>
            Weigh things
          </Button>
          <Button variant="default" onClick={() => setImporting({})}>
            Import CSV
          </Button>
          <Button variant="default" component="a" href="/api/inventory/list?format=csv">
            Save as CSV
          </Button>
          <Button variant="default" component="a" href="/api/inventory/list?format=pdf">
            Print list
          </Button>
        </header>
        <div className={styles.tools}>
          <QuickAdd
            full={items.length >= LIMITS.ownedThings}
            onAdd={(thing) => {
              void inventory.add(`${thing.name} added`, [ownedOf(thing)]);
              setActiveId(thing.id);
              return true;
            }}
          />
          <TextInput
            aria-label="Find"
            placeholder="Find in name, note or contents"
            leftSection={<IconSearch size={15} />}
            value={filter.text}
            onChange={(event) => setFilter({ ...filter, text: event.currentTarget.value })}
          />
          <Choice
            aria-label="System"
            value={filter.system}
            options={['all systems', ...SYSTEMS] as const}
            onChoose={(system) => setFilter({ ...filter, system })}
          />
          <Choice
            aria-label="Show"
            value={filter.state}
            options={STATES}
            onChoose={(state) => setFilter({ ...filter, state })}
          />
          <SavedFilters filter={filter} saved={saved} onSave={setSaved} onUse={setFilter} />
        </div>
        {inventory.problem && (
          <p role="alert" className={styles.alert}>
            {inventory.problem} What you changed last was undone.
          </p>
        )}
        {selected.length > 0 && (
          <div className={styles.bulk} role="group" aria-label="The chosen things">
            <strong>{selected.length} chosen</strong>
            <Choice
              aria-label="Set the system of the chosen"
              value=""
              options={['', ...SYSTEMS] as const}
              words={{ '': 'Set system …' }}
              onChoose={(system) => system && changeChosen({ system: system as System })}
            />
            <Choice
              aria-label="Set the condition of the chosen"
              value=""
              options={['', ...CONDITIONS] as const}
              words={{ '': 'Set condition …', ...CONDITION_WORDS }}
              onChoose={(condition) => condition && changeChosen({ condition: condition as Condition })}
            />
            <Button variant="default" onClick={() => changeChosen({ toGet: false })}>
              I have them
            </Button>
            <Button variant="default" onClick={() => changeChosen({ toGet: true })}>
              To get
            </Button>
            <Button
              variant="default"
              disabled={unused.length === 0}
              onClick={() =>
                void inventory.remove(
                  counted(unused.length, 'deleted'),
                  unused.map(({ thing }) => thing.id),
                )
              }
            >
              Delete {unused.length === selected.length ? '' : `the ${unused.length} on no trip`}
            </Button>
            <Button variant="default" onClick={() => setChosen(new Set())}>
              Choose none
            </Button>
          </div>
        )}
        {filter.state === 'to get' && <StandIns items={items} toGet={toGet} />}
        {items.length === 0 ? (
          <Empty
            title="Nothing here yet"
            actions={<Button onClick={() => setImporting({})}>Import CSV</Button>}
          >
            Type a thing above and press Enter, paste rows from a spreadsheet, or import a list. What trips
            use is kept here too, once and for all of them.
          </Empty>
        ) : (
          <div className={styles.columns}>
            <InventoryGrid
              items={shown}
              format={format}
              selected={chosen}
              onSelect={(id, isChosen) =>
                setChosen((known) => {
                  const next = new Set(known);
                  if (isChosen) next.add(id);
                  else next.delete(id);
                  return next;
                })
              }
              onSelectAll={(isChosen) =>
                setChosen(isChosen ? new Set(shown.map(({ thing }) => thing.id)) : new Set())
              }
              activeId={activeId}
              onActive={setActiveId}
              sorted={sorted}
              onSort={(column) =>
                setSorted(
                  sorted?.column !== column
                    ? { column, isDown: false }
                    : sorted.isDown
                      ? null
                      : { column, isDown: true },
                )
              }
              onChange={change}
            />
            {active && <ThingPanel item={active} format={format} onChange={change} />}
          </div>
        )}
        <p className={`quiet ${styles.hint}`} role="status">
          {shown.length === items.length ? '' : `${shown.length} of ${items.length} shown. `}
          {inventory.isSaving ? 'Saving … ' : ''}
          <span className={styles.keys} hidden={items.length === 0}>
            Arrow keys move, Enter changes a cell, space chooses a row, Ctrl Z takes back, pasted rows are
            read like a file.
          </span>
        </p>
        {importing && (
          <KitImport
            things={items.map(({ thing }) => asTaken(thing))}
            room={LIMITS.ownedThings - items.length}
            pasted={importing.pasted}
            onTake={take}
            onClose={() => setImporting(null)}
          />
        )}
        {weighing && (
          <WeighMode
            things={(selected.length > 0 ? selected : shown).map(({ thing }) => thing)}
            onWeigh={(thing, massG, massSource) => change(thing, { massG, massSource })}
            onClose={() => setWeighing(false)}
          />
        )}
      </main>
    </UnitsContext>
  );
}

function StandIns({ items, toGet }: { items: readonly Item[]; toGet: readonly Item[] }) {
  const found = toGet.flatMap(({ thing }) => {
    const others = standIns(items, thing);
    return others.length > 0 ? [{ thing, others }] : [];
  });
  if (found.length === 0) return null;
  return (
    <ul className={styles.standIns} aria-label="What you own already">
      {found.map(({ thing, others }) => (
        <li key={thing.id}>
          Before you buy {thing.name}: you own {others.map(({ name }) => name).join(' and ')}, of the same
          kind.
        </li>
      ))}
    </ul>
  );
}

const counted = (count: number, done: string): string =>
  `${count === 1 ? '1 thing' : `${count} things`} ${done}`;

function priceOf(items: readonly Item[]): string {
  const known = items.filter(({ thing }) => thing.price !== null);
  const sum = known.reduce((total, { thing }) => total + thing.price!, 0);
  const rest = items.length - known.length;
  return `${sum.toFixed(2)} in all${rest > 0 ? ` and ${rest} without a price` : ''}`;
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input:not([type=checkbox]), textarea, select') !== null;

const RESTS_MS = 200;

/** A value once it has stayed the same for a moment: the fields of a thing are many, and follow keys that rest. */
function useRested<Value>(value: Value): Value {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), RESTS_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return rested;
}

interface Named {
  name: string;
  filter: Filter;
}
const KEPT = 'gorvin inventory filters';

/** Filters with a name, kept in this browser. */
function useSavedFilters(): [readonly Named[], (saved: readonly Named[]) => void] {
  const [saved, setSaved] = useState<readonly Named[]>([]);
  useEffect(() => {
    try {
      // eslint-disable-next-line react-hooks/set-state-in-effect -- the server has no such store to read
      setSaved(JSON.parse(localStorage.getItem(KEPT) ?? '[]') as Named[]);
    } catch {
      // A store that cannot be read is an empty one.
    }
  }, []);
  return [
    saved,
    (next) => {
      setSaved(next);
      try {
        localStorage.setItem(KEPT, JSON.stringify(next));
      } catch {
        // Without room they last as long as the page.
      }
    },
  ];
}

function SavedFilters(props: {
  filter: Filter;
  saved: readonly Named[];
  onSave: (saved: readonly Named[]) => void;
  onUse: (filter: Filter) => void;
}) {
  const { filter, saved, onSave, onUse } = props;
  const name = [filter.text, filter.system, filter.state]
    .filter((part) => part !== '' && part !== 'all systems' && part !== 'everything')
    .join(', ');
  const isSaved = saved.some((each) => each.name === name);
  return (
    <>
      {saved.map((each) => (
        <Button
          key={each.name}
          variant={each.name === name ? 'filled' : 'default'}
          onClick={() => onUse(each.name === name ? SHOW_ALL : each.filter)}
        >
          {each.name}
        </Button>
      ))}
      {name !== '' && (
        <Button
          variant="default"
          onClick={() =>
            onSave(isSaved ? saved.filter((each) => each.name !== name) : [...saved, { name, filter }])
          }
        >
          {isSaved ? 'Forget this filter' : 'Keep this filter'}
        </Button>
      )}
    </>
  );
}
