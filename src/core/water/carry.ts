/** Where water can be filled, and the leg that follows it. The first is the start. */
export interface WaterSource {
  /** Minutes that a stop costs there: the way to it and back, waiting, the fixed part of treating. */
  stopMin: number;
  /** Minutes for each litre: how fast the filter runs. */
  perLitreMin: number;
  /** Litres needed on the leg from here to the next source. */
  demandL: number;
  /** Minutes that a litre costs when it is carried over that leg (methods, section 6). */
  carryMinPerL: number;
}

/** What is filled at one source. */
export interface Fill {
  /** Index of the source. */
  at: number;
  /** Litres on board when leaving it. */
  leavesWithL: number;
}

export interface CarryPlan {
  fills: Fill[];
  /** Minutes for stops and for carrying. */
  costMin: number;
  /** The most on board at any time, in litres. */
  mostL: number;
}

/** Why there is no plan: what a leg asks for beyond the vessels. */
export interface CarryProblem {
  /** Index of the source before the first stretch that cannot be crossed. */
  at: number;
  missingL: number;
}

export type CarryOutcome = { ok: true; plan: CarryPlan } | { ok: false; problem: CarryProblem };

/**
 * The least-time plan: at which sources to fill, each time with the least that reaches the next fill with the reserve (dynamic lot sizing,
 * Wagner and Whitin 1958, solved as a shortest path over the sources; methods, section 7). A litre that is drunk on a leg is carried over
 * half of it.
 *
 * @param sources in the order of the route, the first the start, where filling is part of setting out; the last leg ends at the end
 * @param reserveL litres that must be left when the next source is reached
 * @param capacityL of all vessels
 * @returns the plan, or where it breaks and by how much
 * @example stop 0, 12, 6, 15 min; demand 1.0, 1.4, 0.6, 0.9 l; carrying 1.2, 1.6, 0.8, 1.0 min/l; reserve 0.5; capacity 3.5:
 *   fill at the third alone, 13.1 min
 */
export function leastTimeCarry(
  sources: readonly WaterSource[],
  reserveL: number,
  capacityL: number,
): CarryOutcome {
  const n = sources.length;
  const best = new Float64Array(n + 1).fill(Infinity);
  const from = new Int32Array(n + 1).fill(-1);
  best[0] = 0;
  for (let i = 0; i < n; i += 1) {
    if (best[i] === Infinity) continue;
    let loadL = reserveL;
    let carryMin = 0;
    for (let j = i; j < n; j += 1) {
      const { demandL, carryMinPerL } = sources[j]!;
      // The demand of this leg is carried over all legs since the fill, and over half of its own.
      for (let k = i; k < j; k += 1) carryMin += sources[k]!.carryMinPerL * demandL;
      carryMin += carryMinPerL * (demandL / 2 + reserveL);
      loadL += demandL;
      if (loadL > capacityL + 1e-9) break;
      const { stopMin, perLitreMin } = sources[i]!;
      const cost = best[i]! + (i === 0 ? 0 : stopMin) + perLitreMin * (loadL - reserveL) + carryMin;
      if (cost < best[j + 1]!) {
        best[j + 1] = cost;
        from[j + 1] = i;
      }
    }
  }
  if (best[n] === Infinity) {
    // The first leg that is too long even after a fill right before it.
    const at = sources.findIndex(({ demandL }) => demandL + reserveL > capacityL + 1e-9);
    return { ok: false, problem: { at, missingL: sources[at]!.demandL + reserveL - capacityL } };
  }
  const fills: Fill[] = [];
  for (let to = n; to > 0; to = from[to]!) {
    const at = from[to]!;
    const demandL = sources.slice(at, to).reduce((sum, source) => sum + source.demandL, 0);
    fills.unshift({ at, leavesWithL: demandL + reserveL });
  }
  return {
    ok: true,
    plan: {
      fills,
      costMin: best[n]!,
      mostL: Math.max(...fills.map(({ leavesWithL }) => leavesWithL)),
    },
  };
}
