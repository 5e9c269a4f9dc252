'use client';

import { ActionIcon, Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconArrowBackUp, IconArrowForwardUp, IconMenu2, IconSearch } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useEffect, useState, type ReactNode } from 'react';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Consequences } from './Consequences';
import { Headline } from './Headline';
import { SaveNotice, SaveState } from './SaveNotice';
import { StageBand } from './StageBand';
import styles from './TripShell.module.css';

// Opened by few and seldom: not part of what a page loads first.
const Palette = dynamic(() => import('./Palette').then((module) => module.Palette), { ssr: false });
const TripMenu = dynamic(() => import('./TripMenu').then((module) => module.TripMenu), { ssr: false });
const KeySheet = dynamic(() => import('./KeySheet').then((module) => module.KeySheet), { ssr: false });

/** The frame round every stage of a trip: name, save state, history, stages, and the consequences beside. */
export function TripShell({ children }: { children: ReactNode }) {
  const { draft, store } = usePlan();
  const [palette, setPalette] = useState(false);
  const [keys, setKeys] = useState(false);
  const [menu, setMenu] = useState(false);
  const undoLabel = draft.done.at(-1)?.label;
  const redoLabel = draft.undone.at(-1)?.label;

  useHotkeys([
    ['mod+Z', () => void store.undo()],
    ['mod+shift+Z', () => void store.redo()],
    ['mod+Y', () => void store.redo()],
    ['mod+K', () => setPalette(true)],
  ]);

  // Wherever the focus is, unless text is typed there; which keys make a question mark differs by keyboard.
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (event.key !== '?' || target?.closest('input, textarea, select, [contenteditable]')) return;
      event.preventDefault();
      setKeys(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  return (
    <div className={styles.shell}>
      <a href="#stage" className={styles.skip}>
        Skip to the stage
      </a>
      <header className={styles.header}>
        <Link href="/" className={styles.mark}>
          Gorvin
        </Link>
        <span className={styles.trip}>{draft.plan.trip.name}</span>
        <SaveState />
        <span className={styles.space} />
        <ActionIcon
          title={undoLabel ? `Undo: ${undoLabel}` : 'Nothing to undo'}
          variant="default"
          size="lg"
          aria-label={undoLabel ? `Undo: ${undoLabel}` : 'Undo'}
          disabled={!undoLabel}
          onClick={() => store.undo()}
        >
          <IconArrowBackUp size={18} />
        </ActionIcon>
        <ActionIcon
          title={redoLabel ? `Redo: ${redoLabel}` : 'Nothing to redo'}
          variant="default"
          size="lg"
          aria-label={redoLabel ? `Redo: ${redoLabel}` : 'Redo'}
          disabled={!redoLabel}
          onClick={() => store.redo()}
        >
          <IconArrowForwardUp size={18} />
        </ActionIcon>
        <Button
          variant="default"
          size="sm"
          className={styles.wide}
          leftSection={<IconSearch size={16} />}
          onClick={() => setPalette(true)}
        >
          Find <kbd className={styles.kbd}>Ctrl K</kbd>
        </Button>
        {menu ? (
          <TripMenu onPalette={() => setPalette(true)} onKeys={() => setKeys(true)} />
        ) : (
          <ActionIcon
            variant="default"
            size="lg"
            aria-label="More"
            aria-haspopup="menu"
            onClick={() => setMenu(true)}
          >
            <IconMenu2 size={18} />
          </ActionIcon>
        )}
      </header>
      <StageBand />
      <Headline />
      <SaveNotice />
      <div className={styles.body}>
        <main id="stage" className={styles.stage} tabIndex={-1}>
          {children}
        </main>
        <Consequences />
      </div>
      {palette && <Palette onClose={() => setPalette(false)} onKeys={() => setKeys(true)} />}
      {keys && <KeySheet onClose={() => setKeys(false)} />}
    </div>
  );
}
