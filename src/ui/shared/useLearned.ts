import { useEffect, useState } from 'react';
import type { CalledFor } from '@/core/learning/calledFor';
import type { ThingHistory } from '@/core/learning/histories';
import type { LastDone } from '@/core/learning/lastDone';

export interface WhatTripsSay {
  calledFor: CalledFor;
  histories: readonly ThingHistory[];
  lastDone: readonly LastDone[];
  /** Rates, limits and needs that new plans leave out. */
  rejected: readonly string[];
}
const NOTHING: WhatTripsSay = { calledFor: {}, histories: [], lastDone: [], rejected: [] };

/** What the rider's own trips say; nothing until it is here, and nothing without a network. */
export function useLearned(): WhatTripsSay {
  const [learned, setLearned] = useState(NOTHING);
  useEffect(() => {
    const controller = new AbortController();
    fetch('/api/learned', { signal: controller.signal })
      .then(async (response) => response.ok && setLearned((await response.json()) as WhatTripsSay))
      .catch(() => undefined);
    return () => controller.abort();
  }, []);
  return learned;
}
