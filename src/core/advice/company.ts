import type { Facts } from '@/core/facts/facts';
import type { Thing } from '@/core/kit/thing';
import { partnersOf } from '@/core/packing/wishes';

/** What goes where a thing goes: what must be with it, and what is packed inside it. */
export function companyOf(facts: Facts, thing: Thing): { together: string[]; contents: Thing[] } {
  return {
    together: partnersOf(facts.plan, thing.id, 'together'),
    contents: facts.plan.things.filter(({ id }) => facts.holders.get(id) === thing.id),
  };
}
