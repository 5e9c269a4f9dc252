import { parseContents } from '@/core/kit/contents';
import { CONDITIONS, ownedThingSchema, SYSTEMS, type OwnedThing } from '@/core/kit/thing';
import { fail, ok, type Result } from '@/core/result';
import { plainText } from '@/core/units/text';
import { readNumber } from '@/core/units/parse';
import { readField } from '@/core/units/reading';

/** The columns of the inventory that can be typed in. */
export const CELLS = [
  'name',
  'system',
  'mass',
  'volume',
  'condition',
  'due',
  'price',
  'note',
  'contents',
] as const;
export type Cell = (typeof CELLS)[number];

export type Patch = Partial<Omit<OwnedThing, 'id'>>;

const MASS = { bare: ['g', 'kg'], usual: [0.1, 60_000], bounds: [0.1, 60_000] } as const;
const VOLUME = { bare: ['l', 'ml'], usual: [3, 120_000], bounds: [0.1, 120_000] } as const;

/**
 * What is changed of a thing by what was typed into one of its cells, or a sentence on what is wrong with it. A mass that is typed
 * was weighed, as long as it was only estimated before.
 *
 * @example cellPatch(tent, 'mass', '1 lb 14 oz').value // { massG: 850.5, massSource: 'kitchen scale' }
 */
export function cellPatch(thing: OwnedThing, cell: Cell, typed: string): Result<Patch> {
  const text = plainText(typed).trim();
  const patch = patchOf(thing, cell, text);
  if (!patch.ok) return patch;
  const checked = ownedThingSchema.safeParse({ ...thing, ...patch.value });
  return checked.success ? patch : fail(checked.error.issues[0]!.message);
}

function patchOf(thing: OwnedThing, cell: Cell, text: string): Result<Patch> {
  switch (cell) {
    case 'name':
      return text === '' ? fail('Give it a name.') : ok({ name: text });
    case 'note':
      return ok({ note: text });
    case 'system': {
      const system = SYSTEMS.find((each) => each === text.toLowerCase());
      return system ? ok({ system }) : fail(`Use ${SYSTEMS.join(', ')}.`);
    }
    case 'condition': {
      const condition = CONDITIONS.find((each) => each === text.toLowerCase());
      return condition ? ok({ condition }) : fail(`Use ${CONDITIONS.join(', ')}.`);
    }
    case 'due':
      return ok({ dueOn: text === '' ? null : text });
    case 'price': {
      if (text === '') return ok({ price: null });
      const price = readNumber(text);
      return price === null || price < 0 ? fail(`“${text.slice(0, 30)}” is not a price.`) : ok({ price });
    }
    case 'contents': {
      const contents = parseContents(text);
      return contents.ok ? ok({ contents: contents.value }) : contents;
    }
    case 'mass': {
      const read = readField(text, 'mass', MASS);
      if (!read.ok) return read;
      if (read.value.value <= 0) return fail('Nothing weighs that. Leave it as it was if it is not known.');
      return ok({
        massG: read.value.value,
        massSource: thing.massSource === 'estimate' ? 'kitchen scale' : thing.massSource,
      });
    }
    case 'volume': {
      const read = readField(text, 'volume', VOLUME);
      if (!read.ok) return read;
      if (read.value.value <= 0)
        return fail('Nothing takes that much room. Leave it as it was if it is not known.');
      return ok(
        withVolume(thing, read.value.value, thing.volumeSource === 'estimate' ? 'tape' : thing.volumeSource),
      );
    }
  }
}

/** A thing with another volume: what is soft is never looser than it is pressed. */
export const withVolume = (
  { form }: OwnedThing,
  volumeMl: number,
  volumeSource: OwnedThing['volumeSource'],
): Patch => ({
  volumeMl,
  volumeSource,
  ...(form.kind === 'soft' && form.looseMl < volumeMl && { form: { ...form, looseMl: volumeMl } }),
});
