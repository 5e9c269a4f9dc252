import type { Thing } from '@/core/kit/thing';

/**
 * The constants of the search, each with what it trades off. All were chosen with `bench:kits -- --fit`; how much that
 * decides is in `docs/measurements.md`.
 */

/** Rounds of one search: a number, not seconds, so that a seed gives the same load anywhere. About a second of one thread for 60 to 120 things. */
export const ROUNDS = 100;

/** The first rounds move anything, and decide which large things are left behind, which later rounds seldom change. More starts find more such choices, and leave fewer rounds to improve on the best. */
export const STARTS = 4;
export const ROUNDS_PER_START = 4;
/** Heat of the rounds of a start, in points, in turn: a hot one leaves a poor region, a cold one finishes. */
export const START_HEATS = [15, 3, 60] as const;
export const START_MOVES = 96_000;
/** In the starts leaving a thing costs so many times its points: what is left out once seldom comes in again. Higher keeps needed things in, and fills the bags less well. */
export const START_LEAVE_FACTOR: Readonly<Record<Thing['need'], number>> = { must: 2, should: 2, nice: 1 };

/** Each later round opens a share of the compartments, between these. A smaller share is searched more closely, and misses what needs a distant exchange. */
export const LEAST_OPEN = 0.6;
export const MOST_OPEN = 1;
export const ROUND_HEATS = [15, 5, 5] as const;
export const ROUND_MOVES = 50_000;
/** The coldest heat: far below any difference that is shown. */
export const COLD = 0.1;
/** Share of the moves that are exchanges; the others move one thing alone. */
export const SWAPS = 0.82;
/** Points by which two things that change places may be too expensive, in the hope that a third and fourth make up for it. */
export const HOPE = 4;

/** A round is abandoned from half its moves on, where its load is worse than the one it began from by more than so many points for each thing and degree of heat. Lower saves time, and abandons some rounds that would have improved. */
export const ABANDON_PER_HEAT = 0.1;
/** A load whose stiff things do not fit is repaired only where its price is within this factor of the base's. */
export const WORTH_REPAIR = 1.03;
/** A load further than this factor from the base is not improved by descent. */
export const NEAR = 1.06;
/** Of its objective a move must save so much to be worth asking how things would lie; at the end any saving is. */
export const WORTH_ASKING = 0.0002;

/** Share of a compartment's litres that the annealing may fill with stiff things at first. What fits is 0.25 to 0.75 by shape; less at first keeps some bags from ever being tried. */
export const STIFF_AT_FIRST = 0.9;
export const STIFF_AT_LEAST = 0.15;
/** How that share changes where the things did not fit, and where they did and nearly used it up. */
export const STIFF_LESS = 0.9;
export const STIFF_MORE = 1.05;
export const NEARLY_USED_UP = 0.9;
