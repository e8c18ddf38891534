import { resistance } from '../element';
import type { PartKind } from './part';

/** The battery isolator, where a feed is taken after it. */
export interface IsolatorPart {
  readonly kind: 'isolator';
  readonly id: string;
  readonly closed: boolean;
  readonly contactOhm: number;
}

export const isolator: PartKind<IsolatorPart> = {
  entry: 'battery',
  terminals: () => ['battery', 'load'],
  elements: (part, node) => (part.closed ? [resistance(node('battery'), node('load'), part.contactOhm)] : []),
  doing: ({ closed }) => (closed ? 'on' : 'off'),
};
