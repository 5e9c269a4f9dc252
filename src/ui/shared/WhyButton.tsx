'use client';

import { Popover } from '@mantine/core';
import { whyFigure, type Figure } from '@/core/explain/why';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './WhyButton.module.css';

/** Asks a figure "why": formula in words, inputs, source, and what it cannot know. */
export function WhyButton({ figure, label }: { figure: Figure; label: string }) {
  const { evaluation, format } = usePlan();
  return (
    <Popover width={320} position="left-start" withArrow trapFocus shadow="sm" withRoles={false}>
      <Popover.Target>
        <button type="button" className={styles.why} aria-label={`Why: ${label}`}>
          why
        </button>
      </Popover.Target>
      <Popover.Dropdown className={styles.sheet}>
        <Explanation figure={figure} label={label} evaluation={evaluation} format={format} />
      </Popover.Dropdown>
    </Popover>
  );
}

function Explanation({
  figure,
  label,
  evaluation,
  format,
}: { figure: Figure; label: string } & Pick<ReturnType<typeof usePlan>, 'evaluation' | 'format'>) {
  const why = whyFigure(figure, evaluation, format);
  return (
    <div role="dialog" aria-label={`Why: ${label}`} tabIndex={-1} data-autofocus className={styles.body}>
      <strong>{label}</strong>
      <p>{why.formula}</p>
      <dl>
        {why.inputs.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <p className="quiet">{why.source}</p>
      <p className="quiet">{why.uncertainty}</p>
    </div>
  );
}
