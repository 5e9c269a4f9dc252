/** Sizes of tools that turn the bolts of bikes: hexagon keys in millimetres, star keys by number. */
export const TOOLS = [
  'hex 2',
  'hex 2.5',
  'hex 3',
  'hex 4',
  'hex 5',
  'hex 6',
  'hex 8',
  'T10',
  'T20',
  'T25',
  'T30',
  'spanner 15',
  'no tool',
] as const;
export type Tool = (typeof TOOLS)[number];

export const BOLTS = [
  'axles',
  'stem',
  'bar',
  'seat clamp',
  'saddle',
  'brake mounts',
  'brake discs',
  'gears',
  'cages and racks',
  'cleats',
] as const;
export type Bolt = (typeof BOLTS)[number];

/** What most bikes have there. A rider who looks may say otherwise. */
const USUAL: Record<Bolt, Tool> = {
  axles: 'hex 6',
  stem: 'hex 4',
  bar: 'hex 4',
  'seat clamp': 'hex 5',
  saddle: 'hex 5',
  'brake mounts': 'hex 5',
  'brake discs': 'T25',
  gears: 'hex 5',
  'cages and racks': 'hex 4',
  cleats: 'hex 4',
};

/** Of a bike, what decides its bolts. */
interface Bolted {
  brakes: 'disc' | 'rim';
  gears: string;
  bolts: Partial<Record<Bolt, Tool>>;
}

/**
 * The tool that each bolt of a bike asks for.
 *
 * @example toolsNeeded({ ...build, bolts: { axles: 'hex 5' } })[0] // { bolt: 'axles', tool: 'hex 5', isUsual: false }
 */
export function toolsNeeded(build: Bolted): { bolt: Bolt; tool: Tool; isUsual: boolean }[] {
  return BOLTS.filter((bolt) => bolt !== 'brake discs' || build.brakes === 'disc')
    .filter((bolt) => bolt !== 'gears' || build.gears !== 'single speed')
    .map((bolt) => ({
      bolt,
      tool: build.bolts[bolt] ?? USUAL[bolt],
      isUsual: build.bolts[bolt] === undefined,
    }));
}

/**
 * The tools that a text names, with ranges: "hex 2–6" is all hexagon keys from 2 to 6 mm.
 *
 * @example toolsNamed('hex 4-6, t25') // ['hex 4', 'hex 5', 'hex 6', 'T25']
 */
export function toolsNamed(text: string): Tool[] {
  const found = new Set<Tool>();
  for (const [, word, from, to] of text.matchAll(
    /\b(hex|allen|torx|t|spanner)\s*(\d+(?:\.\d+)?)(?:\s*(?:mm)?\s*(?:[-–]|to)\s*(\d+(?:\.\d+)?))?/gi,
  )) {
    const name = /^(hex|allen)$/i.test(word!) ? 'hex ' : /^spanner$/i.test(word!) ? 'spanner ' : 'T';
    const [least, most] = [Number(from), Number(to ?? from)];
    for (const tool of TOOLS) {
      const size = Number(tool.slice(name.length));
      if (tool.startsWith(name) && size >= least && size <= most) found.add(tool);
    }
  }
  return [...found];
}
