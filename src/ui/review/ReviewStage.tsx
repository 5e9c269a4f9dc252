'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { ThingHistory } from '@/core/learning/histories';
import type { LimitFound } from '@/core/learning/limits';
import type { Rate } from '@/core/learning/rates';
import type { TripSummary } from '@/core/learning/summary';
import { useRecorded } from '@/ui/pack/useRecorded';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Learned } from './Learned';
import { NextTime } from './NextTime';
import { Used } from './Used';
import { Views } from '@/ui/shared/Views';
import stage from '@/ui/shared/stage.module.css';

const Compare = dynamic(() => import('./Compare').then((module) => module.Compare), { ssr: false });
const Practice = dynamic(() => import('./Practice').then((module) => module.Practice), { ssr: false });

const VIEWS = ['What was used', 'What you learned', 'Next time', 'Compare trips', 'Practice'] as const;

export interface ReviewProps {
  rates: readonly Rate[];
  limits: readonly LimitFound[];
  rejected: readonly string[];
  histories: readonly ThingHistory[];
  missed: readonly string[];
  trips: readonly TripSummary[];
}

/** What a trip taught, and what to do otherwise next time. */
export function ReviewStage(props: ReviewProps) {
  const { store } = usePlan();
  const { entries, recorded } = useRecorded(store.tripId);
  const [view, setView] = useState<(typeof VIEWS)[number]>(VIEWS[0]);
  return (
    <div className={stage.page}>
      <header className={stage.header}>
        <h1>Review</h1>
        <Views
          label="What is shown"
          value={view}
          onChoose={setView}
          options={VIEWS.map((value) => ({ value, label: value }))}
        />
      </header>
      {view === 'What was used' && <Used entries={entries} all={recorded.all} />}
      {view === 'What you learned' && (
        <Learned rates={props.rates} limits={props.limits} rejected={props.rejected} />
      )}
      {view === 'Next time' && <NextTime histories={props.histories} missed={props.missed} />}
      {view === 'Compare trips' && <Compare trips={props.trips} />}
      {view === 'Practice' && <Practice />}
    </div>
  );
}
