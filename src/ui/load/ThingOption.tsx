'use client';

import { useDraggable } from '@dnd-kit/core';
import { useRef, type ReactNode } from 'react';
import { useScrollTo } from '@/ui/shared/useScrollTo';

interface Props {
  id: string;
  selected: boolean;
  onChoose: () => void;
  className?: string;
  style?: React.CSSProperties;
  label: string;
  children: ReactNode;
}

/** A thing that can be chosen and dragged; scrolls into view when it comes to hand. */
export function ThingOption({ id, selected, onChoose, className, style, label, children }: Props) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id });
  const element = useRef<HTMLElement | null>(null);
  useScrollTo(element, selected);
  return (
    <li
      ref={(node) => {
        element.current = node;
        setNodeRef(node);
      }}
      id={`thing-${id}`}
      data-thing={id}
      role="option"
      aria-selected={selected}
      aria-label={label}
      className={className}
      style={style}
      data-dragging={isDragging || undefined}
      onClick={onChoose}
      {...listeners}
    >
      {children}
    </li>
  );
}
