import { useElementSize } from '@mantine/hooks';
import type { RideDay } from '@/core/facts/ride';
import { RESERVE_L, type WaterPlan } from '@/core/facts/water';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './Provisions.module.css';

const [HEIGHT, LEFT, BOTTOM, TOP] = [190, 48, 30, 24];
/** Until it is known how wide it is. */
const USUAL_WIDTH = 900;

/** Litres on board along the route, with where they are filled. */
export function WaterStrip({
  plan,
  lengthM,
  days,
}: {
  plan: WaterPlan;
  lengthM: number;
  days: readonly RideDay[];
}) {
  const { format } = usePlan();
  // As wide as its place, so that the letters are of one size on a phone and on a desk.
  const { ref, width } = useElementSize();
  const wide = width || USUAL_WIDTH;
  if (!plan.outcome.ok) return null;
  const { fills } = plan.outcome.plan;
  const most = Math.max(plan.capacityL, ...fills.map(({ leavesWithL }) => leavesWithL));
  const x = (alongM: number) => LEFT + ((wide - LEFT - 10) * alongM) / lengthM;
  const y = (litres: number) => HEIGHT - BOTTOM - ((HEIGHT - BOTTOM - TOP) * litres) / most;
  const points: [number, number][] = [];
  let onBoard = 0;
  plan.legs.forEach(({ fromM, toM, demandL }, at) => {
    const fill = fills.find((each) => each.at === at);
    if (points.length > 0) points.push([x(fromM), y(onBoard)]);
    if (fill) onBoard = fill.leavesWithL;
    points.push([x(fromM), y(onBoard)]);
    onBoard -= demandL;
    points.push([x(toM), y(onBoard)]);
  });
  const path = points.map(([px, py]) => `${px.toFixed(1)},${py.toFixed(1)}`).join(' ');
  return (
    <div ref={ref}>
      <svg
        className={styles.strip}
        viewBox={`0 0 ${wide} ${HEIGHT}`}
        role="img"
        aria-label={`Water on board along ${format.distance(lengthM)}; your vessels hold ${format.volume(1000 * plan.capacityL)}`}
      >
        <line
          x1={LEFT}
          x2={wide - 10}
          y1={y(plan.capacityL)}
          y2={y(plan.capacityL)}
          stroke="var(--stop)"
          strokeDasharray="6 4"
        />
        <text x={wide - 12} y={y(plan.capacityL) - 5} textAnchor="end" fontSize="12" fill="var(--stop)">
          all vessels full, {format.volume(1000 * plan.capacityL)}
        </text>
        <line
          x1={LEFT}
          x2={wide - 10}
          y1={y(RESERVE_L)}
          y2={y(RESERVE_L)}
          stroke="var(--line-strong)"
          strokeDasharray="2 4"
        />
        <text x={LEFT - 4} y={y(RESERVE_L) + 4} textAnchor="end" fontSize="12" fill="var(--ink-soft)">
          reserve
        </text>
        <polygon points={`${x(0)},${y(0)} ${path} ${x(lengthM)},${y(0)}`} fill="var(--accent-soft)" />
        <polyline points={path} fill="none" stroke="var(--accent)" strokeWidth="2" />
        {days.slice(0, -1).map(({ toM, day }) => (
          <g key={day}>
            <line x1={x(toM)} x2={x(toM)} y1={TOP} y2={y(0)} stroke="var(--line-strong)" />
            <text x={x(toM) + 4} y={HEIGHT - 10} fontSize="12" fill="var(--ink-soft)">
              night {day}
            </text>
          </g>
        ))}
        {fills.map(({ at, leavesWithL }) => {
          const { fromM } = plan.legs[at]!;
          return (
            <g key={at}>
              <circle cx={x(fromM)} cy={y(leavesWithL)} r="4" fill="var(--accent)" />
              <text x={x(fromM) + 8} y={y(leavesWithL) - 5} fontSize="13" fontWeight="600" fill="var(--ink)">
                {format.volume(1000 * leavesWithL)}
              </text>
            </g>
          );
        })}
        <line x1={LEFT} x2={wide - 10} y1={y(0)} y2={y(0)} stroke="var(--line-strong)" />
        <text x={x(0)} y={HEIGHT - 10} fontSize="12" fill="var(--ink-soft)">
          0
        </text>
        <text x={wide - 10} y={HEIGHT - 10} textAnchor="end" fontSize="12" fill="var(--ink-soft)">
          {format.distance(lengthM)}
        </text>
      </svg>
    </div>
  );
}
