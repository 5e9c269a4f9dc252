import type { Check, Judgement, Stage } from './finding';

/** What is still empty before anything can be judged: no bike, no bags, no things. */
export const bareStart: Check = {
  id: 'nothing there yet',
  stage: 'bike',
  judges: 'trip',
  run(facts) {
    const say = (about: string, stage: Stage, message: string, reason: string): Judgement => ({
      about,
      severity: 'check',
      stage,
      message,
      reason,
    });
    const findings: Judgement[] = [];
    if (!facts.plan.bike) {
      findings.push(
        say(
          'bike',
          'bike',
          'There is no bike yet.',
          'An average hardtail stands in for it, so balance is only a guess.',
        ),
      );
    }
    if (facts.plan.bags.length === 0) {
      findings.push(
        say(
          'bags',
          'bike',
          'There are no bags yet.',
          'Add the bags you own on the Bike stage; without them nothing can be loaded.',
        ),
      );
    }
    if (facts.plan.things.length === 0) {
      findings.push(
        say(
          'kit',
          'kit',
          'The kit is empty.',
          'Lay out what you would take on the Kit stage, or import a list as CSV.',
        ),
      );
    }
    return findings;
  },
};
