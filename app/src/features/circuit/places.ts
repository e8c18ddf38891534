import type { IconName } from '../../ui/Icon';
import type { PlaceKey, Station } from './atStation';
import { stations, type StationEntry } from './stations';

interface PlaceLook {
  readonly key: PlaceKey;
  readonly name: string;
  readonly icon: IconName;
}

/** A place at the thumb: one station, or several as its steps. */
export interface Place extends PlaceLook {
  readonly steps: readonly [StationEntry, ...StationEntry[]];
}

const looks: readonly PlaceLook[] = [
  { key: 'plan', name: 'Plan', icon: 'pencil-ruler' },
  { key: 'bench', name: 'Bench', icon: 'flash-outline' },
  { key: 'build', name: 'Build', icon: 'hammer-wrench' },
  { key: 'prove', name: 'Prove', icon: 'clipboard-check-outline' },
  { key: 'trace', name: 'Trace', icon: 'magnify' },
];

/** The places, in the order of the work. */
export const places: readonly Place[] = looks.map((look) => {
  const [first, ...others] = stations.filter(({ place }) => place === look.key);
  if (!first) throw new Error(`Nothing stands in the place ${look.key}.`);
  return { ...look, steps: [first, ...others] };
});

/** Every step of every place, in the order of the work. */
export const steps: readonly StationEntry[] = places.flatMap((place) => place.steps);

/** The place in which a station stands. */
export function placeOf(station: Station): Place | undefined {
  return places.find((place) => place.steps.some(({ key }) => key === station));
}
