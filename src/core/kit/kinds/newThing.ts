import { densityGPerL, guessProvides, guessSystem, guessTraits, guessView } from '../guess';
import {
  asTaken,
  guessForm,
  THING_DEFAULTS,
  type Form,
  type OwnedThing,
  type Provides,
  type Thing,
} from '../thing';
import { kindOf, type Kind } from './kinds';
import type { Understood } from './understand';
import { cutTo, plainText } from '@/core/units/text';

/** How big something of no known kind is, beside what anybody knows. */
export const BIG_AS = ['a fist', 'a bottle', 'a shoe', 'a pillow'] as const;
export type BigAs = (typeof BIG_AS)[number];
/** A fist takes about a third of a litre, a shoe two. */
const BIG_AS_KIND: Record<BigAs, string> = {
  'a fist': 'something-fist',
  'a bottle': 'something-bottle',
  'a shoe': 'something-shoe',
  'a pillow': 'something-pillow',
};

/** The purposes that the checks look for. */
const PROVIDED: Readonly<Record<string, Provides>> = {
  'sleep warm': 'warmth',
  'light ahead': 'light',
  'light behind': 'light',
  'light at camp': 'light',
  'turn bolts': 'repair',
  'mend a tube': 'repair',
  'plug a tyre': 'repair',
  'air in a tyre': 'repair',
  'pump a tyre': 'repair',
};
const VIEWED: Readonly<Record<string, Thing['view']>> = {
  'light ahead': 'ahead',
  'light behind': 'behind',
  'call without a phone': 'sky',
};
/** Walls of a pot. */
const WALL_MM = 3;

/** A form of another volume, of the same proportions. */
function scaled(form: Form, ratio: number): Form {
  if (form.kind === 'soft') return { kind: 'soft', looseMl: Math.round(form.looseMl * ratio) };
  const side = Math.cbrt(ratio);
  const by = (mm: number) => Math.min(2500, Math.max(1, Math.round(mm * side)));
  return 'diameterMm' in form
    ? { ...form, lengthMm: by(form.lengthMm), diameterMm: by(form.diameterMm) }
    : { ...form, lengthMm: by(form.lengthMm), widthMm: by(form.widthMm), heightMm: by(form.heightMm) };
}

/**
 * A thing of a kind, with what the rider stated of it. A bottle comes filled: so it is carried when setting out, and so a
 * cage holds it.
 */
export function thingOfKind(
  id: string,
  kind: Kind,
  { name = kind.name, quantity = 1, massG = null, volumeMl = null }: Partial<Omit<Understood, 'kind'>> = {},
): Thing {
  const size = volumeMl ?? kind.volumeMl;
  const form = volumeMl === null ? kind.form : scaled(kind.form, volumeMl / kind.volumeMl);
  const provides = kind.purposes.flatMap((purpose) => PROVIDED[purpose] ?? []);
  const filled = kind.family === 'Bottle' && kind.size ? 1000 * kind.size.value : 0;
  return {
    ...THING_DEFAULTS,
    id,
    name: cutTo(plainText(capital(name)), 120),
    system: kind.system,
    kind: kind.id,
    quantity,
    massG: massG ?? kind.massG,
    massSource: massG === null ? 'estimate' : 'kitchen scale',
    volumeMl: Math.round(size),
    volumeSource: volumeMl === null ? 'estimate' : 'rated',
    form,
    waterMl: filled,
    call: kind.call,
    dry: kind.dry,
    inDrySack: false,
    carry: 'bike',
    need: kind.need,
    provides: [...new Set(provides)],
    view: kind.purposes.map((purpose) => VIEWED[purpose]).find((view) => view !== undefined) ?? 'none',
    traits: kind.traits,
    hollow:
      kind.family === 'Pot' && form.kind === 'cylinder'
        ? {
            kind: 'cylinder',
            lengthMm: form.lengthMm - 2 * WALL_MM,
            diameterMm: form.diameterMm - 2 * WALL_MM,
          }
        : null,
  };
}

/** A thing of which no kind is known, by how big it is; its mass is a guess, and so is all else. */
export function thingOfSize(
  id: string,
  bigAs: BigAs,
  { name, quantity, massG, volumeMl }: Understood,
): Thing {
  const kind = kindOf(BIG_AS_KIND[bigAs])!;
  const system = guessSystem(name);
  return {
    ...thingOfKind(id, kind, { name, quantity, massG, volumeMl }),
    system,
    provides: guessProvides(name),
    view: guessView(name),
    traits: guessTraits(name),
  };
}

/**
 * A thing made from a line that the rider typed: of its kind, or of what was stated of it.
 *
 * @returns null where neither a kind nor a figure is known: then one has to ask how big it is
 */
export function thingFrom(id: string, understood: Understood): Thing | null {
  const { kind, name, quantity, massG, volumeMl } = understood;
  if (kind) return thingOfKind(id, kind, understood);
  if (massG === null && volumeMl === null) return null;
  const system = guessSystem(name);
  const mass = massG ?? Math.round((volumeMl! / 1000) * densityGPerL(system));
  const volume = volumeMl ?? Math.round((mass / densityGPerL(system)) * 1000);
  return {
    ...THING_DEFAULTS,
    id,
    name: cutTo(plainText(capital(name)), 120),
    system,
    quantity,
    massG: mass,
    massSource: massG === null ? 'estimate' : 'kitchen scale',
    volumeMl: volume,
    volumeSource: volumeMl === null ? 'estimate' : 'rated',
    form: guessForm('soft', volume),
    waterMl: 0,
    call: 'camp',
    dry: 'does not care',
    inDrySack: false,
    carry: 'bike',
    need: 'should',
    provides: guessProvides(name),
    view: guessView(name),
    traits: guessTraits(name),
  };
}

const capital = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);

/** An owned thing as a trip takes it: what the trip decides is as usual for its kind. */
export function ownedForTrip(thing: OwnedThing): Thing {
  const kind = kindOf(thing.kind);
  if (!kind) return asTaken(thing);
  const { waterMl, call, need, inDrySack, carry } = thingOfKind(thing.id, kind);
  return { ...asTaken(thing), waterMl, call, need, inDrySack, carry };
}
