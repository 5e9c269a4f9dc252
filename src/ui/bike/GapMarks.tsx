import type { DrawnGap } from '@/core/drawing/sideDrawing';
import styles from './BikeDrawing.module.css';

const SIGNS = { stop: '✕ ', check: '△ ', free: '' } as const;

/** Measured gaps as lines between the two nearest points; sign and figure say what colour says. */
export function GapMarks({ gaps, length }: { gaps: readonly DrawnGap[]; length: (mm: number) => string }) {
  return (
    <g className={styles.gaps}>
      {gaps.map(({ id, from, to, label, mm, verdict }) => (
        <g key={id} data-verdict={verdict}>
          <line x1={from.x} y1={-from.z} x2={to.x} y2={-to.z} />
          <circle cx={from.x} cy={-from.z} r={6} />
          <circle cx={to.x} cy={-to.z} r={6} />
          <text x={label.x + 16} y={-label.z + 12}>
            {SIGNS[verdict]}
            {length(mm)}
          </text>
        </g>
      ))}
    </g>
  );
}
