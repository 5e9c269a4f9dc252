import type { Check, Finding } from './finding';

/** What is still empty before anything can be judged: no bike, no bags, no things. */
export const bareStart: Check = {
  id: 'nothing there yet',
  run(facts) {
    const say = (stage: Finding['stage'], message: string, reason: string): Finding => ({
      id: `bare-${stage}-${message.length}`,
      check: 'nothing there yet',
      severity: 'look',
      stage,
      subject: null,
      message,
      reason,
      figures: [],
      fixes: [],
    });
    const findings: Finding[] = [];
    if (!facts.plan.bike) {
      findings.push(
        say(
          'bike',
          'There is no bike yet.',
          'A middling hardtail stands in for it, so balance is only a guess.',
        ),
      );
    }
    if (facts.plan.bags.length === 0) {
      findings.push(
        say(
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
          'The kit is empty.',
          'Lay out what you would take on the Kit stage, or bring in a list as CSV.',
        ),
      );
    }
    return findings;
  },
};
