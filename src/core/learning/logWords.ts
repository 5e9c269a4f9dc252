import type { Logged } from '@/core/entries/entry';
import type { Plan } from '@/core/plan/plan';
import { clock, type Formatter } from '@/core/units/format';

/** A line of the log in words. What it names may be gone since; the line stays. */
export function logWords(
  { what, amount, thingId, bagId, trouble, note }: Logged,
  plan: Plan,
  format: Formatter,
): string {
  const thing = thingId === null ? null : (plan.things.find(({ id }) => id === thingId)?.name ?? 'something');
  const bag = bagId === null ? null : (plan.bags.find(({ id }) => id === bagId)?.name ?? 'a bag');
  switch (what) {
    case 'drank':
      return `Drank ${amount === null ? 'something' : format.volume(amount)}`;
    case 'filled':
      return `Filled up${amount === null ? '' : ` ${format.volume(amount)}`}`;
    case 'ate':
      return `Ate ${amount !== null && amount > 1 ? `${amount} × ` : ''}${thing ?? (note || 'something')}`;
    case 'bought':
      return `Bought ${thing ?? (note || 'something')}`;
    case 'charged':
      return `Charged${amount === null ? '' : ` ${Math.round(amount)} Wh`}`;
    case 'gas left':
      return `Gas left in ${thing ?? 'the canister'}: ${amount === null ? 'not said' : format.mass(amount)}`;
    case 'arrived':
      return `Arrived${amount === null ? '' : ` at ${clock(amount)}`}`;
    case 'trouble':
      return `${bag ?? 'A bag'}: ${TROUBLE_WORDS[trouble ?? 'rattles']}${note && `. ${note}`}`;
    case 'repair':
      return `Repaired ${thing ?? (note || 'something')}`;
    case 'weather':
      return `Weather: ${note}`;
    case 'slept':
      return `Slept ${note}`;
    case 'note':
      return note;
  }
}

export const TROUBLE_WORDS = {
  sways: 'sways',
  tyre: 'touches the tyre',
  rubs: 'rubs on a leg or the frame',
  rattles: 'rattles',
  leaks: 'lets water in',
  zip: 'its zip gave way',
  strap: 'a strap came loose',
  'bounced out': 'something bounced out',
} as const;
