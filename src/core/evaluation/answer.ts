import { listed, type Stage } from '@/core/checks/finding';
import type { Edit } from '@/core/plan/edit';
import type { Formatter } from '@/core/units/format';
import { certaintyWords, fitCertainty } from './certainty';
import type { Evaluation } from './evaluate';

/** What a rider sees first, on every stage. */
export interface Answer {
  /** Whether it fits, and how certain that is; or what is missing before that can be said. */
  sentence: string;
  /** The biggest doubt. */
  doubt: string | null;
  next: ({ label: string } & ({ go: Stage } | { action: 'load for me' } | { edit: Edit })) | null;
}

/** So few things that are left over are best left at home. */
const FEW = 3;
/** From so tight on a bag is worth naming. */
const TIGHT = 0.97;

const counted = (n: number, one: string): string => (n === 1 ? `1 ${one}` : `${n} ${one}s`);

/**
 * The answer at a glance: one sentence, the biggest doubt, and what to do next.
 *
 * @example answerOf(evaluate(plan), metric).sentence // 'Everything probably fits (4 in 5): 16 things in 5 bags.'
 */
export function answerOf(
  evaluation: Pick<Evaluation, 'plan' | 'compartments' | 'floor' | 'findings'>,
  format: Formatter,
): Answer {
  const { plan, compartments, floor, findings } = evaluation;
  if (!plan.bike)
    return {
      sentence: 'There is no bike on this trip yet.',
      doubt: null,
      next: { label: 'Choose your bike', go: 'bike' },
    };
  if (plan.bags.length === 0)
    return { sentence: 'Your bike has no bags yet.', doubt: null, next: { label: 'Add bags', go: 'bike' } };
  if (plan.things.length === 0)
    return {
      sentence: 'There is nothing to pack yet.',
      doubt: null,
      next: { label: 'Add what you take', go: 'kit' },
    };
  const packed = compartments.flatMap(({ things }) => things);
  const worst = findings.find(({ severity, check }) => severity !== 'note' && check !== 'on the floor');
  const doubt = worst?.message ?? tightest(evaluation);
  if (packed.length === 0)
    return {
      sentence: `${counted(floor.length, 'thing')} to pack.`,
      doubt: null,
      next: { label: 'Load for me', action: 'load for me' },
    };
  const open = compartments.filter(({ closes }) => !closes);
  if (open.length > 0)
    return {
      sentence:
        open.length === 1
          ? `It does not fit: ${open[0]!.spot.name} is ${format.volume(over(open[0]!))} over.`
          : `It does not fit: ${open.length} bags do not close.`,
      doubt: null,
      next: { label: 'Load for me', action: 'load for me' },
    };
  if (floor.length > 0)
    return {
      sentence: `${counted(packed.length, 'thing')} in bags, ${counted(floor.length, 'thing')} still on the floor.`,
      doubt,
      next:
        floor.length <= FEW && packed.length > floor.length
          ? {
              label: `Leave ${listed(floor.map(({ name }) => name))} at home`,
              edit: {
                kind: 'place',
                moves: floor.map(({ id }) => ({ thingId: id, to: 'home' as const })),
              },
            }
          : { label: 'Load for me', action: 'load for me' },
    };
  const bags = new Set(compartments.filter(({ things }) => things.length > 0).map(({ spot }) => spot.bag.id));
  const { word, chance } = certaintyWords(fitCertainty(compartments));
  const fits = word === 'almost certainly' ? 'Everything fits' : `Everything ${word} fits (${chance})`;
  return {
    sentence: `${word === 'probably not' ? `Everything fits only if the estimates are right (${chance})` : fits}: ${counted(packed.length, 'thing')} in ${counted(bags.size, 'bag')}.`,
    doubt,
    next: worst ? { label: `See ${NAMES[worst.stage]}`, go: worst.stage } : null,
  };
}

const NAMES: Record<Stage, string> = {
  trip: 'Trip',
  bike: 'Bike',
  kit: 'Kit',
  provisions: 'Provisions',
  load: 'Load',
};

const over = ({ neededMl, spot }: Evaluation['compartments'][number]): number =>
  Math.max(0, neededMl - spot.capacityMl);

function tightest({ compartments }: Pick<Evaluation, 'compartments'>): string | null {
  const [tight] = compartments
    .filter(({ neededMl, spot }) => neededMl > TIGHT * spot.capacityMl)
    .sort((a, b) => b.neededMl / b.spot.capacityMl - a.neededMl / a.spot.capacityMl);
  return tight ? `${tight.spot.name} is tight.` : null;
}
