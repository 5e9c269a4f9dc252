import { z } from 'zod';
import { withLaterTraits } from '@/core/kit/guess';
import { decisionsOf, ownedOf, ownedThingSchema, tripThingSchema } from '@/core/kit/thing';
import { LIMITS } from '@/core/plan/limits';
import { brokenReferences, PLAN_VERSION, planSchema, type Plan } from '@/core/plan/plan';
import { fail, ok, type Result } from '@/core/result';

/** Problems named one by one in a refused file; more would not be read. */
const MOST_PROBLEMS = 12;

/** The plan file: a plan in which what is owned, and what the trip decides about it, stand apart. */
export const planFileSchema = planSchema.omit({ things: true }).extend({
  things: z.array(ownedThingSchema).max(LIMITS.things, `At most ${LIMITS.things} things.`),
  decisions: z.array(tripThingSchema).max(LIMITS.things),
});
export type PlanFile = z.infer<typeof planFileSchema>;

/**
 * Reads a plan file. Every refusal says what is wrong, where, and what to do; nothing is half taken.
 *
 * @param text the file's text
 * @returns the plan, or one or more sentences
 * @example parsePlanFile('{"format":"gorvin-plan","version":9}') // refused: written by a later Gorvin
 */
export function parsePlanFile(text: string): Result<Plan, string[]> {
  if (text.length > LIMITS.planFileBytes) {
    return fail([
      `The file is larger than ${LIMITS.planFileBytes / 1024 / 1024} MB; a plan is far smaller. Is it the right file?`,
    ]);
  }
  if (text.trim() === '') return fail(['The file is empty.']);
  const depth = nesting(text);
  if (depth > LIMITS.nesting) {
    return fail([`The file is nested ${depth} levels deep; a plan never is. It was not read.`]);
  }
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch {
    if (!/^\s*\ufeff?\s*\{/.test(text))
      return fail([
        'This is not a plan file: it does not begin like one. Choose a file that was saved from Gorvin.',
      ]);
    const whole = /[}\]]\s*$/.test(text);
    return fail([
      whole
        ? 'The file is not valid JSON. Save it again from Gorvin, or mend it in an editor that checks JSON.'
        : 'The file breaks off before its end. Copy or download it again.',
    ]);
  }
  return parsePlanValue(data);
}

/** The same for a value already read from JSON. */
export function parsePlanValue(data: unknown): Result<Plan, string[]> {
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== 'gorvin-plan') {
    return fail(['This is not a Gorvin plan: it has no "format": "gorvin-plan" at its start.']);
  }
  const { version } = data as { version?: unknown };
  if (typeof version === 'number' && version > PLAN_VERSION) {
    return fail([
      `The plan was written by a later Gorvin (format version ${version}); this one reads up to ${PLAN_VERSION}. Update Gorvin first.`,
    ]);
  }
  const isEarlier =
    typeof version === 'number' && Number.isInteger(version) && version >= 1 && version < PLAN_VERSION;
  const parsed = isEarlier ? planSchema.safeParse(fromEarlier(data)) : planFileSchema.safeParse(data);
  if (!parsed.success) return fail(describeIssues(parsed.error, data));
  const joined = 'decisions' in parsed.data ? joinedPlan(parsed.data) : ok(parsed.data);
  if (!joined.ok) return joined;
  const broken = brokenReferences(joined.value);
  return broken.length ? fail(shortened(broken)) : joined;
}

/** The version that brought the later traits. */
const TRAITS_VERSION = 6;

/**
 * A plan of an earlier version as one of this. Up to version 6 a thing had the trip's decisions on it. Each later field has a default that says what such a plan meant; but traits that
 * came with version 6 are taken from the things' names, as they are for a new thing.
 */
function fromEarlier(data: object): unknown {
  const { things, version } = data as { things?: unknown; version: number };
  if (!Array.isArray(things) || version >= TRAITS_VERSION) return { ...data, version: PLAN_VERSION };
  const renewed = things.map((thing: unknown) => {
    if (typeof thing !== 'object' || thing === null) return thing;
    const { name, traits = [] } = thing as { name?: unknown; traits?: unknown };
    return typeof name === 'string' && Array.isArray(traits)
      ? { ...thing, traits: withLaterTraits(name, traits as string[]) }
      : thing;
  });
  return { ...data, things: renewed, version: PLAN_VERSION };
}

/** Zod's issues as sentences with the place: `things[3] "Down quilt", massG: At most 60000 g.` */
export function describeIssues(error: z.ZodError, data: unknown): string[] {
  return shortened(
    error.issues.map((issue) => {
      const where = issue.path.reduce<string>(
        (text, key) =>
          typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key),
        '',
      );
      const [list, index] = issue.path;
      const item = (data as Record<string, { name?: unknown }[]>)?.[String(list)]?.[Number(index)];
      const name = typeof item?.name === 'string' ? ` "${item.name.slice(0, 40)}"` : '';
      return `${where || 'the plan'}${name}: ${issue.message}`;
    }),
  );
}

const shortened = (problems: string[]): string[] =>
  problems.length <= MOST_PROBLEMS
    ? problems
    : [...problems.slice(0, MOST_PROBLEMS), `and ${problems.length - MOST_PROBLEMS} more.`];

/** A plan as its file has it: what is owned in `things`, what the trip decides about each in `decisions`. */
export function planFileValue(plan: Plan): PlanFile {
  const { things, load, wishes, fellows, ...rest } = plan;
  return {
    ...rest,
    things: things.map(ownedOf),
    decisions: things.map((thing) => ({ thingId: thing.id, ...decisionsOf(thing) })),
    load,
    wishes,
    fellows,
  };
}

/** The plan as a file: stable order, two spaces, a closing newline, so that versions of it compare well. */
export const planFileText = (plan: Plan): string => `${JSON.stringify(planFileValue(plan), null, 2)}\n`;

/** Things and decisions brought together; or which of them lacks the other. */
function joinedPlan({ decisions, ...file }: PlanFile): Result<Plan, string[]> {
  const byThing = new Map(decisions.map(({ thingId, ...own }) => [thingId, own]));
  const known = new Set(file.things.map(({ id }) => id));
  const problems = [
    ...(byThing.size < decisions.length ? ['Two decisions are about the same thing.'] : []),
    ...decisions
      .filter(({ thingId }) => !known.has(thingId))
      .map(({ thingId }) => `The decisions name a thing "${thingId}" that is not among the things.`),
    ...file.things
      .filter(({ id }) => !byThing.has(id))
      .map(
        ({ name }) => `"${name}" has no decisions: how many come along, when it is needed and the others.`,
      ),
  ];
  if (problems.length > 0) return fail(shortened(problems));
  return ok({ ...file, things: file.things.map((thing) => ({ ...thing, ...byThing.get(thing.id)! })) });
}

/** Greatest depth of brackets outside strings: found before JSON.parse, whose own depth is the stack's. */
function nesting(text: string): number {
  let depth = 0;
  let greatest = 0;
  let inString = false;
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i);
    if (inString) {
      if (code === 92) i += 1;
      else if (code === 34) inString = false;
    } else if (code === 34) inString = true;
    else if (code === 123 || code === 91) {
      depth += 1;
      if (depth > greatest) greatest = depth;
    } else if (code === 125 || code === 93) depth -= 1;
  }
  return greatest;
}
