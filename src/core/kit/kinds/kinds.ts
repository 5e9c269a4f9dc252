import { z } from 'zod';
import { CALLS, DRYNESS, formSchema, formVolumeMl, NEEDS, SYSTEMS, TRAITS, type Form } from '../thing';
import { KIND_TABLE } from './table';

/** What a size is told in. */
export const SIZE_UNITS = ['l', 'ml', 'g', 'mAh', 'people', '°C', 'in'] as const;
export type SizeUnit = (typeof SIZE_UNITS)[number];

export const kindSchema = z.object({
  id: z.string().regex(/^[a-z0-9.-]+$/),
  /** "Bottle, 0.75 l". */
  name: z.string().min(2).max(60),
  family: z.string().min(2).max(40),
  /** Other words for the family. */
  synonyms: z.array(z.string().min(2)),
  /** As a number, in words ("light"), or both. */
  size: z.object({ value: z.number(), unit: z.enum(SIZE_UNITS) }).nullable(),
  sizeWords: z.array(z.string()),
  /** Taken where no size is said. */
  isUsual: z.boolean(),
  system: z.enum(SYSTEMS),
  call: z.enum(CALLS),
  need: z.enum(NEEDS),
  dry: z.enum(DRYNESS),
  traits: z.array(z.enum(TRAITS)),
  purposes: z.array(z.string().min(2)),
  /** Families it may be packed inside, or the place that takes it. */
  inside: z.array(z.string()),
  /** Of one piece, empty: grams, and half the width of the range as a ratio. */
  massG: z.number().positive().max(30_000),
  massRange: z.number().min(0.01).max(1),
  /** Of one piece as packed, hard pressed where soft. */
  volumeMl: z.number().positive().max(60_000),
  volumeRange: z.number().min(0.01).max(1),
  form: formSchema,
  /** What the figures rest on. */
  basis: z.string().min(3),
});
export type Kind = z.infer<typeof kindSchema>;

/** Ranges hold for nineteen of twenty, so half their width is two standard errors. */
export const errorOf = (value: number, range: number): number => (value * range) / 2;

const cells = (line: string): string[] => line.split('|').map((cell) => cell.trim());
const list = (cell: string, by: string): string[] =>
  cell
    .split(by)
    .map((word) => word.trim())
    .filter((word) => word !== '');

const slug = (text: string): string =>
  text
    .toLowerCase()
    .replace(/°/g, '')
    .replace(/^-/, 'minus ')
    .replace(/, -/g, ', minus ')
    .replace(/[^a-z0-9.]+/g, '-')
    .replace(/^-|-$/g, '');

/** A number and its range: "1900 25". */
const ranged = (cell: string): [number, number] => {
  const [value, percent] = cell.split(' ').map(Number);
  return [value!, percent! / 100];
};

/** "soft 1.6", "cyl 250x73". */
function formOf(cell: string, volumeMl: number): Form {
  const [kind, figures] = cell.split(' ');
  if (kind === 'soft') return { kind, looseMl: Math.round(volumeMl * Number(figures)) };
  const [lengthMm, widthMm, heightMm] = figures!.split('x').map(Number);
  if (kind === 'cyl') return { kind: 'cylinder', lengthMm: lengthMm!, diameterMm: widthMm! };
  if (kind === 'long') return { kind, lengthMm: lengthMm!, diameterMm: widthMm! };
  return formSchema.parse({ kind, lengthMm, widthMm, heightMm });
}

function readTable(table: string): Kind[] {
  const kinds: Kind[] = [];
  let head: string[] = [];
  for (const line of table.trim().split('\n')) {
    if (line.startsWith('= ')) {
      head = cells(line.slice(2));
      continue;
    }
    const [family, synonyms, system, call, need, dry, traits, purposes, inside, basis] = head as [
      string,
      string,
      ...string[],
    ];
    const [label, mass, volume, form] = cells(line) as [string, string, string, string];
    const isUsual = label.startsWith('*');
    const said = label.replace(/^\*/, '').replace(/^-$/, '');
    const numbered = /^(-?[\d.]+) (l|ml|g|mAh|people|°C|in)\b\s*(.*)$/.exec(said);
    const [massG, massRange] = ranged(mass);
    const [given, volumeRange] = ranged(volume.replace('=', '0'));
    const shape = formOf(form, given);
    const volumeMl = Math.round(given || formVolumeMl(shape)!);
    const name =
      said === ''
        ? family
        : `${family}, ${said.replace('people', said.startsWith('1 ') ? 'person' : 'people')}`;
    kinds.push({
      id: slug(name),
      name,
      family,
      synonyms: list(synonyms, ';'),
      size: numbered ? { value: Number(numbered[1]), unit: numbered[2] as SizeUnit } : null,
      sizeWords: list(numbered ? numbered[3]! : said, ' '),
      isUsual,
      system: system as Kind['system'],
      call: call as Kind['call'],
      need: need as Kind['need'],
      dry: (dry === 'no' ? 'does not care' : dry) as Kind['dry'],
      traits: list(traits!, ',') as Kind['traits'],
      purposes: list(purposes!, ';'),
      inside: list(inside!, ';'),
      massG,
      massRange,
      volumeMl,
      volumeRange,
      form: shape,
      basis: basis!,
    });
  }
  return kinds;
}

/** All kinds, those of one family one after the other. */
export const KINDS: readonly Kind[] = readTable(KIND_TABLE);

const byId = new Map(KINDS.map((kind) => [kind.id, kind]));

/** A kind by its id; undefined where there is none, as for one of a later table. */
export const kindOf = (id: string | null): Kind | undefined => (id === null ? undefined : byId.get(id));
