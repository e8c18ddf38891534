/** What a meter should show: the value solved, and the readings that are taken for it. */
export interface Expected {
  readonly nominal: number;
  readonly low: number;
  readonly high: number;
  readonly unit: 'V' | 'A' | 'Ω' | 'L/h' | 's';
}

/** How a value is read, by which its window goes. Our rules; those of `windowSettings` can be set for a boat. */
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

type Figures<Rule> = { readonly [Key in keyof Rule]: Rule[Key] extends number ? number : Rule[Key] };
/** The rules by which the windows of a boat go. */
export type WindowRules = { readonly [Key in keyof typeof windowRules]: Figures<(typeof windowRules)[Key]> };

interface WindowSetting {
  readonly name: string;
  /** `%` of the value expected, else in its unit. */
  readonly unit: '%' | 'V' | 'Ω' | 's';
  readonly most: number;
  readonly of: (rules: WindowRules) => number;
  readonly set: (rules: WindowRules, to: number) => WindowRules;
}

/** What of the rules can be set for a boat: a meter, a habit or a class that asks for another width. */
export const windowSettings = {
  unloaded: {
    name: 'Volts without load, ± at least',
    unit: 'V',
    most: 1,
    of: ({ unloadedVolts }) => unloadedVolts.leastV,
    set: (rules, leastV) => ({ ...rules, unloadedVolts: { ...rules.unloadedVolts, leastV } }),
  },
  'unloaded-share': {
    name: 'Volts without load, ±',
    unit: '%',
    most: 10,
    of: ({ unloadedVolts }) => unloadedVolts.share,
    set: (rules, share) => ({ ...rules, unloadedVolts: { ...rules.unloadedVolts, share } }),
  },
  'loaded-below': {
    name: 'Volts under load, less by up to',
    unit: 'V',
    most: 2,
    of: ({ loadedVolts }) => loadedVolts.belowV,
    set: (rules, belowV) => ({ ...rules, loadedVolts: { ...rules.loadedVolts, belowV } }),
  },
  'loaded-above': {
    name: 'Volts under load, more by up to',
    unit: 'V',
    most: 2,
    of: ({ loadedVolts }) => loadedVolts.aboveV,
    set: (rules, aboveV) => ({ ...rules, loadedVolts: { ...rules.loadedVolts, aboveV } }),
  },
  'drops-share': {
    name: 'Drops under a volt, ± 0.03 V and',
    unit: '%',
    most: 100,
    of: ({ smallVolts }) => smallVolts.share,
    set: (rules, share) => ({ ...rules, smallVolts: { ...rules.smallVolts, share } }),
  },
  amps: {
    name: 'Amperes, ±',
    unit: '%',
    most: 50,
    of: ({ amps }) => amps.share,
    set: (rules, share) => ({ ...rules, amps: { ...rules.amps, share } }),
  },
  ohms: {
    name: 'Ohms of 2 Ω and more, ±',
    unit: '%',
    most: 100,
    of: ({ ohms }) => ohms.share,
    set: (rules, share) => ({ ...rules, ohms: { ...rules.ohms, share } }),
  },
  flow: {
    name: 'Flow, level and hose measured, ±',
    unit: '%',
    most: 50,
    of: ({ flow }) => flow.measured,
    set: (rules, measured) => ({ ...rules, flow: { ...rules.flow, measured } }),
  },
  'flow-guessed': {
    name: 'Flow, level or hose guessed, ±',
    unit: '%',
    most: 80,
    of: ({ flow }) => flow.guessed,
    set: (rules, guessed) => ({ ...rules, flow: { ...rules.flow, guessed } }),
  },
  delay: {
    name: 'Delays, ±',
    unit: 's',
    most: 30,
    of: ({ delay }) => delay.byS,
    set: (rules, byS) => ({ ...rules, delay: { ...rules.delay, byS } }),
  },
  period: {
    name: 'Period of a timer, ±',
    unit: '%',
    most: 50,
    of: ({ period }) => period.share,
    set: (rules, share) => ({ ...rules, period: { ...rules.period, share } }),
  },
} as const satisfies Readonly<Record<string, WindowSetting>>;

export type WindowKey = keyof typeof windowSettings;
export const windowKeys = Object.keys(windowSettings) as readonly WindowKey[];
/** What was set, each in the unit of its setting; a share is 0.15 for 15 %. */
export type Windows = Readonly<Partial<Record<WindowKey, number>>>;

/** Our rules with some of them set otherwise. */
export function rulesWith(windows: Windows): WindowRules {
  return windowKeys.reduce((rules: WindowRules, key) => {
    const to = windows[key];
    return to === undefined ? rules : windowSettings[key].set(rules, to);
  }, windowRules);
}

export type ReadAs = 'unloaded' | 'loaded' | 'amps' | 'ohms';

/** The window about a value by how it is read, before its own spread widens it. */
export function windowAbout(nominal: number, as: ReadAs, rules: WindowRules = windowRules): Expected {
  const { unloadedVolts, loadedVolts, smallVolts, amps, ohms } = rules;
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
