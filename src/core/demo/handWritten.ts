import {
  formVolumeMl,
  type Call,
  type Dryness,
  type Form,
  type Need,
  type Provides,
  type System,
  type Thing,
  type Trait,
  THING_DEFAULTS,
} from '@/core/kit/thing';

/** Short ways to write things down by hand, for the demo's kit and for the kits of benches. */
export interface More {
  quantity?: number;
  dry?: Dryness;
  need?: Need;
  waterMl?: number;
  worn?: true;
  inDrySack?: true;
  provides?: Provides[];
  view?: Thing['view'];
  stiffener?: true;
  traits?: Trait[];
  hollow?: Thing['hollow'];
  inside?: string;
  contents?: Thing['contents'];
  massSource?: Thing['massSource'];
  volumeSource?: Thing['volumeSource'];
  /** For a stiff thing whose volume is not that of its measures. */
  volumeMl?: number;
}

export const soft = (pressedMl: number, looseMl: number): { form: Form; volumeMl: number } => ({
  form: { kind: 'soft', looseMl },
  volumeMl: pressedMl,
});
const sides =
  (kind: 'box' | 'flat' | 'crushable') =>
  (lengthMm: number, widthMm: number, heightMm: number): { form: Form } => ({
    form: { kind, lengthMm, widthMm, heightMm },
  });
const round =
  (kind: 'cylinder' | 'long') =>
  (lengthMm: number, diameterMm: number): { form: Form } => ({ form: { kind, lengthMm, diameterMm } });
export const box = sides('box');
export const flat = sides('flat');
export const crushable = sides('crushable');
export const cylinder = round('cylinder');
export const long = round('long');

/** A thing; what is not said is middling. Its id is its name in small letters and dashes. */
export function thing(
  system: System,
  name: string,
  massG: number,
  shape: { form: Form; volumeMl?: number },
  call: Call,
  more: More = {},
): Thing {
  return {
    ...THING_DEFAULTS,
    id: name.toLowerCase().replace(/[^a-z0-9]+/g, '-'),
    name,
    system,
    quantity: more.quantity ?? 1,
    massG,
    massSource: more.massSource ?? 'kitchen scale',
    volumeMl: Math.round(more.volumeMl ?? shape.volumeMl ?? formVolumeMl(shape.form) ?? 0),
    volumeSource: more.volumeSource ?? (shape.form.kind === 'soft' ? 'estimate' : 'tape'),
    form: shape.form,
    waterMl: more.waterMl ?? 0,
    call,
    dry: more.dry ?? 'does not care',
    inDrySack: more.inDrySack ?? false,
    carry: more.worn ? 'worn' : 'bike',
    need: more.need ?? 'should',
    provides: more.provides ?? [],
    view: more.view ?? 'none',
    stiffener: more.stiffener ?? false,
    traits: more.traits ?? [],
    hollow: more.hollow ?? null,
    inside: more.inside ?? null,
    contents: more.contents ?? [],
  };
}
