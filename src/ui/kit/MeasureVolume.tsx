'use client';

import { Button } from '@mantine/core';
import { useState } from 'react';
import { boxMl, coneMl, rollMl, shareMl } from '@/core/kit/measureVolume';
import type { OwnedThing } from '@/core/kit/thing';
import { formatterFor } from '@/core/units/format';
import type { VolumeSource } from '@/core/units/uncertainty';
import { useUnits } from '@/ui/plan/units';
import { Choice } from '@/ui/shared/Choice';
import { CountField } from '@/ui/shared/CountField';
import { QuantityField } from '@/ui/shared/QuantityField';
import { tapeUse, THING_VOLUME } from '@/ui/shared/fieldUses';
import styles from './MeasureVolume.module.css';

const WAYS = ['a roll', 'a box', 'a cone', 'part of a sack or bag'] as const;
type Way = (typeof WAYS)[number];
/** What the tape is laid along or round, in order. */
const LENGTHS: Record<Way, readonly string[]> = {
  'a roll': ['Length', 'Round it'],
  'a box': ['Length', 'Width', 'Height'],
  'a cone': ['Length', 'Round the thick end', 'Round the thin end'],
  'part of a sack or bag': [],
};
const TAPE = tapeUse(20, 1500);

interface Props {
  thing: OwnedThing;
  onTake: (volumeMl: number, source: VolumeSource) => void;
}

/** Finds a volume with a tape, or by how far a thing fills something whose volume is known. */
export function MeasureVolume({ thing, onTake }: Props) {
  const format = formatterFor(useUnits());
  const [way, setWay] = useState<Way>('a roll');
  const [lengths, setLengths] = useState<readonly (number | null)[]>([null, null, null]);
  const [knownMl, setKnownMl] = useState<number | null>(null);
  const [percent, setPercent] = useState(100);
  const [a, b, c] = lengths;
  const found = ((): number | null => {
    if (way === 'part of a sack or bag') return knownMl === null ? null : shareMl(knownMl, percent);
    if (!a || !b) return null;
    if (way === 'a roll') return rollMl(a, b);
    if (!c) return null;
    return way === 'a box' ? boxMl(a, b, c) : coneMl(a, b, c);
  })();
  return (
    <details className={styles.help}>
      <summary>Measure its volume</summary>
      <div className={styles.fields}>
        <Choice label="As it is packed, it is" value={way} options={WAYS} onChoose={setWay} />
        {LENGTHS[way].map((label, i) => (
          <QuantityField
            key={`${way} ${label}`}
            label={label}
            dimension="length"
            use={TAPE}
            value={lengths[i] ?? null}
            optional
            onCommit={(value) => setLengths(lengths.map((old, k) => (k === i ? value : old)))}
          />
        ))}
        {way === 'part of a sack or bag' && (
          <>
            <QuantityField
              label="The sack or bag holds"
              dimension="volume"
              use={THING_VOLUME}
              value={knownMl}
              optional
              onCommit={setKnownMl}
            />
            <CountField
              label="It fills, %"
              value={percent}
              least={1}
              most={100}
              what="per cent"
              onCommit={setPercent}
            />
          </>
        )}
        {found !== null && (
          <Button
            variant="default"
            onClick={() => onTake(Math.round(found), way === 'part of a sack or bag' ? 'rated' : 'tape')}
          >
            Take {format.volume(found)} for {thing.name}
          </Button>
        )}
      </div>
      <p className="quiet">
        {thing.form.kind === 'soft'
          ? 'Press it as hard as it will be packed.'
          : 'Measure it as it is packed.'}
      </p>
    </details>
  );
}
