import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { DEMO_THINGS } from '@/core/demo/kit';
import { demoPlan } from '@/core/demo/plan';
import { PLAN_VERSION } from '@/core/plan/plan';
import { sampleThing } from '../../../tests/support/samples';
import { matchColumns, understandRows, writeKitCsv, type UnderstoodRow } from './kitCsv';
import { parsePlanFile, planFileText, planFileValue, type PlanFile } from './planFile';
import { MOST_ROWS, readTable } from './readTable';

const bytes = (text: string) => new TextEncoder().encode(text);

function understand(
  text: string | Uint8Array,
  existing = [] as Parameters<typeof understandRows>[3],
): UnderstoodRow[] {
  const table = readTable(typeof text === 'string' ? bytes(text) : text);
  if (!table.ok) throw new Error(table.error);
  let n = 0;
  return understandRows(table.value, matchColumns(table.value.header), () => `new-${(n += 1)}`, existing);
}

describe('reading a kit', () => {
  test.each([
    ['commas', 'Item,Weight (oz)\nMug,3\n'],
    ['semicolons and decimal commas', 'Item;Weight (oz)\nMug;3,0\n'],
    ['tabs', 'Item\tWeight oz\nMug\t3\n'],
    ['bars, BOM, CRLF and blank lines', '\ufeffItem|weight [oz]\r\n\r\nMug|3\r\n'],
  ])('%s, with the unit in the header', (_what, text) => {
    const [row] = understand(text);
    expect(row).toMatchObject({ line: 2, name: 'Mug', faults: [] });
    expect(row!.thing!.massG).toBeCloseTo(85.05, 2);
    expect(row!.guesses.join()).toMatch(/system: cook.*volume: ≈/);
  });

  test('a unit in the cell wins over the header; unknown columns are left out', () => {
    const [row] = understand('name,mass (oz),colour\nQuilt,"1 lb 8 oz",teal\n');
    expect(row!.thing).toMatchObject({ system: 'sleep', provides: ['warmth'] });
    expect(row!.thing!.massG).toBeCloseTo(680.39, 2);
    expect(matchColumns(['name', 'mass (oz)', 'colour']).map((column) => column.field)).toEqual([
      'name',
      'mass',
      null,
    ]);
  });

  test('traits: several in a cell, an empty cell is none, and without the column they are guessed', () => {
    const traits = (text: string) => understand(text).map((row) => row.thing?.traits ?? row.faults);
    expect(traits('name,mass,traits\nPeg bag,60,Sharp and wet\nGas canister,200,\n')).toEqual([
      ['sharp', 'wet'],
      [],
    ]);
    expect(traits('name,mass\nGas canister,200\n')).toEqual([['fuel']]);
    expect(traits('name,mass,traits\nGas canister,200,blunt\n')).toEqual([
      [
        {
          field: 'traits',
          message:
            '"blunt" is not known. Use fuel, liquid fuel, wet, sharp, inflatable, dirty, fragile, hose.',
        },
      ],
    ]);
  });

  test('bytes that are not UTF-8 are read as Windows-1252, and it says so', () => {
    const latin = Uint8Array.from([...bytes('name,mass\nR'), 0xe9, ...bytes('chaud,200\n')]);
    const table = readTable(latin);
    expect(table.ok && table.value.notices.join()).toMatch(/not UTF-8/);
    expect(understand(latin)[0]!.name).toBe('Réchaud');
  });

  test.each<[string, string, RegExp]>([
    ['a negative mass', 'name,mass\nMug,-5', /mass: .*below zero/],
    ['an absurd mass', 'name,mass\nMug,900 kg', /mass: At most 60000 g/],
    ['a mass that is a formula', 'name,mass\nMug,=1+1', /mass: "=1\+1" is not a mass/],
    ['a fraction of a piece', 'name,mass,qty\nMug,5,1.5', /quantity: A whole number/],
    ['nothing to go by', 'name,mass\nWidget,', /mass: Neither a mass nor a volume/],
    ['no name', 'name,mass\n,40', /name: The row has no name/],
    ['an unknown call', 'name,mass,call\nMug,40,sometimes', /call: "sometimes" is not known. Use riding/],
    ['a name twice', 'name,mass\nMug,40\nmug,50', /stands in the list twice/],
    ['a control character', 'name,mass\n"Mu\u0007g",40', /name: A name is one line/],
  ])('%s is named, with its field', (_what, text, message) => {
    const faulty = understand(text).at(-1)!;
    expect(faulty.thing).toBeNull();
    expect(faulty.faults.map(({ field, message: says }) => `${field}: ${says}`).join()).toMatch(message);
  });

  test('a faulty row does not keep the good ones out', () => {
    const rows = understand('name,mass\nMug,40\nPot,-3\nSpoon,12');
    expect(rows.map((row) => row.thing?.name ?? null)).toEqual(['Mug', null, 'Spoon']);
  });

  test('a row with a known name changes that thing and keeps what the list does not say', () => {
    const known = sampleThing('t1', { name: 'Mug', massG: 80, call: 'stop', need: 'nice' });
    const [row] = understand('name,mass\nmug,95', [known]);
    expect(row!.thing).toMatchObject({
      id: 't1',
      massG: 95,
      call: 'stop',
      need: 'nice',
      volumeMl: known.volumeMl,
    });
  });

  test.each<[string, Uint8Array, RegExp]>([
    ['empty', new Uint8Array(), /empty/],
    ['only blanks', bytes(' \n\n '), /empty/],
    ['only a header', bytes('name,mass\n'), /no rows/],
    ['not text', Uint8Array.from([80, 75, 3, 4, 0, 0, 0, 1]), /not a text table/],
    ['too large', new Uint8Array(21 * 1024 * 1024), /21 MB/],
  ])('%s: refused with a reason', (_what, input, message) => {
    const table = readTable(input);
    expect(!table.ok && table.error).toMatch(message);
  });

  test('ten megabytes are read up to a number of rows, which is said', () => {
    const table = readTable(bytes(`name,mass\n${'A thing of some length,120\n'.repeat(400_000)}`));
    expect(table.ok && table.value.rows).toHaveLength(MOST_ROWS);
    expect(table.ok && table.value.notices.join()).toMatch(/first 5000 rows/);
  });
});

describe('writing a kit', () => {
  test('what is written reads back as it was, demo and all', () => {
    const rows = understand(writeKitCsv(DEMO_THINGS));
    expect(rows.flatMap((row) => row.faults)).toEqual([]);
    rows.forEach((row, i) => {
      // A list has no columns for how masses were found or what is packed inside what: plan files have.
      const {
        id: _id,
        kind: _kind,
        massSource: _mass,
        volumeSource: _volume,
        hollow: _hollow,
        inside: _inside,
        ...thing
      } = DEMO_THINGS[i]!;
      expect(row.thing).toMatchObject(thing);
    });
  });

  test('no cell of an export begins like a formula', () => {
    fc.assert(
      fc.property(fc.constantFrom('=', '+', '-', '@'), fc.string({ maxLength: 20 }), (sign, rest) => {
        const name = `${sign}${rest.replace(/[^\x20-\x7e]/g, '')}`;
        const csv = writeKitCsv([sampleThing('t', { name })]);
        const cell = csv.split('\r\n')[1]!;
        expect(cell).toMatch(/^"?'/);
        expect(understand(csv)[0]!.name).toBe(name.trim());
      }),
    );
  });
});

describe('plan files', () => {
  test('a plan reads back exactly as it was written', () => {
    expect(parsePlanFile(planFileText(demoPlan()))).toEqual({ ok: true, value: demoPlan() });
  });

  const text = planFileText(demoPlan());
  const changed = (change: (plan: PlanFile) => unknown) => JSON.stringify(change(planFileValue(demoPlan())));
  test.each<[string, string, RegExp]>([
    ['empty', '', /empty/],
    ['truncated', text.slice(0, text.length / 2), /breaks off/],
    ['not JSON', '{"format": gorvin}', /not valid JSON/],
    ['a table', 'name,mass\nMug,90\n', /not a plan file/],
    ['another format', '{"format":"notes"}', /not a Gorvin plan/],
    ['a list', '[]', /not a Gorvin plan/],
    ['a later version', changed((plan) => ({ ...plan, version: 8 })), /later Gorvin .*version 8/],
    [
      'deeply nested',
      `{"format":"gorvin-plan","x":${'['.repeat(100_000)}${']'.repeat(100_000)}}`,
      /nested 100001 levels/,
    ],
    ['50 MB', `"${'x'.repeat(50 * 1024 * 1024)}"`, /larger than 5 MB/],
    [
      'an absurd mass',
      changed((plan) => ({ ...plan, things: [{ ...plan.things[0], massG: 1e9 }] })),
      /things\[0\]\.massG "Down quilt": At most 60000 g/,
    ],
    ['no trip', changed(({ trip: _trip, ...plan }) => plan), /trip/],
    [
      'two things with one id',
      changed((plan) => ({
        ...plan,
        things: [plan.things[0], plan.things[0]],
        decisions: plan.decisions.slice(0, 1),
        load: [],
      })),
      /Two things have the id "down-quilt"/,
    ],
    [
      'a thing without decisions',
      changed((plan) => ({ ...plan, decisions: plan.decisions.slice(1) })),
      /"Down quilt" has no decisions: how many come along/,
    ],
    [
      'decisions about nothing',
      changed((plan) => ({
        ...plan,
        decisions: [...plan.decisions, { ...plan.decisions[0], thingId: 'gone' }],
      })),
      /decisions name a thing "gone" that is not among the things/,
    ],
    [
      'two decisions about one thing',
      changed((plan) => ({ ...plan, decisions: [...plan.decisions, plan.decisions[0]] })),
      /Two decisions are about the same thing/,
    ],
    [
      'a load into nowhere',
      changed((plan) => ({
        ...plan,
        load: [{ thingId: 'down-quilt', to: { compartmentId: 'nowhere' }, pinned: false }],
      })),
      /compartment "nowhere" that no bag has/,
    ],
    [
      'more things than a plan holds',
      changed((plan) => ({
        ...plan,
        things: Array.from({ length: 1001 }, (_, i) => ({ ...plan.things[0], id: `t${i}` })),
      })),
      /At most 1000 things/,
    ],
  ])('%s: refused with a reason', (_what, input, message) => {
    const parsed = parsePlanFile(input);
    expect(!parsed.ok && parsed.error.join(' ')).toMatch(message);
  });
});

/** Files as earlier versions wrote them; from version 7 on the example in the repository is one. */
test.each([1, 2, 3, 4, 5, 6])('a file of version %d is read, with all that it says', (version) => {
  const read = parsePlanFile(readFileSync(`tests/plans/version-${version}.json`, 'utf8'));
  if (!read.ok) throw new Error(read.error.join(' '));
  expect(read.value.version).toBe(PLAN_VERSION);
  const { things, load, bags } = read.value;
  expect(things.map(({ name, quantity, massG }) => [name, quantity, massG])).toEqual([
    ['Down quilt', 1, 680],
    ['Camp shoes', 1, 190],
    ['Oat bars', 6, 55],
  ]);
  expect(bags.map(({ place }) => place)).toEqual(['seat pack', 'stem bag']);
  expect(load).toEqual([{ thingId: 'down-quilt', to: { compartmentId: 'seat-pack-main' }, pinned: true }]);
  expect(things[1]!.traits).toEqual(['dirty']);
});

test('a plan file of version 1 is read as what it meant', () => {
  const later = new Set([
    ...['surface', 'kneeGapMm', 'inseamMm', 'shoeMm', 'tape', 'build', 'readings', 'wheelbaseMm', 'view'],
    ...['alongMm', 'standOffMm', 'braced', 'closure', 'opening', 'attachment', 'outside', 'traits'],
  ]);
  const old: unknown = JSON.parse(JSON.stringify(demoPlan()), (key, value: unknown) =>
    later.has(key) ? undefined : key === 'version' ? 1 : value,
  );
  const read = parsePlanFile(JSON.stringify(old));
  expect(read.ok).toBe(true);
  if (!read.ok) return;
  expect(read.value).toMatchObject({
    version: PLAN_VERSION,
    trip: { surface: 'gravel' },
    rider: { kneeGapMm: null },
    bike: { tape: null, readings: null, build: { fork: 'suspension', mounts: [] } },
  });
  expect(read.value.things).toHaveLength(74);
  // What a later version added to traits is taken from the names.
  expect(read.value.things.find(({ name }) => name === 'Camp shoes')!.traits).toEqual(['dirty']);
  expect(read.value.bags[0]).toMatchObject({ alongMm: 0, compartments: [{ outside: 'no' }] });
});
