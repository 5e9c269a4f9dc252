import { bankWh, DYNAMO_KMH, PANEL_SHARE, type PowerSystem } from './charge';

/** What is charged and used on one day, in Wh. */
export interface PowerDay {
  day: number;
  used: number;
  /** From panel and dynamo while riding. */
  made: number;
  /** Whether the night after it has a socket. */
  hasSocket: boolean;
  /** Left in banks and what they charge, after the night. */
  left: number;
  /** The hour of riding after which nothing is left; null where it lasts. */
  emptyAfterH: number | null;
}

/**
 * Charge day by day (methods, section 10). Banks are full when setting out and after a night with a socket; what panel and dynamo make beyond
 * that is lost.
 *
 * @param days hours in the saddle of each, and whether the night after it has a socket
 * @example 31.45 Wh in the bank, 12 Wh a day, nothing made: 19.5 Wh left, then 7.5, then empty after 62 % of the third day
 */
export function powerByDay(
  days: readonly { ridingHours: number; hasSocket: boolean }[],
  { drawWhPerDay, panelW, dynamoW, speedKmh, sunHours, banksMah, coldestC }: PowerSystem,
): PowerDay[] {
  const full = bankWh(banksMah, coldestC);
  const dynamo = dynamoW * Math.min(1, speedKmh / DYNAMO_KMH);
  let left = full;
  return days.map(({ ridingHours, hasSocket }, k) => {
    const made = dynamo * ridingHours + panelW * sunHours * PANEL_SHARE;
    const usedPerDay = drawWhPerDay;
    const balance = left + made - usedPerDay;
    const emptyAfterH =
      balance < 0 && usedPerDay > made ? (ridingHours * Math.max(0, left)) / (usedPerDay - made) : null;
    left = hasSocket ? full : Math.min(full, Math.max(0, balance));
    return { day: k + 1, used: usedPerDay, made, hasSocket, left, emptyAfterH };
  });
}
