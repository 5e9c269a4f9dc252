'use client';

import '@mantine/spotlight/styles.css';
import {
  createSpotlight,
  Spotlight,
  type SpotlightActionData,
  type SpotlightActionGroupData,
} from '@mantine/spotlight';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { whereIn } from '@/core/plan/where';
import { useLoader } from '@/ui/load/LoaderProvider';
import { usePlan } from '@/ui/plan/PlanProvider';
import { useSelection } from '@/ui/shared/SelectionProvider';
import { AFTER, STAGE_NAMES } from './StageBand';

/** Finds any thing, bag, stage or command by a few letters. */
export function Palette({ onClose, onKeys }: { onClose: () => void; onKeys: () => void }) {
  const { evaluation, draft, store, units, setUnits, format } = usePlan();
  const { run } = useLoader();
  const { chooseThing, chooseBag, chooseRider } = useSelection();
  const router = useRouter();
  const [[spotlightStore, spotlight]] = useState(createSpotlight);
  useEffect(() => spotlight.open(), [spotlight]);

  const go = (stage: string) => router.push(`/trips/${store.tripId}/${stage}`);
  const whereIs = whereIn(draft.plan);
  const action = (
    id: string,
    label: string,
    onClick: () => void,
    description?: string,
  ): SpotlightActionData => ({
    id,
    label,
    description,
    onClick,
  });
  const groups: SpotlightActionGroupData[] = [
    {
      group: 'Stages',
      actions: [
        ...evaluation.stages.map(({ stage, fact }) =>
          action(`stage-${stage}`, STAGE_NAMES[stage], () => go(stage), fact),
        ),
        ...AFTER.map(({ path, name, fact }) => action(`stage-${path}`, name, () => go(path), fact)),
      ],
    },
    {
      group: 'Commands',
      actions: [
        action('load', 'Load for me', () => {
          go('load');
          run();
        }),
        action('undo', 'Undo', () => store.undo(), draft.done.at(-1)?.label),
        action('redo', 'Redo', () => store.redo(), draft.undone.at(-1)?.label),
        action('units', units === 'metric' ? 'Show imperial units' : 'Show metric units', () =>
          setUnits(units === 'metric' ? 'imperial' : 'metric'),
        ),
        action('keys', 'Show keyboard shortcuts', onKeys),
        action('trips', 'All trips', () => router.push('/')),
      ],
    },
    {
      group: 'Bags',
      actions: draft.plan.bags.map((bag) =>
        action(
          `bag-${bag.id}`,
          bag.name,
          () => {
            chooseBag(bag.id);
            go('load');
          },
          bag.place,
        ),
      ),
    },
    {
      group: 'Things',
      actions: draft.plan.things.map((thing) =>
        action(
          `thing-${thing.id}`,
          thing.name,
          () => {
            chooseThing(thing.id);
            for (const { rider, facts } of evaluation.riders) {
              const spot = facts.byCompartment.get(facts.compartmentOf.get(thing.id) ?? '')?.spot;
              if (!spot) continue;
              chooseRider(rider);
              chooseBag(spot.bag.id);
            }
            go('load');
          },
          `${format.mass(thing.massG)}, ${whereIs(thing)}`,
        ),
      ),
    },
  ];

  return (
    <Spotlight
      store={spotlightStore}
      actions={groups}
      limit={12}
      scrollable
      maxHeight={420}
      shortcut={null}
      // Gone at once: while it fades, what is pressed next for the thing in hand would go into its field.
      transitionProps={{ duration: 0 }}
      nothingFound="Nothing with that name on this trip"
      searchProps={{ placeholder: 'A thing, bag, stage or command', 'aria-label': 'Find' }}
      onSpotlightClose={onClose}
    />
  );
}
