import type { Bag } from '@/core/bag/bag';
import type { Material } from '@/core/bike/bike';
import { mountOf } from '@/core/packing/rules';
import { listed, type Check, type Finding } from './finding';

const ASK = 'Ask the maker of the part; where no word is to be had, do not.';

/** What holds bags on: mounts that are not there, clamps on carbon, straps over paint. */
export const mounting: Check = {
  id: 'mounting',
  run({ plan }) {
    const { bike, bags } = plan;
    if (!bike) return [];
    const { build } = bike;
    const findings: Finding[] = [];
    const add = (
      id: string,
      severity: Finding['severity'],
      subject: Finding['subject'],
      message: string,
      reason: string,
    ) =>
      findings.push({
        id,
        check: 'mounting',
        severity,
        stage: 'bike',
        subject,
        message,
        reason,
        figures: [],
        fixes: [],
      });

    for (const bag of bags) {
      const subject = { kind: 'bag' as const, id: bag.id };
      if (bag.attachment === 'rack' && !mountOf(bag, bike))
        add(
          `no-rack:${bag.id}`,
          'look',
          subject,
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
          `no-fork-mount:${bag.id}`,
          'look',
          subject,
          `${bag.name} is bolted to a fork leg that has no mount entered.`,
          `A cage clamped to a fork leg without mounts loads it where it was not made for it. ${ASK}`,
        );
      const material = clampedMaterial(bag, build);
      if (material === 'carbon' && bag.attachment === 'clamp')
        add(
          `carbon:${bag.id}`,
          'stop',
          subject,
          `${bag.name} is clamped to carbon.`,
          `Many carbon forks, posts and frames must not be clamped or loaded: they fail without warning. ${ASK}`,
        );
      else if (material === 'carbon' && (bag.place === 'seat pack' || bag.place === 'fork bag'))
        add(
          `carbon:${bag.id}`,
          'look',
          subject,
          `${bag.name} hangs on a carbon ${bag.place === 'seat pack' ? 'seatpost' : 'fork'}.`,
          `A moving pack wears carbon through, and many makers forbid the load. ${ASK} Tape where straps touch.`,
        );
    }
    const onPaint = bags.filter(
      (bag) =>
        bag.attachment === 'straps' &&
        (bag.place === 'frame bag' || bag.place === 'top tube bag' || bag.place === 'down tube'),
    );
    if (onPaint.length > 0)
      add(
        'paint',
        'note',
        null,
        `${listed(onPaint.map(({ name }) => name))} ${onPaint.length === 1 ? 'straps' : 'strap'} over paint: tape the tubes first.`,
        'Grit under a strap rubs paint, and carbon, away within a wet day. Clear tape or cloth under every strap; tie the straps’ ends.',
      );
    return findings;
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
