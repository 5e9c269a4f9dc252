'use client';

import { bikeGeometrySchema, knownFiguresSchema, type Bike, type FigureKey } from '@/core/bike/bike';
import { doubtsOf } from '@/core/bike/doubts';
import type { FigureSource } from '@/core/bike/figures';
import { measure } from '@/core/units/measures';
import { formatAngle } from '@/core/units/format';
import { MASS_SOURCES } from '@/core/units/uncertainty';
import type { Measurable } from '@/core/bike/measureLines';
import { usePlan } from '@/ui/plan/PlanProvider';
import { Choice } from '@/ui/shared/Choice';
import { BIKE_MASS, TOTAL_LIMIT } from '@/ui/shared/fieldUses';
import { QuantityField } from '@/ui/shared/QuantityField';
import { needsName, TextField } from '@/ui/shared/TextField';
import { TapeFields } from './TapeFields';
import styles from './Fields.module.css';

const KEYS = Object.keys(bikeGeometrySchema.shape) as FigureKey[];
const WORDS: Record<FigureSource, string> = {
  given: '',
  'by tape': 'from your tape',
  'worked out': 'worked out from the rest',
  default: 'a default',
};

/** The bike's own figures, from a table or a tape; the drawing follows each. */
export function BikeFields({
  bike,
  onMeasure,
}: {
  bike: Bike;
  /** A field that asks for a measurement has the focus, or none. */
  onMeasure: (of: Measurable | null) => void;
}) {
  const { store, evaluation, format, units } = usePlan();
  const set = (patch: Partial<Bike>) => store.edit({ kind: 'set bike', bike: { ...bike, ...patch } });
  const figure = (key: FigureKey | 'wheelbaseMm', value: number | null) => {
    const geometry = { ...bike.geometry };
    if (value === null) delete geometry[key];
    else geometry[key] = value;
    set({ geometry });
  };
  const doubts = new Map(doubtsOf(bike).map(({ field, message }) => [field as string, message]));
  const { geometry, sources } = evaluation.figures;
  const unknown = KEYS.filter((key) => sources[key] === 'default').length;
  return (
    <section aria-label="The bike's figures">
      <h2 className={styles.heading}>The bike&apos;s figures</h2>
      <div className={styles.fields}>
        <TextField
          label="Name"
          value={bike.name}
          maxLength={120}
          check={needsName}
          onCommit={(name) => set({ name })}
        />
        <QuantityField
          label="Mass without bags"
          use={BIKE_MASS}
          dimension="mass"
          value={bike.massG}
          onCommit={(value) => value !== null && set({ massG: value })}
        />
        <Choice
          label="Mass is from"
          value={bike.massSource}
          options={MASS_SOURCES}
          onChoose={(massSource) => set({ massSource })}
        />
        <QuantityField
          label="Maker's limit in all"
          use={TOTAL_LIMIT}
          dimension="mass"
          schema={measure('g', 0, 250_000)}
          value={bike.greatestTotalG}
          optional
          hint="Bike, rider and load; empty when not known"
          onCommit={(greatestTotalG) => set({ greatestTotalG })}
        />
      </div>
      <h3 className={styles.sub}>From the maker&apos;s geometry table</h3>
      <p className="quiet">
        Leave empty what you do not know.{' '}
        {unknown > 0
          ? `${unknown} figures are defaults of an average bike; the drawing marks them ≈.`
          : 'No figure is a default.'}
      </p>
      <div className={styles.fields}>
        {KEYS.map((key) => {
          const angle = key.endsWith('Deg');
          const range = bikeGeometrySchema.shape[key];
          const shown = angle ? formatAngle(geometry[key], units) : format.length(geometry[key]);
          const source = sources[key];
          return (
            <QuantityField
              key={key}
              label={range.description ?? key}
              dimension={angle ? 'angle' : 'length'}
              value={bike.geometry[key] ?? null}
              schema={range}
              optional
              placeholder={source === 'given' ? undefined : `≈ ${shown}`}
              hint={
                source === 'given'
                  ? `${range.minValue} to ${range.maxValue} ${angle ? '°' : 'mm'}`
                  : `≈ ${shown}, ${WORDS[source]}`
              }
              doubt={doubts.get(key)}
              onFocus={() => onMeasure(key)}
              onCommit={(next) => figure(key, next)}
            />
          );
        })}
        <QuantityField
          label="Wheelbase, only as a check"
          dimension="length"
          value={bike.geometry.wheelbaseMm ?? null}
          schema={knownFiguresSchema.shape.wheelbaseMm.unwrap()}
          optional
          hint={`These figures give ${format.length(evaluation.view.wheelbaseMm)}`}
          onCommit={(next) => figure('wheelbaseMm', next)}
        />
      </div>
      <TapeFields bike={bike} doubts={doubts} onMeasure={onMeasure} onTake={(tape) => set({ tape })} />
    </section>
  );
}
