import type { Call, Dryness, Form, Need, Provides, System, Thing, Trait } from '@/core/kit/thing';
import { formVolumeMl } from '@/core/kit/thing';

interface More {
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
  massSource?: Thing['massSource'];
  volumeSource?: Thing['volumeSource'];
  /** For a stiff thing whose volume is not that of its measures. */
  volumeMl?: number;
}

const soft = (pressedMl: number, looseMl: number): { form: Form; volumeMl: number } => ({
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
const box = sides('box');
const flat = sides('flat');
const crushable = sides('crushable');
const cylinder = round('cylinder');
const long = round('long');

function thing(
  system: System,
  name: string,
  massG: number,
  shape: { form: Form; volumeMl?: number },
  call: Call,
  more: More = {},
): Thing {
  return {
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
    packing: 'stuffed',
    stiffener: more.stiffener ?? false,
    traits: more.traits ?? [],
    hollow: more.hollow ?? null,
    inside: more.inside ?? null,
  };
}

const POT = 'pot-0-9-l';

/** The demo rider's kit: figures plausible for spring nights near 3 °C, names generic. */
export const DEMO_THINGS: readonly Thing[] = [
  thing('sleep', 'Down quilt', 680, soft(4200, 8200), 'camp', {
    dry: 'must',
    need: 'must',
    provides: ['warmth'],
    volumeSource: 'rated',
  }),
  thing('sleep', 'Quilt pad straps', 28, soft(70, 100), 'camp', { dry: 'rather' }),
  thing('sleep', 'Inflatable mat', 455, cylinder(230, 100), 'camp', {
    dry: 'rather',
    need: 'must',
    traits: ['inflatable'],
  }),
  thing('sleep', 'Inflation sack', 52, soft(140, 260), 'camp'),
  thing('sleep', 'Pillow', 74, soft(220, 360), 'camp', {
    dry: 'rather',
    need: 'nice',
    traits: ['inflatable'],
  }),
  thing('sleep', 'Silk liner', 125, soft(320, 520), 'camp', { dry: 'must' }),
  thing('shelter', 'Tent inner and fly', 1040, soft(3100, 4300), 'camp', {
    need: 'must',
    volumeSource: 'tape',
    traits: ['wet'],
  }),
  thing('shelter', 'Tent poles', 395, long(400, 45), 'camp', { need: 'must' }),
  thing('shelter', 'Tent pegs', 14, long(165, 12), 'camp', { quantity: 9, need: 'must', traits: ['sharp'] }),
  thing('shelter', 'Ground sheet', 160, soft(420, 600), 'camp', { traits: ['wet'] }),
  thing('shelter', 'Guy lines', 35, soft(60, 90), 'camp'),
  thing('clothes', 'Insulated jacket', 340, soft(1700, 3200), 'camp', {
    dry: 'must',
    need: 'must',
    provides: ['warmth'],
  }),
  thing('clothes', 'Rain jacket', 265, soft(600, 950), 'urgent', { need: 'must', traits: ['wet'] }),
  thing('clothes', 'Rain trousers', 210, soft(460, 700), 'urgent', { traits: ['wet'] }),
  thing('clothes', 'Sleep shirt', 185, soft(480, 720), 'camp', { dry: 'must' }),
  thing('clothes', 'Sleep leggings', 170, soft(430, 640), 'camp', { dry: 'must' }),
  thing('clothes', 'Sleep socks', 62, soft(150, 230), 'camp', { dry: 'must' }),
  thing('clothes', 'Spare riding socks', 38, soft(80, 120), 'camp', { dry: 'rather' }),
  thing('clothes', 'Spare underwear', 55, soft(110, 160), 'camp', { dry: 'rather', quantity: 2 }),
  thing('clothes', 'Warm hat', 48, soft(160, 260), 'stop', { dry: 'rather' }),
  thing('clothes', 'Long-fingered gloves', 72, soft(180, 260), 'stop', { dry: 'rather' }),
  thing('clothes', 'Wind vest', 95, soft(180, 320), 'riding'),
  thing('clothes', 'Camp shoes', 190, soft(1100, 1400), 'camp', {
    quantity: 1,
    need: 'nice',
    massSource: 'label',
  }),
  thing('clothes', 'Riding shorts', 215, soft(500, 700), 'riding', { worn: true, need: 'must' }),
  thing('clothes', 'Riding shirt', 160, soft(350, 500), 'riding', { worn: true, need: 'must' }),
  thing('clothes', 'Riding shoes', 760, soft(3000, 3600), 'riding', { worn: true, need: 'must' }),
  thing('clothes', 'Helmet', 310, box(270, 200, 160), 'riding', { worn: true, need: 'must' }),
  thing('cook', 'Pot 0.9 l', 168, cylinder(118, 112), 'camp', {
    hollow: { kind: 'cylinder', lengthMm: 114, diameterMm: 107 },
  }),
  thing('cook', 'Burner', 97, box(70, 42, 30), 'camp', { inside: POT }),
  thing('cook', 'Gas canister', 205, cylinder(72, 91), 'camp', {
    massSource: 'label',
    inside: POT,
    traits: ['fuel'],
  }),
  thing('cook', 'Mug', 78, cylinder(85, 80), 'camp', { need: 'nice' }),
  thing('cook', 'Spoon', 17, long(215, 22), 'camp'),
  thing('cook', 'Lighter and matches', 32, box(85, 45, 16), 'camp', { dry: 'must', inDrySack: true }),
  thing('cook', 'Coffee kit', 96, cylinder(90, 66), 'camp', { need: 'nice', dry: 'rather' }),
  thing('cook', 'Wash cloth', 12, soft(35, 60), 'camp', { inside: POT }),
  thing('food', 'Dinners, dried', 148, soft(420, 560), 'camp', {
    quantity: 2,
    need: 'must',
    massSource: 'label',
  }),
  thing('food', 'Breakfast oats', 125, soft(240, 320), 'camp', { quantity: 2, massSource: 'label' }),
  thing('food', 'Flatbread', 320, crushable(165, 150, 38), 'stop', { need: 'should', massSource: 'label' }),
  thing('food', 'Hard cheese', 220, box(110, 65, 34), 'stop', { massSource: 'label' }),
  thing('food', 'Nuts and dried fruit', 350, soft(520, 640), 'riding', { massSource: 'label' }),
  thing('food', 'Oat bars', 55, box(120, 38, 18), 'riding', { quantity: 6, massSource: 'label' }),
  thing('food', 'Chews', 45, soft(40, 55), 'riding', { quantity: 4, massSource: 'label' }),
  thing('food', 'Chocolate', 100, flat(155, 75, 9), 'stop', { need: 'nice', massSource: 'label' }),
  thing('food', 'Electrolyte tablets', 62, cylinder(105, 32), 'stop', { dry: 'rather' }),
  thing('water', 'Bottle, frame', 92, cylinder(230, 74), 'riding', { waterMl: 750, need: 'must' }),
  thing('water', 'Bottle, stem', 78, cylinder(190, 74), 'riding', { waterMl: 600, need: 'must' }),
  thing('water', 'Soft flask for the dry stretch', 38, cylinder(250, 80), 'stop', {
    waterMl: 1000,
    need: 'must',
    volumeMl: 1050,
  }),
  thing('water', 'Squeeze filter', 88, cylinder(150, 55), 'stop', { need: 'must' }),
  thing('tools', 'Multitool', 178, box(90, 45, 30), 'repair', { need: 'must', provides: ['repair'] }),
  thing('tools', 'Mini pump', 142, long(215, 32), 'repair', { need: 'must', provides: ['repair'] }),
  thing('tools', 'Spare tube', 205, box(120, 75, 48), 'repair', {
    need: 'must',
    provides: ['repair'],
    traits: ['inflatable'],
  }),
  thing('tools', 'Plug and patch kit', 64, box(95, 55, 25), 'repair', { need: 'must', provides: ['repair'] }),
  thing('tools', 'Tyre levers', 14, flat(115, 22, 8), 'repair', { quantity: 2, need: 'must' }),
  thing('tools', 'Chain links and derailleur hanger', 36, box(70, 45, 18), 'repair'),
  thing('tools', 'Chain oil', 48, cylinder(85, 30), 'repair'),
  thing('tools', 'Brake pads', 26, box(60, 40, 12), 'repair', { quantity: 2 }),
  thing('tools', 'Tape, ties and wire', 58, soft(110, 140), 'repair'),
  thing('tools', 'Light lock', 118, cylinder(75, 75), 'stop', { need: 'nice' }),
  thing('first aid', 'First aid pouch', 196, box(150, 100, 50), 'urgent', {
    need: 'must',
    dry: 'must',
    inDrySack: true,
  }),
  thing('first aid', 'Foil blanket', 62, flat(130, 85, 20), 'urgent', { need: 'must' }),
  thing('hygiene', 'Wash bag', 165, box(160, 90, 55), 'camp'),
  thing('hygiene', 'Small towel', 68, soft(190, 300), 'camp', { need: 'nice' }),
  thing('hygiene', 'Trowel and paper', 84, flat(185, 65, 35), 'stop', { need: 'must', dry: 'rather' }),
  thing('hygiene', 'Sun cream', 74, cylinder(110, 36), 'stop'),
  thing('electronics', 'Head torch', 82, box(65, 50, 42), 'urgent', {
    need: 'must',
    provides: ['light'],
    dry: 'rather',
  }),
  thing('electronics', 'Front light', 136, cylinder(105, 34), 'riding', {
    need: 'must',
    provides: ['light'],
  }),
  thing('electronics', 'Rear light', 44, box(65, 38, 28), 'riding', { need: 'must' }),
  thing('electronics', 'Power bank', 228, flat(145, 70, 16), 'stop', {
    dry: 'must',
    need: 'must',
    inDrySack: true,
  }),
  thing('electronics', 'Cables and plug', 96, box(90, 60, 38), 'camp', { dry: 'must' }),
  thing('electronics', 'Phone', 192, flat(152, 74, 10), 'riding', { need: 'must', dry: 'rather' }),
  thing('papers', 'Cards, cash and train ticket', 58, flat(105, 72, 14), 'stop', {
    need: 'must',
    dry: 'must',
    inDrySack: true,
  }),
  thing('papers', 'Paper map', 72, flat(230, 125, 10), 'stop', {
    dry: 'must',
    inDrySack: true,
    massSource: 'estimate',
  }),
  thing('luxuries', 'Folding chair', 890, long(420, 130), 'camp', { need: 'nice', massSource: 'label' }),
  thing('luxuries', 'Paperback', 176, box(178, 110, 22), 'camp', {
    need: 'nice',
    dry: 'must',
    massSource: 'estimate',
  }),
];
