import { heightAt } from './terrain';

/** Where and on which day the weather is asked for. */
export interface WeatherQuestion {
  lat: number;
  lon: number;
  /** As 2027-04-16. */
  date: string;
}

/** The weather at a place, and the height above the sea that its temperatures are for. */
export interface WeatherAnswer {
  /** Coldest of the night that follows the day. */
  minC: number;
  maxC: number;
  /** Per cent. */
  rainChance: number;
  rainMm: number;
  windKmh: number;
  heightM: number;
}

/** What knows the weather. A real service answers behind the same interface. */
export interface WeatherService {
  /** One answer for each question, in their order. */
  forecast(questions: readonly WeatherQuestion[]): Promise<WeatherAnswer[]>;
}

const DAY_MS = 86_400_000;

/** A number from 0 to 1 that belongs to a day, the same wherever it is asked for. */
function chance(day: number, what: number): number {
  let h = Math.imul(day, 374761393) ^ Math.imul(what, 668265263);
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

/** Weather lasts some days: a smooth course between numbers three days apart. */
function spell(day: number, what: number): number {
  const at = day / 3;
  const from = Math.floor(at);
  const t = at - from;
  return chance(from, what) + t * t * (3 - 2 * t) * (chance(from + 1, what) - chance(from, what));
}

/** Made-up weather with the seasons of the temperate north or south; the same for the same place and day. */
export const simulatedWeather: WeatherService = {
  forecast: (questions) =>
    Promise.resolve(
      questions.map(({ lat, lon, date }) => {
        const day = Math.round(Date.parse(`${date}T00:00:00Z`) / DAY_MS);
        const season = -Math.cos((2 * Math.PI * (day - 20)) / 365.25) * (lat < 0 ? -1 : 1);
        const heightM = Math.round(heightAt(lat, lon) / 50) * 50;
        const mean = 27 - 0.42 * Math.abs(lat) + 9.5 * season - 0.0065 * heightM;
        const warm = 7 * (spell(day, 1) - 0.5);
        const wet = Math.max(0, spell(day, 2) - 0.35) / 0.65;
        const spread = 6.5 - 3 * wet;
        const tenth = (value: number) => Math.round(10 * value) / 10;
        return {
          minC: tenth(mean + warm - spread),
          maxC: tenth(mean + warm + spread - 2 * wet),
          rainChance: Math.round(20 * wet) * 5,
          rainMm: tenth(12 * wet * wet * chance(day, 3)),
          windKmh: Math.round(8 + 30 * spell(day, 4) ** 2),
          heightM,
        };
      }),
    ),
};
