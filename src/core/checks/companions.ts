import { roomFor, moveFix } from '@/core/load/fixes';
import { APART } from '@/core/load/rules';
import { listed, type Check, type Finding } from './finding';

/** Systems that should not share a compartment, and do (domain, rule 7). */
export const companions: Check = {
  id: 'companions',
  run(facts) {
    return facts.compartments.flatMap(({ spot, things }): Finding[] =>
      APART.flatMap(([a, b, trouble]): Finding[] => {
        const [first, second] = [a, b].map((system) => things.filter((thing) => thing.system === system));
        // What is in a dry sack of its own touches nothing.
        const touching = [first!, second!].map((own) => own.filter((thing) => !thing.inDrySack));
        if (touching.some((own) => own.length === 0)) return [];
        const few = touching[0]!.length <= touching[1]!.length ? touching[0]! : touching[1]!;
        const others = few === touching[0] ? b : a;
        // Two ways out are shown; more need not be looked for.
        const elsewhere = few.slice(0, 3).flatMap((thing) => {
          const free = roomFor(
            facts,
            thing,
            (other) =>
              !facts.byCompartment
                .get(other.id)!
                .things.some(({ system }) => APART.some(([p, q]) => pairs(p, q, thing.system, system))),
          )[0];
          return free ? [moveFix(thing, free)] : [];
        });
        return [
          {
            id: `companions:${spot.id}:${a}:${b}`,
            check: 'companions',
            severity: 'note',
            stage: 'load',
            subject: { kind: 'compartment', id: spot.id },
            message: `${listed(few.map(({ name }) => name))} with ${others} in ${spot.name}: ${trouble}.`,
            reason:
              'Put a bag round one of the two, or keep them apart. Fuel and chain oil never next to food.',
            figures: [],
            fixes: elsewhere.slice(0, 2),
          },
        ];
      }),
    );
  },
};

const pairs = (p: string, q: string, a: string, b: string): boolean =>
  (p === a && q === b) || (p === b && q === a);
