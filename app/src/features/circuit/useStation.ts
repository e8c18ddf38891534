import { useRouter } from 'expo-router';
import { useCallback, useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { View } from 'react-native';
import { whenIdle } from '../../whenIdle';
import { showKept } from '../../ui/ahead';
import { elementOf } from '../../ui/atRest';
import { makeReady } from '../../makeReady';
import { useQuietMoment } from '../../ui/useQuietMoment';
import type { PlaceKey, Station } from './atStation';
import { placeOf } from './places';
import { stations } from './stations';

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

/**
 * The station shown: a tap shows it at once, and the address follows when nothing else is to be done.
 * @param rooms where those that are ready are kept
 */
export function useStation(addressed: Station, rooms: RefObject<View | null>): AtPlace {
  const router = useRouter();
  const [shown, setShown] = useState(() => showing(addressed, addressed));
  // An address that was changed elsewhere, as by the way back, leads.
  if (shown.addressed !== addressed) setShown(showing(addressed, addressed, shown));
  const { station, last } = shown;
  useEffect(() => {
    if (station === addressed) return undefined;
    // A reload before the router knows of it opens the station that is shown.
    const path = window.location.pathname;
    if (path.endsWith(`/${addressed}`))
      window.history.replaceState(window.history.state, '', path.slice(0, -addressed.length) + station);
    return whenIdle(() => router.setParams({ station }));
  }, [station, addressed, router]);
  const go = useCallback(
    (to: Station) => showKept(elementOf(rooms.current), to, () => setShown((now) => showing(to, now.addressed, now))),
    [rooms],
  );
  const { steps } = shown;
  const goTo = useCallback(
    (key: PlaceKey) => go(steps[key] ?? stations.find(({ place }) => place === key)?.key ?? station),
    [go, steps, station],
  );
  return { station, last, go, goTo };
}

/** Stations that are ready to be shown: those seen, and the others one after the other while nothing else is to be done. */
export function useStationsKept(shown: Station, wide: boolean): ReadonlySet<Station> {
  const [kept, setKept] = useState<ReadonlySet<Station>>(new Set([shown]));
  const [made, setMade] = useState<Station | null>(null);
  for (const one of [shown, made]) if (one !== null && !kept.has(one)) setKept(new Set([...kept, one]));
  const next = stations.find(({ key, place }) => !kept.has(key) && (place !== null || !wide))?.key;
  const stands = useRef<(() => void) | null>(null);
  const keepNext = useCallback(() => {
    stands.current?.();
    stands.current = makeReady(
      () => setMade(next ?? null),
      () => setMade(made),
    );
  }, [next, made]);
  useLayoutEffect(() => () => stands.current?.(), [next]);
  useQuietMoment(next ? keepNext : null);
  return kept;
}
