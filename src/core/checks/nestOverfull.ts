import { fitIn } from '@/core/fit/fit';
import { chamberOf } from '@/core/fit/chamberOf';
import { contentsOf } from '@/core/kit/nests';
import { neededMl } from '@/core/packing/volume';
import { listed, type Check, type Judgement, type Severity } from './finding';

/** A thing that holds others and does not close over them, or whose inside is not known. */
export const nestOverfull: Check = {
  id: 'nest',
  stage: 'kit',
  judges: 'thing',
  run({ plan, holders }, format) {
    if (holders.size === 0) return [];
    return plan.things.flatMap((holder): Judgement[] => {
      const contents = contentsOf(plan.things, holders, holder.id);
      if (contents.length === 0) return [];
      const names = listed(contents.map(({ name }) => name));
      const takeOut = contents.map((thing) => ({
        label: `Take ${thing.name} out of ${holder.name}`,
        edit: { kind: 'decide things' as const, changes: [{ id: thing.id, patch: { inside: null } }] },
      }));
      const finding = (severity: Severity, message: string, reason: string): Judgement => ({
        severity,
        subject: holder.id,
        message,
        reason,
        fixes: () => takeOut.slice(0, 3),
      });
      if (!holder.hollow)
        return [
          finding(
            'check',
            `${holder.name} holds ${names}, but its inside is not known.`,
            'Measure its inside, so that it can be told whether it closes over them.',
          ),
        ];
      const chamber = chamberOf(
        { opening: 'top' },
        {
          id: holder.id,
          name: holder.name,
          solid: holder.hollow,
          statedMl: null,
          limitG: null,
          reach: 'at camp',
          weather: 'open',
          outside: 'no',
        },
      );
      const fit = fitIn(chamber, contents);
      if (fit.closes) return [];
      const need = contents.reduce((sum, thing) => sum + neededMl(thing), 0);
      return [
        finding(
          'stop',
          `${holder.name} does not close over ${names}.`,
          fit.noPlace.length > 0
            ? `${listed(contents.filter(({ id }) => fit.noPlace.includes(id)).map(({ name }) => name))} finds no place in it by its measures.`
            : `They need ${format.volume(need)}, and its inside holds ${format.volume(chamber.volumeMl)}.`,
        ),
      ];
    });
  },
};
