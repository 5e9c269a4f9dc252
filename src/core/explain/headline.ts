import type { Facts, Handling } from '@/core/facts/facts';
import { SIDE_FREE_G } from '@/core/packing/costs';
import { TAIL_NOTE_KGM } from '@/core/ride/massProperties';
import { signed, type Formatter } from '@/core/units/format';
import type { Figure } from './why';

/** A figure as it stands in the consequences: its value, and what the last change did to it. */
export interface Headline {
  figure: Figure;
  label: string;
  value: string;
  /** Empty when nothing changed or there is nothing to compare with. */
  difference: string;
}

/** The figures shown beside every stage, with their differences to the state before the last change; those of handling with a bike only. */
export function headlines(now: Facts, before: Facts | null, format: Formatter): Headline[] {
  const row = (
    figure: Figure,
    label: string,
    read: (facts: Facts) => number | null,
    write: (value: number) => string,
    mark = '',
  ): Headline => {
    const value = read(now) ?? 0;
    const earlier = before && read(before);
    const change = value - (earlier ?? value);
    const text = signed(write(change), change);
    return {
      figure,
      label,
      value: `${mark}${write(value)}`,
      difference: text === '±0' || !before ? '' : text,
    };
  };
  const handlingRow = (
    figure: Figure,
    label: string,
    read: (handling: Handling) => number,
    write: (value: number) => string,
  ) => row(figure, label, ({ handling }) => handling && read(handling), write);
  const fixed = (digits: number, unit: string) => (value: number) =>
    `${value.toFixed(digits).replace('-', '−')} ${unit}`;
  // A sum that leans on estimates is not a measurement, and is marked as none.
  const approximate = now.totals.errorG > 0.005 * now.totals.rollingG ? '≈ ' : '';
  return [
    row('loaded', 'Loaded bike', ({ totals }) => totals.bikeLoadedG, format.mass, approximate),
    row('rolling', 'With rider', ({ totals }) => totals.rollingG, format.mass, approximate),
    row(
      'fit',
      'Room used',
      ({ totals }) => (totals.capacityMl ? (100 * totals.usedMl) / totals.capacityMl : 0),
      fixed(0, '%'),
    ),
    ...(now.handling
      ? [
          handlingRow(
            'front',
            'On front wheel',
            ({ withRider, centre }) => (100 * withRider.frontG) / centre.massG,
            fixed(1, '%'),
          ),
          handlingRow('tail', 'Seat-pack sway', ({ tailMomentKgM }) => tailMomentKgM, format.moment),
          handlingRow('side', 'Left less right', ({ leftLessRightG }) => leftLessRightG, format.mass),
          handlingRow('brake', 'Tips when braking', ({ withRider }) => withRider.tipOverG, fixed(2, 'g')),
          handlingRow(
            'climb',
            'Lifts on a climb',
            ({ withRider }) => 100 * withRider.climbLimit,
            fixed(0, '%'),
          ),
        ]
      : []),
  ];
}

/**
 * The three figures worth a glance: total mass, front–rear balance, and seat-pack sway or side balance, whichever is
 * nearer to where it is felt. Without a bike, only the masses.
 *
 * @example mainFigures(facts) // ['loaded', 'front', 'tail'] with 1.1 kg·m at the tail and 40 g between the sides
 */
export function mainFigures({ handling }: Facts): Figure[] {
  if (!handling) return ['loaded', 'rolling'];
  const sway = handling.tailMomentKgM / TAIL_NOTE_KGM;
  const side = Math.abs(handling.leftLessRightG) / SIDE_FREE_G;
  return ['loaded', 'front', sway >= side ? 'tail' : 'side'];
}
