/** What keeps a sleeper warm, each figure as known; null or 0 where there is none. */
export interface SleepSystem {
  /** Comfort rating (ISO 23537); null where only the limit is known. */
  comfortC: number | null;
  /** Limit rating, or the maker's figure of a quilt. */
  limitC: number | null;
  linerC: number;
  clothesC: number;
  shelterC: number;
  /** What was lost with age: down 0.5 °C a year beyond three, synthetic 1 °C. */
  agedC: number;
  /** R-value of the mat (ASTM F3340); null where it is not known. */
  rValue: number | null;
  isColdSleeper: boolean;
}

export interface SleepMargin {
  /** Down to here the whole keeps the sleeper comfortable. */
  comfortC: number;
  marginC: number;
  /** Standard error of the margin. */
  errorC: number;
  /** R-value that this night asks for. */
  neededR: number;
  matShortfallC: number;
  verdict: 'enough' | 'doubtful' | 'not enough';
}

/** From a limit rating to a comfort rating, the usual difference of the standard's two figures. */
const LIMIT_TO_COMFORT_C = 5;
/** R-values that ground of a night needs, by its coldest (methods, section 9). */
const GROUND: readonly (readonly [celsius: number, r: number])[] = [
  [10, 2],
  [5, 3],
  [0, 4],
  [-7, 5.5],
];
/** Ratings differ from sleeper to sleeper, and forecasts from nights. */
const ERROR_C = 3;
const COLD_SLEEPER_C = 3;
const PER_MISSING_R = 2;
const DOUBTFUL_C = 3;

/** R-value for a night, between the figures of methods 9, and on along the last two below them. @example neededR(2.5) // 3.5 */
export function neededR(coldestC: number): number {
  if (coldestC >= GROUND[0]![0]) return GROUND[0]![1];
  const k = Math.min(
    GROUND.length - 1,
    Math.max(
      1,
      GROUND.findIndex(([celsius]) => coldestC >= celsius) === -1
        ? GROUND.length - 1
        : GROUND.findIndex(([celsius]) => coldestC >= celsius),
    ),
  );
  const [warm, cold] = [GROUND[k - 1]!, GROUND[k]!];
  return warm[1] + ((warm[0] - coldestC) / (warm[0] - cold[0])) * (cold[1] - warm[1]);
}

/**
 * The margin of a night: how far below its coldest the sleeper stays comfortable (methods, section 9). Null where no rating is known.
 *
 * @param coldestC of the night
 * @example comfort 0 °C, liner 2, shelter 2, R 3.0 at 3 °C: needs R 3.4, so 0.8 °C lost; comfortable down to −3.2 °C, margin 6.2 °C
 */
export function sleepMargin(system: SleepSystem, coldestC: number): SleepMargin | null {
  const rating = system.comfortC ?? (system.limitC === null ? null : system.limitC + LIMIT_TO_COMFORT_C);
  if (rating === null) return null;
  const needed = neededR(coldestC);
  const matShortfallC = system.rValue === null ? 0 : PER_MISSING_R * Math.max(0, needed - system.rValue);
  const comfortC =
    rating -
    system.linerC -
    system.clothesC -
    system.shelterC +
    system.agedC +
    matShortfallC +
    (system.isColdSleeper ? COLD_SLEEPER_C : 0);
  const marginC = coldestC - comfortC;
  return {
    comfortC,
    marginC,
    errorC: ERROR_C,
    neededR: needed,
    matShortfallC,
    verdict: marginC < 0 ? 'not enough' : marginC < DOUBTFUL_C ? 'doubtful' : 'enough',
  };
}
