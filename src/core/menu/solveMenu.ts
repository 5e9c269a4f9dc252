import { menuProgram, type GivenUp, type MenuProblem, type Portions } from './menuProgram';

/** What a solver of mixed-integer programmes says; `highs` has this shape. */
export interface Solved {
  Status: string;
  ObjectiveValue: number;
  Columns: Readonly<Record<string, { Primal?: number }>>;
}
export type Solver = (text: string, options: { time_limit: number; mip_rel_gap: number }) => Solved;

export interface MenuFound {
  portions: Portions[];
  /** What the aim comes to, and how much better another menu might be at most, as a share of it. */
  gap: number;
  isProven: boolean;
  /** What had to give way; empty where all wishes are met. */
  givenUp: GivenUp[];
}

const SECONDS = 1.8;
const GAP = 0.005;

/**
 * The menu of least mass, volume, money or boils. Where not all wishes can be met, the one that misses them least, with what was missed.
 *
 * @returns null where the solver found nothing in its time
 */
export function solveMenu(problem: MenuProblem, solve: Solver, seconds = SECONDS): MenuFound | null {
  for (const isElastic of [false, true]) {
    const { text, variables, slacks } = menuProgram(problem, isElastic);
    if (variables.length === 0) return null;
    const solved = solve(text, { time_limit: seconds, mip_rel_gap: GAP });
    const valueOf = (name: string) => solved.Columns[name]?.Primal ?? 0;
    const portions = variables.flatMap(({ name, id, day, slot }): Portions[] => {
      const count = Math.round(valueOf(name));
      return count > 0 ? [{ id, day, slot, portions: count }] : [];
    });
    const isProven = solved.Status === 'Optimal';
    if (!isProven && !(solved.Status === 'Time limit reached' && portions.length > 0)) continue;
    return {
      portions,
      gap: isProven ? GAP : gapOf(problem, isElastic, solved, solve),
      isProven,
      givenUp: slacks.flatMap(({ name, given }) => {
        const by = valueOf(name);
        return by > 1e-3 ? [{ ...given, by }] : [];
      }),
    };
  }
  return null;
}

/** Against the lower bound of the same programme with portions that need not be whole. */
function gapOf(problem: MenuProblem, isElastic: boolean, solved: Solved, solve: Solver): number {
  const relaxed = solve(menuProgram(problem, isElastic, true).text, { time_limit: 1, mip_rel_gap: GAP });
  return (solved.ObjectiveValue - relaxed.ObjectiveValue) / Math.max(1, solved.ObjectiveValue);
}
