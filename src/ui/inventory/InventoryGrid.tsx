'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { cellPatch, type Cell, type Patch } from '@/core/kit/inventory/cells';
import type { Item } from '@/core/kit/inventory/filter';
import { CONDITION_WORDS, CONDITIONS, SYSTEMS, type OwnedThing } from '@/core/kit/thing';
import type { Formatter } from '@/core/units/format';
import { SystemGlyph } from '@/ui/shared/systems';
import styles from './Inventory.module.css';

interface Column {
  id: Cell | 'trips';
  header: string;
  /** As it is shown. */
  show: (item: Item, format: Formatter) => string;
  /** As it stands in the cell when it is typed in. */
  write: (thing: OwnedThing, format: Formatter) => string;
  options?: readonly string[];
  order: (a: Item, b: Item) => number;
  isNumber?: true;
}

const byText = (of: (item: Item) => string) => (a: Item, b: Item) => of(a).localeCompare(of(b), 'en');
const byNumber = (of: (item: Item) => number) => (a: Item, b: Item) => of(a) - of(b);

export const COLUMNS: readonly Column[] = [
  {
    id: 'name',
    header: 'Thing',
    show: ({ thing }) => thing.name,
    write: ({ name }) => name,
    order: byText(({ thing }) => thing.name),
  },
  {
    id: 'system',
    header: 'System',
    show: ({ thing }) => thing.system,
    write: ({ system }) => system,
    options: SYSTEMS,
    order: byNumber(({ thing }) => SYSTEMS.indexOf(thing.system)),
  },
  {
    id: 'mass',
    header: 'Mass',
    show: ({ thing }, format) => `${thing.massSource === 'estimate' ? '≈ ' : ''}${format.mass(thing.massG)}`,
    write: ({ massG }, format) => format.mass(massG),
    order: byNumber(({ thing }) => thing.massG),
    isNumber: true,
  },
  {
    id: 'volume',
    header: 'Packed',
    show: ({ thing }, format) =>
      `${thing.volumeSource === 'estimate' ? '≈ ' : ''}${format.volume(thing.volumeMl)}`,
    write: ({ volumeMl }, format) => format.volume(volumeMl),
    order: byNumber(({ thing }) => thing.volumeMl),
    isNumber: true,
  },
  {
    id: 'condition',
    header: 'Condition',
    show: ({ thing }) => (thing.toGet ? 'to get' : CONDITION_WORDS[thing.condition]),
    write: ({ condition }) => condition,
    options: CONDITIONS,
    order: byNumber(({ thing }) => CONDITIONS.indexOf(thing.condition)),
  },
  {
    id: 'due',
    header: 'Due',
    show: ({ thing }) => thing.dueOn ?? '',
    write: ({ dueOn }) => dueOn ?? '',
    order: byText(({ thing }) => thing.dueOn ?? '9999'),
  },
  {
    id: 'price',
    header: 'Price',
    show: ({ thing }) => (thing.price === null ? '' : thing.price.toFixed(2)),
    write: ({ price }) => (price === null ? '' : String(price)),
    order: byNumber(({ thing }) => thing.price ?? -1),
    isNumber: true,
  },
  {
    id: 'note',
    header: 'Note',
    show: ({ thing }) => thing.note,
    write: ({ note }) => note,
    order: byText(({ thing }) => thing.note),
  },
  {
    id: 'trips',
    header: 'Trips',
    show: ({ trips }) => trips.map(({ name }) => name).join(', '),
    write: () => '',
    order: byNumber(({ trips }) => trips.length),
  },
];

const ROW_PX = 38;
const HEAD_PX = 38;

/** The rows are of one height: their place is known without asking for a layout, which the package does frame by frame. */
function bringIntoView(box: HTMLElement, row: number): void {
  const [top, room] = [row * ROW_PX, box.clientHeight - HEAD_PX];
  if (top < box.scrollTop) box.scrollTop = top;
  else if (top + ROW_PX > box.scrollTop + room) box.scrollTop = top + ROW_PX - room;
}

interface Props {
  items: readonly Item[];
  format: Formatter;
  selected: ReadonlySet<string>;
  onSelect: (id: string, isSelected: boolean) => void;
  onSelectAll: (isSelected: boolean) => void;
  /** The thing whose row the keys are on. */
  activeId: string | null;
  onActive: (id: string) => void;
  sorted: { column: number; isDown: boolean } | null;
  onSort: (column: number) => void;
  onChange: (thing: OwnedThing, patch: Patch) => void;
}

/**
 * Everything owned as a grid: arrow keys move from cell to cell, Enter or typing changes one, space chooses a row. Only the rows in
 * view are drawn.
 */
export function InventoryGrid(props: Props) {
  const { items, format, selected, onSelect, onSelectAll, activeId, onActive, sorted, onSort, onChange } =
    props;
  const scroll = useRef<HTMLDivElement>(null);
  const [column, setColumn] = useState(0);
  const [editing, setEditing] = useState<{ typed: string; problem: string | null } | null>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- it keeps its own measurements; the compiler is not used
  const rows = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  const active = Math.max(0, activeId === null ? 0 : items.findIndex(({ thing }) => thing.id === activeId));
  const focused = useRef(false);
  const isEditing = editing !== null;
  useEffect(() => {
    if (!focused.current || isEditing) return;
    scroll.current?.querySelector<HTMLElement>('[role="gridcell"][tabindex="0"]')?.focus();
  }, [active, column, isEditing, items]);

  const go = (index: number, to: number) => {
    const row = Math.max(0, Math.min(items.length - 1, index));
    if (items.length === 0) return;
    bringIntoView(scroll.current!, row);
    onActive(items[row]!.thing.id);
    setColumn(Math.max(0, Math.min(COLUMNS.length - 1, to)));
    focused.current = true;
  };
  const edit = (typed?: string) => {
    const item = items[active];
    const { id, write } = COLUMNS[column]!;
    if (!item || id === 'trips') return;
    setEditing({ typed: typed ?? write(item.thing, format), problem: null });
  };
  const commit = (typed: string, next: 'down' | 'right' | 'stay') => {
    const item = items[active];
    const { id } = COLUMNS[column]!;
    if (!item || id === 'trips') return;
    if (typed !== COLUMNS[column]!.write(item.thing, format)) {
      const patch = cellPatch(item.thing, id, typed);
      if (!patch.ok) return setEditing({ typed, problem: patch.error });
      onChange(item.thing, patch.value);
    }
    focused.current = true;
    setEditing(null);
    if (next === 'down') go(active + 1, column);
    if (next === 'right') go(active, column + 1);
  };
  const keys = (event: KeyboardEvent) => {
    if (editing || event.nativeEvent.isComposing) return;
    const page = Math.max(1, Math.floor((scroll.current?.clientHeight ?? 400) / ROW_PX) - 2);
    const moves: Record<string, readonly [number, number]> = {
      ArrowDown: [active + 1, column],
      ArrowUp: [active - 1, column],
      ArrowRight: [active, column + 1],
      ArrowLeft: [active, column - 1],
      PageDown: [active + page, column],
      PageUp: [active - page, column],
      Home: [event.ctrlKey ? 0 : active, 0],
      End: [event.ctrlKey ? items.length - 1 : active, COLUMNS.length - 1],
    };
    const move = moves[event.key];
    if (move) go(...move);
    else if (event.key === 'Enter' || event.key === 'F2') edit();
    else if (event.key === ' ' && items[active])
      onSelect(items[active].thing.id, !selected.has(items[active].thing.id));
    else if (
      event.key.length === 1 &&
      !event.ctrlKey &&
      !event.metaKey &&
      !event.altKey &&
      !COLUMNS[column]!.options
    )
      edit(event.key);
    else return;
    event.preventDefault();
  };

  return (
    <div
      ref={scroll}
      className={styles.scroll}
      role="grid"
      aria-label="Inventory"
      aria-rowcount={items.length + 1}
      aria-multiselectable
      onKeyDown={keys}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) focused.current = false;
      }}
    >
      <div className={styles.head} role="row" aria-rowindex={1}>
        <span role="columnheader" className={styles.pick}>
          <input
            type="checkbox"
            aria-label="Choose all that are shown"
            checked={items.length > 0 && items.every(({ thing }) => selected.has(thing.id))}
            onChange={(event) => onSelectAll(event.currentTarget.checked)}
          />
        </span>
        {COLUMNS.map(({ id, header, isNumber }, k) => (
          <span
            key={id}
            role="columnheader"
            data-column={id}
            data-number={isNumber}
            aria-sort={sorted?.column === k ? (sorted.isDown ? 'descending' : 'ascending') : 'none'}
          >
            <button type="button" onClick={() => onSort(k)}>
              {header}
              {sorted?.column === k && <span aria-hidden>{sorted.isDown ? ' ↓' : ' ↑'}</span>}
            </button>
          </span>
        ))}
      </div>
      <div className={styles.body} style={{ height: rows.getTotalSize() }} role="presentation">
        {rows.getVirtualItems().map(({ index, start, key }) => (
          <Row
            key={key}
            item={items[index]!}
            index={index}
            start={start}
            format={format}
            isSelected={selected.has(items[index]!.thing.id)}
            activeColumn={index === active ? column : null}
            editing={index === active ? editing : null}
            onSelect={onSelect}
            onGo={go}
            onEdit={edit}
            onType={(typed) => setEditing({ typed, problem: null })}
            onCommit={commit}
            onCancel={() => {
              focused.current = true;
              setEditing(null);
            }}
          />
        ))}
      </div>
    </div>
  );
}

interface RowProps {
  item: Item;
  index: number;
  start: number;
  format: Formatter;
  isSelected: boolean;
  /** The column that the keys are on, if they are on this row. */
  activeColumn: number | null;
  editing: { typed: string; problem: string | null } | null;
  onSelect: (id: string, isSelected: boolean) => void;
  onGo: (row: number, column: number) => void;
  onEdit: () => void;
  onType: (typed: string) => void;
  onCommit: (typed: string, next: 'down' | 'right' | 'stay') => void;
  onCancel: () => void;
}

function Row({ item, index, start, format, isSelected, activeColumn, editing, ...act }: RowProps) {
  return (
    <div
      className={styles.row}
      role="row"
      aria-rowindex={index + 2}
      aria-selected={isSelected}
      data-active={activeColumn !== null || undefined}
      style={{ transform: `translateY(${start}px)` }}
    >
      <span role="gridcell" className={styles.pick}>
        <input
          type="checkbox"
          tabIndex={-1}
          aria-label={`Choose ${item.thing.name}`}
          checked={isSelected}
          onChange={(event) => act.onSelect(item.thing.id, event.currentTarget.checked)}
        />
      </span>
      {COLUMNS.map(({ id, header, show, options, isNumber }, k) => {
        const isActive = k === activeColumn;
        return (
          <span
            key={id}
            role="gridcell"
            data-column={id}
            data-number={isNumber}
            tabIndex={isActive ? 0 : -1}
            onClick={() => act.onGo(index, k)}
            onDoubleClick={() => act.onEdit()}
            title={id === 'trips' || id === 'note' ? show(item, format) : undefined}
          >
            {isActive && editing ? (
              <Editor
                label={`${header} of ${item.thing.name}`}
                options={options}
                {...editing}
                onType={act.onType}
                onCommit={act.onCommit}
                onCancel={act.onCancel}
              />
            ) : (
              <>
                {id === 'system' && <SystemGlyph system={item.thing.system} size={15} />}
                <span className={styles.text}>{show(item, format)}</span>
              </>
            )}
          </span>
        );
      })}
    </div>
  );
}

interface EditorProps {
  label: string;
  options: readonly string[] | undefined;
  typed: string;
  problem: string | null;
  onType: (typed: string) => void;
  onCommit: (typed: string, next: 'down' | 'right' | 'stay') => void;
  onCancel: () => void;
}

function Editor({ label, options, typed, problem, onType, onCommit, onCancel }: EditorProps) {
  const keys = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === 'Enter') onCommit(typed, 'down');
    else if (event.key === 'Tab') onCommit(typed, 'right');
    else if (event.key === 'Escape') onCancel();
    else return;
    event.preventDefault();
  };
  return options ? (
    <select
      autoFocus
      aria-label={label}
      value={typed}
      onChange={(event) => onType(event.currentTarget.value)}
      onKeyDown={keys}
      onBlur={() => onCommit(typed, 'stay')}
    >
      {options.map((option) => (
        <option key={option}>{option}</option>
      ))}
    </select>
  ) : (
    <>
      <input
        autoFocus
        aria-label={label}
        aria-invalid={problem !== null}
        value={typed}
        autoComplete="off"
        onChange={(event) => onType(event.currentTarget.value)}
        onKeyDown={keys}
        onBlur={() => (problem === null ? onCommit(typed, 'stay') : onCancel())}
      />
      {problem && (
        <span role="alert" className={styles.problem}>
          {problem}
        </span>
      )}
    </>
  );
}
