'use client';

import { Button, Checkbox, FileButton, Modal, NativeSelect, Pagination } from '@mantine/core';
import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { ColumnMatch, UnderstoodRow } from '@/core/formats/kitCsv';
import { KIT_FIELDS, type KitField } from '@/core/formats/kitFields';
import type { Table } from '@/core/formats/readTable';
import type { Thing } from '@/core/kit/thing';
import { LIMITS } from '@/core/plan/limits';
import { formatterFor } from '@/core/units/format';
import { useUnits } from '@/ui/plan/units';
import { Verdict } from '@/ui/shared/Verdict';
import type { KitWorker } from '@/workers/kit.worker';
import styles from './KitImport.module.css';

const PAGE = 40;

interface Read {
  name: string;
  table: Table;
  columns: ColumnMatch[];
  rows: UnderstoodRow[];
}

interface Props {
  /** What is there already: rows of the same name change it. */
  things: readonly Thing[];
  /** So many more can be taken. */
  room: number;
  /** Rows copied from a spreadsheet, in place of a file. */
  pasted?: string;
  /** Takes new and changed things; false where that failed, which is told elsewhere. */
  onTake: (things: Thing[]) => boolean | Promise<boolean>;
  onClose: () => void;
}

/** Brings in a list: what each column means, what each row was understood as, and only then into the kit. */
export function KitImport({ things, room, pasted, onTake, onClose }: Props) {
  const [read, setRead] = useState<Read | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [update, setUpdate] = useState(true);
  const [onlyFaults, setOnlyFaults] = useState(false);
  const worker = useRef<{ thread: Worker; api: Remote<KitWorker> } | null>(null);
  useEffect(() => () => worker.current?.thread.terminate(), []);

  const reader = (): Remote<KitWorker> => {
    if (!worker.current) {
      const thread = new Worker(new URL('../../workers/kit.worker.ts', import.meta.url), { type: 'module' });
      worker.current = { thread, api: wrap<KitWorker>(thread) };
    }
    return worker.current.api;
  };
  const working = async (work: () => Promise<void>) => {
    setBusy(true);
    setProblem(null);
    try {
      await work();
    } catch {
      setProblem('The file could not be read. Nothing was changed; try it again.');
    } finally {
      setBusy(false);
    }
  };
  const existing = (yes: boolean): Thing[] => (yes ? [...things] : []);

  const open = (file: File | null) =>
    file &&
    void working(async () => {
      if (file.size > LIMITS.kitFileBytes) {
        setProblem(
          `${file.name} has ${(file.size / 1024 / 1024).toFixed(0)} MB; at most ${LIMITS.kitFileBytes / 1024 / 1024} MB are read. Keep only the list of things.`,
        );
        return;
      }
      await understand(file.name, new Uint8Array(await file.arrayBuffer()));
    });
  const understand = async (name: string, bytes: Uint8Array) => {
    const result = await reader().read(bytes);
    if (!result.ok) {
      setRead(null);
      setProblem(`${name}: ${result.error}`);
      return;
    }
    const rows = await reader().understand(result.value.table, result.value.columns, existing(update));
    setRead({ name, ...result.value, rows });
  };
  useEffect(() => {
    if (pasted !== undefined)
      void Promise.resolve().then(() =>
        working(() => understand('What you pasted', new TextEncoder().encode(pasted))),
      );
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what was pasted is read once
  }, [pasted]);

  const again = (columns: ColumnMatch[], updating: boolean) =>
    read &&
    void working(async () => {
      const rows = await reader().understand(read.table, columns, existing(updating));
      setRead({ ...read, columns, rows });
    });

  const match = (index: number, field: KitField | null) =>
    read &&
    again(
      read.columns.map((column, i) =>
        i === index
          ? { ...column, field, unit: field === column.field ? column.unit : null }
          : column.field === field
            ? { ...column, field: null, unit: null }
            : column,
      ),
      update,
    );

  const known = new Set(things.map((thing) => thing.id));
  const good = read?.rows.flatMap((row) => row.thing ?? []) ?? [];
  const added = good.filter((thing) => !known.has(thing.id));
  const take = async () => {
    const fitting = new Set(added.slice(0, Math.max(0, room)));
    const taken = good.filter((thing) => known.has(thing.id) || fitting.has(thing));
    setBusy(true);
    if (await onTake(taken)) onClose();
    setBusy(false);
  };

  return (
    <Modal opened onClose={onClose} size="xl" title="Import a kit list">
      <div className={styles.pick}>
        <FileButton onChange={open} accept=".csv,.tsv,.txt,text/csv,text/plain">
          {(props) => (
            <Button {...props} loading={busy} variant={read ? 'default' : 'filled'}>
              {read ? 'Another file' : 'Choose a file'}
            </Button>
          )}
        </FileButton>
        <span className="quiet">
          {read
            ? read.name
            : 'Separated by commas, semicolons or tabs, with a header row. Nothing is saved before you say so.'}
        </span>
      </div>
      {problem && (
        <p role="alert" className={styles.problem}>
          {problem}
        </p>
      )}
      {read && (
        <>
          {read.table.notices.map((notice) => (
            <p key={notice} className={styles.notice}>
              {notice}
            </p>
          ))}
          <h3>What each column means</h3>
          <div className={styles.columns}>
            {read.columns.map((column, i) => (
              <NativeSelect
                key={i}
                size="xs"
                label={column.header || `column ${i + 1}`}
                description={column.unit ? `in ${column.unit}` : undefined}
                value={column.field ?? ''}
                onChange={(event) => match(i, (event.currentTarget.value || null) as KitField | null)}
                data={[{ value: '', label: 'left out' }, ...KIT_FIELDS]}
              />
            ))}
          </div>
          <div className={styles.options}>
            <Checkbox
              label="Rows named like a thing in the kit change that thing"
              checked={update}
              onChange={(event) => {
                setUpdate(event.currentTarget.checked);
                again(read.columns, event.currentTarget.checked);
              }}
            />
            <Checkbox
              label="Show only rows with faults"
              checked={onlyFaults}
              onChange={(event) => setOnlyFaults(event.currentTarget.checked)}
            />
          </div>
          <Rows rows={onlyFaults ? read.rows.filter((row) => !row.thing) : read.rows} known={known} />
          <footer className={styles.footer}>
            <span>
              {added.length} new, {good.length - added.length} changed, {read.rows.length - good.length} with
              faults left out.
              {added.length > room && ` Only ${Math.max(0, room)} more can be taken.`}
            </span>
            <Button onClick={() => void take()} disabled={good.length === 0 || busy}>
              Take {good.length} {good.length === 1 ? 'row' : 'rows'}
            </Button>
          </footer>
        </>
      )}
    </Modal>
  );
}

function Rows({ rows, known }: { rows: UnderstoodRow[]; known: ReadonlySet<string> }) {
  const format = formatterFor(useUnits());
  const [page, setPage] = useState(1);
  const pages = Math.max(1, Math.ceil(rows.length / PAGE));
  const current = Math.min(page, pages);
  return (
    <>
      <div className={styles.scroll} tabIndex={0} role="region" aria-label="Rows as understood">
        <table className={styles.rows}>
          <thead>
            <tr>
              <th scope="col">Row</th>
              <th scope="col">Thing</th>
              <th scope="col">Understood as</th>
            </tr>
          </thead>
          <tbody>
            {rows.slice((current - 1) * PAGE, current * PAGE).map((row) => (
              <tr key={row.line}>
                <td>{row.line}</td>
                <td>{row.name || '—'}</td>
                <td>
                  {row.thing ? (
                    <>
                      {known.has(row.thing.id) ? 'changes: ' : ''}
                      {row.thing.quantity > 1 && `${row.thing.quantity} × `}
                      {format.mass(row.thing.massG)}, {format.volume(row.thing.volumeMl)},{' '}
                      {row.thing.form.kind}, {row.thing.system}
                      {row.thing.carry === 'worn' && ', worn'}
                      {row.guesses.length > 0 && (
                        <span className={styles.guess}> guessed {row.guesses.join('; ')}</span>
                      )}
                    </>
                  ) : (
                    <span className={styles.fault}>
                      <Verdict kind="stop" />{' '}
                      {row.faults.map(({ field, message }) => `${field}: ${message}`).join(' ')}
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {rows.length === 0 && <p className="quiet">No rows with faults.</p>}
      </div>
      {pages > 1 && (
        <Pagination
          size="sm"
          total={pages}
          value={current}
          onChange={setPage}
          getControlProps={(control) => ({ 'aria-label': `${control} page` })}
        />
      )}
    </>
  );
}
