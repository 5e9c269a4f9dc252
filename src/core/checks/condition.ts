import { CONDITION_WORDS } from '@/core/kit/thing';
import { lastDay } from '@/core/trip/trip';
import type { Check, Judgement } from './finding';

/** Things that come along and are still to be bought, mended, or too old by the end of the trip. */
export const condition: Check = {
  id: 'condition',
  stage: 'kit',
  judges: 'thing',
  run({ plan, home }) {
    const left = new Set(home);
    const until = lastDay(plan.trip);
    return plan.things.flatMap((thing): Judgement[] => {
      if (left.has(thing)) return [];
      const say = (about: string, message: string, reason: string): Judgement => ({
        subject: thing.id,
        about,
        severity: 'check',
        message,
        reason,
        fixes: () => [
          {
            label: about === 'get' ? 'I have it now' : 'It is fine now',
            edit: {
              kind: 'change things',
              changes: [
                {
                  id: thing.id,
                  patch:
                    about === 'get'
                      ? { toGet: false }
                      : about === 'due'
                        ? { dueOn: null }
                        : { condition: 'fine' },
                },
              ],
            },
          },
        ],
      });
      return [
        ...(thing.toGet
          ? [
              say(
                'get',
                `${thing.name} is still to be bought or borrowed.`,
                'It is planned with, but you do not own it yet.',
              ),
            ]
          : []),
        ...(thing.condition === 'repair' || thing.condition === 'replace'
          ? [
              say(
                'condition',
                `${thing.name} is ${CONDITION_WORDS[thing.condition]}.`,
                thing.note || 'See to it before you leave; what fails on the way is far from a shop.',
              ),
            ]
          : []),
        ...(thing.dueOn !== null && until !== null && thing.dueOn <= until
          ? [
              say(
                'due',
                `${thing.name} expires or is due on ${thing.dueOn}, before the trip ends.`,
                'Gas, sealant, tablets, medicines, food and batteries lose what they are for. Of medicines, what the pharmacist says counts.',
              ),
            ]
          : []),
      ];
    });
  },
};
