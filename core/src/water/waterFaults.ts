/** What a fault on the side of the water does to a pump that turns, and to a float. */
export interface WaterFault {
  readonly name: string;
  /** What comes out of the outlet while the pump turns. */
  readonly outlet: 'full' | 'thin' | 'nothing';
  /** Whether its impeller moves no water, so that it draws little. */
  readonly idle: boolean;
  /** Where its float stays whatever the water does; moved by hand it switches. */
  readonly floatInWater?: 'up' | 'down';
  /** Where it is seen once the bilge is open: at the float, the strainer, the hose or the valve; and what is seen there. */
  readonly seenAt: 'float' | 'strainer' | 'hose' | 'outlet';
  readonly seen: string;
}

/** Faults on the side of the water; a new one is an entry here and its share in `trace/shares.ts`. */
export const waterFaults = {
  blocked: { name: 'Strainer blocked', outlet: 'nothing', idle: true, seenAt: 'strainer', seen: 'blocked' },
  'impeller-broken': {
    name: 'Impeller broken or loose on its shaft',
    outlet: 'nothing',
    idle: true,
    seenAt: 'strainer',
    seen: 'impeller broken or loose',
  },
  'air-lock': {
    name: 'Air lock',
    outlet: 'nothing',
    idle: true,
    seenAt: 'hose',
    seen: 'air comes when it is loosened',
  },
  'hose-kinked': { name: 'Hose kinked', outlet: 'thin', idle: false, seenAt: 'hose', seen: 'kinked' },
  'hose-off': { name: 'Hose off', outlet: 'nothing', idle: false, seenAt: 'hose', seen: 'off' },
  'valve-jammed': { name: 'Check valve jammed shut', outlet: 'nothing', idle: true, seenAt: 'outlet', seen: 'jammed' },
  'float-fouled': {
    name: 'Float fouled, hangs up',
    outlet: 'full',
    idle: false,
    floatInWater: 'up',
    seenAt: 'float',
    seen: 'hangs on dirt or a cable',
  },
  'float-too-low': {
    name: 'Float set too low',
    outlet: 'full',
    idle: false,
    floatInWater: 'up',
    seenAt: 'float',
    seen: 'free, but below where the pump sucks air',
  },
  'float-upright': {
    name: 'Float stands upright or lies on its side',
    outlet: 'full',
    idle: false,
    floatInWater: 'down',
    seenAt: 'float',
    seen: 'free, but mounted so that water does not lift it',
  },
} as const satisfies Readonly<Record<string, WaterFault>>;

export type WaterFaultKey = keyof typeof waterFaults;
export const waterFaultKeys = Object.keys(waterFaults) as readonly WaterFaultKey[];

/** A fault on the side of the water by its key. */
export const waterFaultOf = (key: WaterFaultKey): WaterFault => waterFaults[key];
