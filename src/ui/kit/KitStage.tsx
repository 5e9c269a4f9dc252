'use client';

import { Button, SegmentedControl, TextInput } from '@mantine/core';
import { IconSearch } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { SYSTEMS, thingMassG, type System } from '@/core/kit/thing';
import { LIMITS } from '@/core/plan/limits';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { Empty } from '@/ui/shared/States';
import { useSelection } from '@/ui/shared/SelectionProvider';
import { MeasureNext } from './MeasureNext';
import { KitTable } from './KitTable';

import { QuickAdd } from './QuickAdd';
import styles from './KitStage.module.css';

// Reading files is for the few times a list comes in; the table is what opens every time.
const KitImport = dynamic(() => import('./KitImport').then((module) => module.KitImport), { ssr: false });

const EnoughView = dynamic(() => import('./EnoughView').then((module) => module.EnoughView), { ssr: false });
const FromInventory = dynamic(() => import('./FromInventory').then((module) => module.FromInventory), {
  ssr: false,
});

type View = 'things' | 'enough';

/** Everything laid out: looked through, weighed, and cut down. */
export function KitStage() {
  const { draft, store, format } = usePlan();
  const { chooseThing } = useSelection();
  const [filter, setFilter] = useState('');
  const [system, setSystem] = useState<System | 'all systems'>('all systems');
  const [view, setView] = useState<View>('things');
  const [importing, setImporting] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const { things } = draft.plan;
  const shown = useMemo(() => {
    const words = filter.trim().toLowerCase();
    return things.filter(
      (thing) =>
        (system === 'all systems' || thing.system === system) &&
        (!words || thing.name.toLowerCase().includes(words)),
    );
  }, [things, filter, system]);
  const mass = shown.reduce((sum, thing) => sum + thingMassG(thing), 0);

  return (
    <div className={styles.page}>
      <header className={styles.header}>
        <h1>Kit</h1>
        <SegmentedControl
          className="screen-only"
          aria-label="What is shown"
          value={view}
          onChange={(next) => setView(next as View)}
          data={[
            { value: 'things', label: 'Things' },
            { value: 'enough', label: 'Is it enough?' },
          ]}
        />
        <span className="quiet">
          {shown.length === things.length
            ? counted(things.length)
            : `${shown.length} of ${counted(things.length)}`}
          , {format.mass(mass)} with water
        </span>
        <span className={styles.space} />
        <Button className="screen-only" variant="default" onClick={() => setChoosing(true)}>
          From the inventory
        </Button>
        <Button className="screen-only" variant="default" onClick={() => setImporting(true)}>
          Import CSV
        </Button>
        {things.length > 0 && (
          <Button
            className="screen-only"
            variant="default"
            component="a"
            href={`/api/trips/${store.tripId}/kit`}
          >
            Save as CSV
          </Button>
        )}
      </header>
      {view === 'enough' && things.length > 0 ? (
        <EnoughView />
      ) : (
        <>
          <div className={`${styles.tools} screen-only`}>
            <QuickAdd
              onAdd={(thing) => {
                if (!store.edit({ kind: 'put things', things: [thing] })) return false;
                chooseThing(thing.id);
                return true;
              }}
              full={things.length >= LIMITS.things}
            />
            <TextInput
              aria-label="Show only things named"
              placeholder="Show only …"
              leftSection={<IconSearch size={15} />}
              value={filter}
              onChange={(event) => setFilter(event.currentTarget.value)}
            />
            <Choice
              aria-label="Show only the system"
              value={system}
              options={['all systems', ...SYSTEMS] as const}
              onChoose={setSystem}
            />
          </div>
          {things.length > 0 && <MeasureNext />}
          {things.length === 0 ? (
            <Empty
              title="The kit is empty"
              actions={<Button onClick={() => setImporting(true)}>Import CSV</Button>}
            >
              Type a thing above and press Enter, or import a list you have. Estimates will do: what matters
              is asked for later.
            </Empty>
          ) : (
            <KitTable things={shown} />
          )}
        </>
      )}
      {choosing && (
        <FromInventory
          onAdd={(thing) => store.edit({ kind: 'put things', things: [thing] })}
          onClose={() => setChoosing(false)}
        />
      )}
      {importing && (
        <KitImport
          things={things}
          room={LIMITS.things - things.length}
          onTake={(taken) => store.edit({ kind: 'put things', things: taken })}
          onClose={() => setImporting(false)}
        />
      )}
    </div>
  );
}

const counted = (things: number): string => (things === 1 ? '1 thing' : `${things} things`);
