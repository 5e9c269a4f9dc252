import { ANNEAL_LOOP } from './annealLoop.wasm';

type Arrays = Readonly<Record<string, Float64Array | Int32Array | Uint8Array>>;

/** Its step, and numbers that change while it is at work. */
type LoopNumber = 'STEP' | 'leastTotal' | 'total' | 'over' | 'price' | 'heat' | 'cooling' | 'bits';

/** One loop at work: its functions, its numbers by name, and the arrays that both sides read and write. */
export interface AnnealLoop<T extends Arrays> {
  arrays: T;
  get(name: LoopNumber): number;
  set(name: LoopNumber, value: number): void;
  /** Takes up the assignment in `where`. */
  start(): void;
  /** Opens the places told by `isOpen`; returns how many things may move. */
  open(): number;
  /** Tries so many moves. */
  run(moves: number): void;
}

const PAGE_BYTES = 65_536;
/** A double's place; also keeps the first array from address 0, which is none. */
const ALIGNED = 8;

let compiled: WebAssembly.Module | null = null;
const moduleOf = (): WebAssembly.Module =>
  (compiled ??= new WebAssembly.Module(Uint8Array.from(atob(ANNEAL_LOOP), (sign) => sign.charCodeAt(0))));

/**
 * Opens a loop of its own. All names are those of its source.
 *
 * @param numbers what never changes
 * @param tables arrays that never change
 * @param arrays what both sides read and write, with its first contents; those returned are the ones the loop sees
 */
export function openLoop<T extends Arrays>(
  numbers: Readonly<Record<string, number>>,
  tables: Arrays,
  arrays: T,
): AnnealLoop<T> {
  const { exports } = new WebAssembly.Instance(moduleOf());
  const memory = exports.memory as WebAssembly.Memory;
  const global = (name: string) => exports[name] as WebAssembly.Global<'i32' | 'f64'>;
  const all = Object.entries({ ...tables, ...arrays });
  let end = ALIGNED;
  for (const [name, { byteLength }] of all) {
    global(name).value = end;
    end += Math.ceil(byteLength / ALIGNED) * ALIGNED;
  }
  global('end').value = end;
  memory.grow(Math.ceil(end / PAGE_BYTES));
  // Looked up anew each time: what grows a memory gives it another buffer.
  const inMemory = (name: string, { constructor, length }: Arrays[string]) => {
    const Kind = constructor as new (buffer: ArrayBufferLike, at: number, length: number) => Arrays[string];
    return new Kind(memory.buffer, global(name).value, length);
  };
  for (const [name, values] of all) inMemory(name, values).set(values);
  for (const [name, value] of Object.entries(numbers)) global(name).value = value;
  (exports.setUp as () => void)();
  return {
    arrays: Object.fromEntries(Object.entries(arrays).map(([name, own]) => [name, inMemory(name, own)])) as T,
    get: (name) => global(name).value,
    set: (name, value) => void (global(name).value = value),
    ...(exports as unknown as Pick<AnnealLoop<T>, 'start' | 'open' | 'run'>),
  };
}
