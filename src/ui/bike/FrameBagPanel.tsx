'use client';

import { Button, SegmentedControl } from '@mantine/core';
import type { Bag } from '@/core/bag/bag';
import type { FrameBagCut, FrameBagWish } from '@/core/bag/frameBag';
import { fitFrameBag } from '@/core/commands/fitFrameBag';
import { TRIANGLE_SIDES } from '@/core/bike/mainTriangle';
import { measure } from '@/core/units/measures';
import type { Result } from '@/core/result';
import { usePlan } from '@/ui/plan/PlanProvider';
import { QuantityField } from '@/ui/shared/QuantityField';
import { useSelection } from '@/ui/shared/SelectionProvider';
import { TemplateLinks } from './TemplateLinks';
import styles from './Fields.module.css';

const setBack = measure('mm', 0, 300);
const width = measure('mm', 20, 200);

/** Cuts a frame bag from the main triangle; the drawing shows it as it is changed. */
export function FrameBagPanel(props: {
  wish: FrameBagWish;
  onWish: (wish: FrameBagWish) => void;
  cut: Result<FrameBagCut>;
}) {
  const { wish, onWish, cut } = props;
  const { draft, store, format } = usePlan();
  const { chooseBag } = useSelection();
  const set = (patch: Partial<FrameBagWish>) => onWish({ ...wish, ...patch });
  const flat = draft.plan.bags.filter(
    ({ place, compartments }) => place === 'frame bag' && compartments[0]!.solid.kind === 'polygon',
  );
  const hung = flat[0];

  const put = (onto: Bag | null) => {
    if (!cut.ok) return;
    const { edit, bagId } = fitFrameBag(draft.plan, cut.value, wish, onto, () => crypto.randomUUID());
    if (store.edit(edit)) chooseBag(bagId);
  };

  return (
    <section aria-label="Frame bag from the triangle">
      <h2 className={styles.heading}>Frame bag from the triangle</h2>
      <div className={styles.fields}>
        <div className={styles.wide}>
          <SegmentedControl
            aria-label="Full or half"
            value={wish.half ? 'half' : 'full'}
            onChange={(value) => set({ half: value === 'half' })}
            data={[
              { value: 'half', label: 'Half, over the bottles' },
              { value: 'full', label: 'Full triangle' },
            ]}
          />
        </div>
        {wish.half && (
          <QuantityField
            label="Depth under the top tube"
            dimension="length"
            value={wish.dropMm}
            schema={measure('mm', 40, 400)}
            onCommit={(value) => value !== null && set({ dropMm: value })}
          />
        )}
        {TRIANGLE_SIDES.map((side) => (
          <QuantityField
            key={side}
            label={`Set back from the ${side} tube`}
            dimension="length"
            value={wish.setBackMm[side]}
            schema={setBack}
            hint={side === 'down' ? 'Bottle, hose' : side === 'seat' ? 'Bottle, shock' : undefined}
            onCommit={(value) => value !== null && set({ setBackMm: { ...wish.setBackMm, [side]: value } })}
          />
        ))}
        <QuantityField
          label="Width at the rear, by the knees"
          dimension="length"
          value={wish.rearWidthMm}
          schema={width}
          onCommit={(value) => value !== null && set({ rearWidthMm: value })}
        />
        <QuantityField
          label="Width at the front"
          dimension="length"
          value={wish.frontWidthMm}
          schema={width}
          onCommit={(value) => value !== null && set({ frontWidthMm: value })}
        />
      </div>
      {cut.ok ? (
        <p role="status" className={styles.result}>
          <strong>{format.volume(cut.value.volumeMl)}</strong>, {(cut.value.areaMm2 / 100).toFixed(0)} cm² a
          side, {cut.value.bolts.length} cage bolts against it.
          {cut.value.kneeLimitMm !== null &&
            ` Your knees leave ${format.length(cut.value.kneeLimitMm)} at the rear; it is cut to that.`}
        </p>
      ) : (
        <p role="alert" className={styles.doubt}>
          {cut.error}
        </p>
      )}
      <div className={styles.actions}>
        {hung && (
          <Button size="xs" disabled={!cut.ok} onClick={() => put(hung)}>
            Cut {hung.name} to this
          </Button>
        )}
        <Button size="xs" variant={hung ? 'default' : 'filled'} disabled={!cut.ok} onClick={() => put(null)}>
          Add it as a new bag
        </Button>
      </div>
      {flat.map((bag) => (
        <TemplateLinks key={bag.id} bag={bag} />
      ))}
    </section>
  );
}
