'use client';

import { startTransition, useEffect, useState } from 'react';
import { afterPaint } from '@/ui/plan/afterPaint';

/**
 * A value as it was until the next paint: for what may follow what was pressed. Later than React's deferred value, which is
 * worked out while the browser still paints, and on two cores has the paint wait.
 */
export function useNextBreath<Value>(value: Value): Value {
  const [shown, setShown] = useState(value);
  // Never cancelled: of keys that follow fast each would put off what follows all of them.
  useEffect(() => void afterPaint(() => startTransition(() => setShown(value))), [value]);
  return shown;
}
