import type { Facts } from '@/core/plan/facts';
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

/** The figures shown beside every stage, with their differences to the state before the last change. */
export function headlines(now: Facts, before: Facts | null, format: Formatter): Headline[] {
  const row = (
    figure: Figure,
    label: string,
    read: (facts: Facts) => number,
    write: (value: number) => string,
    mark = '',
  ): Headline => {
    const value = read(now);
    const change = before ? value - read(before) : 0;
    const text = signed(write(change), change);
    return {
      figure,
      label,
      value: `${mark}${write(value)}`,
      difference: text === '±0' || !before ? '' : text,
    };
  };
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
    row(
      'front',
      'On front wheel',
      ({ handling }) => (100 * handling.withRider.frontG) / handling.centre.massG,
      fixed(1, '%'),
    ),
    row('tail', 'Tail moment', ({ handling }) => handling.tailMomentKgM, fixed(2, 'kg·m')),
    row('side', 'Left less right', ({ handling }) => handling.leftLessRightG, format.mass),
    row('brake', 'Tips when braking', ({ handling }) => handling.withRider.tipOverG, fixed(2, 'g')),
    row('climb', 'Lifts on a climb', ({ handling }) => handling.withRider.climbLimitPercent, fixed(0, '%')),
  ];
}
