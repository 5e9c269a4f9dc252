import styles from './BikeDrawing.module.css';

/** The texture of what is filled, told apart by more than its colour. In units of the drawing. */
export function Hatch({ id, spacing }: { id: string; spacing: number }) {
  return (
    <defs>
      <pattern
        id={id}
        width={spacing}
        height={spacing}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(35)"
      >
        <path
          d={`M0 ${spacing / 4}H${spacing}M0 ${(3 * spacing) / 4}H${spacing}`}
          className={styles.thread}
          strokeWidth={spacing * 0.156}
        />
      </pattern>
    </defs>
  );
}
