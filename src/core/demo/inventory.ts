import { kindOf } from '@/core/kit/kinds/kinds';
import { understand } from '@/core/kit/kinds/understand';
import { thingFrom } from '@/core/kit/kinds/newThing';
import { ownedOf, type OwnedThing } from '@/core/kit/thing';

/** Owned, or wished for, and on no trip of the demo: as they would be typed, and what is known of them beside. */
const LINES: readonly (readonly [line: string, more?: Partial<OwnedThing>])[] = [
  ['Sleeping bag 0 °C', { note: 'For cold nights', condition: 'wash' }],
  ['Tarp 2p', {}],
  ['Silk liner', { massSource: 'kitchen scale' }],
  ['Fleece jumper', {}],
  ['Old rain jacket', { condition: 'repair', note: 'Left sleeve leaks' }],
  ['Inner tube 29', {}],
  ['Gas canister 230', { dueOn: null, condition: 'refill', note: 'Weigh it: about a third left' }],
  ['Tyre sealant', { dueOn: '2027-05-01' }],
  ['Rain jacket', { toGet: true, price: 120, note: 'Lighter than the old one' }],
  ['Folding saw', { toGet: true, price: 28 }],
];

/** What the demo's rider owns beside what is on the trip. */
export const demoInventory = (): OwnedThing[] =>
  LINES.flatMap(([line, more], i) => {
    const understood = understand(line);
    const thing = thingFrom(`demo-owned-${i + 1}`, { ...understood, name: understood.name || line });
    return thing ? [{ ...ownedOf(thing), ...more, kind: kindOf(thing.kind)?.id ?? null }] : [];
  });
