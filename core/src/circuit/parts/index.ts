import type { Element } from '../element';
import { battery, type BatteryPart } from './battery';
import { floatSwitch, type FloatSwitchPart } from './floatSwitch';
import { fuse, type FusePart } from './fuse';
import { isolator, type IsolatorPart } from './isolator';
import { joint, type JointPart } from './joint';
import { lamp, type LampPart } from './lamp';
import { negativeBus, type NegativeBusPart } from './negativeBus';
import { onOffSwitch, type OnOffSwitchPart } from './onOffSwitch';
import type { PartKind, Setting } from './part';
import { pump, type PumpPart } from './pump';
import { sharedLoad, type SharedLoadPart } from './sharedLoad';
import { threeWaySwitch, type ThreeWaySwitchPart } from './threeWaySwitch';

export type Part =
  | BatteryPart
  | FloatSwitchPart
  | FusePart
  | IsolatorPart
  | JointPart
  | LampPart
  | NegativeBusPart
  | OnOffSwitchPart
  | PumpPart
  | SharedLoadPart
  | ThreeWaySwitchPart;

type Kinds = { readonly [K in Part['kind']]: PartKind<Extract<Part, { kind: K }>> };

/** Every kind of part; a new one is a file beside these and a line here. */
const kinds: Kinds = {
  battery,
  'float-switch': floatSwitch,
  fuse,
  isolator,
  joint,
  lamp,
  'negative-bus': negativeBus,
  'on-off-switch': onOffSwitch,
  pump,
  'shared-load': sharedLoad,
  'three-way-switch': threeWaySwitch,
};

function kindOf<P extends Part>(part: P): PartKind<P>;
function kindOf(part: Part): unknown {
  return kinds[part.kind];
}

/** The names of a part's terminals. */
export function terminalsOf(part: Part): readonly string[] {
  return kindOf(part).terminals(part);
}

/** A part's elements between its own terminals, as `node` numbers them. */
export function elementsOf(part: Part, node: (terminal: string) => number, setting: Setting): readonly Element[] {
  return kindOf(part).elements(part, node, setting);
}

export type { BatteryPart, FusePart, JointPart, PumpPart };
export type { FloatPosition, Setting, SwitchPosition } from './part';
export { fuseOhm } from './fuse';
