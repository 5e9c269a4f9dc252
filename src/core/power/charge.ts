export interface PowerSystem {
  /** What all devices use on a day of riding, in Wh. */
  drawWhPerDay: number;
  days: number;
  banksMah: number;
  panelW: number;
  dynamoW: number;
  /** Of each day. */
  sunHours: number;
  movingHours: number;
  /** Mean speed while moving; a dynamo gives less below 15 km/h. */
  speedKmh: number;
  coldestC: number;
  /** Nights with a socket. */
  socketNights: number;
}

export interface ChargeBudget {
  needWh: number;
  supplyWh: number;
  banksWh: number;
  panelWh: number;
  dynamoWh: number;
  socketsWh: number;
  /** 1 is just enough. */
  ratio: number;
  verdict: 'enough' | 'doubtful' | 'not enough' | 'more than twice';
}

const CELL_V = 3.7;
/** From this speed on a dynamo gives all it can. */
export const DYNAMO_KMH = 15;
/** Of a panel's rated power while riding. */
export const PANEL_SHARE = 0.3;

/**
 * What a power bank delivers, in Wh: capacity at 3.7 V, of which 85 % arrive, at freezing 70 % (methods, section 10).
 *
 * @example bankWh(10_000, 10) // 31.5
 */
export const bankWh = (mah: number, coldestC: number): number =>
  (mah / 1000) * CELL_V * (coldestC <= 0 ? 0.7 : 0.85);

/**
 * Charge that a trip needs against what there is. Banks are full when setting out and filled again at each night with a socket.
 *
 * @example 12 Wh a day for 3 days is 36 Wh; a bank of 10,000 mAh gives 31.5 Wh: not enough by itself
 */
export function chargeBudget(system: PowerSystem): ChargeBudget {
  const { days, banksMah, coldestC } = system;
  const needWh = system.drawWhPerDay * days;
  const banksWh = bankWh(banksMah, coldestC);
  const panelWh = system.panelW * system.sunHours * PANEL_SHARE * days;
  const dynamoWh = system.dynamoW * Math.min(1, system.speedKmh / DYNAMO_KMH) * system.movingHours * days;
  // A socket gives back at most what was used until then, and no more than devices and banks take.
  const socketsWh = Math.min(
    system.socketNights * (banksWh + system.drawWhPerDay),
    (needWh * system.socketNights) / Math.max(1, days),
  );
  const supplyWh = banksWh + panelWh + dynamoWh + socketsWh;
  const ratio = needWh > 0 ? supplyWh / needWh : Infinity;
  return {
    needWh,
    supplyWh,
    banksWh,
    panelWh,
    dynamoWh,
    socketsWh,
    ratio,
    verdict:
      ratio < 0.9
        ? 'not enough'
        : ratio < 1.1
          ? 'doubtful'
          : banksWh + panelWh + dynamoWh > 2 * needWh
            ? 'more than twice'
            : 'enough',
  };
}
