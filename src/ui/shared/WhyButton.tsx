'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Figure } from '@/core/explain/why';
import styles from './WhyButton.module.css';

// What places popovers weighs more than the board: it comes with the first question, not with the page.
const WhyPopover = dynamic(() => import('./WhyPopover').then((module) => module.WhyPopover), { ssr: false });

/** Asks a figure "why". */
export function WhyButton({ figure, label }: { figure: Figure; label: string }) {
  const [asked, setAsked] = useState(false);
  if (asked) return <WhyPopover figure={figure} label={label} />;
  return (
    <button type="button" className={styles.why} aria-label={`Why: ${label}`} onClick={() => setAsked(true)}>
      why
    </button>
  );
}
