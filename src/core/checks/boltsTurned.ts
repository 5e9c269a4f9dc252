import { toolsNamed, toolsNeeded, type Tool } from '@/core/bike/bolts';
import { enoughOf } from '@/core/enough/enough';
import type { OwnedThing } from '@/core/kit/thing';
import { purposesOf } from '@/core/needs/purposes';
import { listed, type Check } from './finding';

/** What such a tool usually has; a rider who looks may write other sizes among what it is for. */
const USUAL: Readonly<Record<string, string>> = { 'multi-tool': 'hex 2–6, T25', 'allen-keys': 'hex 2–6' };

/** Read once: a kit has a hundred things, and few of them change at an edit. */
const known = new WeakMap<OwnedThing, readonly Tool[]>();

function toolsOf(thing: OwnedThing): readonly Tool[] {
  let tools = known.get(thing);
  if (!tools) {
    const named = toolsNamed(purposesOf(thing).join(', '));
    known.set(thing, (tools = named.length > 0 ? named : toolsNamed(USUAL[thing.kind ?? ''] ?? '')));
  }
  return tools;
}

/** A bolt of this bike that no tool taken turns. Says nothing while no tool's sizes are known. */
export const boltsTurned: Check = {
  id: 'bolts turned',
  stage: 'kit',
  judges: 'bike',
  run(facts) {
    const build = facts.plan.bike?.build;
    if (!build) return [];
    const tools = new Set(enoughOf(facts).taken.flatMap(toolsOf));
    const without = toolsNeeded(build).filter(({ tool }) => tool !== 'no tool' && !tools.has(tool));
    if (tools.size === 0 || without.length === 0) return [];
    const sizes = [...new Set(without.map(({ tool }) => tool))];
    const isSure = without.some(({ isUsual }) => !isUsual);
    const better = facts.home.filter((thing) => toolsOf(thing).some((tool) => sizes.includes(tool)));
    return [
      {
        system: 'tools',
        severity: isSure ? 'check' : 'note',
        message: `None of your tools turns ${listed(without.map(({ bolt, tool }) => `the ${bolt} (${tool})`))}.`,
        reason: `${isSure ? '' : 'These are the sizes on most bikes; look at yours under Bike, Bolts. '}A bolt that works loose on the way, or a wheel that has to come out, then stops you.`,
        fixes: () =>
          better.slice(0, 2).map((thing) => ({
            label: `Take ${thing.name}`,
            edit: { kind: 'place' as const, moves: [{ thingId: thing.id, to: 'floor' as const }] },
          })),
      },
    ];
  },
};
