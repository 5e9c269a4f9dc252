import type { Fix } from '@/core/advice/fix';
import type { System } from '@/core/kit/thing';
import type { Facts } from '@/core/facts/facts';
import type { Formatter } from '@/core/units/format';

export const STAGES = ['trip', 'bike', 'kit', 'provisions', 'load'] as const;
export type Stage = (typeof STAGES)[number];

/** `stop`: do not ride like this. `check`: think about it. `note`: worth knowing. Ordered from the worst. */
export const SEVERITIES = ['stop', 'check', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** What a check judges: one of these at a time, or the trip or the bike as a whole. */
export type SubjectKind = 'trip' | 'bike' | 'bag' | 'compartment' | 'thing' | 'pair';

interface Said {
  severity: Severity;
  message: string;
  /** Why it matters, and what the figure cannot know. */
  reason: string;
}

export interface Figure {
  label: string;
  value: number;
  unit: 'g' | 'ml' | 'mm' | 'kg·m' | 'pieces' | '°C';
}

/** What a check has to say of one subject. */
export interface Judgement extends Said {
  /** Id of the bag, compartment or thing; of a pair both. Left out where the trip or the bike is judged. */
  subject?: string | readonly [string, string];
  /** Tells several judgements of one subject apart. */
  about?: string;
  /** Where it is dealt with, if not at the check's own stage. */
  stage?: Stage;
  /** The system it is about, where it judges whether a kit is enough. */
  system?: System;
  figures?: Figure[];
  /** Worked out when it is first asked for: finding a bag with room for a thing costs more than all else together. */
  fixes?: () => Fix[];
}

/** One judgement. Adding one is a file beside this and a line in `index.ts`. */
export interface Check {
  /** Short and lower case; the name of its findings. */
  id: string;
  stage: Stage;
  judges: SubjectKind;
  /** What it finds depends on the weather: told when it holds in the chosen scenario and not in what is expected. */
  readsWeather?: true;
  /** What it finds depends on the moment: food is eaten, water drunk and filled, a tent packed wet. */
  changesOnTheWay?: true;
  run(facts: Facts, format: Formatter): Judgement[];
}

/** A judgement as data: what, how bad, about what, the figures behind it, why it matters, and ways to mend it. */
export interface Finding extends Said {
  /** The same for the same trouble with the same subject, so that a list can be kept; not to be parsed. */
  id: string;
  check: string;
  stage: Stage;
  subject: { kind: SubjectKind; ids: readonly string[] };
  system?: System;
  figures: Figure[];
  readonly fixes: Fix[];
}

/**
 * A finding made of what a check said; the only place where findings and their ids are made.
 *
 * @param of set before the id, where several riders' bikes are judged
 */
export function findingOf(check: Check, judgement: Judgement, of = ''): Finding {
  const { subject = [], about, stage = check.stage, figures = [], fixes, ...said } = judgement;
  const ids = typeof subject === 'string' ? [subject] : subject;
  let found: Fix[] | undefined;
  return {
    ...said,
    id: [of, check.id, check.judges, ...ids, about].filter(Boolean).join(':'),
    check: check.id,
    stage,
    subject: { kind: check.judges, ids },
    figures,
    get fixes() {
      return (found ??= fixes?.() ?? []);
    },
  };
}

const expected = new WeakMap<Facts['plan'], Facts>();

/** The same facts for the expected weather; the same object for the same plan, so that what is known of it is found once. */
function inExpectedWeather(facts: Facts): Facts {
  let usual = expected.get(facts.plan);
  if (!usual) {
    const { plan } = facts;
    usual = { ...facts, plan: { ...plan, trip: { ...plan.trip, scenario: 'expected' } } };
    expected.set(plan, usual);
  }
  return usual;
}

/** All that a check finds. What the expected weather does not bring says in which weather it applies. */
export function findingsOf(check: Check, facts: Facts, format: Formatter): Finding[] {
  const found = check.run(facts, format).map((judgement) => findingOf(check, judgement));
  const { trip } = facts.plan;
  if (!check.readsWeather || trip.scenario === 'expected') return found;
  const asExpected = inExpectedWeather(facts);
  const usual = new Set(
    check
      .run(asExpected, format)
      .map((judgement) => `${judgement.severity} ${findingOf(check, judgement).id}`),
  );
  return found.map((finding) =>
    usual.has(`${finding.severity} ${finding.id}`)
      ? finding
      : Object.defineProperty(finding, 'message', {
          value: `In ${trip.scenario} weather: ${finding.message}`,
          enumerable: true,
        }),
  );
}

/** "quilt", "quilt and mat", "quilt, mat and 3 more". */
export function listed(names: readonly string[], most = 3): string {
  if (names.length <= 1) return names[0] ?? '';
  if (names.length <= most) return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
  return `${names.slice(0, most - 1).join(', ')} and ${names.length - most + 1} more`;
}
