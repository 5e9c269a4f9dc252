import { createContext, useContext } from 'react';
import type { UnitSystem } from '@/core/units/parse';

/** The units that figures are shown in, below whatever sets them. */
export const UnitsContext = createContext<UnitSystem>('metric');

export const useUnits = (): UnitSystem => useContext(UnitsContext);
