import type { Check, Judgement } from './finding';

/** A front turned slower than this many times the bare one's inertia is felt in every bend. */
const STEERING_CHECK = 3.5;
/** Points of a hundred that the front's share may move before it is worth a word. */
const SHARE_CHECK = 0.15;

/** Steering slowed by what hangs in front, and a load that sits all in front or all behind. */
export const handling: Check = {
  id: 'handling',
  changesOnTheWay: true,
  stage: 'load',
  judges: 'bike',
  run({ handling: figures, plan }) {
    const findings: Judgement[] = [];
    if (!figures || plan.load.length === 0) return findings;
    const add = (about: string, message: string, reason: string) =>
      findings.push({
        about,
        severity: 'check',
        message,
        reason,
      });
    if (figures.steeringRatio > STEERING_CHECK)
      add(
        'steering',
        `What hangs in front turns ${figures.steeringRatio.toFixed(1)} times as heavily as the bare bike.`,
        'The front is slow to turn and slow to stop turning. Move heavy things from bar and fork to the frame; ride slowly first, and expect it most when walking or climbing.',
      );
    const shift = figures.frontShare - figures.bareFrontShare;
    if (Math.abs(shift) > SHARE_CHECK) {
      const where = shift > 0 ? 'in front' : 'behind';
      add(
        'front-rear',
        `Most of the load is ${where}: the front wheel carries ${(figures.frontShare * 100).toFixed(0)} % of the bike, bare ${(figures.bareFrontShare * 100).toFixed(0)} %.`,
        shift > 0
          ? 'A heavy front dives under braking and steers by itself. Move weight to the frame or behind.'
          : 'A light front wanders and lifts on climbs. Move weight to the frame or forward.',
      );
    }
    return findings;
  },
};
