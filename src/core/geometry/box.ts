/** A rectangular box by its inside measures, in millimetres. */
export interface Box {
  kind: 'box';
  lengthMm: number;
  widthMm: number;
  heightMm: number;
}

/** Volume in millilitres. @example boxVolumeMl({ kind: 'box', lengthMm: 200, widthMm: 100, heightMm: 50 }) // 1000 */
export const boxVolumeMl = ({ lengthMm, widthMm, heightMm }: Box): number =>
  (lengthMm * widthMm * heightMm) / 1000;
