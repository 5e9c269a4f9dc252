import { expose } from 'comlink';
import loadHighs from 'highs';
import type { MenuProblem } from '@/core/menu/menuProgram';
import { solveMenu, type MenuFound, type Solver } from '@/core/menu/solveMenu';

/** Fills menus off the page's thread: the solver holds its thread until it is done, and is stopped by ending it. */
const api = {
  async solve(problem: MenuProblem): Promise<MenuFound | null> {
    // The solver takes hundreds of kilobytes; it is fetched when a menu is first filled.
    const highs = await loadHighs();
    return solveMenu(problem, highs.solve as unknown as Solver);
  },
};
export type MenuWorker = typeof api;

expose(api);
