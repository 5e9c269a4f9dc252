import { useMemo } from 'react';
import { handlingAtFill } from '@/core/facts/byFill';
import type { Facts } from '@/core/facts/facts';
import type { Formatter } from '@/core/units/format';
import styles from './Fields.module.css';

const FILLS = [
  [1, 'Bottles full'],
  [0.5, 'Half full'],
  [0, 'Empty'],
] as const;

/** The loaded bike beside the bare one, at the start and as the water is drunk. */
export function FillTable({ facts, format }: { facts: Facts; format: Formatter }) {
  const columns = useMemo(() => FILLS.flatMap(([fill]) => handlingAtFill(facts, fill) ?? []), [facts]);
  if (!facts.handling) return null;
  const bare = facts.handling.emptyWithRider;
  const share = ({ frontG, rearG }: { frontG: number; rearG: number }) => (100 * frontG) / (frontG + rearG);
  const rows = [
    ['On the front wheel', share(bare), columns.map(({ withRider }) => share(withRider)), '%', 1],
    ['Tips when braking', bare.tipOverG, columns.map(({ withRider }) => withRider.tipOverG), 'g', 2],
    ['Lifts on a climb', 100 * bare.climbLimit, columns.map((h) => 100 * h.withRider.climbLimit), '%', 0],
    ['Turning the bar takes', 1, columns.map(({ steeringRatio }) => steeringRatio), '×', 2],
    ['Seat-pack sway', 0, columns.map(({ tailMomentKgM }) => tailMomentKgM), 'kg·m', 2],
    ['Leans to stay upright', bare.leanDeg, columns.map(({ withRider }) => withRider.leanDeg), '°', 1],
  ] as const;
  const written = (value: number, unit: string, digits: number) =>
    unit === 'kg·m'
      ? format.moment(value)
      : `${value
          .toFixed(digits)
          .replace(/^-(?=[0.]*$)/, '')
          .replace('-', '−')} ${unit}`;
  return (
    <>
      <table className={styles.results} aria-label="Handling by the fill of bottles">
        <thead>
          <tr>
            <th scope="col">With you on it</th>
            <th scope="col">Bare bike</th>
            {FILLS.map(([fill, words]) => (
              <th key={fill} scope="col">
                {words}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Everything together</th>
            <td>{format.mass(bare.frontG + bare.rearG)}</td>
            {columns.map(({ centre }, k) => (
              <td key={FILLS[k]![0]}>{format.mass(centre.massG)}</td>
            ))}
          </tr>
          {rows.map(([label, without, values, unit, digits]) => (
            <tr key={label}>
              <th scope="row">{label}</th>
              <td>{written(without, unit, digits)}</td>
              {values.map((value, k) => (
                <td key={FILLS[k]![0]}>{written(value, unit, digits)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">
        Both limits move with where you sit and what the tyres grip: they are for comparing loads. A loaded
        bike brakes later and steers slower; try it on quiet ground.
      </p>
    </>
  );
}
