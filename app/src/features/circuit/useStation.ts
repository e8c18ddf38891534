import { useRouter } from 'expo-router';
import { startTransition, useCallback, useEffect, useState } from 'react';
import { whenIdle } from '../../ui/whenIdle';
import { whenQuiet } from '../../ui/whenQuiet';
import type { PlaceKey, Station } from './atStation';
import { placeOf } from './places';
import { stations } from './stations';

/** So long a page that was just opened has the machine to itself, ms. */
const AFTER_PAINT_MS = 150;

interface Shown {
  readonly station: Station;
  readonly addressed: Station;
  /** The last step of a place that was shown, and where the drawing was opened from. */
  readonly last: Station;
  readonly steps: Readonly<Partial<Record<PlaceKey, Station>>>;
}

function showing(station: Station, addressed: Station, before?: Shown): Shown {
  const place = placeOf(station)?.key;
  return {
    station,
    addressed,
    last: place ? station : (before?.last ?? 'size'),
    steps: place ? { ...before?.steps, [place]: station } : (before?.steps ?? {}),
  };
}

export interface AtPlace {
  readonly station: Station;
  /** The last station shown that is a step of a place: the drawing leads back to it. */
  readonly last: Station;
  readonly go: (to: Station) => void;
  /** Goes to a place: to the step of it that was shown last. */
  readonly goTo: (place: PlaceKey) => void;
}

/** The station shown: a tap shows it at once, and the address follows when nothing else is to be done. */
export function useStation(addressed: Station): AtPlace {
  const router = useRouter();
  const [shown, setShown] = useState(() => showing(addressed, addressed));
  // An address that was changed elsewhere, as by the way back, leads.
  if (shown.addressed !== addressed) setShown(showing(addressed, addressed, shown));
  const { station, last } = shown;
  useEffect(
    () => (station === addressed ? undefined : whenIdle(() => router.setParams({ station }))),
    [station, addressed, router],
  );
  const go = useCallback((to: Station) => setShown((now) => showing(to, now.addressed, now)), []);
  const goTo = useCallback(
    (key: PlaceKey) =>
      setShown((now) => {
        const first = stations.find(({ place }) => place === key)?.key ?? now.station;
        return showing(now.steps[key] ?? first, now.addressed, now);
      }),
    [],
  );
  return { station, last, go, goTo };
}

/** Stations that are ready to be shown: those seen, and the others one after the other while nothing else is to be done. */
export function useStationsKept(shown: Station, wide: boolean): ReadonlySet<Station> {
  const [kept, setKept] = useState<ReadonlySet<Station>>(new Set([shown]));
  // The tap that opened the page is none that another would follow at once.
  const [openedMs] = useState(() => performance.now());
  if (!kept.has(shown)) setKept(new Set([...kept, shown]));
  useEffect(() => {
    const next = stations.find(({ key, place }) => !kept.has(key) && (place !== null || !wide));
    if (!next) return undefined;
    // What was asked for is painted first.
    let stop = (): void => undefined;
    const timer = setTimeout(() => {
      stop = whenQuiet(() => startTransition(() => setKept(new Set([...kept, next.key]))), openedMs);
    }, AFTER_PAINT_MS);
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [kept, wide, openedMs]);
  return kept;
}
