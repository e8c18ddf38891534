import type { Element } from '../element';
import { battery, type BatteryPart } from './battery';
import { floatSwitch, type FloatSwitchPart } from './floatSwitch';
import { fuse, type FusePart } from './fuse';
import { joint, type JointPart } from './joint';
import { negativeBus, type NegativeBusPart } from './negativeBus';
import type { PartKind, Setting } from './part';
import { pump, type PumpPart } from './pump';
import { threeWaySwitch, type ThreeWaySwitchPart } from './threeWaySwitch';

export type Part =
  BatteryPart | FloatSwitchPart | FusePart | JointPart | NegativeBusPart | PumpPart | ThreeWaySwitchPart;

type Kinds = { readonly [K in Part['kind']]: PartKind<Extract<Part, { kind: K }>> };

/** Every kind of part; a new one is a file beside these and a line here. */
const kinds: Kinds = {
  battery,
  'float-switch': floatSwitch,
  fuse,
  joint,
  'negative-bus': negativeBus,
  pump,
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

export type { BatteryPart, FloatSwitchPart, FusePart, JointPart, NegativeBusPart, PumpPart, ThreeWaySwitchPart };
export type { FloatPosition, Setting, SwitchPosition } from './part';
export { fuseOhm } from './fuse';
