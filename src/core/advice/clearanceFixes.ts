import { capacityMl, type Bag } from '@/core/bag/bag';
import { DEFAULT_FRAME_BAG, frameBagCut } from '@/core/bag/frameBag';
import { BAG_LIBRARY, fromLibrary } from '@/core/bag/library';
import type { Fix } from './fix';
import type { Facts } from '@/core/facts/facts';
import type { Formatter } from '@/core/units/format';
import { HOSE_ROOM_MM } from '@/core/clearance/bar';
import type { Clearance } from '@/core/clearance/clearance';
import { mends, trialClearances } from './trial';

/** Steps tried when a bag is slid along its place, the shortest first, in millimetres. */
const SLIDES = [5, 10, 20, 30, 45, 60, 80, 110].flatMap((step) => [step, -step]);
const SPACER_MM = 40;
const MOST_FIXES = 3;

/**
 * Ways to free a bag, each tried on the geometry before it is offered: slide it, a spacer, a brace, less dropper,
 * a half bag, the next smaller size, another place. At most three.
 */
export function clearanceFixes(facts: Facts, clearance: Clearance, format: Formatter): Fix[] {
  const bag = facts.plan.bags.find(({ id }) => id === clearance.bagId);
  if (!bag) return [];
  const fixes: Fix[] = [];
  const offer = (label: string, changed: Bag) => {
    if (fixes.length < MOST_FIXES && mends(facts, clearance, trialClearances(facts, changed)))
      fixes.push({ label, edit: { kind: 'put bags', bags: [changed] } });
  };

  if (clearance.kind === 'hoses' && bag.standOffMm < HOSE_ROOM_MM)
    offer(`Put a spacer of ${format.length(SPACER_MM)} behind ${bag.name}`, {
      ...bag,
      standOffMm: SPACER_MM,
    });
  if (clearance.kind === 'bottle' || (clearance.kind === 'knees' && bag.place === 'frame bag'))
    halfBag(facts, clearance, bag, format, offer);
  if (clearance.kind === 'rear tyre' && bag.place === 'seat pack' && !bag.braced)
    offer(`Hold ${bag.name} up with a brace`, { ...bag, braced: true });
  if (clearance.kind !== 'bar width' && clearance.kind !== 'knees' && clearance.kind !== 'hoses')
    slide(bag, format, fixes, offer);
  if (clearance.kind === 'rear tyre') {
    lessDropper(facts, clearance, bag, format, fixes);
    higherPost(facts, clearance, bag, format, fixes);
  }
  if (clearance.kind === 'bottle') elsewhere(facts, clearance, fixes);
  smaller(facts, clearance, bag, format, offer);
  return fixes.slice(0, MOST_FIXES);
}

function slide(
  bag: Bag,
  format: Formatter,
  fixes: Fix[],
  offer: (label: string, changed: Bag) => void,
): void {
  const before = fixes.length;
  for (const step of SLIDES) {
    const alongMm = bag.alongMm + step;
    if (Math.abs(alongMm) > 600) continue;
    offer(`Slide ${bag.name} by ${format.length(Math.abs(step))}`, { ...bag, alongMm });
    if (fixes.length > before) return;
  }
}

/** The next smaller bag of the library at that place that hangs free. */
function smaller(
  facts: Facts,
  clearance: Clearance,
  bag: Bag,
  format: Formatter,
  offer: (label: string, changed: Bag) => void,
): void {
  const now = capacityMl(bag.compartments[0]!);
  const sizes = BAG_LIBRARY.filter((entry) => entry.place === bag.place)
    .map((entry) => ({ entry, bag: fromLibrary(entry, [], () => 'trial') }))
    .filter(({ bag: candidate }) => capacityMl(candidate.compartments[0]!) < now * 0.98)
    .sort((a, b) => capacityMl(b.bag.compartments[0]!) - capacityMl(a.bag.compartments[0]!));
  for (const { entry, bag: candidate } of sizes) {
    const main = { ...bag.compartments[0]!, ...candidate.compartments[0]!, id: bag.compartments[0]!.id };
    const changed: Bag = {
      ...bag,
      name: entry.name,
      massG: entry.massG,
      massSource: 'label',
      limitG: entry.limitG,
      braced: entry.braced ?? false,
      compartments: [main],
    };
    if (!mends(facts, clearance, trialClearances(facts, changed))) continue;
    offer(`Take a smaller one: ${entry.name}, ${format.volume(capacityMl(main))}`, changed);
    return;
  }
}

/** How much of the dropper can be used with this bag, in steps of 5 mm; says so rather than forbidding it. */
function lessDropper(facts: Facts, clearance: Clearance, bag: Bag, format: Formatter, fixes: Fix[]): void {
  const { bike } = facts.plan;
  if (!bike || bike.build.dropperMm === 0 || fixes.length >= MOST_FIXES) return;
  for (let dropperMm = bike.build.dropperMm - 5; dropperMm >= 0; dropperMm -= 5) {
    const build = { ...bike.build, dropperMm };
    const trial = trialClearances(facts, bag, bag.id, { build });
    // With the post all the way up there is no more to gain: better than touching is worth offering too.
    if (!mends(facts, clearance, trial, dropperMm === 0 ? 'better' : 'free')) continue;
    fixes.push({
      label: dropperMm === 0 ? 'Leave the dropper up' : `Use only ${format.length(dropperMm)} of the dropper`,
      edit: { kind: 'set bike', bike: { ...bike, build } },
    });
    return;
  }
}

/** A few millimetres of post, where the rider's legs allow. */
function higherPost(facts: Facts, clearance: Clearance, bag: Bag, format: Formatter, fixes: Fix[]): void {
  const { bike } = facts.plan;
  if (!bike || fixes.length >= MOST_FIXES) return;
  const { view } = facts;
  for (const up of [5, 10, 15, 20]) {
    const step = { x: view.seatTubeUp.x * up, z: view.seatTubeUp.z * up };
    const lifted = {
      ...view,
      saddleTop: { x: view.saddleTop.x + step.x, z: view.saddleTop.z + step.z },
      seatpostClamp: { x: view.seatpostClamp.x + step.x, z: view.seatpostClamp.z + step.z },
    };
    if (!mends(facts, clearance, trialClearances(facts, bag, bag.id, { view: lifted }))) continue;
    const saddleHeightMm = Math.round(facts.figures.geometry.saddleHeightMm + up);
    fixes.push({
      label: `Raise the saddle ${format.length(up)}, if your legs allow`,
      edit: { kind: 'set bike', bike: { ...bike, geometry: { ...bike.geometry, saddleHeightMm } } },
    });
    return;
  }
}

/** A half bag over the bottles, as deep as leaves them free, as wide as the knees allow. */
function halfBag(
  facts: Facts,
  clearance: Clearance,
  bag: Bag,
  format: Formatter,
  offer: (label: string, changed: Bag) => void,
): void {
  const { view, build, rider } = facts.surroundings;
  const others = bag.compartments.slice(1).filter(({ outside }) => outside === 'no');
  const beside = others.reduce((sum, { solid }) => sum + (solid.kind === 'polygon' ? solid.widthMm : 0), 0);
  const main = bag.compartments[0]!;
  const wished = main.solid.kind === 'polygon' ? main.solid.widthMm : DEFAULT_FRAME_BAG.rearWidthMm;
  for (let dropMm = 180; dropMm >= 60; dropMm -= 10) {
    const wish = {
      ...DEFAULT_FRAME_BAG,
      dropMm,
      rearWidthMm: Math.max(20, wished),
      // Knees reach forward too: no wider in front than such a bag usually is.
      frontWidthMm: Math.min(Math.max(20, wished), DEFAULT_FRAME_BAG.frontWidthMm),
    };
    const cut = frameBagCut(view, wish, build.mounts, rider.kneeGapMm - beside);
    if (!cut.ok) continue;
    const { corners } = cut.value.solid;
    const changed: Bag = {
      ...bag,
      alongMm: 0,
      compartments: bag.compartments.map((compartment, i) => {
        if (i === 0) return { ...compartment, solid: cut.value.solid, statedMl: null };
        if (compartment.solid.kind !== 'polygon') return compartment;
        return { ...compartment, solid: { ...compartment.solid, corners }, statedMl: null };
      }),
    };
    if (!mends(facts, clearance, trialClearances(facts, changed))) continue;
    offer(`Make it a half bag, ${format.length(dropMm)} deep: ${format.volume(cut.value.volumeMl)}`, changed);
    return;
  }
}

/** The bottle in another place that is still free: under the down tube, or on a fork leg. */
function elsewhere(facts: Facts, clearance: Clearance, fixes: Fix[]): void {
  const bottle = facts.plan.bags.find(({ id }) => id === clearance.otherBagId);
  if (!bottle || fixes.length >= MOST_FIXES) return;
  if (facts.plan.bags.some(({ place }) => place === 'down tube')) return;
  const changed: Bag = { ...bottle, place: 'down tube', alongMm: 0 };
  if (mends(facts, clearance, trialClearances(facts, changed)))
    fixes.push({
      label: `Move ${bottle.name} under the down tube`,
      edit: { kind: 'put bags', bags: [changed] },
    });
}
