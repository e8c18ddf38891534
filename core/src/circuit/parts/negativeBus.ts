import { link } from '../element';
import type { PartKind } from './part';

/** The boat's negative bus. Its own cable to the battery is the boat's main negative and is taken as ideal. */
export interface NegativeBusPart {
  readonly kind: 'negative-bus';
  readonly id: string;
  /** Names of the studs in use; every conductor has its own. */
  readonly studs: readonly string[];
}

export const negativeBus: PartKind<NegativeBusPart> = {
  terminals: (part) => ['main', ...part.studs],
  elements: (part, node) => part.studs.map((stud) => link(node(stud), node('main'))),
  doing: () => 'joined',
};
