import { SYSTEMS } from '@/core/kit/thing';
import {
  APART_POINTS,
  BODY_FREE_G,
  BODY_OVER_POINTS,
  FAIR_POINTS,
  FOOD_BAG_POINTS,
  FOOD_BAGS,
  PRESS_POINTS,
  SHARE_POINTS,
  sidePoints,
  SPREAD_POINTS,
  SIDE_FREE_G,
  tailPoints,
  TAIL_FREE_KGM,
} from '@/core/packing/costs';
import type { Instance } from '@/core/load/model/instance';
import { APART, bitOf, NATURES, type Nature } from '@/core/packing/natures';

/**
 * The load problem as a mixed-integer linear programme in LP format: the same objective and the same hard rules as
 * the search's, for a general solver to judge it by. `x_i_j` puts thing i in compartment j.
 */
export function milpText(instance: Instance): string {
  const { n, m, b, weights } = instance;
  const terms: string[] = [];
  const rows: string[] = [];
  const binaries: string[] = [];
  const free: string[] = [];
  let constant = 0;
  const number = (value: number) => (value < 0 ? `- ${-value}` : `+ ${value}`);
  const cost = (value: number, name: string) => value !== 0 && terms.push(`${number(value)} ${name}`);
  const row = (parts: readonly [number, string][], sense: '<=' | '>=' | '=', right: number) => {
    const left = parts.filter(([value]) => value !== 0).map(([value, name]) => `${number(value)} ${name}`);
    // Long rows are broken: some readers of the format have a limit to a line.
    if (left.length > 0) rows.push(` r${rows.length}: ${wrapped(left)} ${sense} ${right}`);
  };
  const x = (i: number, j: number) => `x_${i}_${j}`;
  const may = (i: number, j: number) =>
    instance.fixed[i] ? instance.start[i] === j : instance.allowed[i * m + j] === 1;
  const cells: [number, number][] = [];
  for (let i = 0; i < n; i += 1) for (let j = 0; j < m; j += 1) if (may(i, j)) cells.push([i, j]);
  const byThing = (i: number) => cells.filter(([k]) => k === i);
  const byBag = (of: (j: number) => boolean, value: (i: number, j: number) => number) =>
    cells.filter(([, j]) => of(j)).map(([i, j]): [number, string] => [value(i, j), x(i, j)]);

  for (const [i, j] of cells) {
    cost(instance.points[i * m + j]! - instance.leave[i]!, x(i, j));
    binaries.push(x(i, j));
  }
  for (let i = 0; i < n; i += 1) {
    constant += instance.leave[i]!;
    row(
      byThing(i).map(([, j]) => [1, x(i, j)]),
      instance.fixed[i] ? '=' : '<=',
      1,
    );
  }
  for (let j = 0; j < m; j += 1) {
    row(
      byBag(
        (k) => k === j,
        (i) => instance.needMl[i]!,
      ),
      '<=',
      instance.capacityMl[j]!,
    );
    if (instance.limitG[j] !== Infinity)
      row(
        byBag(
          (k) => k === j,
          (i) => instance.massG[i]!,
        ),
        '<=',
        instance.limitG[j]!,
      );
    // Litres pressed beyond comfort.
    cost((weights.tight * PRESS_POINTS) / 1, `press_${j}`);
    row(
      [
        [1, `press_${j}`],
        ...byBag(
          (k) => k === j,
          (i) => -instance.comfortMl[i]! / 1000,
        ),
      ],
      '>=',
      -instance.capacityMl[j]! / 1000,
    );
  }
  for (let k = 0; k < b; k += 1)
    if (instance.bagLimitG[k] !== Infinity)
      row(
        byBag(
          (j) => instance.bagOf[j] === k,
          (i) => instance.massG[i]!,
        ),
        '<=',
        instance.bagLimitG[k]!,
      );
  for (let r = 0; r < instance.r; r += 1) {
    const carried = byBag(
      (j) => instance.onBody[j] === 1 && instance.riderOf[j] === r,
      (i) => -instance.massG[i]! / 1000,
    );
    if (carried.length === 0) continue;
    cost(weights.balance * BODY_OVER_POINTS, `body_${r}`);
    row([[1, `body_${r}`], ...carried], '>=', -BODY_FREE_G / 1000);
  }

  // Which systems are in which compartments; how many further ones each is spread over.
  SYSTEMS.forEach((_, s) => {
    const own = cells.filter(([i]) => instance.system[i] === s);
    if (own.length === 0) return;
    const places = [...new Set(own.map(([, j]) => j))];
    for (const j of places) {
      binaries.push(`y_${s}_${j}`);
      cost(weights.together * SPREAD_POINTS, `y_${s}_${j}`);
      for (const [i, k] of own)
        if (k === j)
          row(
            [
              [1, x(i, j)],
              [-1, `y_${s}_${j}`],
            ],
            '<=',
            0,
          );
    }
    binaries.push(`u_${s}`);
    cost(-weights.together * SPREAD_POINTS, `u_${s}`);
    row([[1, `u_${s}`], ...places.map((j): [number, string] => [-1, `y_${s}_${j}`])], '<=', 0);
  });
  // Bags that hold food other than the day's snacks, and how many of them are too many.
  const stores = cells.filter(([i]) => instance.stores[i]);
  const foodBags = [...new Set(stores.map(([, j]) => instance.bagOf[j]!))];
  for (const k of foodBags) {
    binaries.push(`f_${k}`);
    for (const [i, j] of stores)
      if (instance.bagOf[j] === k)
        row(
          [
            [1, x(i, j)],
            [-1, `f_${k}`],
          ],
          '<=',
          0,
        );
  }
  if (foodBags.length > FOOD_BAGS) {
    cost(weights['food bags'] * FOOD_BAG_POINTS, 'foodbags');
    row([[1, 'foodbags'], ...foodBags.map((k): [number, string] => [-1, `f_${k}`])], '>=', -FOOD_BAGS);
  }
  // What spoils and what suffers in which compartments, and each pair of them that is in one.
  const having = (nature: Nature, j: number) =>
    cells.filter(([i, k]) => k === j && instance.natures[i]! & bitOf(nature));
  const told = new Set<string>();
  const presence = (nature: Nature, j: number): string => {
    const name = `z_${NATURES.indexOf(nature)}_${j}`;
    if (told.has(name)) return name;
    told.add(name);
    binaries.push(name);
    for (const [i] of having(nature, j))
      row(
        [
          [1, x(i, j)],
          [-1, name],
        ],
        '<=',
        0,
      );
    return name;
  };
  APART.forEach(({ spoils, suffers, times }, a) => {
    for (let j = 0; j < m; j += 1) {
      if (having(spoils, j).length === 0 || having(suffers, j).length === 0) continue;
      cost(weights.apart * APART_POINTS * times, `p_${a}_${j}`);
      row(
        [
          [1, `p_${a}_${j}`],
          [-1, presence(spoils, j)],
          [-1, presence(suffers, j)],
        ],
        '>=',
        -1,
      );
    }
  });

  // Balance and fairness of each rider: each part is convex, the greatest of a few lines.
  const opposite = (parts: readonly [number, string][]) =>
    parts.map(([v, name]): [number, string] => [-v, name]);
  const scaled = (parts: readonly [number, string][], by: number) =>
    parts.map(([v, name]): [number, string] => [v * by, name]);
  const inner = sidePoints(1);
  const outer = sidePoints(SIDE_FREE_G + 1) - sidePoints(SIDE_FREE_G);
  const slope = tailPoints(TAIL_FREE_KGM + 1);
  for (let r = 0; r < instance.r; r += 1) {
    const own = (j: number) => instance.riderOf[j] === r;
    const left = byBag(own, (i, j) => instance.side[j]! * instance.massG[i]!);
    cost(weights.balance, `side_${r}`);
    for (const parts of [left, opposite(left)]) {
      const baseG = parts === left ? instance.baseLeftG[r]! : -instance.baseLeftG[r]!;
      row([[1, `side_${r}`], ...scaled(parts, -inner)], '>=', inner * baseG);
      row(
        [[1, `side_${r}`], ...scaled(parts, -outer)],
        '>=',
        sidePoints(SIDE_FREE_G) - outer * (SIDE_FREE_G - baseG),
      );
    }
    cost(weights.balance, `tail_${r}`);
    row(
      [[1, `tail_${r}`], ...byBag(own, (i, j) => (-slope * instance.tailM[j]! * instance.massG[i]!) / 1000)],
      '>=',
      slope * (instance.baseTailKgM[r]! - TAIL_FREE_KGM),
    );
    const bare = instance.bareFrontShare[r]!;
    const shift = byBag(
      (j) => own(j) && !instance.onBody[j],
      (i, j) => (instance.frontShare[j]! - bare) * instance.massG[i]!,
    );
    const baseShift = instance.baseFrontG[r]! - bare * instance.baseG[r]!;
    const perG = (SHARE_POINTS * 100) / instance.wholeG[r]!;
    cost(weights.balance, `share_${r}`);
    row([[1, `share_${r}`], ...scaled(shift, -perG)], '>=', perG * baseShift);
    row([[1, `share_${r}`], ...scaled(shift, perG)], '>=', -perG * baseShift);
    if (instance.fairG[r] === Infinity) continue;
    cost((weights.fair * FAIR_POINTS) / 1000, `fair_${r}`);
    row([[1, `fair_${r}`], ...opposite(byBag(own, (i) => instance.massG[i]!))], '>=', -instance.fairG[r]!);
  }

  return [
    'Minimize',
    ` obj: ${wrapped(terms)} + ${constant} one`,
    'Subject To',
    ...rows,
    ' fixedone: one = 1',
    ...(free.length ? ['Bounds', ...free] : []),
    'Binary',
    ...binaries.map((name) => ` ${name}`),
    'End',
    '',
  ].join('\n');
}

const wrapped = (parts: readonly string[]): string =>
  parts.map((part, i) => (i > 0 && i % 8 === 0 ? `\n  ${part}` : part)).join(' ');
