import { enoughOf } from '@/core/enough/enough';
import { movesOnTheWay } from '@/core/advice/movesOnTheWay';
import { onTheWay, worstMoments } from '@/core/checks/onTheWay';
import { conditionsOf } from '@/core/facts/conditions';
import type { Facts } from '@/core/facts/facts';
import { menuOf } from '@/core/facts/food';
import { rideOf } from '@/core/facts/ride';
import { waterPlan } from '@/core/facts/water';
import type { Formatter } from '@/core/units/format';

const round = (value: number, places = 0): number => Math.round(value * 10 ** places) / 10 ** places;

/** Food, water, fuel and charge by day, and the load at every moment, as plain data. */
export function provisionsReport(facts: Facts, format: Formatter) {
  const ride = rideOf(facts);
  const { taken, fuel, charge } = enoughOf(facts);
  const water = ride && waterPlan(ride, conditionsOf(facts), taken);
  const menu = menuOf(facts);
  const moments = onTheWay(facts, format);
  return {
    water: water && {
      capacityL: round(water.capacityL, 2),
      legs: water.legs.map(({ source, fromM, toM, demandL, carryMinPerL }) => ({
        from: source?.place.name ?? 'the start',
        fromKm: round(fromM / 1000, 1),
        toKm: round(toM / 1000, 1),
        demandL: round(demandL, 2),
        carryMinPerL: round(carryMinPerL, 2),
      })),
      plan: water.outcome.ok
        ? {
            minutes: round(water.outcome.plan.costMin, 1),
            mostL: round(water.outcome.plan.mostL, 2),
            fills: water.outcome.plan.fills.map(({ at, leavesWithL }) => ({
              at: water.legs[at]!.source?.place.name ?? 'the start',
              leavesWithL: round(leavesWithL, 2),
            })),
          }
        : { problem: water.outcome.problem },
      doubtful: water.doubtful.map(({ place }) => place.name),
    },
    menu: menu.days.map(({ need, planned, energyKJ, rideCarbG, proteinG, massG, boilMl }) => ({
      day: need.day,
      usedKJ: round(need.usedKJ),
      needKJ: round(need.needKJ),
      energyKJ: round(energyKJ),
      carbOnBikeG: round(rideCarbG),
      carbNeededG: need.carbG && { least: round(need.carbG.least), most: round(need.carbG.most) },
      proteinG: round(proteinG),
      massG: round(massG),
      boilL: round(boilMl / 1000, 2),
      entries: planned.map(({ entry, thing }) => ({
        slot: entry.slot,
        food: thing.name,
        portions: entry.portions,
        boughtAt: entry.boughtAt,
      })),
    })),
    fuel,
    charge,
    moments: moments.map(({ moment, facts: at, findings }) => ({
      moment: moment.label,
      alongKm: moment.alongM === null ? null : round(moment.alongM / 1000, 1),
      bikeLoadedG: round(at.totals.bikeLoadedG),
      rollingG: round(at.totals.rollingG),
      waterG: round(at.totals.waterG),
      frontShare: at.handling && round(at.handling.frontShare, 3),
      tailMomentKgM: at.handling && round(at.handling.tailMomentKgM, 2),
      freeMl: round(at.totals.capacityMl - at.totals.usedMl),
      findings: findings.map(({ severity, message }) => ({ severity, message })),
    })),
    moves: movesOnTheWay(facts).map(({ moment, moves }) => ({
      moment: moment.label,
      moves: moves.map(({ words, why, cost }) => ({ words, why, cost })),
    })),
    worstMoments: worstMoments(moments).map(({ what, at, value, limit, unit }) => ({
      what,
      at: at.label,
      value: round(value, 3),
      limit,
      unit,
    })),
  };
}
