import type { Bag } from '@/core/bag/bag';
import { clearanceFixes } from '@/core/advice/clearanceFixes';
import { verdictOf, type Clearance, type ClearanceKind } from '@/core/clearance/clearance';
import type { Formatter } from '@/core/units/format';
import { listed, type Check, type Judgement } from './finding';

const REASONS: Record<ClearanceKind, string> = {
  'front tyre':
    'A bag on the front tyre stops the wheel. Straps stretch and foam gives more than is assumed here: press the bike down hard and look, before you ride and after the first hour.',
  'rear tyre':
    'A pack that touches the tyre wears through, or is drawn in. Press the saddle down hard with the bags packed, dropper down, and look.',
  'bar width':
    'Hands and brake levers need their room, also when the bar is turned and when you reach for the brakes in a hurry.',
  hoses:
    'Hoses pinched by a bag are pulled at full lock: brakes can fail. Turn the bar fully both ways with the bags on.',
  knees: 'Knees that rub on every turn of the pedals are sore by evening and wear the bag through.',
  'stand-over': 'With both feet down you must clear what stands on the top tube.',
  heel: 'A heel that catches a pannier on every turn can throw you. Move the pannier back, or choose a smaller one.',
  frame: 'A bag longer than its place cannot be strapped tight, and wears on the tubes.',
  shock:
    'The shock and its link move through that room. Let the air out or press the saddle down, and look; cut or move the bag to suit.',
  bottle: 'A bag in the way of a bottle displaces it, or the bottle cannot be drawn while riding.',
};

/** A bag too near to a tyre, hand, hose, knee, heel or tube, with the measured gap. */
export const tooNear: Check = {
  id: 'too near',
  changesOnTheWay: true,
  stage: 'bike',
  judges: 'bag',
  run(facts, format) {
    return facts.clearances.flatMap((clearance): Judgement[] => {
      const verdict = verdictOf(clearance);
      if (verdict === 'free') return [];
      const bag = facts.plan.bags.find(({ id }) => id === clearance.bagId)!;
      return [
        {
          about: clearance.id,
          severity: verdict,
          subject: clearance.bagId,
          message: sentence(clearance, bag, format),
          reason: REASONS[clearance.kind],
          figures: [
            { label: 'gap at the worst', value: clearance.gapMm, unit: 'mm' },
            ...(clearance.atRestMm === null
              ? []
              : [{ label: 'at rest', value: clearance.atRestMm, unit: 'mm' as const }]),
            ...clearance.taken.map(({ label, mm }) => ({ label, value: mm, unit: 'mm' as const })),
            { label: 'should be at least', value: clearance.checkMm, unit: 'mm' },
          ],
          fixes: () => clearanceFixes(facts, clearance, format),
        },
      ];
    });
  },
};

function sentence({ kind, gapMm, other, taken }: Clearance, { name }: Bag, format: Formatter): string {
  const size = format.length(Math.abs(gapMm));
  const worst = taken.length > 0 ? ` with ${listed(taken.map(({ label }) => label))}` : '';
  switch (kind) {
    case 'bar width':
      return gapMm < 0
        ? `${name} is ${size} too long for the room between ${other}.`
        : `${name} leaves ${size} to ${other}.`;
    case 'hoses':
      return `${name} presses on the hoses: ${size} between it and the bar.`;
    case 'knees':
      return gapMm < 0
        ? `${name} is ${size} wider than your knees leave${worst}.`
        : `${name} leaves only ${size} between your knees${worst}.`;
    case 'frame':
      return `${name} stands ${size} over the tubes of the main triangle: it is longer than its place.`;
    case 'shock':
      return `${name} lies in ${other}.`;
    case 'stand-over':
      return gapMm < 0
        ? `${name} is ${size} higher than you can stand over.`
        : `${name} leaves only ${size} when you stand over the bike.`;
    case 'bottle':
      return gapMm <= 0.01
        ? `${name} displaces ${other}.`
        : `${name} leaves ${size} to ${other}: too little to draw it out.`;
    default:
      return gapMm < 0
        ? `${name} meets ${other}, ${size} deep${worst}.`
        : `${name} comes within ${size} of ${other}${worst}.`;
  }
}
