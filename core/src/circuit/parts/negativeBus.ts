import type { PartKind } from './part';

/** The boat's negative bus. Its own cable to the battery is the boat's main negative and is taken as ideal. */
export interface NegativeBusPart {
  readonly kind: 'negative-bus';
  readonly id: string;
}

export const negativeBus: PartKind<NegativeBusPart> = {
  terminals: () => ['stud', 'main'],
  elements: (_part, node) => [{ kind: 'link', a: node('stud'), b: node('main') }],
};
