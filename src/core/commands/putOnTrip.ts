import type { Bag } from '@/core/bag/bag';
import type { Bike } from '@/core/bike/bike';
import type { Edit } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { cutTo } from '@/core/units/text';

/** A bike and the bags that hang on it, owned once and kept under a name. */
export interface Setup {
  id: string;
  name: string;
  bike: Bike;
  bags: Bag[];
}

/** Puts a set-up on the trip: its bike and bags instead of those there. What was in bags that go is on the floor. */
export const putOnTrip = ({ bags }: Pick<Plan, 'bags'>, setup: Setup): Edit => ({
  kind: 'several',
  label: cutTo(`Set-up: ${setup.name}`, 200),
  edits: [
    { kind: 'set bike', bike: setup.bike },
    {
      kind: 'remove bags',
      ids: bags.map(({ id }) => id).filter((id) => !setup.bags.some((bag) => bag.id === id)),
    },
    { kind: 'put bags', bags: setup.bags },
  ],
});
