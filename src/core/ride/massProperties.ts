/** A mass at a point. Grams; millimetres from the bottom bracket, x forward, y left, z up. */
export interface PointMass {
  massG: number;
  x: number;
  y: number;
  z: number;
}

/**
 * Centre of mass, Σ m r / Σ m (methods, section 5). Without mass, the origin.
 *
 * @example centreOfMass([{ massG: 1, x: 0, y: 0, z: 0 }, { massG: 3, x: 4, y: 0, z: 0 }]) // x 3, massG 4
 */
export function centreOfMass(masses: Iterable<PointMass>): PointMass {
  let massG = 0;
  let x = 0;
  let y = 0;
  let z = 0;
  for (const m of masses) {
    massG += m.massG;
    x += m.massG * m.x;
    y += m.massG * m.y;
    z += m.massG * m.z;
  }
  return massG > 0 ? { massG, x: x / massG, y: y / massG, z: z / massG } : { massG: 0, x: 0, y: 0, z: 0 };
}

/** What the wheels and the ground make of a mass on a bike. */
export interface WheelBalance {
  frontG: number;
  rearG: number;
  /** Deceleration in g at which the rear wheel lifts under braking on the level. */
  tipOverG: number;
  /** Gradient, as a ratio of rise to run, at which the front wheel lifts on a climb. */
  climbLimit: number;
  /** Lean in degrees that puts the mass above the tyres again; positive leans right, for a load to the left. */
  leanDeg: number;
}

/**
 * Wheel loads and the two tipping limits (methods, section 5; statics of two supports). Tyre grip and where the
 * rider moves change both limits; they are for comparing loads, not for riding by.
 *
 * @param rearX front and rear axle positions along x, and the ground's height, in millimetres
 * @example // by hand: wheelbase 1050, rear −425, x 10, height 1070, 100 kg → front 41.43 kg, 0.575 g, 0.4065
 * wheelBalance({ massG: 100000, x: 10, y: 0, z: 1070 }, -425, 625, 0)
 */
export function wheelBalance(
  centre: PointMass,
  rearX: number,
  frontX: number,
  groundZ: number,
): WheelBalance {
  const height = centre.z - groundZ;
  const frontG = (centre.massG * (centre.x - rearX)) / (frontX - rearX);
  return {
    frontG,
    rearG: centre.massG - frontG,
    tipOverG: (frontX - centre.x) / height,
    climbLimit: (centre.x - rearX) / height,
    leanDeg: (Math.atan2(centre.y, height) * 180) / Math.PI,
  };
}

/**
 * Tail moments, kg·m, from which a note and then a check is shown (methods, section 5). Riders ride at 0.5 to 1.3 and complain
 * of sway in the upper half; a rider's own shakedown ride replaces both.
 */
export const TAIL_NOTE_KGM = 0.9;
export const TAIL_CHECK_KGM = 1.2;

/**
 * Tail moment in kg·m: mass times distance behind the seatpost clamp, for what lies behind it (methods, 5).
 *
 * @example tailMoment([{ massG: 2000, x: -400, y: 0, z: 800 }], -100) // 0.6
 */
export const tailMoment = (masses: Iterable<PointMass>, clampX: number): number => {
  let moment = 0;
  for (const m of masses) moment += (m.massG / 1000) * Math.max(0, (clampX - m.x) / 1000);
  return moment;
};

/**
 * Steering inertia Σ m d² in kg·m² about the steering axis, for what turns with the bar (methods, section 5).
 *
 * @param axis a point of the axis and its unit direction, in the side view
 */
export function steeringInertia(
  masses: Iterable<PointMass>,
  axis: { at: { x: number; z: number }; direction: { x: number; z: number } },
): number {
  let inertia = 0;
  for (const m of masses) {
    const across = (m.x - axis.at.x) * axis.direction.z - (m.z - axis.at.z) * axis.direction.x;
    inertia += (m.massG / 1000) * ((across * across + m.y * m.y) / 1e6);
  }
  return inertia;
}
