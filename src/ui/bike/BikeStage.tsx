'use client';

import { SegmentedControl, Switch, Tabs } from '@mantine/core';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { Measurable } from '@/core/bike/measureLines';
import { DEFAULT_FRAME_BAG, frameBagCut } from '@/core/bag/frameBag';
import { applyEdit } from '@/core/plan/apply';
import { factsOf } from '@/core/facts/facts';
import { slideBag } from '@/core/commands/slideBag';
import { usePlan } from '@/ui/plan/PlanProvider';
import { useSelection } from '@/ui/shared/SelectionProvider';
import { BagList } from './BagList';
import { BikeDrawing } from './BikeDrawing';
import styles from './BikeStage.module.css';

// One is looked at at a time; each is fetched when it is asked for.
const BikeFields = dynamic(() => import('./BikeFields').then((m) => m.BikeFields));
const BuildFields = dynamic(() => import('./BuildFields').then((m) => m.BuildFields));
const BalancePanel = dynamic(() => import('./BalancePanel').then((m) => m.BalancePanel));
const TyrePanel = dynamic(() => import('./TyrePanel').then((m) => m.TyrePanel));
const FrameBagPanel = dynamic(() => import('./FrameBagPanel').then((m) => m.FrameBagPanel));
const StartBike = dynamic(() => import('./StartBike').then((m) => m.StartBike));
const StartBags = dynamic(() => import('./StartBags').then((m) => m.StartBags));
const SetupsPanel = dynamic(() => import('./SetupsPanel').then((m) => m.SetupsPanel));
const FrontDrawing = dynamic(() => import('./FrontDrawing').then((m) => m.FrontDrawing));

/** The rider's own bike, the bags on it, and whether they clear. */
export function BikeStage() {
  const { draft, evaluation, store, format } = usePlan();
  const { bagId, chooseBag } = useSelection();
  const [view, setView] = useState<'side' | 'front'>('side');
  const [dimensions, setDimensions] = useState(false);
  const [tab, setTab] = useState<string | null>('bags');
  const [measuring, setMeasuring] = useState<Measurable | null>(null);
  const [wish, setWish] = useState(DEFAULT_FRAME_BAG);
  const [sliding, setSliding] = useState<{ bagId: string; alongMm: number } | null>(null);
  const { plan } = draft;
  const { bike, bags } = plan;
  const toggle = (id: string) => chooseBag(id === bagId ? null : id);

  const slide = (id: string, alongMm: number, done: boolean) => {
    if (!done) return setSliding({ bagId: id, alongMm });
    setSliding(null);
    store.edit(slideBag(id, alongMm));
  };
  // While a bag is being drawn along, outline and gaps follow; the plan changes when it is let go.
  const facts = useMemo(() => {
    if (!sliding) return evaluation;
    const trial = applyEdit(plan, slideBag(sliding.bagId, sliding.alongMm));
    return trial.ok ? factsOf(trial.value.plan) : evaluation;
  }, [evaluation, plan, sliding]);

  const cutting = tab === 'frame-bag';
  const cut = useMemo(() => {
    const { view: side, build, rider } = evaluation.surroundings;
    return cutting ? frameBagCut(side, wish, build.mounts, rider.kneeGapMm) : null;
  }, [cutting, evaluation, wish]);

  return (
    <div className={styles.page}>
      <header className={styles.header}>
        <h1>Bike</h1>
        {bike && (
          <span className="quiet">
            {bike.name}, {format.mass(bike.massG)}; {bags.length} bags hold{' '}
            {format.volume(evaluation.totals.capacityMl)} and weigh {format.mass(evaluation.totals.bagsG)}
          </span>
        )}
        <span className={styles.views}>
          <SegmentedControl
            size="xs"
            aria-label="View"
            value={view}
            onChange={(next) => setView(next as typeof view)}
            data={[
              { value: 'side', label: 'Side' },
              { value: 'front', label: 'Front' },
            ]}
          />
          <Switch
            size="sm"
            label="Dimensions"
            checked={dimensions}
            disabled={view === 'front'}
            onChange={(event) => setDimensions(event.currentTarget.checked)}
          />
        </span>
      </header>
      <div className={styles.picture}>
        {view === 'side' ? (
          <BikeDrawing
            facts={facts}
            selected={bagId}
            onSelect={toggle}
            onSlide={slide}
            showGaps
            showDimensions={dimensions}
            measure={tab === 'figures' ? measuring : null}
            cut={cut?.ok ? cut.value.outline : null}
          />
        ) : (
          <FrontDrawing facts={facts} selected={bagId} onSelect={toggle} />
        )}
      </div>
      {!bike && <StartBike onOwnFigures={() => setTab('figures')} onSaved={() => setTab('set-ups')} />}
      {bike && bags.length === 0 && <StartBags />}
      <Tabs value={tab} onChange={setTab} keepMounted={false} className={styles.tabs}>
        <Tabs.List>
          <Tabs.Tab value="bags">Bags</Tabs.Tab>
          <Tabs.Tab value="figures">Figures</Tabs.Tab>
          <Tabs.Tab value="build">Build and you</Tabs.Tab>
          <Tabs.Tab value="balance">Balance</Tabs.Tab>
          <Tabs.Tab value="tyres">Tyres</Tabs.Tab>
          <Tabs.Tab value="frame-bag">Frame bag</Tabs.Tab>
          <Tabs.Tab value="set-ups">Set-ups</Tabs.Tab>
        </Tabs.List>
        <Tabs.Panel value="bags">
          <BagList />
        </Tabs.Panel>
        <Tabs.Panel value="figures">
          {bike ? <BikeFields bike={bike} onMeasure={setMeasuring} /> : <NoBike />}
        </Tabs.Panel>
        <Tabs.Panel value="build">{bike ? <BuildFields bike={bike} /> : <NoBike />}</Tabs.Panel>
        <Tabs.Panel value="balance">{bike ? <BalancePanel bike={bike} /> : <NoBike />}</Tabs.Panel>
        <Tabs.Panel value="tyres">{bike ? <TyrePanel bike={bike} /> : <NoBike />}</Tabs.Panel>
        <Tabs.Panel value="frame-bag">
          {cut && <FrameBagPanel wish={wish} onWish={setWish} cut={cut} />}
        </Tabs.Panel>
        <Tabs.Panel value="set-ups">
          <SetupsPanel />
        </Tabs.Panel>
      </Tabs>
      <p className={styles.caution}>
        Never go over a maker&apos;s limit for a mount, fork, rack, frame or rim; many carbon forks and
        seatposts must not be clamped or loaded. Where no limit is known, Gorvin assumes little and says so.
        Numbers don&apos;t replace a test ride: press the loaded bike down hard, turn the bar fully, and try
        it on quiet ground.
      </p>
    </div>
  );
}

const NoBike = () => <p className="quiet">Enter a bike first.</p>;
