import type { Point } from '@/core/geometry/polygon';
import {
  bikeGeometrySchema,
  DEFAULT_GEOMETRY,
  type Bike,
  type BikeGeometry,
  type FigureKey,
  type KnownFigures,
  type Tape,
} from './bike';
import { sideView, type SideView } from './sideView';
import { figuresFromTape } from './tape';
import { assumedGeometry } from './types';

/** How a figure came about. `worked out` follows from the others; `default` is an average bike's. */
export type FigureSource = 'given' | 'by tape' | 'worked out' | 'default';

/** Something wrong with the figures, at one of them. */
export interface FigureDoubt {
  field: FigureKey | keyof Tape | 'wheelbaseMm';
  message: string;
}

export interface Figures {
  geometry: BikeGeometry;
  sources: Record<FigureKey, FigureSource>;
  /** Tapes that close no triangle: the figures are then given ones and defaults. */
  doubts: FigureDoubt[];
}

const KEYS = Object.keys(bikeGeometrySchema.shape) as FigureKey[];

/** How far the saddle stands above the seat tube's top when its height is not known, in millimetres. */
const POST_SHOWING_MM = 230;
const LEAST_SADDLE_MM = 680;
/** A tape inside real tubes is not finer than this; further apart, table and tape are not of one bike. */
const TAPE_OFF_MM = 15;
const TAPE_OFF_DEG = 3;

/**
 * All figures of a bike: what is given, what a tape gives, what follows from these, and defaults for the rest,
 * each with where it comes from.
 *
 * A fork length or bottom-bracket drop that is missing is worked out so that both wheels stand on one ground; the
 * drop from the rail-to-tyre reading and the bar's rise from the bar-to-tyre reading, where there are such.
 *
 * @param bike null stands for a middling hardtail
 * @example figuresOf({ ...newBike('b', 'B'), geometry: { stackMm: 600 } }).sources.reachMm // 'default'
 */
export function figuresOf(
  bike: (Pick<Bike, 'geometry' | 'tape' | 'build'> & Partial<Pick<Bike, 'assumed'>>) | null,
): Figures {
  const given: KnownFigures = bike?.geometry ?? {};
  const assumed = bike?.assumed ? assumedGeometry(bike.assumed.type, bike.assumed.size) : null;
  const geometry: BikeGeometry = { ...(assumed ?? DEFAULT_GEOMETRY) };
  const sources = Object.fromEntries(KEYS.map((key) => [key, 'default'])) as Record<FigureKey, FigureSource>;
  const doubts: FigureDoubt[] = [];
  const set = (key: FigureKey, value: number, source: FigureSource) => {
    geometry[key] = value;
    sources[key] = source;
  };
  const known = (key: FigureKey) => sources[key] !== 'default';

  if (!assumed && bike?.build.bar === 'drop')
    Object.assign(geometry, { barWidthMm: 440, stemMm: 80, barRiseMm: 25 });
  if (!assumed && bike?.build.bar === 'swept') Object.assign(geometry, { barWidthMm: 780 });
  for (const key of KEYS) if (given[key] !== undefined) set(key, given[key], 'given');
  if (!known('rearWheelBeadMm')) geometry.rearWheelBeadMm = geometry.wheelBeadMm;
  if (!known('rearTyreWidthMm')) geometry.rearTyreWidthMm = geometry.tyreWidthMm;

  if (bike?.tape) {
    const read = figuresFromTape(bike.tape, geometry.seatAngleDeg, geometry.headAngleDeg);
    if (read.ok) {
      for (const [key, value] of Object.entries(read.value) as [FigureKey, number][]) {
        if (!known(key)) set(key, value, 'by tape');
        else if (Math.abs(value - geometry[key]) > (key.endsWith('Deg') ? TAPE_OFF_DEG : TAPE_OFF_MM))
          doubts.push({
            field: key,
            message: `The table says ${geometry[key].toFixed(0)} here, the tape gives ${value.toFixed(0)}. The table's figure is used; measure again, or empty it to go by the tape.`,
          });
      }
    } else doubts.push(read.error);
  }
  if (!known('saddleHeightMm') && !(assumed && !known('seatTubeMm')))
    geometry.saddleHeightMm = Math.max(LEAST_SADDLE_MM, geometry.seatTubeMm + POST_SHOWING_MM);

  const tape = bike?.tape ?? null;
  if (tape?.railToTyreMm && !known('bottomBracketDropMm')) {
    const drop = solve(-60, 120, tape.railToTyreMm, (bottomBracketDropMm) =>
      railToTyre(sideView({ ...geometry, bottomBracketDropMm })),
    );
    if (drop === null) {
      doubts.push({
        field: 'railToTyreMm',
        message: `A gap of ${tape.railToTyreMm.toFixed(0)} mm from rails to tyre does not suit a saddle ${geometry.saddleHeightMm.toFixed(0)} mm above the bottom bracket. Measure both again.`,
      });
    } else set('bottomBracketDropMm', drop, 'by tape');
  }
  levelWheels(geometry, known, set);
  if (tape?.barToTyreMm && !known('barRiseMm')) {
    const rise = solve(-80, 200, tape.barToTyreMm, (barRiseMm) =>
      barToTyre(sideView({ ...geometry, barRiseMm })),
    );
    if (rise === null) {
      doubts.push({
        field: 'barToTyreMm',
        message: `A gap of ${tape.barToTyreMm.toFixed(0)} mm from bar to tyre does not suit this head tube and wheel. Measure it again, straight down.`,
      });
    } else set('barRiseMm', rise, 'by tape');
  }
  return { geometry, sources, doubts };
}

/** Works out the fork's length, or else the drop, that puts both tyres on one ground. */
function levelWheels(
  geometry: BikeGeometry,
  known: (key: FigureKey) => boolean,
  set: (key: FigureKey, value: number, source: FigureSource) => void,
): void {
  const difference = (g: BikeGeometry) => groundDifference(sideView(g));
  if (!known('axleToCrownMm')) {
    // A longer fork lowers the front axle, so the difference falls.
    const length = solve(300, 650, 0, (axleToCrownMm) => difference({ ...geometry, axleToCrownMm }));
    if (length !== null) set('axleToCrownMm', length, 'worked out');
  } else if (!known('bottomBracketDropMm')) {
    const drop = solve(-60, 120, 0, (bottomBracketDropMm) =>
      difference({ ...geometry, bottomBracketDropMm }),
    );
    if (drop !== null) set('bottomBracketDropMm', drop, 'worked out');
  }
}

/** How much higher the front tyre's lowest point is than the rear one's, in millimetres. */
export const groundDifference = (view: SideView): number =>
  view.frontAxle.z - view.frontWheel.radiusMm - (view.rearAxle.z - view.rearWheel.radiusMm);

const straightDown = (from: Point, wheel: SideView['rearWheel']): number => {
  const across = from.x - wheel.centre.x;
  const square = wheel.radiusMm ** 2 - across ** 2;
  // Beside the wheel there is no tyre below; the axle's height continues the function without a jump.
  return from.z - wheel.centre.z - Math.sqrt(Math.max(0, square));
};
/** Saddle rails straight down to the rear tyre, in millimetres. */
export const railToTyre = (view: SideView): number => straightDown(view.seatpostClamp, view.rearWheel);
/** Bar's middle straight down to the front tyre, in millimetres. */
export const barToTyre = (view: SideView): number => straightDown(view.bar, view.frontWheel);

/** Where a monotonic function takes a value, by halving; null when it does not within the range. */
function solve(low: number, high: number, wanted: number, f: (x: number) => number): number | null {
  let [a, b] = [low, high];
  const rising = f(b) > f(a);
  if (wanted < Math.min(f(a), f(b)) || wanted > Math.max(f(a), f(b))) return null;
  // Thirty halvings of a few hundred millimetres are below a micrometre.
  for (let i = 0; i < 30; i += 1) {
    const middle = (a + b) / 2;
    if (f(middle) < wanted === rising) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}
