import { defaults } from '../../reference';
import { diodeBetween } from '../element';
import type { PartKind } from './part';

/** A diode: conducts from anode to cathode only. */
export interface DiodePart {
  readonly kind: 'diode';
  readonly id: string;
}

export const diode: PartKind<DiodePart> = {
  entry: 'anode',
  terminals: () => ['anode', 'cathode'],
  elements: (_part, node) => [diodeBetween(node('anode'), node('cathode'), defaults.diodeDropV, defaults.diodeOhm)],
  doing: (_part, { amps }) => (amps > 1e-6 ? 'conducting' : 'blocking'),
};
