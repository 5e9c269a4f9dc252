import { getTimes } from 'suncalc';

/** Minutes after local midnight; null where the sun does not rise or set that day. */
export interface SunTimes {
  sunriseMin: number | null;
  sunsetMin: number | null;
  /** End of civil twilight: from then on nothing is seen without a lamp. */
  duskMin: number | null;
}

/**
 * Sunrise, sunset and the end of civil twilight on a date at a place, in a time zone (methods, section 13).
 *
 * @param date as 2027-04-16
 */
export function sunTimes(date: string, lat: number, lon: number, timeZone: string): SunTimes {
  // To a tenth of a degree, half a minute of the sun: days are timed anew with every change of the load.
  const key = `${date} ${lat.toFixed(1)} ${lon.toFixed(1)} ${timeZone}`;
  let times = known.get(key);
  if (!times) {
    if (known.size >= 200) known.clear();
    known.set(key, (times = findSunTimes(date, lat, lon, timeZone)));
  }
  return times;
}
const known = new Map<string, SunTimes>();

function findSunTimes(date: string, lat: number, lon: number, timeZone: string): SunTimes {
  // Noon by the sun at that place, so that the day meant is the one found.
  const noon = new Date(Date.parse(`${date}T12:00:00Z`) - (lon / 15) * 3_600_000);
  const times = getTimes(noon, lat, lon);
  const local = (moment: Date | null) =>
    moment === null || Number.isNaN(moment.getTime()) ? null : localMinutes(moment, timeZone);
  return { sunriseMin: local(times.sunrise), sunsetMin: local(times.sunset), duskMin: local(times.dusk) };
}

const formats = new Map<string, Intl.DateTimeFormat>();

function localMinutes(moment: Date, timeZone: string): number {
  let format = formats.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-GB', {
      timeZone,
      hour: 'numeric',
      minute: 'numeric',
      hourCycle: 'h23',
    });
    formats.set(timeZone, format);
  }
  const parts = format.formatToParts(moment);
  const part = (type: string) => Number(parts.find((each) => each.type === type)!.value);
  return part('hour') * 60 + part('minute');
}
