import { performance } from 'node:perf_hooks';
import { randomUUID } from 'node:crypto';
import type { Random } from '@/core/random';
import type { Edit } from '@/core/plan/edit';
import { send, type Target } from './client';

export interface Traffic {
  seconds: number;
  requests: number;
  errors: number;
  perSecond: number;
  medianMs: number;
  p95Ms: number;
  /** 95th percentile by kind of request. */
  p95MsOf: Record<string, number>;
  /** What was answered other than with success, the first few. */
  bad: string[];
}

interface Rider extends Target {
  tripId: string;
  thingIds: readonly string[];
}

/**
 * Riders at work: most of what each asks for is an edit, now and then a stage's page or the plan anew; with a pause before each
 * request, as a person makes one.
 */
export async function ride(
  riders: readonly Rider[],
  seconds: number,
  pauseMs: number,
  random: Random,
): Promise<Traffic> {
  const times: Record<string, number[]> = { edit: [], page: [], plan: [] };
  const bad: string[] = [];
  let errors = 0;
  const end = performance.now() + 1000 * seconds;
  const one = async (rider: Rider) => {
    const opened = await send(rider, 'GET', `/api/trips/${rider.tripId}`);
    let { revision } = JSON.parse(opened.body) as { revision: number };
    await new Promise((resolve) => setTimeout(resolve, pauseMs * random()));
    while (performance.now() < end) {
      const draw = random();
      const kind = draw < 0.85 ? 'edit' : draw < 0.95 ? 'page' : 'plan';
      const thingId = rider.thingIds[Math.floor(random() * rider.thingIds.length)]!;
      const edit: Edit = { kind: 'place', moves: [{ thingId, to: random() < 0.5 ? 'home' : 'floor' }] };
      const started = performance.now();
      try {
        const answer =
          kind === 'edit'
            ? await send(
                rider,
                'POST',
                `/api/trips/${rider.tripId}/changes`,
                JSON.stringify({ revision, change: { id: randomUUID(), op: 'edit', edit } }),
              )
            : await send(
                rider,
                'GET',
                `${kind === 'page' ? '' : '/api'}/trips/${rider.tripId}${kind === 'page' ? '/load' : ''}`,
              );
        times[kind]!.push(performance.now() - started);
        if (answer.status !== 200) {
          errors += 1;
          // As a tab does that was told it is behind.
          if (answer.status === 409) revision = (JSON.parse(answer.body) as { revision: number }).revision;
          if (bad.length < 10) bad.push(`${kind}: ${answer.status} ${answer.body.slice(0, 200)}`);
        } else if (kind === 'edit') revision = (JSON.parse(answer.body) as { revision: number }).revision;
      } catch (error) {
        errors += 1;
        if (bad.length < 10) bad.push(`${kind}: ${String(error)}`);
      }
      await new Promise((resolve) => setTimeout(resolve, pauseMs * (0.5 + random())));
    }
  };
  await Promise.all(riders.map(one));
  const all = Object.values(times).flat();
  return {
    seconds,
    requests: all.length,
    errors,
    perSecond: Math.round((10 * all.length) / seconds) / 10,
    medianMs: quantile(all, 0.5),
    p95Ms: quantile(all, 0.95),
    p95MsOf: Object.fromEntries(Object.entries(times).map(([kind, list]) => [kind, quantile(list, 0.95)])),
    bad,
  };
}

function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Math.round(sorted[Math.floor(share * (sorted.length - 1))] ?? 0);
}
