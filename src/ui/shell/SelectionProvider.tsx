'use client';

import { createContext, useContext, useState, type ReactNode } from 'react';

interface Value {
  thingId: string | null;
  bagId: string | null;
  chooseThing(id: string | null): void;
  chooseBag(id: string | null): void;
}

const SelectionContext = createContext<Value | null>(null);

/** The thing and the bag in hand. Kept across stages, so that what was chosen in the kit is chosen on the board. */
export function SelectionProvider({ children }: { children: ReactNode }) {
  const [thingId, chooseThing] = useState<string | null>(null);
  const [bagId, chooseBag] = useState<string | null>(null);
  return <SelectionContext value={{ thingId, bagId, chooseThing, chooseBag }}>{children}</SelectionContext>;
}

export function useSelection(): Value {
  const value = useContext(SelectionContext);
  if (!value) throw new Error('useSelection is used outside a SelectionProvider.');
  return value;
}
