import { expose } from 'comlink';
import { matchColumns, understandRows, type ColumnMatch, type UnderstoodRow } from '@/core/formats/kitCsv';
import { readTable, type Table } from '@/core/formats/readTable';
import type { Thing } from '@/core/kit/thing';
import type { Result } from '@/core/result';

/** Reads kit lists off the page's thread, so that ten megabytes do not hold up a click. */
const api = {
  read(bytes: Uint8Array): Result<{ table: Table; columns: ColumnMatch[] }> {
    const table = readTable(bytes);
    return table.ok
      ? { ok: true, value: { table: table.value, columns: matchColumns(table.value.header) } }
      : table;
  },
  understand(table: Table, columns: ColumnMatch[], existing: Thing[]): UnderstoodRow[] {
    return understandRows(table, columns, () => crypto.randomUUID(), existing);
  },
};
export type KitWorker = typeof api;

expose(api);
