import { formatQuantity, type UnitSystem } from '../units';
import type { Circuit, Leg } from './schema';

/** A leg that the survey may ask for: a cable to pull between two places. */
interface LegKind {
  /** In a sentence. */
  readonly name: string;
  /** What its length decides. */
  readonly why: string;
  /** How it is measured. */
  readonly guide: string;
  /** How long it mostly is, m; null where that says nothing. */
  readonly usualM: readonly [from: number, to: number] | null;
  /** The stop on the way from dry to wet after which it is met. */
  readonly after: 'source' | 'panel' | 'pump';
  /** Whether it is part of the feed: taken over with it from another circuit. */
  readonly ofFeed: boolean;
}

/** Every leg by its key in the job file, from dry to wet; a scheme names those that it has. A new one is an entry here and a line of the circuit's schema. */
export const legKinds = {
  sourceToPanel: {
    name: 'source to panel',
    why: 'sets the size of the feed',
    guide: 'From the fuse to the switch, along the route the cable takes. Run a cord along it and measure the cord.',
    usualM: [1, 8],
    after: 'source',
    ofFeed: true,
  },
  panelToBilge: {
    name: 'panel to bilge',
    why: 'sets the size of the manual and auto conductors, mostly the longest run',
    guide: 'From the switch to the pump’s leads, along the route. Mostly the longest run.',
    usualM: [2, 12],
    after: 'panel',
    ofFeed: false,
  },
  bilgeToNegative: {
    name: 'bilge to negative bus',
    why: 'the current comes back this way: it drops as much as the way out',
    guide: 'From the pump’s leads back to the negative bus. The current returns this way: it counts as much.',
    usualM: null,
    after: 'pump',
    ofFeed: false,
  },
} as const satisfies Readonly<Record<keyof Circuit['legs'], LegKind>>;

export type LegKey = keyof typeof legKinds;

/** The keys of all legs, from dry to wet. */
export const legKeys = Object.keys(legKinds) as LegKey[];

/** A circuit's leg; one that was never surveyed has nothing in it. */
export function legOf(circuit: Pick<Circuit, 'legs'>, key: LegKey): Leg {
  const legs: Readonly<Partial<Record<LegKey, Leg | undefined>>> = circuit.legs;
  return legs[key] ?? {};
}

/** The legs of a circuit, each changed. */
export function mapLegs(legs: Circuit['legs'], change: (leg: Leg, key: LegKey) => Leg): Circuit['legs'] {
  const changed: Record<string, Leg> = {};
  for (const key of legKeys) changed[key] = change(legOf({ legs }, key), key);
  return { ...legs, ...changed };
}

/** How a leg is measured and how long it mostly is, in the units in force. */
export function legGuide(key: LegKey, units: UnitSystem): string {
  const { guide, usualM }: LegKind = legKinds[key];
  if (!usualM) return guide;
  const [from, to] = usualM.map((metres) => formatQuantity(metres, 'length', units, 0));
  return `${guide} Mostly ${from ?? ''} to ${to ?? ''}.`;
}
