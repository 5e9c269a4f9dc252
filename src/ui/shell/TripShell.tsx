'use client';

import { ActionIcon, Button, Menu, SegmentedControl, Tooltip, useMantineColorScheme } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import {
  IconArrowBackUp,
  IconArrowForwardUp,
  IconKeyboard,
  IconMenu2,
  IconMoonStars,
  IconSearch,
} from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Consequences } from './Consequences';
import { SaveNotice, SaveState } from './SaveNotice';
import { StageBand } from './StageBand';
import styles from './TripShell.module.css';

// Opened by few and seldom: not part of what a page loads first.
const Palette = dynamic(() => import('./Palette').then((module) => module.Palette), { ssr: false });
const KeySheet = dynamic(() => import('./KeySheet').then((module) => module.KeySheet), { ssr: false });

/** The frame round every stage of a trip: name, save state, history, stages, and the consequences beside. */
export function TripShell({ children }: { children: ReactNode }) {
  const { draft, store, units, setUnits } = usePlan();
  const { setColorScheme, colorScheme } = useMantineColorScheme();
  const [palette, setPalette] = useState(false);
  const [keys, setKeys] = useState(false);
  const undoLabel = draft.done.at(-1)?.label;
  const redoLabel = draft.undone.at(-1)?.label;

  useHotkeys([
    ['mod+Z', () => void store.undo()],
    ['mod+shift+Z', () => void store.redo()],
    ['mod+Y', () => void store.redo()],
    ['mod+K', () => setPalette(true)],
    ['shift+?', () => setKeys(true)],
  ]);
  const nextScheme = { light: 'dark', dark: 'auto', auto: 'light' } as const;

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
        <Tooltip label={undoLabel ? `Undo: ${undoLabel}` : 'Nothing to undo'}>
          <ActionIcon
            variant="default"
            size="lg"
            aria-label={undoLabel ? `Undo: ${undoLabel}` : 'Undo'}
            disabled={!undoLabel}
            onClick={() => store.undo()}
          >
            <IconArrowBackUp size={18} />
          </ActionIcon>
        </Tooltip>
        <Tooltip label={redoLabel ? `Redo: ${redoLabel}` : 'Nothing to redo'}>
          <ActionIcon
            variant="default"
            size="lg"
            aria-label={redoLabel ? `Redo: ${redoLabel}` : 'Redo'}
            disabled={!redoLabel}
            onClick={() => store.redo()}
          >
            <IconArrowForwardUp size={18} />
          </ActionIcon>
        </Tooltip>
        <Button
          variant="default"
          size="sm"
          className={styles.wide}
          leftSection={<IconSearch size={16} />}
          onClick={() => setPalette(true)}
        >
          Find <kbd className={styles.kbd}>Ctrl K</kbd>
        </Button>
        <Menu position="bottom-end" width={240}>
          <Menu.Target>
            <ActionIcon variant="default" size="lg" aria-label="More">
              <IconMenu2 size={18} />
            </ActionIcon>
          </Menu.Target>
          <Menu.Dropdown>
            <Menu.Label>Units</Menu.Label>
            <div className={styles.menuRow}>
              <SegmentedControl
                fullWidth
                size="xs"
                value={units}
                onChange={(value) => setUnits(value as typeof units)}
                data={[
                  { value: 'metric', label: 'Metric' },
                  { value: 'imperial', label: 'Imperial' },
                ]}
                aria-label="Units"
              />
            </div>
            <Menu.Item
              leftSection={<IconMoonStars size={16} />}
              closeMenuOnClick={false}
              onClick={() => setColorScheme(nextScheme[colorScheme])}
            >
              Scheme: {colorScheme === 'auto' ? 'as the device' : colorScheme}
            </Menu.Item>
            <Menu.Item leftSection={<IconSearch size={16} />} onClick={() => setPalette(true)}>
              Find anything
            </Menu.Item>
            <Menu.Item leftSection={<IconKeyboard size={16} />} onClick={() => setKeys(true)}>
              Keys
            </Menu.Item>
            <Menu.Divider />
            <Menu.Item component="a" href={`/api/trips/${store.tripId}/plan`}>
              Save the plan as a file
            </Menu.Item>
            <Menu.Item component="a" href={`/api/trips/${store.tripId}/kit`}>
              Save the kit as CSV
            </Menu.Item>
            <Menu.Item component={Link} href="/">
              All trips
            </Menu.Item>
          </Menu.Dropdown>
        </Menu>
      </header>
      <StageBand />
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
