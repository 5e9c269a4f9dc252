import {
  PLACE_DEFAULTS,
  type Bag,
  type Compartment,
  type Place,
  type Reach,
  type Side,
  type Weather,
} from '@/core/bag/bag';
import type { Solid } from '@/core/geometry/solid';

const compartment = (
  id: string,
  name: string,
  solid: Solid,
  statedMl: number | null,
  reach: Reach,
  weather: Weather,
  limitG: number | null = null,
  outside: Compartment['outside'] = 'no',
): Compartment => ({ id, name, solid, statedMl, limitG, reach, weather, outside });

const bag = (
  id: string,
  name: string,
  place: Place,
  side: Side,
  massG: number,
  limitG: number | null,
  compartments: Compartment[],
): Bag => {
  const { closure, opening, attachment } = PLACE_DEFAULTS[place];
  return {
    ...{ id, name, place, side, massG, massSource: 'kitchen scale', limitG },
    ...{
      alongMm: 0,
      standOffMm: 25,
      braced: false,
      swaysFromKgM: null,
      sagMmPerKg: null,
      closure,
      opening,
      attachment,
    },
    compartments,
  };
};

const forkSack: Solid = { kind: 'cylinder', lengthMm: 310, diameterMm: 132 };
const stemPouch: Solid = { kind: 'cylinder', lengthMm: 195, diameterMm: 88 };

/** The demo rider's bags: eleven of them with thirteen compartments. */
export const DEMO_BAGS: readonly Bag[] = [
  bag('bar-roll', 'Bar roll', 'bar roll', 'middle', 395, 4000, [
    compartment(
      'bar-roll-main',
      'main',
      { kind: 'cylinder', lengthMm: 480, diameterMm: 150 },
      null,
      'at camp',
      'sealed',
    ),
  ]),
  bag('bar-bag', 'Front pouch', 'bar bag', 'middle', 210, 1500, [
    compartment(
      'bar-bag-main',
      'main',
      { kind: 'box', lengthMm: 250, widthMm: 85, heightMm: 145 },
      null,
      'at a stop',
      'shower-proof',
    ),
  ]),
  bag('stem-left', 'Left stem bag', 'stem bag', 'left', 92, 1000, [
    compartment('stem-left-main', 'main', stemPouch, null, 'in the saddle', 'open'),
  ]),
  bag('stem-right', 'Right stem bag', 'stem bag', 'right', 92, 1000, [
    compartment('stem-right-main', 'main', stemPouch, null, 'in the saddle', 'open'),
  ]),
  bag('top-tube', 'Top tube bag', 'top tube bag', 'middle', 118, 1000, [
    compartment(
      'top-tube-main',
      'main',
      { kind: 'box', lengthMm: 220, widthMm: 58, heightMm: 92 },
      950,
      'in the saddle',
      'shower-proof',
    ),
  ]),
  bag('frame', 'Half frame bag', 'frame bag', 'middle', 268, 5000, [
    compartment(
      'frame-main',
      'main',
      {
        kind: 'polygon',
        corners: [
          { x: 0, z: 0 },
          { x: 34, z: -112 },
          { x: 444, z: 40 },
          { x: 460, z: 145 },
        ],
        widthMm: 66,
      },
      3100,
      'at a stop',
      'shower-proof',
    ),
    compartment(
      'frame-left',
      'left pocket',
      {
        kind: 'polygon',
        corners: [
          { x: 0, z: 0 },
          { x: 34, z: -112 },
          { x: 444, z: 40 },
          { x: 460, z: 145 },
        ],
        widthMm: 17,
      },
      800,
      'at a stop',
      'shower-proof',
    ),
  ]),
  bag('tool-can', 'Down tube can', 'down tube', 'middle', 120, 1200, [
    compartment(
      'tool-can-main',
      'main',
      { kind: 'cylinder', lengthMm: 225, diameterMm: 80 },
      null,
      'at camp',
      'shower-proof',
    ),
  ]),
  bag('cage', 'Bottle cage', 'bottle cage', 'middle', 42, 1400, [
    compartment(
      'cage-main',
      'main',
      { kind: 'cylinder', lengthMm: 240, diameterMm: 78 },
      1170,
      'in the saddle',
      'open',
    ),
  ]),
  bag('fork-left', 'Left fork bag', 'fork bag', 'left', 236, 2500, [
    compartment('fork-left-main', 'main', forkSack, null, 'at camp', 'sealed'),
  ]),
  bag('fork-right', 'Right fork bag', 'fork bag', 'right', 236, 2500, [
    compartment('fork-right-main', 'main', forkSack, null, 'at camp', 'sealed'),
  ]),
  bag('seat-pack', 'Seat pack', 'seat pack', 'middle', 412, 4500, [
    compartment(
      'seat-pack-main',
      'main',
      {
        kind: 'taper',
        lengthMm: 480,
        noseWidthMm: 92,
        noseHeightMm: 104,
        mouthWidthMm: 214,
        mouthHeightMm: 218,
      },
      8800,
      'at camp',
      'sealed',
    ),
    compartment(
      'seat-pack-cord',
      'elastic cord',
      { kind: 'cylinder', lengthMm: 300, diameterMm: 78 },
      null,
      'at a stop',
      'open',
      700,
      'tethered',
    ),
  ]),
];
