import type { Facts, Handling } from '@/core/facts/facts';
import type { SideView } from '@/core/bike/sideView';
import { TAIL_NOTE_KGM } from '@/core/ride/massProperties';
import { RIDER_ABOVE_MM, RIDER_AHEAD_MM } from '@/core/bike/balance';
import { PACKING_SHARE } from '@/core/kit/softRoom';
import type { Formatter } from '@/core/units/format';

/** What a figure rests on: formula in words, inputs, source, and what it cannot know. */
export interface Why {
  formula: string;
  inputs: [string, string][];
  source: string;
  uncertainty: string;
}

export const FIGURES = ['loaded', 'rolling', 'fit', 'front', 'tail', 'side', 'brake', 'climb'] as const;
export type Figure = (typeof FIGURES)[number];

const WEIGHED =
  'Each mass is as good as the way it became known: estimates ±15 %, a kitchen scale ±1 %, a label ±5 %.';

/** The reasons behind one of the figures shown beside every stage. */
export function whyFigure(figure: Figure, facts: Facts, format: Formatter): Why {
  const { totals } = facts;
  const kg = (massG: number) => format.mass(massG);
  switch (figure) {
    case 'loaded':
      return {
        formula:
          'Bike + bags + things in them + water in bottles. What you wear or carry on your body is not on the bike.',
        inputs: [
          ['bike', kg(totals.bikeG)],
          ['bags', kg(totals.bagsG)],
          ['things', kg(totals.thingsG)],
          ['water', kg(totals.waterG)],
        ],
        source: 'Sum of masses; water at 1 g a millilitre.',
        uncertainty: WEIGHED,
      };
    case 'rolling':
      return {
        formula: 'Loaded bike + rider + what is worn or carried on the body.',
        inputs: [
          ['loaded bike', kg(totals.bikeLoadedG)],
          ['rider', kg(totals.riderG)],
          ['worn and on the body', kg(totals.onRiderG)],
          ['standard error', `±${kg(totals.errorG)}`],
        ],
        source: 'Sum of masses; errors added in quadrature.',
        uncertainty: `${WEIGHED} Compare with the maker's limit for bike, rider and load.`,
      };
    case 'fit':
      return {
        formula: `Stiff things placed one by one without overlap + voids under 40 ml + soft volume pressed hard ÷ ${PACKING_SHARE.stuffed} (rolled ${PACKING_SHARE.rolled}, folded ${PACKING_SHARE.folded}), against the litres of each compartment.`,
        inputs: [
          ['room needed', format.volume(totals.usedMl)],
          ['room in all bags', format.volume(totals.capacityMl)],
        ],
        source: 'Placement in the bag’s inside by its measures; packing efficiency of what is soft.',
        uncertainty:
          'Stiff things are taken as boxes and cylinders along the bag’s axes; a handle or a turn may differ. Estimated volumes are ±25 %.',
      };
    default:
      return facts.handling ? whyHandling(figure, facts.handling, facts.view, format) : NO_BIKE;
  }
}

const NO_BIKE: Why = {
  formula: 'Worked out from the bike, which is not entered yet.',
  inputs: [],
  source: 'Describe your bike under Bike.',
  uncertainty: '',
};

function whyHandling(
  figure: Exclude<Figure, 'loaded' | 'rolling' | 'fit'>,
  handling: Handling,
  view: SideView,
  format: Formatter,
): Why {
  const kg = (massG: number) => format.mass(massG);
  switch (figure) {
    case 'front':
      return {
        formula: 'Front wheel = mass × (its distance ahead of the rear axle) ÷ wheelbase.',
        inputs: [
          ['wheelbase', format.length(view.wheelbaseMm)],
          ['with rider', `${kg(handling.withRider.frontG)} front, ${kg(handling.withRider.rearG)} rear`],
          [
            'bike and load alone',
            `${kg(handling.bikeAlone.frontG)} front, ${kg(handling.bikeAlone.rearG)} rear`,
          ],
          ['share of the bare bike', `${(handling.bareFrontShare * 100).toFixed(0)} %`],
        ],
        source: 'Statics of two supports.',
        uncertainty: `${handling.weighed.rider ? "The rider's centre is from wheel readings" : `The rider's centre is taken ${RIDER_AHEAD_MM} mm ahead of and ${RIDER_ABOVE_MM} mm above the saddle`}, ${handling.weighed.bike ? "the bare bike's too" : "the bare bike's at 45 % of the wheelbase"}. The centre is known to about ±${handling.centreErrorMm.toFixed(0)} mm; weigh the wheels under Bike to know better.`,
      };
    case 'tail':
      return {
        formula:
          'Σ mass × distance behind the seatpost clamp, of bags that hang on straps alone. Racks, panniers and braced packs do not sway.',
        inputs: [['moment', format.moment(handling.tailMomentKgM)]],
        source: `A rule of thumb: riders ride at ${format.moment(0.5)} to ${format.moment(1.3)}, and many packs sway above ${format.moment(TAIL_NOTE_KGM)}.`,
        uncertainty:
          'How stiffly the pack is strapped matters as much. Your own ride round the block decides.',
      };
    case 'side':
      return {
        formula: 'Bags and their contents left of the centre line, less those right of it.',
        inputs: [['left less right', kg(handling.leftLessRightG)]],
        source: 'Riders agree on about 200 g.',
        uncertainty: 'What lies left or right inside a bag on the centre line is not counted.',
      };
    case 'brake':
      return {
        formula: 'Distance of the centre of mass behind the front axle ÷ its height above the ground.',
        inputs: [
          ['height of the centre', format.length(handling.centre.z - view.groundZ)],
          ['ahead of the bottom bracket', format.length(handling.centre.x)],
        ],
        source: 'Statics: the rear wheel lifts at this deceleration.',
        uncertainty:
          'Tyre grip and where you move change it. A loaded bike brakes later: check pads, test on quiet ground.',
      };
    case 'climb':
      return {
        formula: 'Distance of the centre of mass ahead of the rear axle ÷ its height above the ground.',
        inputs: [['centre ahead of the rear axle', format.length(handling.centre.x - view.rearAxle.x)]],
        source: 'Statics: the front wheel lifts on a steeper climb.',
        uncertainty: 'Leaning forward raises it; loose ground gives out long before.',
      };
  }
}
