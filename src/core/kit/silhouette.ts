import type { Form } from './thing';

/** A thing's outline as it lies on the floor, in millimetres. */
export interface Silhouette {
  widthMm: number;
  heightMm: number;
  roundedMm: number;
}

/**
 * The largest face of a stiff thing; a soft one as a cushion of its packed volume, half as thick as it is wide
 * and a quarter longer than wide.
 *
 * @example thingSilhouette({ kind: 'cylinder', lengthMm: 230, diameterMm: 100 }, 1806) // 230 by 100
 */
export function thingSilhouette(form: Form, volumeMl: number): Silhouette {
  if (form.kind === 'soft') {
    const widthMm = Math.cbrt((volumeMl * 1000) / (1.25 * 0.5));
    return { widthMm: widthMm * 1.25, heightMm: widthMm, roundedMm: widthMm * 0.4 };
  }
  if ('diameterMm' in form) {
    return {
      widthMm: form.lengthMm,
      heightMm: form.diameterMm,
      roundedMm: Math.min(form.lengthMm, form.diameterMm) * 0.2,
    };
  }
  const [a, b] = [form.lengthMm, form.widthMm, form.heightMm].sort((p, q) => q - p);
  return { widthMm: a!, heightMm: b!, roundedMm: form.kind === 'crushable' ? b! * 0.3 : 4 };
}
