import { Popover } from '@mantine/core';
import { useState } from 'react';
import { whyFigure, type Figure } from '@/core/explain/why';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import { useShown } from './useShown';
import styles from './WhyButton.module.css';

/** Formula in words, inputs, source, and what a figure cannot know; open from the start. */
export function WhyPopover({ figure, label }: { figure: Figure; label: string }) {
  const { format } = usePlanContext();
  const { facts } = useShown();
  const [opened, setOpened] = useState(true);
  const why = whyFigure(figure, facts, format);
  return (
    <Popover
      opened={opened}
      onChange={setOpened}
      width={320}
      position="left-start"
      withArrow
      trapFocus
      returnFocus
      shadow="sm"
      withRoles={false}
    >
      <Popover.Target>
        <button
          type="button"
          className={styles.why}
          aria-label={`Why: ${label}`}
          onClick={() => setOpened(!opened)}
        >
          why
        </button>
      </Popover.Target>
      <Popover.Dropdown className={styles.sheet}>
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
      </Popover.Dropdown>
    </Popover>
  );
}
