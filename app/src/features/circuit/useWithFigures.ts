import { useEffect, useState } from 'react';
import type { AtStation } from './atStation';

/** Figures that take longer are not waited for: those of before are marked, ms. */
const MOST_MS = 120;

/** Whether nothing is to come that would be shown a moment later, over what was changed. */
const isWhole = (at: AtStation, shown: AtStation) =>
  at.current || at.failed || at.draft.job === shown.draft.job || at.index !== shown.index;

/**
 * What a station shows of a change: all of it at once, with the figures that come of it, instead of twice within a moment. What
 * was touched shows it by itself meanwhile.
 */
export function useWithFigures(at: AtStation): AtStation {
  const [shown, setShown] = useState(at);
  const waits = at !== shown && !isWhole(at, shown);
  if (at !== shown && !waits) setShown(at);
  const [patient, setPatient] = useState(true);
  useEffect(() => {
    if (!waits) return undefined;
    const timer = setTimeout(() => setPatient(false), MOST_MS);
    return () => {
      clearTimeout(timer);
      setPatient(true);
    };
  }, [waits]);
  return waits && patient ? shown : at;
}
