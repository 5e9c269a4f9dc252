'use client';

import { useDroppable } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import { useShown } from '@/ui/shell/useShown';

/** A bag on the drawing as a place to drop things: they go in its first compartment. */
export function DropBag({ bagId, children }: { bagId: string; children: ReactNode }) {
  const { facts } = useShown();
  const compartmentId = facts.plan.bags.find((bag) => bag.id === bagId)!.compartments[0]!.id;
  const { setNodeRef, isOver } = useDroppable({ id: `drawn:${bagId}`, data: { to: { compartmentId } } });
  return (
    <g ref={setNodeRef as unknown as (element: SVGGElement | null) => void} data-over={isOver || undefined}>
      {children}
    </g>
  );
}
