'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { FoodView } from './FoodView';
import { Views } from '@/ui/shared/Views';
import stage from '@/ui/shared/stage.module.css';

const WaterView = dynamic(() => import('./WaterView').then((module) => module.WaterView), { ssr: false });
const PowerView = dynamic(() => import('./PowerView').then((module) => module.PowerView), { ssr: false });
const OnTheWay = dynamic(() => import('./OnTheWay').then((module) => module.OnTheWay), { ssr: false });
const TakeAlong = dynamic(() => import('./TakeAlong').then((module) => module.TakeAlong), { ssr: false });

const VIEWS = {
  food: { label: 'Food', Part: FoodView },
  water: { label: 'Water', Part: WaterView },
  power: { label: 'Fuel and power', Part: PowerView },
  load: { label: 'Load on the way', Part: OnTheWay },
  along: { label: 'To take along', Part: TakeAlong },
} as const;
type View = keyof typeof VIEWS;

/** What is eaten, drunk and burnt, and how the load changes on the way. */
export function ProvisionsStage() {
  const [view, setView] = useState<View>('food');
  const { Part } = VIEWS[view];
  return (
    <div className={stage.page}>
      <header className={stage.header}>
        <h1>Provisions</h1>
        <Views
          label="What is shown"
          value={view}
          onChoose={setView}
          options={Object.entries(VIEWS).map(([value, { label }]) => ({ value: value as View, label }))}
        />
      </header>
      <Part />
    </div>
  );
}
