import type { Finding, Severity } from '@/core/checks/finding';
import { windChill } from '@/core/clothes/warmth';
import { conditionsOf } from '@/core/facts/conditions';
import type { Facts } from '@/core/facts/facts';
import { rideOf } from '@/core/facts/ride';
import { RESERVE_L, waterPlan } from '@/core/facts/water';
import type { System } from '@/core/kit/thing';
import type { Formatter } from '@/core/units/format';
import { enoughOf } from '@/core/enough/enough';

export const PANELS = [
  'Sleep',
  'Shelter',
  'Clothes',
  'Cook',
  'Water',
  'Tools and spares',
  'First aid and hygiene',
  'Light, power and finding the way',
  'Papers and money',
] as const;
export type PanelName = (typeof PANELS)[number];

const SYSTEMS_OF: Record<PanelName, readonly System[]> = {
  Sleep: ['sleep'],
  Shelter: ['shelter'],
  Clothes: ['clothes'],
  Cook: ['cook'],
  Water: ['water'],
  'Tools and spares': ['tools'],
  'First aid and hygiene': ['first aid', 'hygiene'],
  'Light, power and finding the way': ['electronics'],
  'Papers and money': ['papers'],
};

/** The usual caution of each system, shown where it is decided. */
const CAUTIONS: Partial<Record<PanelName, string>> = {
  Sleep:
    'Ratings are measured on rested, fed, dry people. If you are cold at night, eat, move and put on everything dry.',
  Cook: 'Never cook in a closed tent: the gas you cannot smell kills. Ask about fire bans.',
  Water: 'Boil or treat water that you do not know.',
  'Tools and spares':
    'Bolts of stem, bar and brakes have a torque printed on them; what you are unsure of is for a mechanic.',
  'First aid and hygiene':
    'Medicines are for you and your clinician to decide. Tell your companions where the kit is.',
  'Light, power and finding the way': 'Local law says which lights you need.',
};

/** A figure that decides a panel. */
export interface PanelFigure {
  label: string;
  value: string;
  why: string;
}

export interface Panel {
  name: PanelName;
  verdict: 'ready' | 'check' | 'stop' | 'unknown';
  /** What it comes to, in a sentence. */
  headline: string;
  figures: PanelFigure[];
  /** What each need is met by. */
  needs: { what: string; by: readonly string[]; isDismissed: boolean; isSingle: boolean; spare?: string }[];
  findings: Finding[];
  caution: string | null;
}

/**
 * One panel for each system: whether it is enough for this trip, the figures that decide it, and what was found.
 *
 * @param findings of the whole evaluation; each panel takes its own
 */
export function panelsOf(facts: Facts, findings: readonly Finding[], format: Formatter): Panel[] {
  const { needs, isJudged } = enoughOf(facts);
  return PANELS.map((name): Panel => {
    const systems = SYSTEMS_OF[name];
    const own = findings.filter(({ system }) => system !== undefined && systems.includes(system));
    const met = needs.filter(({ rule }) => systems.includes(rule.system));
    const figures = figuresOf(name, facts, format);
    const has = (severity: Severity) => own.some((finding) => finding.severity === severity);
    const isKnown = isJudged || figures.length > 0;
    const verdict = has('stop') ? 'stop' : has('check') ? 'check' : isKnown ? 'ready' : 'unknown';
    return {
      name,
      verdict,
      headline:
        verdict === 'unknown'
          ? 'Most of these things have no kind, so what they are for is not known. Name it in the inventory.'
          : (own.find(({ severity }) => severity !== 'note')?.message ?? 'Enough for this trip.'),
      figures,
      needs: met.map(({ rule, things, isDismissed, isSingle }) => ({
        what: rule.what,
        by: things.map((thing) => thing.name),
        isDismissed,
        isSingle,
        ...(rule.spare !== undefined && { spare: rule.spare }),
      })),
      findings: own,
      caution: CAUTIONS[name] ?? null,
    };
  });
}

const DESCENT_KMH = 40;

function figuresOf(name: PanelName, facts: Facts, format: Formatter): PanelFigure[] {
  const { sleep, camp, fuel, charge } = enoughOf(facts);
  const degrees = (celsius: number) => format.temperature(Math.round(celsius));
  switch (name) {
    case 'Sleep':
      return sleep
        ? [
            {
              label: 'Comfortable down to',
              value: `${degrees(sleep.worst.comfortC)} ± ${sleep.worst.errorC}`,
              why: `Rating, less ${sleep.system.linerC} °C for the liner, ${sleep.system.clothesC} for clothes and ${sleep.system.shelterC} for the shelter${sleep.worst.matShortfallC > 0 ? `, plus ${sleep.worst.matShortfallC.toFixed(1)} for a thin mat` : ''}${sleep.system.isColdSleeper ? ', plus 3 as you sleep cold' : ''}.`,
            },
            {
              label: 'Coldest night',
              value: degrees(sleep.worst.comfortC + sleep.worst.marginC),
              why: 'At the camp, in the weather that the trip is judged in.',
            },
            {
              label: 'Mat',
              value:
                sleep.system.rValue === null
                  ? 'R-value not known'
                  : `R ${sleep.system.rValue.toFixed(1)} of ${sleep.worst.neededR.toFixed(1)}`,
              why: 'What cold ground asks for: 2 above 10 °C, 3 at 5, 4 at 0, 5.5 at −7.',
            },
          ]
        : [];
    case 'Clothes': {
      if (!camp) return [];
      const coldest = Math.min(...conditionsOf(facts).days.map(({ coldestC }) => coldestC));
      return [
        {
          label: 'Evening at camp',
          value: degrees(camp.eveningC),
          why: 'A third of the way from the night’s coldest to the day’s warmest.',
        },
        {
          label: 'Warm enough sitting, moving',
          value: `${degrees(camp.sittingC)}, ${degrees(camp.movingC)}`,
          why: `Everything worn together is ${camp.clo.toFixed(1)} clo with the air around it. People differ by 4 °C; wet clothes keep half as warm.`,
        },
        {
          label: 'Felt on a fast descent',
          value: degrees(windChill(coldest, DESCENT_KMH)),
          why: `Wind chill at ${format.speed(DESCENT_KMH)} in the coldest hour. Below 5 °C have gloves and a wind layer at hand.`,
        },
      ];
    }
    case 'Cook':
      return fuel
        ? [
            {
              label: 'Gas needed',
              value: format.mass(fuel.neededG),
              why: `${fuel.litres.toFixed(1)} l to boil, at ${format.mass(fuel.perLitreG)} a litre in this wind.`,
            },
            {
              label: 'In the canister',
              value: format.mass(fuel.hasG),
              why: 'As entered or as such a canister holds. Weighing it tells what is left.',
            },
          ]
        : [];
    case 'Water': {
      const ride = rideOf(facts);
      const plan = ride && waterPlan(ride, conditionsOf(facts), enoughOf(facts).taken);
      if (!plan) return [];
      const litres = (l: number) => format.volume(1000 * l);
      const longest = plan.legs.reduce((a, b) => (b.demandL > a.demandL ? b : a));
      return [
        {
          label: 'Your vessels hold',
          value: litres(plan.capacityL),
          why: 'All bottles, bladders and flasks that come along.',
        },
        {
          label: 'The thirstiest stretch asks for',
          value: litres(longest.demandL + RESERVE_L),
          why: `${format.distance(longest.toM - longest.fromM)} from ${longest.source?.place.name ?? 'the start'}: what you drink at that warmth, what a camp without water takes, and ${litres(RESERVE_L)} in reserve.`,
        },
        ...(plan.outcome.ok
          ? [
              {
                label: 'Fill at',
                value: `${plan.outcome.plan.fills.length} places`,
                why: plan.outcome.plan.fills
                  .map(
                    ({ at, leavesWithL }) =>
                      `${plan.legs[at]!.source?.place.name ?? 'the start'} (leave with ${litres(leavesWithL)})`,
                  )
                  .join(', ')
                  .concat(
                    '. The least time for stops and for carrying.',
                    plan.doubtful.length > 0
                      ? ` Not counted on: ${plan.doubtful.map(({ place }) => place.name).join(', ')}, which may be dry.`
                      : '',
                  ),
              },
            ]
          : []),
      ];
    }
    case 'Light, power and finding the way':
      return charge
        ? [
            {
              label: 'Used on the trip',
              value: `${Math.round(charge.needWh)} Wh`,
              why: 'All devices, every day of riding.',
            },
            {
              label: 'Charge you can take',
              value: `${Math.round(charge.supplyWh)} Wh`,
              why: `Banks ${Math.round(charge.banksWh)} Wh${charge.panelWh > 0 ? `, panel ${Math.round(charge.panelWh)}` : ''}${charge.dynamoWh > 0 ? `, dynamo ${Math.round(charge.dynamoWh)}` : ''}${charge.socketsWh > 0 ? `, sockets ${Math.round(charge.socketsWh)}` : ''}. A bank delivers 85 % of its capacity, at freezing 70 %.`,
            },
          ]
        : [];
    default:
      return [];
  }
}
