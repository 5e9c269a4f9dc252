import type { Bag } from '@/core/bag/bag';
import type { Material } from '@/core/bike/bike';
import { mountOf } from '@/core/packing/rules';
import { listed, type Check, type Judgement, type Severity } from './finding';

const ASK = 'Ask the maker of the part; where no word is to be had, do not.';

/** What holds bags on: mounts that are not there, clamps on carbon, straps over paint. */
export const mounting: Check = {
  id: 'mounting',
  stage: 'bike',
  judges: 'bag',
  run({ plan }) {
    const { bike, bags } = plan;
    if (!bike) return [];
    const { build } = bike;
    const judgements: Judgement[] = [];
    for (const bag of bags) {
      const add = (about: string, severity: Severity, message: string, reason: string) =>
        judgements.push({ subject: bag.id, about, severity, message, reason });
      if (bag.attachment === 'rack' && !mountOf(bag, bike))
        add(
          'no-rack',
          'check',
          `${bag.name} hangs on a rack, but no rear rack is entered for this bike.`,
          'Enter the rack and the load its maker allows under Bike, Mounts. A rack bolted to a frame without eyelets made for it can fail.',
        );
      if (
        bag.place === 'fork bag' &&
        bag.attachment === 'bolts' &&
        build.mounts.length > 0 &&
        !mountOf(bag, bike)
      )
        add(
          'no-fork-mount',
          'check',
          `${bag.name} is bolted to a fork leg that has no mount entered.`,
          `A cage clamped to a fork leg without mounts loads it where it was not made for it. ${ASK}`,
        );
      const material = clampedMaterial(bag, build);
      if (material === 'carbon' && bag.attachment === 'clamp')
        add(
          'carbon',
          'stop',
          `${bag.name} is clamped to carbon.`,
          `Many carbon forks, posts and frames must not be clamped or loaded: they fail without warning. ${ASK}`,
        );
      else if (material === 'carbon' && (bag.place === 'seat pack' || bag.place === 'fork bag'))
        add(
          'carbon',
          'check',
          `${bag.name} hangs on a carbon ${bag.place === 'seat pack' ? 'seatpost' : 'fork'}.`,
          `A moving pack wears carbon through, and many makers forbid the load. ${ASK} Tape where straps touch.`,
        );
    }
    return judgements;
  },
};

const clampedMaterial = (
  bag: Bag,
  build: { frameMaterial: Material; forkMaterial: Material; seatpostMaterial: Material },
): Material | null => {
  switch (bag.place) {
    case 'fork bag':
      return build.forkMaterial;
    case 'seat pack':
      return build.seatpostMaterial;
    case 'frame bag':
    case 'top tube bag':
    case 'down tube':
    case 'bottle cage':
      return build.frameMaterial;
    default:
      return null;
  }
};

/** Straps that rub paint. */
export const strapsOverPaint: Check = {
  id: 'straps over paint',
  stage: 'bike',
  judges: 'bike',
  run({ plan: { bike, bags } }) {
    if (!bike) return [];
    const onPaint = bags.filter(
      (bag) =>
        bag.attachment === 'straps' &&
        (bag.place === 'frame bag' || bag.place === 'top tube bag' || bag.place === 'down tube'),
    );
    if (onPaint.length === 0) return [];
    return [
      {
        severity: 'note',
        message: `${listed(onPaint.map(({ name }) => name))} ${onPaint.length === 1 ? 'straps' : 'strap'} over paint: tape the tubes first.`,
        reason:
          'Grit under a strap rubs paint, and carbon, away within a wet day. Clear tape or cloth under every strap; tie the straps’ ends.',
      },
    ];
  },
};
