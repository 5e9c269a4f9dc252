import { SegmentedControl } from '@mantine/core';
import stage from './stage.module.css';

interface Props<View extends string> {
  label: string;
  value: View;
  options: readonly { value: View; label: string }[];
  onChoose: (view: View) => void;
}

/** Which part of a stage is shown. What is around it scrolls on a phone: the sign of the chosen one is placed by the control itself. */
export function Views<View extends string>({ label, value, options, onChoose }: Props<View>) {
  return (
    <div className={stage.views}>
      <SegmentedControl
        aria-label={label}
        value={value}
        data={[...options]}
        onChange={(next) => onChoose(next as View)}
      />
    </div>
  );
}
