import type { Thing } from '@/core/kit/thing';
import { massWithContentsG, relieve } from '@/core/advice/fixes';
import { BODY_FREE_G } from '@/core/packing/costs';
import type { Formatter } from '@/core/units/format';
import type { Check, Finding, Severity } from './finding';

const CAUTION = "Never go over a maker's limit for a bag, mount, fork, rack or frame.";

/** Too heavy for a compartment, a bag and its mount, the rider's body, or the bike. */
export const overMass: Check = {
  id: 'over mass',
  run(facts, format) {
    const findings: Finding[] = [];
    const over = (
      id: string,
      subject: Finding['subject'],
      what: string,
      massG: number,
      limitG: number,
      things: Thing[],
      reason: string,
      severity: Severity = 'stop',
    ): void => {
      if (massG <= limitG + 1e-6) return;
      findings.push({
        id,
        check: 'over mass',
        severity,
        stage: 'load',
        subject,
        message: overMessage(format, what, massG, limitG),
        reason,
        figures: [
          { label: 'carries', value: massG, unit: 'g' },
          { label: 'limit', value: limitG, unit: 'g' },
        ],
        fixes: relieve(facts, things, massG - limitG, (thing) => massWithContentsG(facts, thing)),
      });
    };

    for (const { spot, massG, things } of facts.compartments) {
      const { limitG } = spot.compartment;
      if (limitG !== null) {
        over(
          `over-mass:${spot.id}`,
          { kind: 'compartment', id: spot.id },
          spot.name,
          massG,
          limitG,
          things,
          CAUTION,
        );
      }
    }
    for (const bag of facts.bags) {
      const { name } = facts.plan.bags.find((candidate) => candidate.id === bag.bagId)!;
      const things = facts.compartments.filter((c) => c.spot.bag.id === bag.bagId).flatMap((c) => c.things);
      const reason = bag.limitAssumed
        ? `No maker's limit is known for this bag or its mount, so a cautious one is assumed. ${CAUTION}`
        : CAUTION;
      over(
        `over-mass:${bag.bagId}`,
        { kind: 'bag', id: bag.bagId },
        name,
        bag.contentsG,
        bag.limitG,
        things,
        reason,
      );
    }
    const onBody = facts.compartments.filter((c) => c.spot.onBody);
    over(
      'over-mass:body',
      null,
      'What you carry on your body',
      onBody.reduce((sum, c) => sum + c.massG, 0),
      BODY_FREE_G,
      onBody.flatMap((c) => c.things),
      'A load on the back for hours tires neck, back and hands; most riders keep it under 2 kg.',
      'look',
    );
    const limit = facts.plan.bike?.greatestTotalG ?? null;
    if (limit !== null) {
      const things = facts.compartments.flatMap((c) => c.things);
      over(
        'over-mass:bike',
        { kind: 'trip', id: 'bike' },
        'Bike, rider and load together',
        facts.totals.rollingG,
        limit,
        things,
        `The maker's limit for the whole is ${format.mass(limit)}. ${CAUTION}`,
      );
    }
    return findings;
  },
};

const overMessage = (format: Formatter, what: string, massG: number, limitG: number): string =>
  `${what} is ${format.mass(massG - limitG)} over the limit of ${format.mass(limitG)}.`;
