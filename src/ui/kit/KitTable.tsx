'use client';

import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import dynamic from 'next/dynamic';
import { Fragment, useMemo, useRef, useState } from 'react';
import { SYSTEMS, thingMassG, thingVolumeMl, type Thing } from '@/core/kit/thing';
import { usePlan } from '@/ui/plan/PlanProvider';
import { SystemGlyph } from '@/ui/shared/systems';
import { useScrollTo } from '@/ui/shared/useScrollTo';
import { whereIn } from '@/core/plan/where';
import { useSelection } from '@/ui/shared/SelectionProvider';
import styles from './KitTable.module.css';

// The fields of one thing come with the first that is opened; to look the kit through needs none.
const ThingEditor = dynamic(() => import('./ThingEditor').then((module) => module.ThingEditor), {
  ssr: false,
  loading: FieldsAwaited,
});

const column = createColumnHelper<Thing>();

/** The kit as a table: sorted by any column, a row opens to be changed. */
export function KitTable({ things }: { things: Thing[] }) {
  const { draft, format } = usePlan();
  const { thingId, chooseThing } = useSelection();
  const [sorting, setSorting] = useState<SortingState>([]);
  const { plan } = draft;

  const columns = useMemo(() => {
    const whereIs = whereIn(plan);
    return [
      column.accessor('name', { header: 'Thing', sortingFn: 'text' }),
      column.accessor((thing) => SYSTEMS.indexOf(thing.system), {
        id: 'system',
        header: 'System',
        cell: ({ row }) => (
          <span className={styles.system}>
            <SystemGlyph system={row.original.system} size={15} /> {row.original.system}
          </span>
        ),
      }),
      column.accessor('quantity', { header: 'No.', meta: { number: true } }),
      column.accessor((thing) => thingMassG(thing), {
        id: 'mass',
        header: 'Mass',
        meta: { number: true },
        cell: ({ row, getValue }) =>
          `${row.original.massSource === 'estimate' ? '≈ ' : ''}${format.mass(getValue())}`,
      }),
      column.accessor((thing) => thingVolumeMl(thing), {
        id: 'volume',
        header: 'Packed',
        meta: { number: true },
        cell: ({ row, getValue }) =>
          `${row.original.volumeSource === 'estimate' ? '≈ ' : ''}${format.volume(getValue())}`,
      }),
      column.accessor((thing) => thing.form.kind, { id: 'form', header: 'Form' }),
      column.accessor('call', { header: 'When' }),
      column.accessor((thing) => (thing.dry === 'must' ? (thing.inDrySack ? 'in a sack' : 'must') : ''), {
        id: 'dry',
        header: 'Dry',
      }),
      column.accessor('need', { header: 'Need' }),
      column.accessor(whereIs, { id: 'where', header: 'Where' }),
    ];
  }, [format, plan]);

  // eslint-disable-next-line react-hooks/incompatible-library -- the table keeps its own memo; the compiler is not used
  const table = useReactTable({
    data: things,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getRowId: (thing) => thing.id,
  });

  return (
    <div className={styles.scroll}>
      <table className={styles.table}>
        <caption className="visually-hidden">The kit</caption>
        <thead>
          <tr>
            {table.getFlatHeaders().map((header) => {
              const sorted = header.column.getIsSorted();
              return (
                <th
                  key={header.id}
                  scope="col"
                  data-column={header.column.id}
                  aria-sort={sorted ? (sorted === 'asc' ? 'ascending' : 'descending') : 'none'}
                  data-number={isNumber(header.column.columnDef.meta) || undefined}
                >
                  <button type="button" onClick={header.column.getToggleSortingHandler()}>
                    {flexRender(header.column.columnDef.header, header.getContext())}
                    <span aria-hidden="true">{sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}</span>
                  </button>
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => {
            const open = row.id === thingId;
            return (
              <Fragment key={row.id}>
                <tr data-open={open || undefined}>
                  {row.getVisibleCells().map((cell, i) => (
                    <td
                      key={cell.id}
                      data-column={cell.column.id}
                      data-number={isNumber(cell.column.columnDef.meta) || undefined}
                    >
                      {i === 0 ? (
                        <button
                          type="button"
                          className={styles.name}
                          aria-expanded={open}
                          onClick={() => chooseThing(open ? null : row.id)}
                        >
                          {row.original.name}
                        </button>
                      ) : (
                        flexRender(cell.column.columnDef.cell, cell.getContext())
                      )}
                    </td>
                  ))}
                </tr>
                {open && (
                  <tr className={styles.editor}>
                    <td colSpan={columns.length}>
                      <ThingEditor thing={row.original} />
                    </td>
                  </tr>
                )}
              </Fragment>
            );
          })}
        </tbody>
      </table>
      {things.length === 0 && <p className="quiet">Nothing with that name in that system.</p>}
    </div>
  );
}

/** The room of a thing's fields, in view, before they are there: rows that move away under the pointer are missed. */
function FieldsAwaited() {
  const element = useRef<HTMLDivElement>(null);
  useScrollTo(element, true);
  return <div ref={element} className={styles.awaited} aria-busy="true" />;
}

const isNumber = (meta: unknown): boolean => (meta as { number?: boolean } | undefined)?.number === true;
