import { bikeGeometrySchema, type Bike, type FigureKey } from './bike';
import { figuresOf, groundDifference, type FigureDoubt, type Figures } from './figures';
import { sideView, type SideView } from './sideView';

/** Greatest difference of the tyres' lowest points that still counts as one bike (methods, section 1). */
export const AXLE_TOLERANCE_MM = 10;
/** Makers round; a wheelbase printed further off than this is a slip somewhere. */
const WHEELBASE_TOLERANCE_MM = 12;

/**
 * Middle and spread of each figure over bikes of all kinds and sizes: how odd a figure looks alone. Ours, from
 * the ranges that makers' tables span; only their order of size matters here.
 */
const USUAL: Partial<Record<FigureKey, [middle: number, spread: number]>> = {
  stackMm: [590, 40],
  reachMm: [415, 40],
  headTubeMm: [125, 30],
  headAngleDeg: [69, 2.5],
  chainstayMm: [435, 12],
  bottomBracketDropMm: [55, 22],
  axleToCrownMm: [470, 55],
  forkOffsetMm: [47, 6],
  wheelBeadMm: [610, 25],
  tyreWidthMm: [50, 12],
};

/** What the wheelbase follows from; fork offset is left out, as it moves it by less than the tolerance. */
const OF_WHEELBASE = [
  'stackMm',
  'reachMm',
  'headTubeMm',
  'headAngleDeg',
  'chainstayMm',
  'bottomBracketDropMm',
  'axleToCrownMm',
] as const satisfies FigureKey[];

/**
 * What cannot be right in a bike's figures, each with the figure most likely wrong. Only figures the rider entered
 * are named, never assumed ones. Empty for a bike that holds together.
 *
 * @example doubtsOf({ ...newBike('b', 'B'), geometry: { ...DEFAULT_GEOMETRY, axleToCrownMm: 400 } })[0].field // 'axleToCrownMm'
 */
export function doubtsOf(bike: Pick<Bike, 'geometry' | 'tape' | 'build'>): FigureDoubt[] {
  const figures = figuresOf(bike);
  const { geometry: g } = figures;
  const view = sideView(g);
  const doubts = [...figures.doubts];
  /** Adds a doubt that names which of these figures the rider entered: likeliest first, at most two. */
  const doubt = (message: string, ...fields: [FigureKey, ...FigureKey[]]) => {
    const entered = fields.filter((field) => isEntered(figures, field));
    const named = entered.length > 0 ? entered.slice(0, 2) : [fields[0]];
    doubts.push({ field: named[0]!, message: `${message} Look at ${named.map(shortName).join(' and ')}.` });
  };
  const difference = groundDifference(view);
  if (Math.abs(difference) > AXLE_TOLERANCE_MM) {
    const { field, value } = suspect(figures, 0, groundDifference);
    doubts.push({
      field,
      message:
        `These figures put the front axle ${Math.abs(difference).toFixed(0)} mm ${difference > 0 ? 'higher' : 'lower'} than both wheels on one ground allow. ` +
        `Look first at ${shortName(field)} (${g[field].toFixed(0)}${value === null ? '' : `; ${value.toFixed(0)} would fit`}), then at the other figures of the front.`,
    });
  }
  if (view.wheelbaseMm < view.frontWheel.radiusMm + view.rearWheel.radiusMm + 10)
    doubt(
      `The wheels would overlap: a wheelbase of ${view.wheelbaseMm.toFixed(0)} mm for wheels of ${(2 * view.frontWheel.radiusMm).toFixed(0)} mm.`,
      'reachMm',
      'chainstayMm',
      ...WHEELS,
    );
  if (g.chainstayMm - view.rearWheel.radiusMm < 15)
    doubt(
      `The rear wheel would overlap the frame: its radius is ${view.rearWheel.radiusMm.toFixed(0)} mm and the chainstay ${g.chainstayMm.toFixed(0)} mm.`,
      'chainstayMm',
      ...WHEELS,
    );
  const crownGap =
    Math.sqrt(Math.max(0, g.axleToCrownMm ** 2 - g.forkOffsetMm ** 2)) - view.frontWheel.radiusMm;
  if (crownGap < 5)
    doubt(
      `The front wheel would overlap the fork's crown: a fork of ${g.axleToCrownMm.toFixed(0)} mm for a wheel of radius ${view.frontWheel.radiusMm.toFixed(0)} mm.`,
      'axleToCrownMm',
      'tyreWidthMm',
      'wheelBeadMm',
      // Where the fork's length is worked out, it follows from these.
      'stackMm',
      'headTubeMm',
      'bottomBracketDropMm',
    );
  if (g.saddleHeightMm < g.seatTubeMm)
    doubt('The saddle would be below the top of the seat tube.', 'saddleHeightMm', 'seatTubeMm');
  const printed = bike.geometry.wheelbaseMm;
  const checkable = OF_WHEELBASE.every((field) => figures.sources[field] !== 'default');
  if (printed !== undefined && checkable && Math.abs(printed - view.wheelbaseMm) > WHEELBASE_TOLERANCE_MM) {
    const { field, value } = suspect(figures, printed, (v) => v.wheelbaseMm);
    doubts.push({
      field,
      message: `The printed wheelbase is ${printed.toFixed(0)} mm, these figures give ${view.wheelbaseMm.toFixed(0)} mm. Look first at ${shortName(field)} (${g[field].toFixed(0)}${value === null ? '' : `; ${value.toFixed(0)} would fit`}).`,
    });
  }
  return doubts;
}

const WHEELS = [
  'rearTyreWidthMm',
  'tyreWidthMm',
  'rearWheelBeadMm',
  'wheelBeadMm',
] as const satisfies FigureKey[];

const isEntered = ({ sources }: Figures, field: FigureKey): boolean =>
  sources[field] === 'given' || sources[field] === 'by tape';

/** "fork length", "bottom bracket drop": a figure's label without its explanation. */
export const shortName = (field: FigureKey): string => {
  const label = bikeGeometrySchema.shape[field].description ?? field;
  return label.split(/[:,(]/)[0]!.trim().toLowerCase();
};

/**
 * The figure most likely wrong when a relation of the view should have a value and does not: each given figure is
 * moved alone until the relation holds; the one that gains most in usualness by that, or loses least, is named.
 */
function suspect(
  figures: Figures,
  wanted: number,
  relation: (view: SideView) => number,
): { field: FigureKey; value: number | null } {
  const oddness = (field: FigureKey, value: number) => {
    const [middle, spread] = USUAL[field]!;
    return ((value - middle) / spread) ** 2;
  };
  const fields = (Object.keys(USUAL) as FigureKey[]).filter((field) => isEntered(figures, field));
  let best: { field: FigureKey; value: number | null } = {
    field: fields[0] ?? 'axleToCrownMm',
    value: null,
  };
  let most = -Infinity;
  for (const field of fields) {
    const now = figures.geometry[field];
    const value = mended(figures, field, wanted, relation);
    if (value === null) continue;
    const gain = oddness(field, now) - oddness(field, value);
    if (gain > most) [most, best] = [gain, { field, value }];
  }
  return best;
}

/** The value of one figure, nearest to what it is, that makes the relation hold; null when none in its range does. */
function mended(
  figures: Figures,
  field: FigureKey,
  wanted: number,
  relation: (view: SideView) => number,
): number | null {
  const range = bikeGeometrySchema.shape[field];
  const [low, high] = [range.minValue!, range.maxValue!];
  const at = (value: number) => relation(sideView({ ...figures.geometry, [field]: value })) - wanted;
  const now = figures.geometry[field];
  const steps = 60;
  let best: number | null = null;
  for (let i = 0; i < steps; i += 1) {
    let [a, b] = [low + ((high - low) * i) / steps, low + ((high - low) * (i + 1)) / steps];
    if (at(a) > 0 === at(b) > 0) continue;
    for (let k = 0; k < 20; k += 1) {
      const middle = (a + b) / 2;
      if (at(middle) > 0 === at(a) > 0) a = middle;
      else b = middle;
    }
    if (best === null || Math.abs(a - now) < Math.abs(best - now)) best = a;
  }
  return best;
}
