import { tileSvg } from './tiles';

export interface Tile {
  type: string;
  body: BodyInit;
}

/** What draws the map, square by square. */
export interface TileServer {
  /** What its owner asks to be shown on the map. */
  credit: string;
  /** One square in the usual web projection, 256 pixels wide; null where the server has none. */
  tile(zoom: number, x: number, y: number): Promise<Tile | null>;
}

/** The invented region, drawn here. */
const simulated: TileServer = {
  credit: 'Invented land',
  tile: (zoom, x, y) => Promise.resolve({ type: 'image/svg+xml', body: tileSvg(zoom, x, y) }),
};

/** A real server at an address with {z}, {x} and {y} in it. It is asked from here, so that it learns nothing of the rider. */
const at = (address: string, credit: string): TileServer => ({
  credit,
  async tile(zoom, x, y) {
    const url = address.replace('{z}', String(zoom)).replace('{x}', String(x)).replace('{y}', String(y));
    const answer = await fetch(url, { signal: AbortSignal.timeout(10_000) });
    const type = answer.headers.get('content-type') ?? '';
    if (!answer.ok || !/^image\/(png|jpeg|webp)/.test(type)) return null;
    return { type, body: await answer.arrayBuffer() };
  },
});

/** The server that GORVIN_TILES names, or the simulated one. */
export function tileServer(env: Record<string, string | undefined> = process.env): TileServer {
  const { GORVIN_TILES: address, GORVIN_TILES_CREDIT: credit = '' } = env;
  return address ? at(address, credit) : simulated;
}
