import { heightAt } from './terrain';

/** What knows how high places are. A real service answers behind the same interface. */
export interface Elevation {
  /** Metres above the sea, one for each point; degrees. */
  heights(lat: readonly number[], lon: readonly number[]): Promise<number[]>;
}

/** The invented region's heights, everywhere on the earth. */
export const simulatedElevation: Elevation = {
  heights: (lat, lon) =>
    Promise.resolve(lat.map((value, i) => Math.round(10 * heightAt(value, lon[i]!)) / 10)),
};
