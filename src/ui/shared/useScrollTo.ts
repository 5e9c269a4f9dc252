'use client';

import { useEffect, type RefObject } from 'react';
import { afterPaint } from '@/ui/plan/afterPaint';

/**
 * Brings an element into view when something comes to hand. After the next paint: to know where things are the browser
 * lays out the whole page, and what was pressed must show before that (measured: 10 ms of a move on the board).
 */
export function useScrollTo(element: RefObject<Element | null>, when: unknown): void {
  useEffect(() => {
    if (!when) return;
    return afterPaint(() => element.current?.scrollIntoView({ block: 'nearest' }));
  }, [element, when]);
}
