import Papa from 'papaparse';
import { contentsText, parseContents } from '@/core/kit/contents';
import {
  CALLS,
  CONDITIONS,
  DRYNESS,
  FORM_KINDS,
  formVolumeMl,
  guessForm,
  NEEDS,
  PROVISIONS,
  SYSTEMS,
  TRAITS,
  specsSchema,
  thingSchema,
  VIEWS,
  type Form,
  type Specs,
  type FormKind,
  type System,
  type Thing,
  THING_DEFAULTS,
} from '@/core/kit/thing';
import { parseQuantity, readNumber, unitSize } from '@/core/units/parse';
import { plainText } from '@/core/units/text';
import { thingOfKind } from '@/core/kit/kinds/newThing';
import { understand } from '@/core/kit/kinds/understand';
import { densityGPerL, guessProvides, guessSystem, guessTraits, guessView } from '@/core/kit/guess';
import { FIELD_SYNONYMS, FIELD_UNITS, KIT_FIELDS, type KitField, SYSTEM_SYNONYMS } from './kitFields';
import type { Table } from './readTable';

/** What a column is taken to mean; the rider can change it before anything is saved. */
export interface ColumnMatch {
  header: string;
  field: KitField | null;
  /** Unit named in the header, "mass (oz)"; for the field's own unit, null. */
  unit: string | null;
}

/** A row as it was understood: a thing when it can be taken, faults when not, and what had to be guessed. */
export interface UnderstoodRow {
  line: number;
  name: string;
  thing: Thing | null;
  faults: { field: KitField | 'row'; message: string }[];
  guesses: string[];
}

const bareWords = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[([{].*?[)\]}]/g, '')
    .replace(/[^a-z0-9]/g, '');

/**
 * Proposes what each column means, from its header. No field is proposed twice; the first column wins.
 *
 * @example matchColumns(['Item', 'Weight (oz)', 'Colour'])
 * // [{ field: 'name' }, { field: 'mass', unit: 'oz' }, { field: null }]
 */
export function matchColumns(header: readonly string[]): ColumnMatch[] {
  const taken = new Set<KitField>();
  return header.map((title) => {
    const words = bareWords(title);
    const unit = unitIn(title);
    const field =
      KIT_FIELDS.find((candidate) => !taken.has(candidate) && namesOf(candidate).includes(words)) ??
      // "Weight oz", "mass_g": the unit without brackets.
      KIT_FIELDS.find(
        (candidate) =>
          !taken.has(candidate) &&
          FIELD_UNITS[candidate] &&
          namesOf(candidate).some(
            (name) => words.startsWith(name) && unitFor(candidate, words.slice(name.length)),
          ),
      ) ??
      null;
    if (!field) return { header: title, field: null, unit: null };
    taken.add(field);
    const trailing = namesOf(field)
      .filter((name) => words.startsWith(name))
      .map((name) => words.slice(name.length))[0];
    return { header: title, field, unit: unitFor(field, unit ?? trailing ?? '') };
  });
}

const namesOf = (field: KitField): string[] => [bareWords(field), ...FIELD_SYNONYMS[field]];
const unitIn = (title: string): string | null => /[([{]\s*([^)\]}]+?)\s*[)\]}]/.exec(title)?.[1] ?? null;
const unitFor = (field: KitField, unit: string): string | null => {
  const measure = FIELD_UNITS[field];
  return measure && unit && unitSize(measure.dimension, unit) !== null ? unit : null;
};

/**
 * Understands every row by the given columns. A row with a fault gives no thing; the others can still be taken.
 *
 * @param makeId hands out an id for each new thing
 * @param existing things whose rows of the same name change them instead of adding another
 */
export function understandRows(
  table: Table,
  columns: readonly ColumnMatch[],
  makeId: () => string,
  existing: readonly Thing[] = [],
): UnderstoodRow[] {
  const byName = new Map(existing.map((thing) => [thing.name.toLowerCase(), thing]));
  const seen = new Set<string>();
  return table.rows.map(({ line, cells }) => {
    const row = understandRow(line, cells, columns, makeId, byName);
    const key = row.name.toLowerCase();
    if (row.thing && seen.has(key)) {
      return {
        ...row,
        thing: null,
        faults: [
          {
            field: 'name',
            message: `"${row.name}" stands in the list twice. Give one another name, or add up the quantity.`,
          },
        ],
      };
    }
    seen.add(key);
    return row;
  });
}

/** A bare volume below this is litres. */
const LEAST_BARE_ML = 40;

function understandRow(
  line: number,
  cells: readonly string[],
  columns: readonly ColumnMatch[],
  makeId: () => string,
  byName: ReadonlyMap<string, Thing>,
): UnderstoodRow {
  const faults: UnderstoodRow['faults'] = [];
  const guesses: string[] = [];
  const cell = (field: KitField): string => {
    const index = columns.findIndex((column) => column.field === field);
    return index < 0 ? '' : (cells[index] ?? '');
  };
  const fault = (field: KitField | 'row', message: string): void => void faults.push({ field, message });
  const measured = (field: KitField): number | null => {
    const text = cell(field);
    const measure = FIELD_UNITS[field];
    if (text === '' || !measure) return null;
    const column = columns.find((candidate) => candidate.field === field);
    const number = readNumber(text);
    // Nobody packs a thing of six millilitres: a small bare number in a column without a unit is litres.
    const isLitres =
      measure.dimension === 'volume' &&
      !column?.unit &&
      number !== null &&
      number > 0 &&
      number < LEAST_BARE_ML;
    if (isLitres) guesses.push(`${field}: ${text} l, as no unit is given`);
    const unit = isLitres ? 'l' : (column?.unit ?? measure.bare);
    const parsed = parseQuantity(text, measure.dimension, unit);
    if (!parsed.ok) fault(field, parsed.error);
    else if (parsed.value < 0)
      fault(field, `"${text}" is below zero. Write the ${field} as a positive figure.`);
    else return parsed.value;
    return null;
  };
  const choice = <Value extends string>(
    field: KitField,
    values: readonly Value[],
    other: Record<string, Value>,
  ) => {
    const text = cell(field).toLowerCase();
    if (text === '') return null;
    const value = values.find((candidate) => candidate === text) ?? other[text];
    if (!value) fault(field, `"${text.slice(0, 30)}" is not known. Use ${values.join(', ')}.`);
    return value ?? null;
  };

  const name = cell('name');
  const known = byName.get(name.toLowerCase());
  if (name === '') fault('name', 'The row has no name.');
  const { kind: ofKind } = understand(name.slice(0, 300));
  // What the row does not say is as it is in the kit, or as things of its kind are.
  const typical = known ?? (ofKind ? thingOfKind('typical', ofKind, { name }) : undefined);
  const system = systemIn(cell('system'), guesses) ?? known?.system ?? null;
  const massCell = measured('mass');
  const waterMl = measured('water') ?? known?.waterMl ?? 0;
  const sides = { length: measured('length'), width: measured('width'), height: measured('height') };
  const volumeCell = measured('volume');
  const loose = measured('loose volume');
  const kind = choice<FormKind>('form', FORM_KINDS, { round: 'cylinder', square: 'box', stuff: 'soft' });
  const call = choice('call', CALLS, { 'in the saddle': 'riding', 'at a stop': 'stop', 'at camp': 'camp' });
  const dry = choice('stay dry', DRYNESS, {
    yes: 'must',
    true: 'must',
    no: 'does not care',
    false: 'does not care',
  });
  const sack = choice<'yes' | 'no'>('dry sack', ['yes', 'no'], {
    true: 'yes',
    false: 'no',
    '1': 'yes',
    '0': 'no',
  });
  const carry = choice<Thing['carry']>('carry', ['bike', 'worn'], {
    carried: 'bike',
    yes: 'worn',
    true: 'worn',
    no: 'bike',
    false: 'bike',
  });
  const clearView = choice('view', VIEWS, {});
  const need = choice('need', NEEDS, { high: 'must', medium: 'should', low: 'nice' });
  /** Several in one cell; null where the list has no such column, since an empty cell means none. */
  const several = <Value extends string>(field: KitField, values: readonly Value[]): Value[] | null => {
    if (!columns.some((column) => column.field === field)) return null;
    const words = cell(field)
      .split(/[+/&,]|\band\b/)
      .map((word) => word.trim().toLowerCase())
      .filter((word) => word !== '');
    return [...new Set(words)].flatMap((word) => {
      const value = values.find((candidate) => candidate === word);
      if (!value) fault(field, `"${word.slice(0, 30)}" is not known. Use ${values.join(', ')}.`);
      return value ?? [];
    });
  };
  const provides = several('provides', PROVISIONS);
  const traits = several('traits', TRAITS);
  const condition = choice('condition', CONDITIONS, {
    ok: 'fine',
    good: 'fine',
    broken: 'repair',
    expired: 'replace',
  });
  const toGet = choice<'yes' | 'no'>('to get', ['yes', 'no'], {
    true: 'yes',
    false: 'no',
    '1': 'yes',
    '0': 'no',
  });
  const price = cell('price') === '' ? null : readNumber(cell('price'));
  if (price === null && cell('price') !== '')
    fault('price', `"${cell('price').slice(0, 30)}" is not a price.`);
  const contents = parseContents(cell('contents'));
  if (!contents.ok) fault('contents', contents.error);
  const ratings = ratingsIn(cell('ratings'));
  if (ratings === 'wrong') {
    fault(
      'ratings',
      `Write ratings like rValue 3.6; comfortC 0. Known are ${Object.keys(specsSchema.shape).join(', ')}.`,
    );
    return { line, name, thing: null, faults, guesses };
  }
  const quantityText = cell('quantity');
  const quantity = quantityText === '' ? (known?.quantity ?? 1) : readNumber(quantityText);
  if (quantity === null) fault('quantity', `"${quantityText.slice(0, 30)}" is not a number of pieces.`);

  const guessedSystem = system ?? typical?.system ?? guessSystem(name);
  if (!system) guesses.push(`system: ${guessedSystem}`);
  const form = formFrom(kind ?? typical?.form.kind ?? null, sides, typical?.form ?? null);
  let volumeMl = volumeCell ?? (form && formVolumeMl(form)) ?? typical?.volumeMl ?? null;
  let massG = massCell ?? typical?.massG ?? null;
  if (!known && ofKind && massCell === null)
    guesses.push(`mass: ≈ ${massG} g, as a ${ofKind.family.toLowerCase()} has`);
  if (!known && ofKind && volumeCell === null)
    guesses.push(`volume: ≈ ${Math.round(volumeMl!)} ml, as a ${ofKind.family.toLowerCase()} has`);
  if (massG === null && volumeMl === null) {
    if (!faults.some(({ field }) => field === 'mass' || field === 'volume')) {
      fault('mass', 'Neither a mass nor a volume is given. One of them is needed.');
    }
  } else if (volumeMl === null) {
    volumeMl = Math.round((massG! / densityGPerL(guessedSystem)) * 1000);
    guesses.push(`volume: ≈ ${volumeMl} ml from its mass`);
  } else if (massG === null) {
    massG = Math.round((volumeMl / 1000) * densityGPerL(guessedSystem));
    guesses.push(`mass: ≈ ${massG} g from its volume`);
  }
  if (faults.length > 0 || massG === null || volumeMl === null || quantity === null) {
    return { line, name, thing: null, faults, guesses };
  }

  if (!form && !kind) guesses.push('form: soft');
  const shape = form ?? guessForm(kind ?? 'soft', volumeMl);
  const candidate: Thing = {
    ...THING_DEFAULTS,
    ...typical,
    id: known?.id ?? makeId(),
    name,
    system: guessedSystem,
    quantity,
    massG,
    massSource: massCell === null && known ? known.massSource : massCell === null ? 'estimate' : 'label',
    volumeMl,
    volumeSource: volumeCell === null && known ? known.volumeSource : 'estimate',
    form:
      shape.kind === 'soft' && loose !== null ? { kind: 'soft', looseMl: Math.max(loose, volumeMl) } : shape,
    waterMl,
    call: call ?? typical?.call ?? 'camp',
    dry: dry ?? typical?.dry ?? 'does not care',
    inDrySack: sack ? sack === 'yes' : (known?.inDrySack ?? false),
    carry: carry ?? typical?.carry ?? 'bike',
    need: need ?? typical?.need ?? 'should',
    provides: provides ?? typical?.provides ?? guessProvides(name),
    view: clearView ?? typical?.view ?? guessView(name),
    traits: traits ?? typical?.traits ?? guessTraits(name),
    condition: condition ?? known?.condition ?? 'fine',
    dueOn: cell('due') || (known?.dueOn ?? null),
    note: cell('note') || (known?.note ?? ''),
    toGet: toGet ? toGet === 'yes' : (known?.toGet ?? false),
    price: price ?? known?.price ?? null,
    contents: contents.ok && contents.value.length > 0 ? contents.value : (known?.contents ?? []),
    purposes: purposesIn(cell('purposes')) ?? known?.purposes ?? null,
    specs: ratings ?? known?.specs ?? {},
  };
  const checked = thingSchema.safeParse(candidate);
  if (!checked.success) {
    for (const issue of checked.error.issues) fault(fieldOf(String(issue.path[0])), issue.message);
    return { line, name, thing: null, faults, guesses };
  }
  return { line, name, thing: checked.data, faults, guesses };
}

/** Purposes with commas between, or "none"; null where the cell is empty. */
function purposesIn(text: string): string[] | null {
  if (text.trim().toLowerCase() === 'none') return [];
  const words = text.split(',').map((word) => plainText(word).trim().toLowerCase());
  const found = [...new Set(words.filter((word) => word.length >= 2))];
  return found.length > 0 ? found : null;
}

/** "rValue 3.6; comfortC 0"; null where the cell is empty. */
function ratingsIn(text: string): Specs | null | 'wrong' {
  if (text.trim() === '') return null;
  const entries = text
    .split(';')
    .filter((part) => part.trim() !== '')
    .map((part) => {
      const [spec, value] = part.trim().split(/[\s:=]+/);
      return [spec, readNumber(value ?? '')] as const;
    });
  const specs = specsSchema.strict().safeParse(Object.fromEntries(entries));
  return specs.success ? specs.data : 'wrong';
}

/** The system of a list's category; where it is none of ours, what the name says counts, and that is told. */
function systemIn(text: string, guesses: string[]): System | null {
  const word = text.trim().toLowerCase();
  if (word === '') return null;
  const system = SYSTEMS.find((own) => own === word) ?? SYSTEM_SYNONYMS[word];
  if (!system) guesses.push(`system: "${text.slice(0, 30)}" is not one of ours`);
  return system ?? null;
}

const fieldOf = (key: string): KitField | 'row' =>
  (
    ({
      massG: 'mass',
      volumeMl: 'volume',
      waterMl: 'water',
      name: 'name',
      quantity: 'quantity',
      form: 'form',
      dueOn: 'due',
      note: 'note',
      price: 'price',
    }) as const
  )[key] ?? 'row';

type Sides = { length: number | null; width: number | null; height: number | null };

/** A form from its kind and measures, or null where the measures do not make one. */
function formFrom(kind: FormKind | null, { length, width, height }: Sides, known: Form | null): Form | null {
  if (length === null) return kind === null || kind === known?.kind ? known : null;
  if (kind === 'soft') return null;
  if (kind === 'cylinder' || kind === 'long')
    return width === null ? null : { kind, lengthMm: length, diameterMm: width };
  if (width === null || height === null) return null;
  return { kind: kind ?? 'box', lengthMm: length, widthMm: width, heightMm: height };
}

const number = (value: number): string => String(Math.round(value * 100) / 100);

/**
 * The kit as CSV, UTF-8 with a byte order mark so that spreadsheets read accents. Cells that a spreadsheet
 * would run as a formula begin with an apostrophe; reading takes it off again.
 *
 * @param bagOf tells the bag a thing is in, as a last column; a list that is read leaves that out
 */
export function writeKitCsv(things: readonly Thing[], bagOf?: (thing: Thing) => string): string {
  const fields = KIT_FIELDS.map((field) => {
    const measure = FIELD_UNITS[field];
    return measure ? `${field} (${measure.bare})` : field;
  });
  const header = bagOf ? [...fields, 'bag'] : fields;
  const rows = things.map((thing) => {
    const { form } = thing;
    const width = 'diameterMm' in form ? form.diameterMm : 'widthMm' in form ? form.widthMm : null;
    const cells: Record<KitField, string> = {
      name: thing.name,
      system: thing.system,
      quantity: String(thing.quantity),
      mass: number(thing.massG),
      volume: number(thing.volumeMl),
      'loose volume': form.kind === 'soft' ? number(form.looseMl) : '',
      form: form.kind,
      length: form.kind === 'soft' ? '' : number(form.lengthMm),
      width: width === null ? '' : number(width),
      height: 'heightMm' in form ? number(form.heightMm) : '',
      call: thing.call,
      'stay dry': thing.dry,
      'dry sack': thing.inDrySack ? 'yes' : 'no',
      carry: thing.carry,
      need: thing.need,
      provides: thing.provides.join(' and '),
      water: number(thing.waterMl),
      view: thing.view,
      traits: thing.traits.join(' and '),
      condition: thing.condition,
      due: thing.dueOn ?? '',
      note: thing.note,
      'to get': thing.toGet ? 'yes' : 'no',
      price: thing.price === null ? '' : number(thing.price),
      contents: contentsText(thing.contents),
      purposes: thing.purposes === null ? '' : thing.purposes.join(', ') || 'none',
      ratings: Object.entries(thing.specs)
        .map(([spec, value]) => `${spec} ${value}`)
        .join('; '),
    };
    const row = KIT_FIELDS.map((field) => cells[field]);
    return bagOf ? [...row, bagOf(thing)] : row;
  });
  return `\ufeff${Papa.unparse([header, ...rows], { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}
