import { fail, ok, type Result } from '@/core/result';

/** What a scale says in one message. */
export interface WeightMessage {
  massG: number;
  /** Seconds that the scale's clock shows, from 1970, as if it were in UTC; null where it sends none. */
  sentAt: number | null;
}

const UNSUCCESSFUL = 0xffff;
/** Least step of the value: 5 g, or a hundredth of a pound. */
const STEP_G = { metric: 5, imperial: 4.535_923_7 } as const;

/**
 * Reads the standard Bluetooth weight measurement characteristic (0x2A9D): one byte of flags (bit 0: pounds; bit 1: a time follows; bit 2:
 * a user; bit 3: body mass index and height), the mass as an unsigned 16-bit number, then what the flags name, all with the low byte
 * first.
 *
 * @example parseWeight(new DataView(Uint8Array.of(0x00, 0xae, 0x00).buffer)).value.massG // 870: 174 steps of 5 g
 */
export function parseWeight(bytes: DataView): Result<WeightMessage> {
  if (bytes.byteLength < 3) return fail('The scale sent an incomplete message.');
  const flags = bytes.getUint8(0);
  const hasTime = (flags & 2) !== 0;
  const needed = 3 + (hasTime ? 7 : 0) + ((flags & 4) !== 0 ? 1 : 0) + ((flags & 8) !== 0 ? 4 : 0);
  if (bytes.byteLength < needed) return fail('The scale sent an incomplete message.');
  const steps = bytes.getUint16(1, true);
  if (steps === UNSUCCESSFUL) return fail('The scale could not weigh: too much on it, or it was moved.');
  let sentAt: number | null = null;
  if (hasTime) {
    const [year, month, day] = [bytes.getUint16(3, true), bytes.getUint8(5), bytes.getUint8(6)];
    // Zero stands for a part that the scale does not know.
    if (year > 0 && month > 0 && day > 0)
      sentAt = Date.UTC(year, month - 1, day, bytes.getUint8(7), bytes.getUint8(8), bytes.getUint8(9)) / 1000;
  }
  return ok({ massG: steps * ((flags & 1) !== 0 ? STEP_G.imperial : STEP_G.metric), sentAt });
}

/** The message that a scale sends for a mass; what a simulated one does. */
export function writeWeight(massG: number, unit: 'metric' | 'imperial'): Uint8Array<ArrayBuffer> {
  const steps = Math.max(0, Math.min(UNSUCCESSFUL - 1, Math.round(massG / STEP_G[unit])));
  return Uint8Array.of(unit === 'imperial' ? 1 : 0, steps & 0xff, steps >> 8);
}
