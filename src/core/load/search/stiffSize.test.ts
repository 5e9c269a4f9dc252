import { layAll } from '@/core/fit/fit';
import { samplePlan } from '../../../../tests/support/samples';
import { block, pole, roll, small } from '../../../../tests/support/barring';
import { instanceOf } from '../../../../tests/support/instanceOf';
import { knownPieces } from '@/core/fit/split';
import { compileInstance, type Instance } from '../model/instance';
import { goesInto, stiffSizeOf } from './stiffSize';

/** By thing, those it could lie instead of wherever they do. */
function largerOf({ outer }: Instance): number[][] {
  const sizes = outer.map((lot) => stiffSizeOf(lot.flatMap(knownPieces)));
  return sizes.map((own, i) =>
    sizes.flatMap((other, k) => (own && other && k !== i && goesInto(own, other) ? [k] : [])),
  );
}

describe('things that could lie wherever another does', () => {
  test('a small block goes into a large one, a pole only into a longer pole', () => {
    const longer = { ...pole, id: 'longer', form: { ...pole.form, lengthMm: 470 } };
    const plan = samplePlan({ bags: [roll], things: [pole, block, small, longer] });
    const instance = compileInstance(plan);
    const names = largerOf(instance).map((larger) => larger.map((k) => instance.things[k]!.id));
    expect(Object.fromEntries(instance.things.map(({ id }, i) => [id, names[i]]))).toEqual({
      pole: ['longer'],
      block: [],
      small: expect.arrayContaining(['block']),
      longer: [],
    });
  });

  test('alone in a compartment, nothing lies where what could lie instead of it does not', () => {
    let asked = 0;
    for (const seed of [1, 2, 3, 4]) {
      const { spots, outer } = instanceOf(seed, 60);
      largerOf(instanceOf(seed, 60)).forEach((larger, i) => {
        for (const k of larger)
          for (const { chamber } of spots) {
            if (!layAll(chamber, outer[k]!)) continue;
            asked += 1;
            expect(layAll(chamber, outer[i]!)).not.toBeNull();
          }
      });
    }
    expect(asked).toBeGreaterThan(500);
  });
});
