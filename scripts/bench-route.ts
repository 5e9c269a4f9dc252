// npm run bench:route: a hundred thousand points read, cleaned, divided and timed, against the XML parser alone; and what a changed mass costs.
import { SaxesParser } from 'saxes';
import { demoPlan } from '@/core/demo/plan';
import { factsOf } from '@/core/facts/facts';
import { rideOf } from '@/core/facts/ride';
import { parseGpx } from '@/core/trip/route/gpx';
import { makeRoute } from '@/core/trip/route/makeRoute';
import { fromKm, heightAt } from '@/standins/terrain';

const POINTS = 100_000;
const RUNS = 5;

/** Three hundred kilometres back and forth over the region, a point every three metres. */
function bigGpx(): string {
  const points = Array.from({ length: POINTS }, (_, i) => {
    const km = (i * 455) / POINTS;
    const [lat, lon] = fromKm(12 * Math.sin(km / 14), 9 * Math.sin(km / 17 + 0.4));
    return `<trkpt lat="${lat.toFixed(6)}" lon="${lon.toFixed(6)}"><ele>${heightAt(lat, lon).toFixed(1)}</ele><time>2027-04-16T06:30:00Z</time></trkpt>`;
  });
  return `<gpx version="1.1"><trk><name>Long</name><trkseg>\n${points.join('\n')}\n</trkseg></trk></gpx>`;
}

const text = bigGpx();
const plan = demoPlan();
const median = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1]!;
const timed = async (work: () => unknown) => {
  const from = performance.now();
  await work();
  return performance.now() - from;
};
const parserAlone = () => {
  const parser = new SaxesParser();
  for (let i = 0; i < text.length; i += 200_000) parser.write(text.slice(i, i + 200_000));
  parser.close();
};
let ids = 0;
const whole = async () => {
  const parsed = parseGpx(text);
  if (!parsed.ok) throw new Error(parsed.error);
  const made = await makeRoute(
    parsed.value.tracks,
    [],
    () => Promise.reject(new Error()),
    () => `${(ids += 1)}`,
  );
  if (!made.ok) throw new Error(made.error);
  const ride = rideOf(factsOf({ ...plan, route: made.value }))!;
  if (ride.days.length !== 3) throw new Error('not divided');
  return made.value;
};

const [alone, all]: [number[], number[]] = [[], []];
for (let run = 0; run < RUNS; run += 1) {
  alone.push(await timed(parserAlone));
  all.push(await timed(whole));
}
const route = await whole();
const facts = factsOf({ ...plan, route });
const again: number[] = [];
for (let run = 0; run < 30; run += 1) {
  const heavier = { ...facts, totals: { ...facts.totals, rollingG: facts.totals.rollingG + run } };
  again.push(await timed(() => rideOf(heavier)));
}
const round = (ms: number) => Math.round(10 * ms) / 10;
console.log(
  JSON.stringify({
    bench: 'route',
    points: POINTS,
    lengthKm: Math.round(route.lengthM / 1000),
    parserAloneMs: round(median(alone)),
    wholeMs: round(median(all)),
    ratio: Math.round((100 * median(all)) / median(alone)) / 100,
    massChangedMs: round(median(again)),
  }),
);
