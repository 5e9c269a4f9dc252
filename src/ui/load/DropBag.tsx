'use client';

import { useDroppable } from '@dnd-kit/core';
import type { ReactNode } from 'react';

interface Props {
  bagId: string;
  /** Its first, where what is dropped goes. */
  compartmentId: string;
  children: ReactNode;
}

/** A bag on the drawing as a place to drop things. */
export function DropBag({ bagId, compartmentId, children }: Props) {
  const { setNodeRef, isOver } = useDroppable({ id: `drawn:${bagId}`, data: { to: { compartmentId } } });
  return (
    <g ref={setNodeRef as unknown as (element: SVGGElement | null) => void} data-over={isOver || undefined}>
      {children}
    </g>
  );
}
