import type { Instance } from '../model/instance';

/** Compartments that may take each thing at all. */
export const optionsOf = (instance: Instance, free: readonly number[]): Int32Array[] =>
  free.map((i) =>
    Int32Array.from(
      Array.from({ length: instance.m }, (_, j) => j).filter((j) => instance.allowed[i * instance.m + j]),
    ),
  );

/** Things by need and size, the largest first. */
export const greedyOrder = (instance: Instance, free: readonly number[]): number[] =>
  [...free].sort(
    (a, b) => instance.leave[b]! - instance.leave[a]! || instance.needMl[b]! - instance.needMl[a]!,
  );
