/** How a field stands in a row: what the column holds, as it is written into a recordset and read back. */
export type SqlType = 'text' | 'integer' | 'double precision' | 'boolean' | 'jsonb' | 'date' | 'text[]';

/**
 * The columns of one kind of item, listed once. Everything that names them is derived: what is selected, inserted and updated,
 * and how a row becomes an item. A field's column has its name in small letters with underscores.
 *
 * @example tableOf<Bike>({ id: 'text', massG: 'double precision' }).select('bike') // 'bike.id, bike.mass_g'
 */
export interface Table<Item extends object> {
  /** For a select: each column of a table. */
  select(table: string): string;
  /** For an insert: the columns. */
  columns: string;
  /** For a select from `recordset`: the values of those columns. */
  values: string;
  /** For an upsert: each column but the id as it was to be inserted. */
  updates: string;
  /** For `jsonb_to_recordset`: each column with its type. */
  recordset: string;
  /** An item as a member of that recordset. */
  row(item: Item): Record<string, unknown>;
  /** The item of a row, unchecked: the caller's schema reads it. */
  item(row: Record<string, unknown>): Item;
}

/**
 * @param types by field the type of its column: every field of the item, or it does not compile
 * @param prefix of the columns' names, where the table holds other items too
 */
export function tableOf<Item extends object>(
  types: { readonly [Field in keyof Required<Item> & string]: SqlType },
  prefix = '',
): Table<Item> {
  const all = (Object.entries(types) as [keyof Item & string, SqlType][]).map(([field, type]) => ({
    field,
    type,
    column: prefix + field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`),
  }));
  const listed = (write: (column: (typeof all)[number]) => string, of = all) => of.map(write).join(', ');
  return {
    select: (table) =>
      listed(({ column, type }) =>
        // A day of the calendar, not a moment of some time zone.
        type === 'date' ? `to_char(${table}.${column}, 'YYYY-MM-DD') as ${column}` : `${table}.${column}`,
      ),
    columns: listed(({ column }) => column),
    values: listed(({ column, type }) =>
      type === 'text[]' ? `array(select jsonb_array_elements_text(${column}))` : column,
    ),
    updates: listed(
      ({ column }) => `${column} = excluded.${column}`,
      all.filter(({ field }) => field !== 'id'),
    ),
    recordset: listed(({ column, type }) => `${column} ${type === 'text[]' ? 'jsonb' : type}`),
    row: (item) => Object.fromEntries(all.map(({ field, column }) => [column, item[field]])),
    item: (row) => Object.fromEntries(all.map(({ field, column }) => [field, row[column]])) as Item,
  };
}
