import { massWithContentsG, relieve } from '@/core/advice/fixes';
import type { Facts } from '@/core/facts/facts';
import type { Thing } from '@/core/kit/thing';
import { BODY_FREE_G } from '@/core/packing/costs';
import type { Formatter } from '@/core/units/format';
import type { Check, Judgement, SubjectKind } from './finding';

const CAUTION = "Never go over a maker's limit for a bag, mount, fork, rack or frame.";

/** A mass against a limit on it. */
interface Weighed {
  subject?: string;
  name: string;
  massG: number;
  limitG: number;
  things: () => Thing[];
  reason: string;
  severity?: Judgement['severity'];
}

const overMass = (
  id: string,
  judges: SubjectKind,
  weigh: (facts: Facts, format: Formatter) => Weighed[],
): Check => ({
  id,
  changesOnTheWay: true,
  stage: 'load',
  judges,
  run: (facts, format) =>
    weigh(facts, format)
      .filter(({ massG, limitG }) => massG > limitG + 1e-6)
      .map(({ subject, name, massG, limitG, things, reason, severity = 'stop' }) => ({
        subject,
        severity,
        message: `${name} is ${format.mass(massG - limitG)} over the limit of ${format.mass(limitG)}.`,
        reason,
        figures: [
          { label: 'carries', value: massG, unit: 'g' },
          { label: 'limit', value: limitG, unit: 'g' },
        ],
        fixes: () => relieve(facts, things(), massG - limitG, (thing) => massWithContentsG(facts, thing)),
      })),
});

export const compartmentOverMass = overMass('compartment over mass', 'compartment', ({ compartments }) =>
  compartments.flatMap(({ spot, massG, things }) => {
    const { limitG } = spot.compartment;
    if (limitG === null) return [];
    return [{ subject: spot.id, name: spot.name, massG, limitG, things: () => things, reason: CAUTION }];
  }),
);

/** A bag's own limit, or its mount's. */
export const bagOverMass = overMass('bag over mass', 'bag', ({ bags, compartments, plan }) =>
  bags.map(({ bagId, contentsG, limitG, limitAssumed }) => ({
    subject: bagId,
    name: plan.bags.find(({ id }) => id === bagId)!.name,
    massG: contentsG,
    limitG,
    things: () => compartments.filter(({ spot }) => spot.bag.id === bagId).flatMap(({ things }) => things),
    reason: limitAssumed
      ? `No maker's limit is known for this bag or its mount, so a cautious one is assumed. ${CAUTION}`
      : CAUTION,
  })),
);

export const bodyOverMass = overMass('body over mass', 'trip', ({ compartments }) => {
  const onBody = compartments.filter(({ spot }) => spot.onBody);
  return [
    {
      name: 'What you carry on your body',
      massG: onBody.reduce((sum, { massG }) => sum + massG, 0),
      limitG: BODY_FREE_G,
      things: () => onBody.flatMap(({ things }) => things),
      reason: 'A load on the back for hours tires neck, back and hands; most riders keep it under 2 kg.',
      severity: 'check',
    },
  ];
});

/** Bike, rider and load against the maker's limit for the whole. */
export const bikeOverMass = overMass('bike over mass', 'bike', ({ plan, totals, compartments }, format) => {
  const limitG = plan.bike?.greatestTotalG ?? null;
  if (limitG === null) return [];
  return [
    {
      name: 'Bike, rider and load together',
      massG: totals.rollingG,
      limitG,
      things: () => compartments.flatMap(({ things }) => things),
      reason: `The maker's limit for the whole is ${format.mass(limitG)}. ${CAUTION}`,
    },
  ];
});
