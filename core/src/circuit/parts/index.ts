import type { Element } from '../element';
import { alarm, type AlarmPart } from './alarm';
import { battery, type BatteryPart } from './battery';
import type { Doing } from './doing';
import { diode, type DiodePart } from './diode';
import { floatSwitch, type FloatSwitchPart } from './floatSwitch';
import { fuse, type FusePart } from './fuse';
import { isolator, type IsolatorPart } from './isolator';
import { joint, type JointPart } from './joint';
import { lamp, type LampPart } from './lamp';
import { meter, type MeterPart } from './meter';
import { negativeBus, type NegativeBusPart } from './negativeBus';
import { neighbour, type NeighbourPart } from './neighbour';
import { onOffSwitch, type OnOffSwitchPart } from './onOffSwitch';
import type { PartKind, PartReading, PartState, SwitchPosition } from './part';
import { probeSensor, type ProbeSensorPart } from './probeSensor';
import { pump, type PumpPart } from './pump';
import { relay, type RelayPart } from './relay';
import { sharedLoad, type SharedLoadPart } from './sharedLoad';
import { threeWaySwitch, type ThreeWaySwitchPart } from './threeWaySwitch';
import { throughFloat, type ThroughFloatPart } from './throughFloat';

export type Part =
  | AlarmPart
  | BatteryPart
  | DiodePart
  | FloatSwitchPart
  | FusePart
  | IsolatorPart
  | JointPart
  | LampPart
  | MeterPart
  | NegativeBusPart
  | NeighbourPart
  | OnOffSwitchPart
  | ProbeSensorPart
  | PumpPart
  | RelayPart
  | SharedLoadPart
  | ThreeWaySwitchPart
  | ThroughFloatPart;

type Kinds = { readonly [K in Part['kind']]: PartKind<Extract<Part, { kind: K }>> };

/** Every kind of part; a new one is a file beside these and a line here. */
const kinds: Kinds = {
  alarm,
  battery,
  diode,
  'float-switch': floatSwitch,
  fuse,
  isolator,
  joint,
  lamp,
  meter,
  'negative-bus': negativeBus,
  neighbour,
  'on-off-switch': onOffSwitch,
  'probe-sensor': probeSensor,
  pump,
  relay,
  'shared-load': sharedLoad,
  'three-way-switch': threeWaySwitch,
  'through-float': throughFloat,
};

function kindOf<P extends Part>(part: P): PartKind<P>;
function kindOf(part: Part): unknown {
  return kinds[part.kind];
}

/** The names of a part's terminals. */
export function terminalsOf(part: Part): readonly string[] {
  return kindOf(part).terminals(part);
}

/** Nodes inside a part that are no terminals: the middle of a joint of three or more. */
export function innerOf(part: Part): readonly string[] {
  return part.kind === 'joint' && part.ways.length !== 2 ? ['core'] : [];
}

/** A part's elements between its own terminals, as `node` numbers them. */
export function elementsOf(part: Part, node: (terminal: string) => number, state: PartState): readonly Element[] {
  return kindOf(part).elements(part, node, state);
}

/** Whether a part is pulled in, or its electronics at work, at these volts. */
export function latchOf(part: Part, volts: (terminal: string) => number, state: PartState): boolean {
  return kindOf(part).latches?.(part, volts, state) ?? false;
}

/** Whether a part can be pulled in, or have electronics that work. */
export function canLatch(part: Part): boolean {
  return kindOf(part).latches !== undefined;
}

/** What a part is doing. */
export function doingOf(part: Part, reading: PartReading): Doing {
  return kindOf(part).doing(part, reading);
}

/** The terminal at which a part's own current is counted, and whether it enters or leaves there. */
export function countedAt(part: Part): { readonly terminal: string; readonly sign: 1 | -1 } | undefined {
  const { entry, exit } = kindOf(part);
  if (entry !== undefined) return { terminal: entry, sign: 1 };
  return exit === undefined ? undefined : { terminal: exit, sign: -1 };
}

/** Positions a hand can put a part in, the one it rests in first; none for most. */
export function positionsOf(part: Part): readonly SwitchPosition[] {
  return kindOf(part).positions ?? [];
}

/** Whether water moves a part. */
export function isFloat(part: Part): boolean {
  return kindOf(part).floats?.(part) ?? false;
}

export type { AlarmPart, BatteryPart, FusePart, JointPart, LampPart, PumpPart, RelayPart };
export type { FloatPosition, Setting, SwitchPosition } from './part';
export { doingWords, isClosed, turns, type Doing } from './doing';
export { stateIn } from './part';
export { fuseOhm } from './fuse';
export { filamentDoing } from './lamp';
