/** What a meter should show: the value solved, and the readings that are taken for it. */
export interface Expected {
  readonly nominal: number;
  readonly low: number;
  readonly high: number;
  readonly unit: 'V' | 'A' | 'Ω' | 'L/h' | 's';
}

/** How a value is read, by which its window goes. Our rules, each editable where readings are judged. */
export const windowRules = {
  unloadedVolts: { share: 0.015, leastV: 0.15, reason: 'A hand meter, and what rests after a load.' },
  loadedVolts: { belowV: 0.3, aboveV: 0.2, reason: 'The battery gives way while it is read.' },
  smallVolts: {
    fromV: 1,
    leastV: 0.01,
    plusV: 0.03,
    share: 0.25,
    reason: 'Drops of a part of a volt go with the current.',
  },
  amps: { share: 0.15, reason: 'A clamp, and a pump of its kind.' },
  ohms: { share: 0.2, fromOhm: 2, aboveOhm: 0.5, belowOhm: 0.3, reason: 'Leads zeroed; a winding by where it stands.' },
  flow: { measured: 0.15, guessed: 0.25, reason: 'A bucket, a watch, and a lift that is known or guessed.' },
  delay: { byS: 1, reason: 'A watch in the hand.' },
  period: { share: 0.1, reason: 'A timer of its kind.' },
  standing: { share: 0.5, plusA: 0.002, reason: 'A sensor’s own draw differs from one to the next.' },
  coilReserve: { factor: 1.2, reason: 'A relay must pull in with the battery at 12.0 V, and with something in hand.' },
  alarmSounds: { withinS: 3, reason: 'Sooner than anyone walks away.' },
  /** Amperes outside their window and within this share are to be looked at again. */
  lookAgain: { share: 0.3, reason: 'A clamp held askew, a pump not yet wet.' },
  /** Below this a hand meter says no more than “closed”. */
  closedOhm: 0.5,
} as const;

export type ReadAs = 'unloaded' | 'loaded' | 'amps' | 'ohms';

/** The window about a value by how it is read, before its own spread widens it. */
export function windowAbout(nominal: number, as: ReadAs): Expected {
  const { unloadedVolts, loadedVolts, smallVolts, amps, ohms } = windowRules;
  const about = (below: number, above: number, unit: Expected['unit']): Expected => ({
    nominal,
    low: nominal - below,
    high: nominal + above,
    unit,
  });
  switch (as) {
    case 'unloaded': {
      const by = Math.max(unloadedVolts.leastV, Math.abs(nominal) * unloadedVolts.share);
      return about(by, by, 'V');
    }
    case 'loaded': {
      if (Math.abs(nominal) >= smallVolts.fromV) return about(loadedVolts.belowV, loadedVolts.aboveV, 'V');
      const by = smallVolts.plusV + Math.abs(nominal) * smallVolts.share;
      return about(by, by, 'V');
    }
    case 'amps':
      return about(nominal * amps.share, nominal * amps.share, 'A');
    case 'ohms': {
      const by = nominal * ohms.share;
      const wide = nominal >= ohms.fromOhm ? about(by, by, 'Ω') : about(ohms.belowOhm, ohms.aboveOhm, 'Ω');
      return { ...wide, low: Math.max(0, wide.low) };
    }
    default:
      return as satisfies never;
  }
}

/** A window that holds every value its circuit may have, sound as it is. */
export function widened(window: Expected, values: readonly number[]): Expected {
  return { ...window, low: Math.min(window.low, ...values), high: Math.max(window.high, ...values) };
}
