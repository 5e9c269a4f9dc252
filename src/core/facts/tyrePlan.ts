import type { Facts } from './facts';
import { startingPressure, type TyrePressure } from '@/core/bike/tyrePressure';

/** Starting pressures of one wheel: without bags, and as loaded. */
export interface WheelPressure {
  wheel: 'front' | 'rear';
  widthMm: number;
  emptyG: number;
  loadG: number;
  empty: TyrePressure;
  loaded: TyrePressure;
}

/** Starting pressures of both wheels, from the loads that the balance gives them with the rider; none without a bike. */
export function tyrePressures({
  view,
  handling,
  plan,
}: Pick<Facts, 'view' | 'handling' | 'plan'>): WheelPressure[] {
  if (!plan.bike || !handling) return [];
  const { build } = plan.bike;
  const wheel = (name: 'front' | 'rear', widthMm: number, emptyG: number, loadG: number): WheelPressure => ({
    wheel: name,
    widthMm,
    emptyG,
    loadG,
    empty: startingPressure(emptyG, widthMm, plan.trip.surface, build),
    loaded: startingPressure(loadG, widthMm, plan.trip.surface, build),
  });
  const { emptyWithRider: empty, withRider: loaded } = handling;
  return [
    wheel('front', view.frontTyreMm, empty.frontG, loaded.frontG),
    wheel('rear', view.rearTyreMm, empty.rearG, loaded.rearG),
  ];
}
