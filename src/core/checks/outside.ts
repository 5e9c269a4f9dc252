import { extentsMm, type Thing } from '@/core/kit/thing';
import { moveFix, roomFor } from '@/core/advice/fixes';
import type { CompartmentFacts, Facts } from '@/core/facts/facts';
import type { Formatter } from '@/core/units/format';
import { listed, type Check, type Judgement } from './finding';

/** Things strapped on outside: without a tether, or where the bag leaves less to a wheel than they are thick. */
export const outsideThings: Check = {
  id: 'outside',
  stage: 'load',
  judges: 'compartment',
  run: (facts, format) =>
    facts.compartments
      .filter(({ spot, things }) => spot.compartment.outside !== 'no' && things.length > 0)
      .flatMap((compartment) => [...untied(compartment), ...nearWheel(facts, compartment, format)]),
};

/** A strap that lets go drops them into a wheel. */
function untied({ spot, things }: CompartmentFacts): Judgement[] {
  if (spot.compartment.outside !== 'no tether') return [];
  const bag = spot.bag;
  const compartments = bag.compartments.map((compartment) =>
    compartment.id === spot.id ? { ...compartment, outside: 'tethered' as const } : compartment,
  );
  return [
    {
      severity: 'check',
      subject: spot.id,
      message: `${listed(things.map(({ name }) => name))} on ${spot.name} without a tether.`,
      reason: 'What comes loose falls into a wheel or is lost. Tie it to the bike with a cord as well.',
      fixes: () => [
        {
          label: 'Tie it on with a tether',
          edit: { kind: 'change bags', changes: [{ id: bag.id, patch: { compartments } }] },
        },
      ],
    },
  ];
}

/**
 * On which side of its bag a thing is strapped is not known. Where the bag keeps its distance from a tyre, but not by as much
 * as the thing is thick, it is worth a look. A bag that is too near by itself is told so anyway, and a strap that is a
 * place of its own is measured where it is.
 */
function nearWheel(facts: Facts, { spot, things }: CompartmentFacts, format: Formatter): Judgement[] {
  const { bag } = spot;
  if (bag.place === 'strap outside') return [];
  const mostMm = spot.extentsMm[2];
  const thickMm = (thing: Thing): number => Math.min(mostMm, extentsMm(thing.form)?.[2] ?? mostMm);
  return facts.clearances
    .filter(({ bagId, kind }) => bagId === bag.id && (kind === 'front tyre' || kind === 'rear tyre'))
    .flatMap(({ kind, other, gapMm, checkMm }): Judgement[] => {
      const reaching = things.filter(
        (thing) => !facts.holders.has(thing.id) && gapMm >= checkMm && gapMm - thickMm(thing) < checkMm,
      );
      if (reaching.length === 0) return [];
      const thickest = Math.max(...reaching.map(thickMm));
      return [
        {
          about: kind,
          severity: 'note',
          subject: spot.id,
          message:
            `${listed(reaching.map(({ name }) => name))} on ${spot.name}: up to ${format.length(thickest)} thick, ` +
            `and the bag keeps ${format.length(gapMm)} from ${other}.`,
          reason:
            'Strapped on the side of the wheel it would touch when the bag sags and the suspension gives. Strap it on top or on the far side, press the bike down hard, and look.',
          figures: [
            { label: 'thick', value: thickest, unit: 'mm' },
            { label: 'gap', value: gapMm, unit: 'mm' },
          ],
          fixes: () =>
            reaching.slice(0, 2).flatMap((thing) => {
              const inside = roomFor(facts, thing, ({ compartment }) => compartment.outside === 'no')[0];
              return inside ? [moveFix(thing, inside)] : [];
            }),
        },
      ];
    });
}
