'use client';

import type { Facts } from '@/core/facts/facts';
import { usePlan } from '@/ui/plan/PlanProvider';
import { useSelection } from './SelectionProvider';

interface Shown {
  /** "You", or a fellow's name. */
  name: string;
  facts: Facts;
  /** The same before the last step; null when there was none, or the rider was not yet there. */
  before: Facts | null;
}

/** The bike that is looked at: the rider's own, or a fellow's on the board. */
export function useShown(): Shown {
  const { evaluation, before } = usePlan();
  const { riderId } = useSelection();
  const shown = evaluation.riders.find(({ rider }) => rider === riderId) ?? evaluation.riders[0]!;
  const earlier = before?.riders.find(({ rider }) => rider === shown.rider);
  return { name: shown.name, facts: shown.facts, before: earlier?.facts ?? null };
}
