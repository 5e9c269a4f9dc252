import { sampleBag, sampleThing } from './samples';

/** A roll of 480 by 150 mm, and stiff things for it: by litres all go in, but the pole and the block bar each other. */
export const roll = sampleBag('roll', 'bar roll', {
  solid: { kind: 'cylinder', lengthMm: 480, diameterMm: 150 },
});
export const pole = sampleThing('pole', {
  form: { kind: 'long', lengthMm: 455, diameterMm: 58 },
  volumeMl: 1202,
});
export const block = sampleThing('block', {
  form: { kind: 'box', lengthMm: 146, widthMm: 112, heightMm: 86 },
  volumeMl: 1406,
});
export const small = sampleThing('small', {
  form: { kind: 'box', lengthMm: 140, widthMm: 60, heightMm: 60 },
  volumeMl: 504,
});
