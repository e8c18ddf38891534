import { defaults, type CoilSuppressor } from '../../reference';
import { diodeBetween, resistance, type Element } from '../element';
import type { PartKind } from './part';

/**
 * A relay by its usual numbers: coil 86 and 85, common contact 30, closed when
 * pulled in 87, closed when released 87a. A suppression diode across the coil
 * makes the coil's polarity matter: 86 is its positive.
 */
export interface RelayPart {
  readonly kind: 'relay';
  readonly id: string;
  readonly coilOhm: number;
  readonly pullInV: number;
  readonly dropOutV: number;
  readonly contactOhm: number;
  readonly suppression: CoilSuppressor;
  /** Taken as pulled in whatever its volts, its coil left out: for sizing what its contact feeds. */
  readonly held?: boolean;
}

export const relay: PartKind<RelayPart> = {
  entry: '30',
  terminals: () => ['30', '87', '87a', '85', '86'],
  elements: (part, node, { latched }) => [
    ...(part.held === true ? [] : coil(part, node('86'), node('85'))),
    resistance(node('30'), node(latched ? '87' : '87a'), part.contactOhm),
  ],
  doing: (_part, { latched }) => (latched ? 'pulledIn' : 'released'),
  latches: ({ pullInV, dropOutV, held }, volts, { latched }) => {
    if (held === true) return true;
    const coilV = Math.abs(volts('86') - volts('85'));
    return latched ? coilV > dropOutV : coilV >= pullInV;
  },
};

function coil(part: RelayPart, plus: number, minus: number): readonly Element[] {
  return [resistance(plus, minus, part.coilOhm), ...suppressor(part, plus, minus)];
}

function suppressor({ suppression }: RelayPart, plus: number, minus: number): readonly Element[] {
  switch (suppression) {
    case 'diode':
      return [diodeBetween(minus, plus, defaults.diodeDropV, defaults.diodeOhm)];
    case 'resistor':
      return [resistance(plus, minus, defaults.suppressionOhm)];
    case 'none':
      return [];
    default:
      return suppression satisfies never;
  }
}
