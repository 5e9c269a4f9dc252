import type { Solid } from '@/core/geometry/solid';
import { freeSide, PLACE_DEFAULTS, type Bag, type Compartment, type Place } from './bag';

/** A generic bag to start from: our own figures in the proportions such bags have. No maker's product. */
export interface LibraryBag {
  key: string;
  name: string;
  place: Place;
  massG: number;
  limitG: number | null;
  braced?: true;
  compartments: {
    name: string;
    solid: Solid;
    statedMl?: number;
    reach?: Compartment['reach'];
    weather?: Compartment['weather'];
    outside?: Compartment['outside'];
    limitG?: number;
  }[];
}

const cylinder = (lengthMm: number, diameterMm: number): Solid => ({
  kind: 'cylinder',
  lengthMm,
  diameterMm,
});
const box = (lengthMm: number, widthMm: number, heightMm: number): Solid => ({
  kind: 'box',
  lengthMm,
  widthMm,
  heightMm,
});
const taper = (lengthMm: number, nose: number, mouthWidthMm: number, mouthHeightMm: number): Solid => ({
  kind: 'taper',
  lengthMm,
  noseWidthMm: nose,
  noseHeightMm: nose + 10,
  mouthWidthMm,
  mouthHeightMm,
});
/** A wedge under the top tube: its four corners from length, front and rear height, and the tube's rise. */
const wedge = (lengthMm: number, rear: number, front: number, rise: number, widthMm: number): Solid => ({
  kind: 'polygon',
  corners: [
    { x: 0, z: 0 },
    { x: Math.round(rear * 0.28), z: -rear },
    { x: lengthMm - 14, z: rise - front },
    { x: lengthMm, z: rise },
  ],
  widthMm,
});
const one = (
  key: string,
  name: string,
  place: Place,
  massG: number,
  limitG: number | null,
  solid: Solid,
  statedMl?: number,
): LibraryBag => ({ key, name, place, massG, limitG, compartments: [{ name: 'main', solid, statedMl }] });
const withCord = (bag: LibraryBag, lengthMm: number, diameterMm: number): LibraryBag => ({
  ...bag,
  compartments: [
    ...bag.compartments,
    {
      name: 'elastic cord',
      solid: cylinder(lengthMm, diameterMm),
      reach: 'at a stop',
      weather: 'open',
      outside: 'tethered',
      limitG: 600,
    },
  ],
});

/** Some thirty bags from small to large at each place. */
export const BAG_LIBRARY: readonly LibraryBag[] = [
  one('roll-s', 'Bar roll, small', 'bar roll', 290, 3000, cylinder(380, 130), 5000),
  one('roll-m', 'Bar roll, medium', 'bar roll', 370, 4000, cylinder(470, 150), 8000),
  one('roll-l', 'Bar roll, large', 'bar roll', 460, 5000, cylinder(560, 175), 13000),
  one('roll-drop', 'Bar roll for drop bars', 'bar roll', 265, 3000, cylinder(320, 135), 4500),
  one('pouch-s', 'Front pouch, small', 'bar bag', 150, 1000, box(210, 60, 120), 1500),
  one('pouch-m', 'Front pouch, medium', 'bar bag', 215, 1500, box(250, 85, 145), 3000),
  one('bar-box', 'Bar box with lid', 'bar bag', 520, 3000, box(270, 150, 190), 7500),
  one('stem-s', 'Stem bag, slim', 'stem bag', 72, 800, cylinder(170, 76), 750),
  one('stem-m', 'Stem bag', 'stem bag', 95, 1000, cylinder(195, 88), 1150),
  one('stem-l', 'Stem bag, wide', 'stem bag', 125, 1300, cylinder(210, 102), 1700),
  one('tube-s', 'Top tube bag, short', 'top tube bag', 85, 700, box(180, 50, 80), 700),
  one('tube-m', 'Top tube bag', 'top tube bag', 118, 1000, box(225, 58, 92), 1100),
  one('tube-l', 'Top tube bag, long', 'top tube bag', 165, 1200, box(300, 60, 105), 1800),
  one('half-s', 'Half frame bag, small', 'frame bag', 190, 3500, wedge(400, 95, 85, 120, 58), 2000),
  one('half-m', 'Half frame bag, medium', 'frame bag', 245, 4500, wedge(470, 112, 100, 148, 64), 3000),
  one('half-l', 'Half frame bag, large', 'frame bag', 290, 5000, wedge(530, 125, 110, 150, 66), 4000),
  one('under-s', 'Tool can', 'down tube', 85, 900, cylinder(180, 76), 750),
  one('under-m', 'Down tube roll', 'down tube', 140, 1500, cylinder(260, 92), 1600),
  one('cage', 'Bottle cage, half-litre bottle', 'bottle cage', 40, 900, cylinder(180, 74)),
  one('cage-l', 'Bottle cage, large bottle', 'bottle cage', 42, 1400, cylinder(245, 76)),
  one('fork-s', 'Fork bag, slim', 'fork bag', 170, 1500, cylinder(270, 112), 2700),
  one('fork-m', 'Fork bag', 'fork bag', 236, 2500, cylinder(310, 132), 4000),
  one('fork-l', 'Fork bag, large', 'fork bag', 290, 3000, cylinder(350, 150), 5800),
  one('seat-xs', 'Seat pack, very small', 'seat pack', 190, 2000, taper(310, 65, 140, 150), 3000),
  one('seat-s', 'Seat pack, small', 'seat pack', 310, 3000, taper(400, 80, 175, 180), 5500),
  withCord(
    one('seat-m', 'Seat pack, medium', 'seat pack', 395, 4000, taper(460, 88, 200, 205), 8500),
    280,
    75,
  ),
  withCord(
    one('seat-l', 'Seat pack, large', 'seat pack', 480, 5000, taper(540, 92, 230, 235), 13000),
    320,
    85,
  ),
  {
    ...one('seat-brace', 'Seat pack on a brace', 'seat pack', 620, 5000, taper(480, 100, 200, 195), 9000),
    braced: true,
  },
  one('pouch-tool', 'Tool pouch', 'tool pouch', 75, 700, box(140, 65, 60), 450),
  one('rack-top', 'Rack-top bag', 'rear rack', 560, 8000, box(340, 190, 170), 10000),
  one('pannier-s', 'Pannier, small', 'pannier', 520, 6000, box(230, 130, 290), 8000),
  one('pannier-m', 'Pannier', 'pannier', 680, 8000, box(290, 160, 340), 14000),
  one('hip', 'Hip pack', 'body', 260, 2000, box(240, 90, 140), 2500),
  one('vest', 'Hydration pack', 'body', 380, 4000, box(230, 70, 380), 5000),
];

/**
 * A bag of the library as one the rider owns, on the side that is still free.
 *
 * @param makeId hands out ids; the core has no random source of its own
 */
export function fromLibrary(entry: LibraryBag, others: readonly Bag[], makeId: () => string): Bag {
  const usual = PLACE_DEFAULTS[entry.place];
  const side = freeSide(entry.place, others);
  const plain = entry.name;
  return {
    id: makeId(),
    name: side === 'middle' ? plain : `${side === 'left' ? 'Left' : 'Right'} ${plain.toLowerCase()}`,
    place: entry.place,
    side,
    massG: entry.massG,
    massSource: 'label',
    limitG: entry.limitG,
    alongMm: 0,
    standOffMm: 25,
    braced: entry.braced ?? false,
    swaysFromKgM: null,
    sagMmPerKg: null,
    closure: usual.closure,
    opening: usual.opening,
    attachment: usual.attachment,
    compartments: entry.compartments.map((compartment) => ({
      id: makeId(),
      name: compartment.name,
      solid: compartment.solid,
      statedMl: compartment.statedMl ?? null,
      limitG: compartment.limitG ?? null,
      reach: compartment.reach ?? usual.reach,
      weather: compartment.weather ?? usual.weather,
      outside: compartment.outside ?? 'no',
    })),
  };
}
