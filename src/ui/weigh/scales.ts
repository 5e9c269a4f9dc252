import { parseWeight } from '@/core/weighing/weightMeasurement';
import type { Result } from '@/core/result';
import type { WeightMessage } from '@/core/weighing/weightMeasurement';

/** A scale that sends readings while something is on it. */
export interface LiveScale {
  /** Begins to listen; what it is about tells the simulated scale what lies on it. */
  listen(
    about: { thingId: string; pieces: number },
    onReading: (reading: Result<WeightMessage>) => void,
  ): void;
  /** Stops listening; the scale stays connected. */
  rest(): void;
  disconnect(): void;
}

/** The simulated scale: things are put on it as they come up. */
export function simulatedScale(): LiveScale {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let listening = 0;
  const rest = () => {
    listening += 1;
    clearTimeout(timer);
  };
  return {
    listen({ thingId, pieces }, onReading) {
      rest();
      const own = listening;
      const query = new URLSearchParams({ thing: thingId, pieces: String(pieces) });
      fetch(`/api/inventory/scale?${query.toString()}`)
        .then(async (response) => {
          const body = (await response.json()) as { everyMs?: number; messages?: number[][]; error?: string };
          if (!response.ok || !body.messages) throw new Error(body.error);
          const { messages, everyMs } = body;
          const send = (k: number) => {
            if (own !== listening) return;
            onReading(
              parseWeight(new DataView(Uint8Array.from(messages[Math.min(k, messages.length - 1)]!).buffer)),
            );
            // It goes on showing what lies on it.
            timer = setTimeout(() => send(k + 1), everyMs);
          };
          send(0);
        })
        .catch(() => {
          if (own === listening)
            onReading({
              ok: false,
              error: 'The scale does not answer. Type the figure, or connect it again.',
            });
        });
    },
    rest,
    disconnect: rest,
  };
}

/** As much of Web Bluetooth as a scale needs; browsers that have it are few, and their types come with none. */
interface Bluetooth {
  requestDevice(options: { filters: { services: string[] }[] }): Promise<{
    addEventListener(type: 'gattserverdisconnected', listener: () => void): void;
    gatt: {
      connect(): Promise<{
        getPrimaryService(
          name: string,
        ): Promise<{ getCharacteristic(name: string): Promise<Characteristic> }>;
      }>;
      disconnect(): void;
    };
  }>;
}
interface Characteristic {
  value?: DataView;
  startNotifications(): Promise<unknown>;
  addEventListener(type: 'characteristicvaluechanged', listener: () => void): void;
}

const bluetooth = (): Bluetooth | undefined => (navigator as { bluetooth?: Bluetooth }).bluetooth;
export const hasBluetooth = (): boolean => typeof navigator !== 'undefined' && bluetooth() !== undefined;

/** Asks the rider for a Bluetooth scale with the standard weight service. Rejects where none is chosen. */
export async function bluetoothScale(): Promise<LiveScale> {
  const device = await bluetooth()!.requestDevice({ filters: [{ services: ['weight_scale'] }] });
  const server = await device.gatt.connect();
  const service = await server.getPrimaryService('weight_scale');
  const characteristic = await service.getCharacteristic('weight_measurement');
  let tell: ((reading: Result<WeightMessage>) => void) | null = null;
  characteristic.addEventListener('characteristicvaluechanged', () => {
    if (characteristic.value) tell?.(parseWeight(characteristic.value));
  });
  device.addEventListener('gattserverdisconnected', () =>
    tell?.({ ok: false, error: 'The scale is gone. What was weighed is saved; connect it again, or type.' }),
  );
  await characteristic.startNotifications();
  return {
    listen: (_about, onReading) => void (tell = onReading),
    rest: () => void (tell = null),
    disconnect: () => device.gatt.disconnect(),
  };
}
