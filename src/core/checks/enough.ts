import { enoughOf } from '@/core/enough/enough';
import type { Facts } from '@/core/facts/facts';
import type { Fix } from '@/core/advice/fix';
import { SYSTEMS, type Thing } from '@/core/kit/thing';
import { purposesOf } from '@/core/needs/purposes';
import type { NeedMet } from '@/core/needs/met';
import { listed, type Check, type Judgement } from './finding';

/** What other checks look for on their own. */
const ELSEWHERE: ReadonlySet<string> = new Set(['sleep warm', 'hold water', 'light ahead', 'turn bolts']);

/** Things that stayed at home, and would meet a need. */
const leftBehind = (facts: Facts, { rule }: NeedMet): Thing[] =>
  facts.home.filter((thing) => purposesOf(thing).some((purpose) => rule.purposes.includes(purpose)));

const takeFix = (thing: Thing): Fix => ({
  label: `Take ${thing.name}`,
  edit: { kind: 'place', moves: [{ thingId: thing.id, to: 'floor' }] },
});

const dismissFix = (facts: Facts, { id, rule }: NeedMet): Fix => ({
  label: `This trip needs no ${rule.what.replace(/^(a|an|some|something|the) /, '')}`,
  edit: { kind: 'set trip', patch: { dismissed: [...facts.plan.trip.dismissed, id] } },
});

/** Needs that nothing taken meets: one finding for each system. */
export const unmetNeeds: Check = {
  id: 'needs',
  stage: 'kit',
  judges: 'trip',
  readsWeather: true,
  run(facts): Judgement[] {
    const { needs, isJudged } = enoughOf(facts);
    if (!isJudged) return [];
    const missing = needs.filter(
      ({ isMissing, isDismissed, rule }) =>
        isMissing && !isDismissed && rule.importance !== 'nice' && !ELSEWHERE.has(rule.purposes[0]),
    );
    return SYSTEMS.flatMap((system): Judgement[] => {
      const own = missing.filter(({ rule }) => rule.system === system);
      if (own.length === 0) return [];
      const isMust = own.some(({ rule }) => rule.importance === 'must');
      return [
        {
          about: system,
          system,
          severity: isMust ? 'check' : 'note',
          message: `You have not packed ${listed(own.map(({ rule }) => rule.what))}.`,
          reason: own.map(({ rule }) => rule.why).join(' '),
          fixes: () => [
            ...own.flatMap((need) => leftBehind(facts, need).slice(0, 1).map(takeFix)),
            ...own.slice(0, 2).map((need) => dismissFix(facts, need)),
          ],
        },
      ];
    });
  },
};

/** A night that the sleeping kit is too cold for. */
export const sleepsWarm: Check = {
  id: 'sleeps warm',
  stage: 'kit',
  judges: 'trip',
  readsWeather: true,
  run(facts, format): Judgement[] {
    const { sleep } = enoughOf(facts);
    if (!sleep || sleep.worst.verdict === 'enough') return [];
    const { marginC, comfortC, errorC, matShortfallC } = sleep.worst;
    const night = sleep.nights.indexOf(sleep.worst) + 1;
    const warmer = facts.home.filter((thing) =>
      purposesOf(thing).some((purpose) =>
        ['sleep warmer', 'sleep clothes', 'warm at camp', 'insulate from the ground'].includes(purpose),
      ),
    );
    return [
      {
        system: 'sleep',
        severity: sleep.worst.verdict === 'not enough' ? 'stop' : 'check',
        message: `Night ${night} is ${marginC < 0 ? `${degrees(-marginC)} colder than your sleeping kit is comfortable in` : `only ${degrees(marginC)} warmer than the limit of your sleeping kit`}.`,
        reason: `Bag, liner, clothes, shelter and mat together are comfortable down to ${format.temperature(Math.round(comfortC))}, give or take ${errorC} °C.${matShortfallC > 0.5 ? ` The mat is too thin for such ground and costs ${degrees(matShortfallC)}.` : ''} Being wet, hungry or tired makes it colder.`,
        figures: [{ label: 'margin', value: marginC, unit: '°C' }],
        fixes: () => warmer.slice(0, 3).map(takeFix),
      },
    ];
  },
};

const degrees = (celsius: number): string => {
  const rounded = Math.max(0.5, Math.round(2 * celsius) / 2);
  return `${rounded} °C`;
};

/** Either way. */
const PEOPLE_DIFFER_C = 4;

/** Too cold to sit at camp, even when moving about. */
export const warmAtCamp: Check = {
  id: 'warm at camp',
  stage: 'kit',
  judges: 'trip',
  readsWeather: true,
  run(facts, format): Judgement[] {
    const { camp } = enoughOf(facts);
    if (!camp || camp.movingC <= camp.eveningC) return [];
    const isSure = camp.movingC > camp.eveningC + PEOPLE_DIFFER_C;
    const warmer = facts.home.filter((thing) => purposesOf(thing).includes('warm at camp'));
    return [
      {
        system: 'clothes',
        severity: isSure ? 'check' : 'note',
        message: `Your clothes ${isSure ? 'are' : 'may be'} too cold for the evening: ${format.temperature(Math.round(camp.eveningC))}, and they are comfortable down to ${format.temperature(Math.round(camp.movingC))} while you move about.`,
        reason:
          'People differ by about 4 °C, and wet clothes keep half as warm. A warm layer that stays dry until camp helps most.',
        fixes: () => warmer.slice(0, 2).map(takeFix),
      },
    ];
  },
};

/** Gas that does not last. */
export const enoughFuel: Check = {
  id: 'fuel',
  stage: 'provisions',
  judges: 'trip',
  readsWeather: true,
  run(facts, format): Judgement[] {
    const { fuel } = enoughOf(facts);
    if (!fuel || fuel.verdict === 'enough') return [];
    return [
      {
        system: 'cook',
        severity: fuel.verdict === 'not enough' ? 'check' : 'note',
        message: `Gas for ${fuel.litres.toFixed(1)} l of boiling is ${format.mass(fuel.neededG)}; you have ${format.mass(fuel.hasG)}.`,
        reason: `A litre takes ${format.mass(fuel.perLitreG)} in this wind. Weigh the canister: what it weighs less what it weighs empty is what is left. Take a fuller one, shield the flame, or eat one meal cold.`,
      },
    ];
  },
};

/** Charge that does not last, or far more than is used. */
export const enoughCharge: Check = {
  id: 'charge',
  stage: 'provisions',
  judges: 'trip',
  readsWeather: true,
  run(facts): Judgement[] {
    const { charge } = enoughOf(facts);
    if (!charge || charge.verdict === 'enough') return [];
    const [need, supply] = [Math.round(charge.needWh), Math.round(charge.supplyWh)];
    return [
      {
        system: 'electronics',
        severity: charge.verdict === 'not enough' ? 'check' : 'note',
        message:
          charge.verdict === 'more than twice'
            ? `You carry ${supply} Wh of charge for ${need} Wh of use.`
            : `Your devices use ${need} Wh, and you can charge ${supply} Wh.`,
        reason:
          charge.verdict === 'more than twice'
            ? 'A smaller power bank would do.'
            : 'Screen off, radio off and offline maps use less; a socket at a café or camp helps. The cold takes some of a battery.',
      },
    ];
  },
};
