'use client';

import type { RiderId } from '@/core/plan/riders';
import { createContext, useContext, useState, type ReactNode } from 'react';

interface Value {
  thingId: string | null;
  bagId: string | null;
  /** Whose bike the board shows. */
  riderId: RiderId;
  chooseThing(id: string | null): void;
  chooseBag(id: string | null): void;
  chooseRider(id: RiderId): void;
}

const SelectionContext = createContext<Value | null>(null);

/** The thing and the bag in hand. Kept across stages, so that what was chosen in the kit is chosen on the board. */
export function SelectionProvider({ children }: { children: ReactNode }) {
  const [thingId, chooseThing] = useState<string | null>(null);
  const [bagId, chooseBag] = useState<string | null>(null);
  const [riderId, setRider] = useState<RiderId>(null);
  const chooseRider = (id: RiderId) => {
    setRider(id);
    if (id !== riderId) chooseBag(null);
  };
  return (
    <SelectionContext value={{ thingId, bagId, riderId, chooseThing, chooseBag, chooseRider }}>
      {children}
    </SelectionContext>
  );
}

export function useSelection(): Value {
  const value = useContext(SelectionContext);
  if (!value) throw new Error('useSelection is used outside a SelectionProvider.');
  return value;
}
