import { legKinds, legOf, type Circuit } from '../job';
import { schemeOf } from '../schemes';

/** Something the survey must still give before the circuit can be sized. */
export interface Need {
  /** Path inside the circuit. */
  readonly path: readonly string[];
  readonly label: string;
  /** What it decides. */
  readonly why: string;
}

/** What is still missing, in the order in which it is met from dry to wet. */
export function needsOf(circuit: Circuit): Need[] {
  const scheme = schemeOf(circuit);
  const legs = scheme.legs
    .filter(({ key }) => legOf(circuit, key).lengthM === undefined)
    .map((leg) => ({
      path: ['legs', leg.key, 'lengthM'],
      label: `${leg.name}, length one way`,
      why: legKinds[leg.key].why,
    }));
  const pump =
    scheme.options.includes('pump') && circuit.pump.currentA === undefined
      ? [{ path: ['pump', 'currentA'], label: 'Pump amperes', why: 'decides conductor, fuse and drop' }]
      : [];
  return [...legs, ...pump];
}
