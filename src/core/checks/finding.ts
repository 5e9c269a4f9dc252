import type { Fix } from '@/core/advice/fix';
import type { Facts } from '@/core/facts/facts';
import type { Formatter } from '@/core/units/format';

export const STAGES = ['trip', 'bike', 'kit', 'load'] as const;
export type Stage = (typeof STAGES)[number];

/** `stop`: do not ride like this. `look`: think about it. `note`: worth knowing. Ordered from the worst. */
export const SEVERITIES = ['stop', 'look', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** A judgement as data: what, how bad, about what, the figures behind it, why it matters, and ways to mend it. */
export interface Finding {
  /** Stable for the same trouble with the same subject, so that a list can be kept. */
  id: string;
  check: string;
  severity: Severity;
  stage: Stage;
  subject: { kind: 'thing' | 'compartment' | 'bag' | 'trip'; id: string } | null;
  message: string;
  /** Why it matters, and what the figure cannot know. */
  reason: string;
  figures: { label: string; value: number; unit: 'g' | 'ml' | 'mm' | 'kg·m' | 'pieces' | '°C' }[];
  fixes: Fix[];
}

/** One judgement. Adding one is a file beside this and a line in `index.ts`. */
export interface Check {
  id: string;
  run(facts: Facts, format: Formatter): Finding[];
}

/** "quilt", "quilt and mat", "quilt, mat and 3 more". */
export function listed(names: readonly string[], most = 3): string {
  if (names.length <= 1) return names[0] ?? '';
  if (names.length <= most) return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
  return `${names.slice(0, most - 1).join(', ')} and ${names.length - most + 1} more`;
}
