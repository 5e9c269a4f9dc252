import { z } from 'zod';
import { measure, temperatureC } from '@/core/units/measures';

/** The weather of one day, and of the night that follows it. */
export const weatherDaySchema = z.object({
  minC: temperatureC.describe('Coldest of the following night'),
  maxC: temperatureC.describe('Warmest of the day'),
  rainChance: z.int().min(0, 'From 0 to 100 %.').max(100, 'From 0 to 100 %.').describe('Per cent'),
  rainMm: measure('mm', 0, 500).describe('How much falls'),
  windKmh: measure('km/h', 0, 200),
  heightM: z
    .union([measure('m', -500, 9000), z.null()])
    .describe('Height above the sea that the temperatures are for; null where the rider sleeps'),
});
export type WeatherDay = z.infer<typeof weatherDaySchema>;

/** The same trip in other weather than expected. */
export const SCENARIOS = ['expected', 'colder', 'wetter', 'hotter'] as const;
export type Scenario = (typeof SCENARIOS)[number];
export const SCENARIO_WORDS: Record<Scenario, string> = {
  expected: 'the weather expected',
  colder: 'colder weather',
  wetter: 'wetter weather',
  hotter: 'hotter weather',
};

/** From this chance on rain is likely. */
export const LIKELY_RAIN = 40;
/** Degrees that each metre higher is colder: the mean of the standard atmosphere, 6.5 °C per kilometre. */
const COLDER_PER_M = 0.0065;

/**
 * The temperature at another height.
 *
 * @example atHeight(10, 400, 1000) // 6.1
 */
export const atHeight = (celsius: number, fromM: number, toM: number): number =>
  celsius - COLDER_PER_M * (toM - fromM);

/** How far a scenario departs from what is expected: our assumption, about the error of a forecast several days ahead. */
const DEPARTURES: Record<
  Scenario,
  { minC: number; maxC: number; chance: number; leastMm: number; windKmh: number }
> = {
  expected: { minC: 0, maxC: 0, chance: 0, leastMm: 0, windKmh: 0 },
  colder: { minC: -5, maxC: -4, chance: 0, leastMm: 0, windKmh: 0 },
  wetter: { minC: 0, maxC: -2, chance: 40, leastMm: 8, windKmh: 15 },
  hotter: { minC: 2, maxC: 6, chance: 0, leastMm: 0, windKmh: 0 },
};

/**
 * A day's weather in a scenario.
 *
 * @example inScenario({ minC: 3, maxC: 17, rainChance: 20, rainMm: 1, windKmh: 10, heightM: null }, 'colder').minC // −2
 */
export function inScenario(day: WeatherDay, scenario: Scenario): WeatherDay {
  const { minC, maxC, chance, leastMm, windKmh } = DEPARTURES[scenario];
  return {
    minC: day.minC + minC,
    maxC: day.maxC + maxC,
    rainChance: Math.min(100, day.rainChance + chance),
    rainMm: Math.max(day.rainMm, leastMm),
    windKmh: day.windKmh + windKmh,
    heightM: day.heightM,
  };
}
